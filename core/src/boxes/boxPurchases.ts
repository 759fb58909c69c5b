import type { Purchase } from '../shop';
import type { Frame, TimberBox } from './timberBox';

/** m between screws along the rim. */
const screwSpacing = 0.15;

export function boxPurchases(made: TimberBox, { outside, rimTop }: Frame, prefix: string): Purchase[] {
  const round = 2 * (outside.length + outside.width);
  const perRim = Math.ceil(round / screwSpacing);
  const jacketed = made.cladding !== undefined || made.edge !== undefined;
  const screws = 8 + made.rails * 4 + perRim * (jacketed ? 2 : 1);
  const line = (
    id: string,
    name: string,
    quantity: number,
    unit: Purchase['unit'],
    priceKey: string,
    rule: string,
    mass: number,
  ): Purchase => ({ id: `${prefix}/${id}`, name, quantity, unit, priceKey, rule, mass });
  const around = made.cladding
    ? ' and through the outer boards'
    : made.edge
      ? ' and through the metal, under the back'
      : '';
  return [
    line(
      'screws',
      'Stainless screws 4 × 40',
      screws,
      'each',
      'screw',
      `two a corner, four a rail, every 150 mm round the back${around}`,
      0.004 * screws,
    ),
    line(
      'box-paint',
      'Exterior paint',
      // Metal is bought painted: its box is painted inside.
      (round * rimTop * (made.edge ? 1 : 2) * 2) / 10,
      'L',
      'paint',
      `two coats inside${made.edge ? '' : ' and out'}, 10 m² to the litre`,
      0.2,
    ),
    ...(made.lid
      ? [
          line('lid-gasket', 'Gasket between lid and box', round, 'm', 'gasket', 'once round the rim', 0.05 * round),
          line('hinge', 'Stainless hinges for the lid', 2, 'each', 'hinge', 'two along the high edge', 0.2),
          line(
            'lid-clip',
            'Toggle clips for the lid',
            4,
            'each',
            'lid-clip',
            'two along the low edge, one a side',
            0.2,
          ),
        ]
      : []),
    ...(made.handles > 0
      ? [
          line(
            'handle',
            'Handles, stainless',
            made.handles,
            'each',
            'handle',
            'as drawn, bolted through',
            0.12 * made.handles,
          ),
        ]
      : []),
    ...(made.hanging === 'plates'
      ? [line('hanger', 'Hanging plates', 4, 'each', 'hanger', 'a fifth in from the ends of the back', 0.6)]
      : []),
    ...(made.weeps > 0
      ? [line('weep-screen', 'Insect screens', 2 * made.weeps, 'each', 'weep-screen', 'one a weep hole', 0.002)]
      : []),
  ];
}
