import { type Finding, finding, type Words } from '../../care';
import { entries } from '../../catalogue';
import { glazingWords } from '../../glazings';
import { timberBearing, timberBending } from '../../statics';
import { bears, chooseBearer } from './cradle';
import { type BatchBoxLayout, tilts } from './layout';

/** m. A shorter chock splits where it is screwed. */
const leastChock = 0.025;

const round = (metres: number) => Math.ceil(metres * 1000 - 1e-6) / 1000;

/** Clashes and cautions of a box of tanks. */
export function batchBoxFindings(path: string, layout: BatchBoxLayout, standing = 'site.standing.tilts'): Finding[] {
  const { parameters, askedTilt, opening, taken, slope, wall, glazing, stud, rail, side, paneRail } = layout;
  const at = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  const clash = (code: string, name: string, values: Finding['values'], fix?: Finding['fix']) =>
    found.push(finding.clash(code, at(name), values, { ...(fix === undefined ? {} : { fix }) }));
  if (askedTilt < tilts.low - 1e-9 || askedTilt > tilts.high + 1e-9)
    found.push(finding.clash('box-tilt', standing, { tilt: askedTilt, low: tilts.low, high: tilts.high }));
  if (taken.length > opening.length + 1e-9)
    clash(
      'tanks-too-long',
      'paneLength',
      { need: taken.length, room: opening.length },
      round(taken.length + (2 * wall) / slope.cos - 2 * glazing.clearance),
    );
  if (taken.width > opening.width + 1e-9)
    clash(
      'tanks-too-wide',
      'paneWidth',
      { need: taken.width, room: opening.width },
      round(taken.width + 2 * wall - 2 * glazing.clearance),
    );
  found.push(...stockFindings(layout, at), ...cradleFindings(layout, at));
  if (rail.thickness < side - 1e-9) {
    const [thicker] = entries('timber').filter(
      (one) => one.tape === stud.tape && one.width > 0.06 && one.thickness >= side,
    );
    clash('rail-thinner-than-stud', 'rail', { rail: rail.thickness, stud: side }, thicker?.id);
  } else if (paneRail.section.width > rail.width + 1e-9)
    clash('rail-too-narrow', 'rail', { rail: rail.width, need: paneRail.section.width, tilt: layout.tilt });
  found.push(...glazing.findings(path, parameters.airGap));
  if (parameters.tankKind === 'used')
    found.push(finding.caution('used-tank', at('tankKind'), { tanks: parameters.tanks, volume: layout.tankVolume }));
  return found;
}

/** A cradle that breaks or is crushed under its tanks when they are full, and leaning tanks that nothing keeps from rolling. */
function cradleFindings(
  { cradle, load, parameters, stud, rail }: BatchBoxLayout,
  at: (name: string) => string,
): Finding[] {
  const { bearer, span, leaning } = cradle;
  const { stress } = bearer;
  const found: Finding[] = [];
  if (!bears(stress)) {
    const [stouter] = entries('timber')
      .filter((one) => one.tape === rail.tape && one.thickness > 0.03 && one.width > 0.06)
      .filter((one) => bears(chooseBearer(load, stud, one).stress))
      .sort((a, b) => a.width * a.thickness - b.width * b.thickness);
    found.push(
      finding.clash(
        'cradle-weak',
        at('rail'),
        {
          mass: stress.mass,
          span,
          bending: stress.bending,
          bears: timberBending,
          bearing: stress.bearing,
          crushes: timberBearing,
        },
        { ...(stouter ? { fix: stouter.id } : {}) },
      ),
    );
  }
  if (leaning && leaning.chock < leastChock)
    found.push(
      finding.clash(
        'no-room-for-chocks',
        at('around'),
        { room: Math.max(0, leaning.chock), need: leastChock },
        { fix: round(parameters.around + 2 * (leastChock - leaning.chock)) },
      ),
    );
  return found;
}

/** What the stock does not let be cut. */
function stockFindings(
  { insulation, side, sheathing, depth, width, front, back, ply, slope, lid, joint, parameters }: BatchBoxLayout,
  at: (name: string) => string,
): Finding[] {
  const found: Finding[] = [];
  if (insulation.thickness > side + 1e-9) {
    const [thinner] = entries('sheet')
      .filter((one) => one.use === 'insulation' && one.tape === insulation.tape && one.thickness <= side + 1e-9)
      .sort((a, b) => b.thickness - a.thickness);
    found.push(
      finding.clash(
        'insulation-too-thick',
        at('insulation'),
        { insulation: insulation.thickness, stud: side },
        { ...(thinner ? { fix: thinner.id } : {}) },
      ),
    );
  }
  const [short, long] = [Math.min(sheathing.width, sheathing.height), Math.max(sheathing.width, sheathing.height)];
  const pieces: readonly [name: string, one: number, other: number][] = [
    ...(joint
      ? ([
          ['the front parts of the sides', joint.at, front + joint.height],
          ['the back parts of the sides', depth - joint.at, joint.height + back],
        ] as [string, number, number][])
      : [['both sides', depth, front + back] as [string, number, number]]),
    ['the back', width - 2 * ply, back - ply * slope.tan],
    ['the floor', depth, width],
    ...(lid ? [['the lid', lid.length, lid.width] as [string, number, number]] : []),
  ];
  for (const [name, one, other] of pieces)
    if (Math.min(one, other) > short + 1e-9 || Math.max(one, other) > long + 1e-9)
      found.push(
        finding.clash('sheet-too-small', at('sheathing'), { name, one, other, short, long, tanks: parameters.tanks }),
      );
  return found;
}

export const batchBoxWords: Record<string, Words> = {
  ...glazingWords,
  'box-tilt': (values) => ({
    headline: 'no box is built at that tilt',
    detail: `Its pane leans ${Math.round(values.number('tilt'))}°; a box of tanks is drawn from ${values.number('low')} to ${values.number('high')}°.`,
    remedy: 'Set another tilt under Place.',
  }),
  'tanks-too-long': (values, say) => ({
    headline: 'the tanks do not go under the pane',
    detail: `Up the slope they and the room round them take ${say.length(values.number('need'))}; inside there are ${say.length(values.number('room'))}.`,
    remedy: 'Take a longer pane, or fewer or smaller tanks.',
  }),
  'tanks-too-wide': (values, say) => ({
    headline: 'the tanks are wider than the box',
    detail: `Across they and the room round them take ${say.length(values.number('need'))}; inside there are ${say.length(values.number('room'))}.`,
    remedy: 'Take a wider pane, or shorter tanks.',
  }),
  'insulation-too-thick': (values, say) => ({
    headline: 'insulation thicker than the studs',
    detail: `The board is ${say.length(values.number('insulation'))}; between studs of ${say.length(values.number('stud'))} it stands out.`,
    remedy: 'Take thinner boards, or stouter studs.',
  }),
  'rail-thinner-than-stud': (values, say) => ({
    headline: 'pane rail thinner than the studs',
    detail: `A rail of ${say.length(values.number('rail'))} does not cover a stud of ${say.length(values.number('stud'))}.`,
    remedy: 'Take the stouter rail of the same shop.',
  }),
  'rail-too-narrow': (values, say) => ({
    headline: 'pane rail too narrow to rip',
    detail: `At ${Math.round(values.number('tilt'))}° its high face is ${say.length(values.number('need'))}; the board is ${say.length(values.number('rail'))}.`,
    remedy: 'Take a wider rail, or a flatter tilt.',
  }),
  'cradle-weak': (values, say) => ({
    headline: 'the cradle would break under full tanks',
    detail: `A full tank weighs ${say.quantity('mass', values.number('mass'), 0)}. Over ${say.length(values.number('span'))} its bearer is bent to ${say.quantity('stress', values.number('bending'), 1)} and pressed to ${say.quantity('stress', values.number('bearing'), 2)} at its ends; warm softwood bears ${say.quantity('stress', values.number('bears'), 1)} and ${say.quantity('stress', values.number('crushes'), 2)} for years.`,
    remedy: 'Take a stouter pane rail: bearers are cut from it, on edge. Or shorter or smaller tanks.',
  }),
  'no-room-for-chocks': (values, say) => ({
    headline: 'no room for chocks beside the tanks',
    detail: `Between tanks that lean there are ${say.length(values.number('room'))} for each chock; a block shorter than ${say.length(values.number('need'))} splits.`,
    remedy: 'Leave more room round the tanks.',
  }),
  'sheet-too-small': (values, say) => ({
    headline: `${values.text('name')} larger than a sheet`,
    detail: `${values.text('name')} would be ${say.length(values.number('one'))} by ${say.length(values.number('other'))}; a sheet is ${say.length(values.number('short'))} by ${say.length(values.number('long'))}.`,
    remedy: 'Take fewer or thinner tanks, or a flatter tilt: the sides grow with both.',
  }),
  'used-tank': (values, say) => ({
    headline: 'an old tank is a pressure vessel with a past',
    detail: `${values.number('tanks') === 1 ? 'A tank' : `Each of ${values.number('tanks')} tanks`} of ${say.quantity('volume', values.number('volume'), 0)} under mains pressure holds enough to kill when it lets go; old jackets may hold asbestos.`,
    remedy:
      'Isolated by a licensed person, tested with water, a new temperature and pressure relief valve, a new anode: without all four it goes to scrap. Your local code and a licensed plumber stand above this.',
  }),
};
