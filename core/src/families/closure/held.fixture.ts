import { findEntry } from '../../catalogue';
import { sectionOf } from '../../shop';
import { type CutList, thicknessOf } from './list.fixture';

/** A kind of screw of a list: what it passes, what it goes into, and m that it must grip there. */
interface Fixing {
  screws: string;
  /** m before the wood that holds it. */
  through(list: CutList): number;
  /** m of that wood along the screw; without end where it goes along a piece. */
  into(list: CutList): number;
  least: number;
  /** Its tip may stand out behind: nothing lies there. */
  out?: true;
}

/** A 4 mm screw holds by four of its diameters in what is light, by five in a frame. EN 1995-1-1, 8.7.2: at least 4 d, 6 d where it carries. */
const [light, frame] = [0.016, 0.02];

/** A piece of the first of some roles that the list has. */
function partOf(list: CutList, ...roles: string[]) {
  const found = roles
    .map((role) => list.parts.find(({ id }) => id === `${list.prefix}/${role}`))
    .find((part) => part !== undefined);
  if (!found) throw new Error(`none of ${roles.join(', ')} on the list`);
  return found;
}
const thick =
  (...roles: string[]) =>
  (list: CutList) =>
    thicknessOf(partOf(list, ...roles));
const wide =
  (...roles: string[]) =>
  (list: CutList) =>
    sectionOf(partOf(list, ...roles))?.width ?? 0;
/** Along its grain, from its end. */
const along = () => Number.POSITIVE_INFINITY;
const wallOf = (role: string) => (list: CutList) => findEntry('tube', partOf(list, role).item)?.wall ?? 0;

const back = ['back', 'back-course'];
/** A stop of the pane as sold. Trade. */
const stop = 0.01;
const plate: Fixing[] = [
  {
    screws: 'corner-screws',
    through: thick('side-low', 'side-inner', 'side'),
    into: (list) => (list.has('cleat') ? thicknessOf(partOf(list, 'cleat')) : along()),
    least: 0.01,
  },
  { screws: 'rail-screws', through: thick(...back), into: wide('rail'), least: frame },
  { screws: 'back-screws', through: thick(...back), into: wide('side-low', 'side-inner', 'side'), least: frame },
  { screws: 'stop-screws', through: () => stop, into: along, least: light },
];

const fixings: Readonly<Record<string, readonly Fixing[]>> = {
  harp: plate,
  serpentine: plate,
  lattice: [{ screws: 'cover-screws', through: () => 0, into: along, least: 0.01 }],
  trickle: [
    { screws: 'corner-screws', through: thick('side'), into: along, least: frame },
    {
      screws: 'back-screws',
      through: thick('back'),
      into: (list) => wide(list.has('bearer') ? 'bearer' : 'batten')(list),
      // What lies on the back is only kept from sliding.
      least: 0.012,
    },
    { screws: 'batten-screws', through: wide('batten'), into: wide('bearer'), least: 0.01 },
  ],
  'batch-box': [
    { screws: 'frame-screws', through: thick('stud-front'), into: along, least: frame },
    { screws: 'sheet-screws', through: thick('front'), into: thick('stud-front'), least: frame },
  ],
  spiral: [
    { screws: 'slat-screws', through: thick('slat'), into: thick('bearer'), least: light },
    { screws: 'corner-screws', through: thick('side'), into: along, least: frame },
    { screws: 'back-screws', through: thick('back'), into: thick('bearer'), least: light },
  ],
  'heat-pipe': [
    { screws: 'rail-screws', through: thick('stile'), into: (list) => holeUp(list), least: frame },
    {
      screws: 'keeper-screws',
      through: (list) => wide('rail')(list) - holeUp(list),
      into: (list) => holeUp(list),
      least: light,
    },
  ],
  'roof-tube': [{ screws: 'saddle-screws', through: () => 0.002, into: thick('saddle'), least: frame }],
  trough: [
    { screws: 'cap-screws', through: wallOf('trough-pipe'), into: along, least: light },
    { screws: 'seat-screws', through: wallOf('trough-pipe'), into: wide('bearer'), least: light },
  ],
};

/** m from the lower edge of a rail of heat pipes to the middle of its holes, by its own list. */
function holeUp(list: CutList): number {
  const [row] = partOf(list, 'rail').holes ?? [];
  return row?.across?.distance ?? 0;
}

/** Screws of a kind that do not hold, or come out behind: all that its list has, each against the pieces of the same list. */
export function loose(family: string, list: CutList): string[] {
  const mm = (metres: number) => `${(1000 * metres).toFixed(1)} mm`;
  return (fixings[family] ?? []).flatMap(({ screws, through, into, least, out }) => {
    const bought = list.bought(screws);
    if (!bought || bought.quantity === 0) return [];
    const length = bought.size && 'length' in bought.size ? bought.size.length : 0;
    const [before, behind] = [through(list), into(list)];
    const grip = length - before;
    return [
      ...(grip < Math.min(least, 0.8 * behind) - 1e-9
        ? [`${screws} of ${mm(length)} pass ${mm(before)} and grip ${mm(grip)}; ${mm(least)} is the least`]
        : []),
      ...(!out && grip > behind - 0.0005
        ? [`${screws} of ${mm(length)} come out: ${mm(before)} and ${mm(behind)}`]
        : []),
    ];
  });
}

/** Roles of screws that are looked at, so that one that is new is not forgotten. */
export function fixingsOf(family: string): string[] {
  return (fixings[family] ?? []).map(({ screws }) => screws);
}
