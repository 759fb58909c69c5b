import { screwUpTo } from '../../catalogue';
import { sized } from '../../quantity';
import { bought, holeRow, type Part, type Purchase, screws, timberPiece, tubePiece } from '../../shop';
import { freeEnd } from '../kit/freeEnd';
import { blackPaint } from '../kit/paint';
import { fillHole, type RoofTubeLayout, ventHole } from './layout';

/** Angles that hold a saddle down, and screws in each. */
const anglesEach = 2;
const screwsEach = 4;

export function roofTubeParts(prefix: string, layout: RoofTubeLayout): Part[] {
  const { parameters, pipe, saddle, width, seat } = layout;
  const { pipes, length, saddles } = parameters;
  const top = 'on the line that will lie uppermost';
  return [
    tubePiece(prefix, pipe, 'pipe', 'Pipe', {
      length,
      count: pipes,
      ...freeEnd('measured from the high end its holes are right; the low cap follows it', {
        short: 0.005,
        long: 0.005,
      }),
      operations: ['square both ends, chamfer the outside a little', 'scribe a line along it: both holes lie on it'],
      holes: [
        holeRow('high end', [layout.vent], { diameter: ventHole, pilot: 0.006, where: `${top}, for the vent` }),
        holeRow('high end', [layout.fill], { diameter: fillHole, pilot: 0.006, where: `${top}, for the fill plug` }),
      ],
    }),
    timberPiece(prefix, saddle, 'saddle', 'Saddle', {
      length: width,
      count: saddles,
      ...freeEnd('it ends beside the outer pipes: only its seats must fit', { short: 0.003, long: 0.01 }),
      operations: [`saw a round seat ${sized(seat)} deep for each pipe, by the template`],
    }),
  ];
}

export function roofTubePurchases(prefix: string, layout: RoofTubeLayout): Purchase[] {
  const { parameters, pipe, saddle } = layout;
  const { pipes, length, saddles, hose, draw } = parameters;
  // From tail to tee and from tee to tee.
  const join = 2 * (pipes - 1) * layout.pitch;
  const each = (id: string, name: string, quantity: number, priceKey: string, rule: string, mass: number) =>
    bought(prefix, id, name, [quantity, 'each'], { priceKey, rule, mass });
  return [
    each('cap', `Caps for ${pipe.name}`, 2 * pipes, 'pvc-cap', 'two a pipe', 0.35 * 2 * pipes),
    each('fill-plug', 'Fill plugs with rubber', pipes, 'fill-plug', 'one in the top of each pipe', 0.1 * pipes),
    each('vent', 'Vents, always open, rain caps', pipes, 'vent', 'one in the top of each pipe', 0.05 * pipes),
    each(
      'outlet',
      'Bulkhead fittings with hose tails',
      pipes,
      'outlet',
      'one in the low cap of each pipe',
      0.1 * pipes,
    ),
    ...(pipes > 1
      ? [
          each(
            'link',
            'Hose tees with clips',
            pipes - 1,
            'tank-link',
            'join the hoses of all pipes into one',
            0.2 * (pipes - 1),
          ),
        ]
      : []),
    bought(prefix, 'hose', 'Hose for warm water', [hose + join, 'm'], {
      priceKey: 'hose/epdm-19x4',
      rule: pipes > 1 ? `outlet to shower head, and ${sized(join)} that join the pipes` : 'outlet to shower head',
      mass: 0.2 * (hose + join),
    }),
    each('shower', 'Shower head with its own tap', 1, 'shower', 'at the end of the hose', 0.3),
    ...(draw === 'pump' ? [each('hand-pump', 'Hand pump for water', 1, 'hand-pump', 'draws from the outlet', 1)] : []),
    bought(prefix, 'pvc-cement', 'PVC primer and cement', [0.06 * pipes, 'L'], {
      priceKey: 'pvc-cement',
      rule: 'two caps a pipe',
      mass: 0.02 * pipes,
    }),
    each('strap', 'Straps with ratchets', 2 * saddles, 'strap', 'two over each saddle', 0.3 * 2 * saddles),
    each(
      'saddle-angle',
      'Steel angles',
      anglesEach * saddles,
      'angle',
      `${anglesEach} to a saddle, one on each face`,
      0.08 * anglesEach * saddles,
    ),
    // Through the angle into the face of the saddle: all of the screw but its head grips, and its tip stays inside.
    ...screws(prefix, {
      id: 'saddle-screws',
      quantity: screwsEach * anglesEach * saddles,
      length: screwUpTo(saddle.thickness - 0.002, saddle.tape),
      tape: saddle.tape,
      rule: `${screwsEach} to an angle: half into the saddle, half into a board on the rack as thick as it`,
    }),
    blackPaint(prefix, pipes * Math.PI * pipe.outerDiameter * length),
  ];
}
