import type { Sheet } from '../catalogue';
import { sheetMass } from '../catalogue';
import { type Drawing, dim, type Label, leader, type Shape, shape } from '../draw';
import type { Part } from '../shop';

/** Metal bent round a box: under the back, up the side, over the pane. m. */
export interface BentEdge {
  sheet: Sheet;
  under: number;
  lip: number;
  /** Inside of the bend. */
  radius: number;
  /** Courses of the same metal over the back. */
  flashing: boolean;
}

/**
 * Where the unstretched fibre of thin sheet lies in an air bend, as a share of its thickness from the inside: 0.33 to 0.5
 * in the tables of sheet-metal handbooks (recalled). At a thickness of 0.6 mm the whole range moves a bend by 0.16 mm.
 */
export const neutral = 0.44;

/** m. A tab that turns the corner behind the next strip, what a strip laps its neighbour along its length, and what a course laps the one below. */
export const tab = 0.025;
const endLap = 0.05;
const courseLap = 0.05;
/** m. A course is as high as this, so that one pair of hands can hold it. */
const courseHeight = 0.3;

/** m. What one square bend takes off the sum of the outer legs: 2 (r + t) − π/2 (r + k t). */
export function bendDeduction(radius: number, thickness: number): number {
  return 2 * (radius + thickness) - (Math.PI / 2) * (radius + neutral * thickness);
}

/**
 * A strip of legs by their outside measures, laid flat: how wide it is cut, and where it is bent, from its first edge.
 *
 * @param legs m, outside, in the order in which they are met
 */
export function develop(
  legs: readonly number[],
  radius: number,
  thickness: number,
): { width: number; bends: number[] } {
  const off = bendDeduction(radius, thickness);
  const bends: number[] = [];
  let sum = 0;
  legs.forEach((leg, index) => {
    sum += leg;
    // Half of what each bend takes lies on either side of its line.
    if (index < legs.length - 1) bends.push(sum - (index + 0.5) * off);
  });
  return { width: sum - (legs.length - 1) * off, bends };
}

/** m. How a strip longer than the sheet is pieced, the upper piece over the lower. */
function pieces(length: number, longest: number): { count: number; each: number } {
  const count = length <= longest ? 1 : Math.ceil((length - endLap) / (longest - endLap) - 1e-9);
  return { count, each: (length + (count - 1) * endLap) / count };
}

/** m up the slope and across it, seen from the back. */
interface BackSize {
  upslope: number;
  across: number;
}

/** Courses that cover a back from the bottom up, each over the one below. */
export function courses({ upslope }: BackSize): { count: number; height: number } {
  const count = Math.max(1, Math.ceil((upslope - courseLap) / (courseHeight - courseLap) - 1e-9));
  return { count, height: (upslope + (count - 1) * courseLap) / count };
}

interface Wrapped {
  outside: { length: number; width: number };
  depth: number;
  turned: boolean;
}

interface Strip {
  id: string;
  name: string;
  length: number;
  /** Which of its ends, first or second, carry a tab that the next strip laps. */
  tabs: [boolean, boolean];
  work: string;
}

/** The four strips in the order in which they go on: what is lower first, what is higher laps over it. */
function strips({ outside, turned }: Wrapped): Strip[] {
  const along = turned ? outside.length : outside.width;
  const up = turned ? outside.width : outside.length;
  return [
    {
      id: 'edge-low',
      name: 'Edge, low',
      length: along + 2 * tab,
      tabs: [true, true],
      work: 'goes on first; its tabs turn the corners and lie behind the sides',
    },
    {
      id: 'edge-left',
      name: 'Edge, left side',
      length: up + tab,
      tabs: [false, true],
      work: 'over the low strip; its tab lies behind the high strip. Mirror of the right one',
    },
    {
      id: 'edge-right',
      name: 'Edge, right side',
      length: up + tab,
      tabs: [true, false],
      work: 'over the low strip; its tab lies behind the high strip. Mirror of the left one',
    },
    {
      id: 'edge-high',
      name: 'Edge, high',
      length: along,
      tabs: [false, false],
      work: 'goes on last, over both sides: water from above runs over every lap',
    },
  ];
}

/** m, outside: under the back, up the side from under that leg to over the lip, over the pane. The leg under the box lies below it. */
function edgeLegs({ sheet, under, lip }: BentEdge, { depth }: Wrapped): number[] {
  return [under, depth + sheet.thickness, lip];
}

/** Strips round the box and courses over its back. */
export function edgeParts(edge: BentEdge, box: Wrapped, prefix: string): Part[] {
  const { sheet, radius } = edge;
  const { width, bends } = develop(edgeLegs(edge, box), radius, sheet.thickness);
  const longest = Math.max(sheet.width, sheet.height);
  const cut = strips(box).map((strip): Part => {
    const { count, each } = pieces(strip.length, longest);
    return {
      id: `${prefix}/${strip.id}`,
      name: strip.name,
      item: sheet.id,
      kind: 'sheet',
      width,
      height: each,
      turn: true,
      count,
      operations: [
        ...(strip.tabs.some(Boolean) ? ['notch both outer legs away over each tab'] : []),
        'mitre the lip at the corners',
        strip.work,
        ...(count > 1 ? [`${count} pieces, the upper one over the lower`] : []),
      ],
      bends: {
        datum: 'edge that goes under the back',
        positions: bends,
        turns: ['up, square', 'in over the pane, square'],
      },
      mass: sheetMass(sheet, width * each),
    };
  });
  if (!edge.flashing) return cut;
  const back = box.turned
    ? { upslope: box.outside.width, across: box.outside.length }
    : { upslope: box.outside.length, across: box.outside.width };
  const { count, height } = courses(back);
  const { count: beside, each } = pieces(back.across, longest);
  return [
    ...cut,
    {
      id: `${prefix}/back-course`,
      name: 'Back flashing, course',
      item: sheet.id,
      kind: 'sheet',
      width: height,
      height: each,
      turn: true,
      count: count * beside,
      operations: [
        'begin at the bottom, each course over the one below',
        'screw through the laps, washers under the heads',
      ],
      mass: sheetMass(sheet, height * each),
    },
  ];
}

/** The strips laid flat under each other, bend lines dashed, what is cut away open. */
export function edgeDevelopment(edge: BentEdge, box: Wrapped, prefix: string): Drawing {
  const { sheet, radius } = edge;
  const { width, bends } = develop(edgeLegs(edge, box), radius, sheet.thickness);
  const [first = 0, second = 0] = bends;
  const step = width + 0.05;
  const shown = strips(box).filter(({ id }) => id !== 'edge-right');
  const bottomOf = (index: number) => (shown.length - 1 - index) * step;
  const outline = ({ id, length, tabs }: Strip, index: number): Shape[] => {
    const y = bottomOf(index);
    // A tab keeps the web alone; an end without one has its lip mitred, which is zero at the bend.
    const [left, right] = tabs.map((has) => (has ? tab : 0)) as [number, number];
    const mitre = width - second;
    return [
      shape.outline(
        'rail',
        [
          { x: left, y },
          { x: length - right, y },
          { x: length - right, y: y + first },
          { x: length, y: y + first },
          { x: length, y: y + second },
          { x: length - right, y: y + second },
          { x: length - right - mitre, y: y + width },
          { x: left + mitre, y: y + width },
          { x: left, y: y + second },
          { x: 0, y: y + second },
          { x: 0, y: y + first },
          { x: left, y: y + first },
        ],
        { part: `${prefix}/${id}` },
      ),
      ...[first, second].map(
        (at): Shape => shape.line('note', { x: 0, y: y + at }, { x: length, y: y + at }, { hidden: true }),
      ),
    ];
  };
  const top = bottomOf(0);
  const [low] = shown;
  const end = low?.length ?? 0;
  const orders = ['low, first', 'left, right mirrored', 'high, last'];
  return {
    title: `Bent edge of ${prefix}, laid flat`,
    shapes: shown.flatMap(outline),
    labels: [
      ...shown.map(({ length }, index): Label => {
        const middle = { x: length / 2, y: bottomOf(index) + (first + second) / 2 };
        return leader(`${orders[index]}:`, middle, middle, { size: length, anchor: 'middle' });
      }),
      ...bends.map(
        (at): Label =>
          leader('bend', { x: end, y: top + at }, { x: end + 0.05, y: top + at }, { size: at, fine: true }),
      ),
    ],
    dimensions: [dim.up('edge-flat', 'strip, laid flat', { x: 0, y: top }, width, { offset: 0.06 })],
  };
}
