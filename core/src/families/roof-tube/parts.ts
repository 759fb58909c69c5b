import { screwFrom } from '../../catalogue';
import { sized } from '../../quantity';
import { bought, holeRow, type Part, type Purchase, screws, timberPiece, tubePiece } from '../../shop';
import { blackPaint } from '../kit/paint';
import { fillHole, holeIn, linkHole, type RoofTubeLayout, ventHole } from './layout';

export function roofTubeParts(prefix: string, layout: RoofTubeLayout): Part[] {
  const { parameters, pipe, saddle, width, seat } = layout;
  const { pipes, length, saddles } = parameters;
  const top = 'on the line that will lie uppermost';
  return [
    tubePiece(prefix, pipe, {
      id: 'pipe',
      name: 'Pipe',
      length,
      count: pipes,
      operations: [
        'square both ends, chamfer the outside a little',
        'scribe a line along it: all holes but the link lie on it',
      ],
      holes: [
        holeRow('low end', [length - holeIn], { diameter: fillHole, pilot: 0.006, where: `${top}, for the fill plug` }),
        holeRow('low end', [holeIn], { diameter: ventHole, pilot: 0.006, where: `${top}, for the vent` }),
        holeRow('low end', [holeIn / 2], {
          diameter: linkHole,
          pilot: 0.006,
          where: 'on the lowest line, for the link and the outlet',
        }),
      ],
    }),
    timberPiece(prefix, saddle, {
      id: 'saddle',
      name: 'Saddle',
      length: width,
      count: saddles,
      operations: [`saw a round seat ${sized(seat)} deep for each pipe, by the template`],
    }),
  ];
}

export function roofTubePurchases(prefix: string, layout: RoofTubeLayout): Purchase[] {
  const { parameters, pipe, saddle } = layout;
  const { pipes, length, saddles, hose, draw } = parameters;
  const each = (id: string, name: string, quantity: number, priceKey: string, rule: string, mass: number) =>
    bought(prefix, { id, name, quantity, unit: 'each', priceKey, rule, mass });
  return [
    each('cap', `Caps for ${pipe.name}`, 2 * pipes, 'pvc-cap', 'two a pipe', 0.35 * 2 * pipes),
    each('fill-plug', 'Fill plugs with rubber', pipes, 'fill-plug', 'one in the top of each pipe', 0.1 * pipes),
    each('vent', 'Vents, always open, rain caps', pipes, 'vent', 'one in the top of each pipe', 0.05 * pipes),
    each('outlet', 'Bulkhead fittings', pipes, 'outlet', 'one in the low end of each pipe', 0.1 * pipes),
    ...(pipes > 1
      ? [
          each(
            'link',
            'Links with clips',
            pipes - 1,
            'tank-link',
            'between pipes, at their low ends',
            0.2 * (pipes - 1),
          ),
        ]
      : []),
    bought(prefix, {
      id: 'hose',
      name: 'Hose for warm water',
      quantity: hose,
      unit: 'm',
      priceKey: 'hose/epdm-19x4',
      rule: 'outlet to shower head',
      mass: 0.2 * hose,
    }),
    each('shower', 'Shower head with its own tap', 1, 'shower', 'at the end of the hose', 0.3),
    ...(draw === 'pump' ? [each('hand-pump', 'Hand pump for water', 1, 'hand-pump', 'draws from the outlet', 1)] : []),
    bought(prefix, {
      id: 'pvc-cement',
      name: 'PVC primer and cement',
      quantity: 0.06 * pipes,
      unit: 'L',
      priceKey: 'pvc-cement',
      rule: 'two caps a pipe',
      mass: 0.02 * pipes,
    }),
    each('strap', 'Straps with ratchets', 2 * saddles, 'strap', 'two over each saddle', 0.3 * 2 * saddles),
    ...screws(prefix, {
      id: 'saddle-screws',
      quantity: 2 * saddles,
      length: screwFrom(saddle.width * 0.6, saddle.tape),
      tape: saddle.tape,
      rule: 'two to a saddle, into the rack’s own bars or a board on it',
    }),
    blackPaint(prefix, pipes * Math.PI * pipe.outerDiameter * length),
  ];
}
