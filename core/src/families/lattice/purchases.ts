import { screwUpTo } from '../../catalogue';
import { sized } from '../../quantity';
import { bought, type Purchase, screws } from '../../shop';
import { blackPaint, primer } from '../kit/paint';
import type { LatticeLayout } from './layout';
import { lathBolts, portFlange } from './pieces';

/** m of wire for each metre of width that crosses the wool, and between two crossings. */
const wireSpacing = 0.3;
/** m between the screws of a cover. */
const coverSpacing = 0.15;
const screwsAPort = 4;

/** What a lattice is bought of beside its pieces. */
export function latticePurchases(prefix: string, layout: LatticeLayout): Purchase[] {
  const { parameters, bolts, rimBolts, glazing, wetted, lines, boltLengths, wool } = layout;
  const { length, width, rim } = parameters;
  const perimeter = 2 * (length + width - 2 * rim);
  const laths = glazing.cover ? 2 * (lathBolts(lines.along).long.length + lathBolts(lines.across).long.length) : 0;
  const bolt = (id: string, quantity: number, long: number, rule: string): Purchase[] =>
    quantity > 0
      ? [
          bought(
            prefix,
            id,
            `Stainless bolts with nuts, ${sized(parameters.bolt)} × ${sized(long)}`,
            [quantity, 'each'],
            { priceKey: 'lattice-bolt', rule, mass: 0.006 * quantity },
          ),
        ]
      : [];
  const wire = wool ? (Math.ceil(length / wireSpacing) + 1) * width * 1.2 : 0;
  return [
    ...bolt('bolt', bolts.length, boltLengths.grid, 'in the grid'),
    ...bolt('bolt-rim', rimBolts.length - laths, boltLengths.rim, 'along the edge, through both rim bars'),
    ...bolt('bolt-lath', laths, boltLengths.lath, 'along the edge, on through the laths'),
    bought(prefix, 'washers', 'Washers, steel and rubber', [4 * bolts.length, 'each'], {
      priceKey: 'washer',
      rule: 'one of each under head and nut of the grid; the rim bars spread the rest',
      mass: 0.002 * 4 * bolts.length,
    }),
    bought(prefix, 'gasket-strip', 'EPDM strip between the sheets', [perimeter, 'm'], {
      priceKey: 'gasket',
      rule: 'once round, corners in one piece',
      mass: 0.05 * perimeter,
    }),
    bought(
      prefix,
      'ports',
      `Threaded flanges, ${sized(portFlange)} across, a rubber gasket under each`,
      [parameters.ports, 'each'],
      { priceKey: 'bulkhead', rule: 'one a way in or out, on the outside of the back', mass: 0.12 * parameters.ports },
    ),
    bought(
      prefix,
      'port-screws',
      'Machine screws with ultra-low heads, nuts and rubber washers',
      [screwsAPort * parameters.ports, 'each'],
      {
        priceKey: 'bolt',
        rule: `${screwsAPort} a port, put in from between the sheets before they are closed`,
        mass: 0.004 * screwsAPort * parameters.ports,
      },
    ),
    bought(prefix, 'air-tee', 'Tee for the air cock', [1, 'each'], {
      priceKey: 'tee',
      rule: 'on the upper port, its branch up',
      mass: 0.08,
    }),
    ...(wool
      ? [
          bought(prefix, 'wool-wire', 'Binding wire, to hold the wool', [wire, 'm'], {
            priceKey: 'wire',
            rule: `to and fro over the back between the rim bolts, every ${sized(wireSpacing)}`,
            mass: 0.01 * wire,
          }),
        ]
      : []),
    bought(prefix, 'air-cock', 'Air cock for the upper port', [1, 'each'], {
      priceKey: 'air-cock',
      rule: 'one, at the top',
      mass: 0.1,
    }),
    ...(glazing.cover
      ? screws(prefix, {
          id: 'cover-screws',
          quantity: Math.ceil((2 * (length + width)) / coverSpacing),
          length: screwUpTo(Math.max(0.016, layout.lathHeight + glazing.pane.thickness - 0.002), layout.sheet.tape),
          tape: layout.sheet.tape,
          rule: `round the cover into the laths, every ${sized(coverSpacing)}, a rubber washer under each`,
        })
      : []),
    ...(glazing.cover
      ? [
          bought(
            prefix,
            'cover-washers',
            'Rubber washers for the cover',
            [Math.ceil((2 * (length + width)) / coverSpacing), 'each'],
            { priceKey: 'washer', rule: 'one a screw', mass: 0.01 },
          ),
        ]
      : []),
    ...glazing.purchases(prefix),
    blackPaint(prefix, wetted),
    primer(prefix, 2 * wetted),
  ];
}
