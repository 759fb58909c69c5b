import { type Drawing, dim, leader, type Shape, shape } from '../../draw';
import type { LatticeLayout } from './layout';

/** m of sheet shown either side of a bolt. */
const shown = 0.03;
/** m. Rubber and steel washer, nut and head, as usual for a small bolt. */
const rubber = 0.0015;
const steel = 0.001;
const nut = 0.004;

/** One bolt of the grid cut through: sheets, washers of rubber and steel, head and nut. */
export function detail(prefix: string, layout: LatticeLayout): Drawing {
  const { parameters, sheet } = layout;
  const { bolt, washer, gasket } = parameters;
  // A lattice so small that no bolt stands in its middle has none of these.
  const own = (part: string) =>
    layout.bolts.length > 0 || (part !== 'bolt' && part !== 'washers') ? { part: `${prefix}/${part}` } : {};
  const half = gasket / 2 + sheet.thickness;
  const stacked = (layer: Shape['layer'], part: string, width: number, from: number, height: number): Shape[] =>
    [from, -from - height].map((y) => shape.rect(layer, { ...own(part), x: -width / 2, y, width, height }));
  return {
    title: `Bolt of ${prefix}`,
    shapes: [
      ...stacked('plate', 'front', 2 * shown, gasket / 2, sheet.thickness),
      ...stacked('pane', 'washers', washer, half, rubber),
      ...stacked('rail', 'washers', washer, half + rubber, steel),
      ...stacked('fixing', 'bolt', 1.7 * bolt, half + rubber + steel, nut),
      shape.rect('fixing', {
        ...own('bolt'),
        x: -bolt / 2,
        y: -half - rubber - steel,
        width: bolt,
        height: 2 * (half + rubber + steel),
      }),
    ],
    labels: [
      leader(
        'rubber, then steel washer',
        { x: washer / 2, y: half + rubber / 2 },
        { x: shown + 0.006, y: half + 0.008 },
      ),
      leader('water', { x: shown, y: 0 }, { x: shown + 0.006, y: 0 }, { size: gasket, fine: true }),
      leader(
        'sheet',
        { x: shown, y: -half },
        { x: shown + 0.006, y: -half - 0.007 },
        { size: sheet.thickness, fine: true },
      ),
    ],
    dimensions: [
      dim.between(
        'washer',
        'washer',
        { x: -washer / 2, y: half + rubber + steel + nut },
        { x: washer / 2, y: half + rubber + steel + nut },
        { value: washer, offset: 0.006 },
      ),
    ],
  };
}
