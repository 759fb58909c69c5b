import { screwFrom } from '../../catalogue';
import { sized } from '../../quantity';
import { bought, type EndCut, holeRow, type Part, type Purchase, screws, sheetPiece, timberPiece } from '../../shop';
import { freeEnd } from '../kit/freeEnd';
import { blackPaint, primer } from '../kit/paint';
import { cradleParts, tankStraps, topBevel } from './cradleParts';
import { type BatchBoxLayout, tankMass } from './layout';

/** m that a screw goes into what it holds, and between screws along an edge and between clips round the pane. */
const bite = 0.025;
const screwSpacing = 0.2;
export const clipSpacing = 0.3;
/** Screws that hold a piece of the frame, two at each end; and the end of a strap. */
const screwsEach = 4;
const strapScrews = 2;
/** Staples to a square metre of foil. */
const staplesEach = 30;

/** An end that is plumb on a piece that leans with the pane. */
function leaning(layout: BatchBoxLayout): EndCut[] {
  return [
    { kind: 'bevel', end: 'datum', angle: layout.tilt, long: 'bottom edge' },
    { kind: 'bevel', end: 'far', angle: layout.tilt, long: 'top edge' },
  ];
}

function frameParts(prefix: string, layout: BatchBoxLayout): Part[] {
  const { stud, rail, studs, slopeRail, paneRail, tilt, cradle } = layout;
  const standing = (id: string, name: string, length: number, count: number) =>
    timberPiece(prefix, stud, id, name, {
      length,
      count,
      ends: topBevel(layout),
      datum: { end: 'foot', side: 'left' },
    });
  return [
    standing('stud-front', 'Front stud', studs.front, 2),
    standing('stud-back', 'Back stud', studs.back, 2),
    ...(layout.joint ? [standing('stud-joint', 'Stud on which the sheets of a side meet', layout.joint.stud, 2)] : []),
    timberPiece(prefix, stud, 'rail-slope', 'Sloping rail', {
      length: slopeRail,
      count: 2,
      ends: leaning(layout),
      datum: { end: 'low end', side: 'left' },
    }),
    timberPiece(prefix, rail, 'pane-rail', 'Pane rail, front and back', {
      length: paneRail.length,
      count: 2,
      section: paneRail.section,
      ripped: { edge: 'top edge', angle: tilt, long: 'inner face' },
      operations: ['in the box its high side lies toward the back, so that the pane sits flat on both'],
    }),
    ...cradleParts(prefix, layout),
    timberPiece(prefix, rail, 'skid', 'Skid under the floor, from front to back', {
      length: layout.depth,
      count: cradle.bearer.propped ? 3 : 2,
      ...freeEnd('it ends under the floor: what is short of it carries nothing', { short: 0.02, long: 0 }),
    }),
  ];
}

function sheetParts(prefix: string, layout: BatchBoxLayout): Part[] {
  const { sheathing, insulation, depth, width, front, back, ply, side, wall, slope, planeAt, upright } = layout;
  const inner = { depth: depth - 2 * wall, width: width - 2 * wall };
  const low = planeAt(wall) - upright(side);
  const high = planeAt(depth - wall) - upright(side);
  const { joint } = layout;
  /** Left and right out of one piece, sawn apart on the line of the pane. */
  const paired =
    (sheet: typeof sheathing, words: string) =>
    (id: string, name: string, wide: number, [from, to]: readonly [number, number]) =>
      sheetPiece(prefix, sheet, id, name, {
        width: wide,
        height: from + to,
        count: 1,
        pair: { from, to, words },
        datum: { end: 'front edge', side: 'left' },
      });
  const sidePair = paired(sheathing, 'left and right side');
  const wallPair = paired(insulation, 'left and right insulation');
  return [
    ...(joint
      ? [
          sidePair('sides-front', 'Front parts of the sides, left and right from one piece', joint.at, [
            front,
            joint.height,
          ]),
          sidePair('sides-back', 'Back parts of the sides, left and right from one piece', depth - joint.at, [
            joint.height,
            back,
          ]),
        ]
      : [sidePair('sides', 'Sides, left and right from one piece', depth, [front, back])]),
    sheetPiece(prefix, sheathing, 'front', 'Front', { width: width - 2 * ply, height: front, count: 1 }),
    sheetPiece(prefix, sheathing, 'back', 'Back, comes off', {
      width: width - 2 * ply,
      height: back - ply * slope.tan,
      count: 1,
    }),
    sheetPiece(prefix, sheathing, 'floor', 'Floor', {
      width: depth,
      height: width,
      count: 1,
      holes: layout.pipes.map(({ words, x, y, diameter }) =>
        holeRow('front edge', [x], {
          diameter,
          where: `through the floor, for ${words}`,
          across: { from: 'first side', distance: y },
        }),
      ),
      datum: { end: 'front edge', side: 'left' },
    }),
    sheetPiece(prefix, insulation, 'insulation-floor', 'Insulation on the floor, cut out round posts and pipes', {
      width: inner.depth,
      height: inner.width,
      count: 1,
    }),
    sheetPiece(prefix, insulation, 'insulation-front', 'Insulation of the front', {
      width: width - 2 * ply - 2 * side,
      height: Math.max(0.01, front - layout.paneRail.section.width + side * slope.tan),
      count: 1,
    }),
    sheetPiece(prefix, insulation, 'insulation-back', 'Insulation of the back, fixed to it', {
      width: width - 2 * ply - 2 * side,
      height: Math.max(0.01, planeAt(depth - wall) - layout.paneRail.section.width + side * slope.tan),
      count: 1,
    }),
    ...(joint
      ? [
          wallPair(
            'insulation-front-sides',
            'Insulation of both sides before the joint, from one piece',
            joint.at - side / 2 - wall,
            [low, planeAt(joint.at - side / 2) - upright(side)],
          ),
          wallPair(
            'insulation-back-sides',
            'Insulation of both sides behind the joint, from one piece',
            depth - wall - joint.at - side / 2,
            [planeAt(joint.at + side / 2) - upright(side), high],
          ),
        ]
      : [wallPair('insulation-sides', 'Insulation of both sides from one piece', inner.depth, [low, high])]),
  ];
}

function lidParts(prefix: string, layout: BatchBoxLayout): Part[] {
  const { lid, sheathing, insulation, stud } = layout;
  if (!lid) return [];
  const section = { width: insulation.thickness, thickness: Math.min(0.02, stud.thickness) };
  return [
    sheetPiece(prefix, sheathing, 'lid', 'Lid', { width: lid.length, height: lid.width, count: 1 }),
    sheetPiece(prefix, insulation, 'lid-insulation', 'Insulation of the lid', {
      width: lid.length - 2 * section.thickness,
      height: lid.width - 2 * section.thickness,
      count: 1,
    }),
    timberPiece(prefix, stud, 'lid-long', 'Lid frame, across', { length: lid.width, count: 2, section }),
    timberPiece(prefix, stud, 'lid-short', 'Lid frame, up the slope', {
      length: lid.length - 2 * section.thickness,
      count: 2,
      section,
    }),
  ];
}

/** Everything that is cut. */
export function batchBoxParts(prefix: string, layout: BatchBoxLayout): Part[] {
  return [...frameParts(prefix, layout), ...sheetParts(prefix, layout), ...lidParts(prefix, layout)];
}

/** m² of lining: the walls and the floor inside. */
function liningArea({ depth, width, wall, planeAt }: BatchBoxLayout): number {
  const [long, wide] = [depth - 2 * wall, width - 2 * wall];
  const [low, high] = [planeAt(wall), planeAt(depth - wall)];
  return long * wide + wide * (low + high) + long * (low + high);
}

/** m of joints between boards of insulation: the edges of the floor and of every wall. */
function foilTape({ depth, width, wall, planeAt }: BatchBoxLayout): number {
  const [long, wide] = [depth - 2 * wall, width - 2 * wall];
  return 2 * (long + wide) + 2 * (planeAt(wall) + planeAt(depth - wall)) + 2 * long;
}

/** m² of tank that is painted. */
export function tankArea({ parameters }: BatchBoxLayout): number {
  const { tanks, tankDiameter: across, tankLength: long } = parameters;
  return tanks * (Math.PI * across * long + (Math.PI / 2) * across ** 2);
}

/** Everything that is bought beside what is cut. */
export function batchBoxPurchases(prefix: string, layout: BatchBoxLayout): Purchase[] {
  const { parameters, glazing, stud, ply, side, depth, width, front, back, lid } = layout;
  const { tanks, tankKind } = parameters;
  const used = tankKind === 'used';
  const mass = tankMass(parameters);
  const pieces = frameParts(prefix, layout).reduce((sum, { count }) => sum + count, 0);
  const straps = tankStraps(layout);
  const each = (id: string, name: string, quantity: number, priceKey: string, rule: string, one: number): Purchase[] =>
    quantity > 0 ? [bought(prefix, id, name, [quantity, 'each'], { priceKey, rule, mass: one * quantity })] : [];
  // Both sheets along the stud on which they meet, on both sides.
  const edges = 2 * (depth + width) + 4 * (front + back) + 2 * width + 4 * (layout.joint?.height ?? 0);
  return [
    ...each(
      'tank',
      used ? 'Tanks out of old heaters, stripped' : 'Bare tanks, lined, for mains pressure',
      tanks,
      used ? 'tank-used' : 'tank-new',
      `${sized(parameters.tankDiameter)} across, ${sized(parameters.tankLength)} long`,
      mass,
    ),
    ...each(
      'relief',
      'Temperature and pressure relief valve, new',
      1,
      'relief-valve',
      'probe in the top of the last tank',
      0.5,
    ),
    ...each(
      'discharge',
      'Discharge pipe of the relief, full bore',
      2,
      'discharge-pipe',
      'falling to a safe place outside',
      0.4,
    ),
    ...each('drain', 'Drain cock', 1, 'drain-cock', 'at the lowest point of the first tank', 0.3),
    ...each('link', 'Links between tanks, dielectric unions', tanks + 1, 'tank-link', 'in, between and out', 0.5),
    ...each('anode', 'Anode, new', tanks, 'anode', 'one a tank', 0.5),
    ...each(
      'plug',
      'Plugs for element holes, straight thread, with gaskets',
      used ? 2 * tanks : 0,
      'element-plug',
      'two a tank',
      0.15,
    ),
    ...(parameters.lining === 'foil'
      ? [
          bought(prefix, 'lining', 'Bright foil for the lining', [liningArea(layout), 'm²'], {
            priceKey: 'mirror-film',
            rule: 'walls and floor inside',
            mass: 0.1 * liningArea(layout),
          }),
        ]
      : [
          bought(prefix, 'lining', 'White paint for the lining', [liningArea(layout) / 5, 'L'], {
            priceKey: 'lining-paint',
            rule: 'two coats',
            mass: 0.15 * liningArea(layout),
          }),
        ]),
    ...(lid
      ? [
          bought(prefix, 'mirror', 'Mirror film for the lid', [lid.length * lid.width, 'm²'], {
            priceKey: 'mirror-film',
            rule: 'its inner face',
            mass: 0.15 * lid.length * lid.width,
          }),
          ...each('hinge', 'Hinges of the lid', 3, 'hinge', 'along one edge', 0.12),
          ...each('chain', 'Chains that hold the lid at its angle', 2, 'chain', 'one a side', 0.3),
          ...each('handle', 'Handle of the lid', 1, 'handle', 'at its free edge', 0.15),
        ]
      : []),
    ...each('turn-button', 'Turn buttons with screws', 6, 'turn-button', 'round the back, so that it comes off', 0.04),
    ...each(
      'pane-clip',
      'Pane clips with screws, a rubber under each',
      2 * Math.ceil((glazing.pane.length + glazing.pane.width) / clipSpacing),
      'pane-clip',
      `round the pane, every ${sized(clipSpacing)}`,
      0.02,
    ),
    ...each(
      'pane-stop',
      'Stops at the foot of the pane',
      2,
      'stop',
      'screwed to the front rail, a third in from each side',
      0.05,
    ),
    bought(prefix, 'tank-strap', 'Steel strap with holes, over the tanks', [straps.count * straps.length, 'm'], {
      priceKey: 'steel-strap',
      rule: `${straps.count / tanks} over each tank, ${sized(straps.length)} each with both ends`,
      mass: 0.13 * straps.count * straps.length,
    }),
    ...each(
      'pipe-seal',
      'Rubber seals round pipes and wire',
      layout.pipes.length,
      'pipe-seal',
      'one in each hole of the floor',
      0.03,
    ),
    bought(prefix, 'foil-tape', 'Aluminium tape', [foilTape(layout), 'm'], {
      priceKey: 'alu-tape',
      rule: 'over every joint of the insulation',
      mass: 0.005 * foilTape(layout),
    }),
    ...each(
      'thread-tape',
      'Thread tape for water, rolls',
      1 + Math.floor(tanks / 3),
      'thread-tape',
      'a roll for three tanks',
      0.02,
    ),
    ...(parameters.lining === 'foil'
      ? each(
          'staples',
          'Staples',
          Math.ceil(liningArea(layout) * staplesEach),
          'staple',
          'the lining, a hand apart along its edges',
          0.0003,
        )
      : []),
    ...screws(prefix, {
      id: 'frame-screws',
      quantity: screwsEach * pieces + 2 * strapScrews * straps.count,
      length: screwFrom(side + bite, stud.tape),
      tape: stud.tape,
      rule: `${screwsEach} for each stud, rail, post and bearer, ${strapScrews} for each end of a strap`,
    }),
    ...screws(prefix, {
      id: 'sheet-screws',
      quantity: Math.ceil(edges / screwSpacing),
      length: screwFrom(ply + bite, stud.tape),
      tape: stud.tape,
      rule: `sheathing to the frame, every ${sized(screwSpacing)}`,
    }),
    ...each(
      'sensor-wire',
      'Sensor wire, m, rated for the heat of the box',
      3,
      'sensor-wire',
      'from the last tank to outside',
      0.03,
    ),
    ...glazing.purchases(prefix),
    blackPaint(prefix, tankArea(layout)),
    primer(prefix, tankArea(layout)),
  ];
}
