import { drillFor, screwFrom } from '../../catalogue';
import { measured, sized } from '../../quantity';
import { bought, holeRow, type Part, type Purchase, screws, sheetPiece, timberPiece, tubePiece } from '../../shop';
import { openEnds } from '../kit/freeEnd';
import { capillarySolder, solderLines } from '../kit/joints';
import { blackPaint } from '../kit/paint';
import { stubSlack } from '../plate/slack';
import { type HeatPipeLayout, plugLength } from './layout';

/** m that a screw goes into what it holds. */
const bite = 0.03;
/** kg of a bottle, cut. */
const bottleMass = 0.025;
/** kg of brazing rod to a cap. Trade. */
const rodEach = 0.004;
/** kg of flux to a joint. */
const fluxEach = 0.002;

/** Screws in one keeper. */
const keeperScrews = (tubes: number): number => 2 + Math.floor((tubes - 1) / 2);

export function heatPipeParts(prefix: string, layout: HeatPipeLayout): Part[] {
  const { parameters, tube, manifold, length, piece, end, width, rail, stile, places, hole, outside } = layout;
  const { tubes, immersion } = parameters;
  return [
    tubePiece(prefix, tube, 'pipe', 'Heat pipe', {
      length,
      count: tubes,
      operations: [
        'square and ream both ends, rinse out every chip',
        `mark ${sized(immersion, true)} from the tip: so far it goes into the water`,
      ],
    }),
    ...(tubes > 1
      ? [
          {
            ...tubePiece(prefix, manifold, 'manifold-piece', 'Manifold piece, tee to tee', {
              length: piece,
              count: tubes - 1,
              operations: ['square and ream both ends, clean a socket deep', 'cut every one alike against one stop'],
            }),
            ...(tubes > 2
              ? { row: { pieces: tubes - 1, words: 'first pipe to last', length: (tubes - 1) * parameters.pitch } }
              : {}),
          },
        ]
      : []),
    tubePiece(prefix, manifold, 'manifold-end', 'Manifold end', {
      length: end,
      count: 2,
      ...stubSlack(end, 'only what stands out beyond the last tee is otherwise'),
      operations: ['square and ream both ends, clean a socket deep'],
    }),
    ...(layout.strip
      ? [
          sheetPiece(prefix, layout.strip.sheet, 'strip', 'Strip', {
            width: layout.heated,
            height: layout.strip.flat,
            count: tubes,
            operations: [`press a half-round groove along its middle over a rod of ${sized(tube.outerDiameter, true)}`],
          }),
        ]
      : []),
    timberPiece(prefix, rail, 'rail', 'Rail', {
      length: width,
      count: 2,
      ...openEnds,
      holes: [
        holeRow('first end', places, {
          diameter: hole.diameter,
          pilot: 0.003,
          where: 'through the board, for the pipes',
          across: { from: 'bottom edge', distance: hole.up },
        }),
      ],
      operations: [
        'clamp both rails together and drill them as one',
        'then saw each along the middle of its holes: the lower part stands on the stiles, the upper is the keeper that holds the pipes down',
      ],
      datum: { end: 'first end', side: 'left' },
    }),
    timberPiece(prefix, stile, 'stile', 'Stile', { length: outside.length, count: 2, ...openEnds }),
  ];
}

export function heatPipePurchases(prefix: string, layout: HeatPipeLayout): Purchase[] {
  const { parameters, tube, manifold, tee, heated, manifoldLength, charge, sleeved, rail, stile } = layout;
  const { tubes, bottles, caps } = parameters;
  const each = (id: string, name: string, quantity: number, priceKey: string, rule: string, mass: number) =>
    bought(prefix, id, name, [quantity, 'each'], { priceKey, rule, mass });
  const drill = drillFor(tube.outerDiameter, tube.tape);
  return [
    each(
      'tee',
      `Tees, ${manifold.name} with a branch for ${tube.name}`,
      tubes,
      'tee-manifold',
      `one a pipe; the stop in its branch drilled out to ${sized(drill.diameter, true)}`,
      0.25 * tubes,
    ),
    each('cap', `Caps for ${tube.name}`, tubes, 'cap', 'one on the foot of every pipe', 0.02 * tubes),
    each(
      'plug',
      `Copper plugs, ${sized(layout.plug, true)} across, ${sized(plugLength)} long`,
      tubes,
      'cap',
      'one flush in the tip of every pipe: a cap would not go through the tee',
      0.02 * tubes,
    ),
    each('unions', 'Unions for the manifold', 2, 'union', 'one at each end', 0.3),
    ...(sleeved
      ? [
          each(
            'bottle',
            'Clear drink bottles, all alike',
            bottles * tubes,
            'bottle',
            `${bottles} a pipe`,
            bottleMass * bottles * tubes,
          ),
          bought(
            prefix,
            'alu-tape',
            'Clear weather tape for the laps',
            [tubes * (bottles + 1) * Math.PI * parameters.bottleDiameter, 'm'],
            {
              priceKey: 'clear-tape',
              rule: 'once round every lap, and over the discs at both ends',
              mass: 0.01 * tubes,
            },
          ),
        ]
      : []),
    bought(prefix, 'distilled', 'Distilled water', [2 * tubes * charge, 'L'], {
      priceKey: 'distilled',
      rule: `${measured('mass', charge, 3)} stays in each; as much again boils off`,
      mass: tubes * charge,
    }),
    bought(prefix, 'lagging', `Pipe lagging, ${sized(parameters.lagging)} thick`, [manifoldLength, 'm'], {
      priceKey: 'lagging',
      rule: 'all of the manifold, slit over the tees and taped',
      mass: 0.15 * manifoldLength,
    }),
    ...solderLines(prefix, {
      joints: 3 * tubes + 2 + (caps === 'soft' ? 2 * tubes : 0),
      solder:
        capillarySolder({ joints: 2 * tubes + 2, diameter: manifold.outerDiameter, socket: tee.runSocket }) +
        capillarySolder({
          joints: tubes + (caps === 'soft' ? 2 * tubes : 0),
          diameter: tube.outerDiameter,
          socket: tee.branchSocket,
        }),
      rule: `run and branch of ${tubes} tees, and the unions`,
      fluxEach,
    }),
    ...(caps === 'brazed'
      ? [
          bought(prefix, 'braze', 'Copper-phosphorus brazing rod', [rodEach * 2 * tubes, 'kg'], {
            priceKey: 'braze',
            rule: 'cap and plug of every pipe',
            mass: rodEach * 2 * tubes,
          }),
        ]
      : []),
    ...screws(prefix, {
      id: 'rail-screws',
      quantity: 8,
      length: screwFrom(stile.thickness + bite, stile.tape),
      tape: stile.tape,
      rule: `up through the stiles into the rails, two a crossing; pilot first, the rail is ${sized(rail.thickness)} thick`,
    }),
    ...screws(prefix, {
      id: 'keeper-screws',
      quantity: 2 * keeperScrews(tubes),
      length: screwFrom(rail.width - layout.hole.up + bite, rail.tape),
      tape: rail.tape,
      rule: 'down through each keeper into its rail: at both ends and between every second pipe',
    }),
    ...(layout.strip
      ? [
          bought(prefix, 'grease', 'Thermal grease', [0.015 * tubes * heated, 'kg'], {
            priceKey: 'grease',
            rule: 'a thin film in every groove',
            mass: 0.015 * tubes * heated,
          }),
        ]
      : []),
    blackPaint(prefix, tubes * heated * (layout.strip ? 2 * layout.strip.width : Math.PI * tube.outerDiameter)),
  ];
}
