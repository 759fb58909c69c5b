import { findEntry } from '../catalogue';
import type { Habit } from '../quantity';
import type { BuyLine } from './buying';

/** Counters of the shops that a builder goes to, in the order in which they are walked. */
export const counters = [
  'shed and scrap',
  'timber yard',
  'sheets and insulation',
  'glazier',
  'plumber’s counter',
  'metal',
  'screws and fittings',
  'paint, sealants and glue',
  'electrics',
] as const;
export type Counter = (typeof counters)[number];

/** Counter of each price. */
const counterOfPrice: Readonly<Record<Counter, readonly string[]>> = {
  'shed and scrap': ['bottle', 'can', 'ballast', 'tank-used'],
  'timber yard': [],
  'sheets and insulation': ['wool-30', 'mirror-film'],
  glazier: ['gasket', 'end-tape', 'pane-bar', 'stop', 'pane-clip'],
  'plumber’s counter': [
    'cap',
    'union',
    'solder',
    'flux',
    'elbow',
    'tee',
    'tee-manifold',
    'street-elbow',
    'return-bend',
    'braze',
    'air-cock',
    'relief-valve',
    'anode',
    'element-plug',
    'drain-cock',
    'tank-link',
    'tank-new',
    'discharge-pipe',
    'thread-tape',
    'pipe-seal',
    'hose-tail',
    'hose-clip',
    'feed-manifold',
    'feed-tube',
    'gutter',
    'gutter-end',
    'pvc-cap',
    'pvc-cement',
    'fill-plug',
    'vent',
    'outlet',
    'bulkhead',
    'shower',
    'hand-pump',
    'lagging',
    'distilled',
    'clip',
  ],
  metal: ['rim-bar', 'gauze', 'steel-strap', 'wire', 'wire-turn'],
  'screws and fittings': [],
  'paint, sealants and glue': [
    'paint',
    'lining-paint',
    'primer',
    'preservative',
    'silicone',
    'glue',
    'grease',
    'alcohol',
    'alu-tape',
    'clear-tape',
    'wire-wool',
  ],
  electrics: ['sensor-wire', 'sensor-sleeve'],
};
const byPrice = new Map(counters.flatMap((counter) => counterOfPrice[counter].map((key) => [key, counter] as const)));

/** Counter of what is cut: by what the thing is. */
function counterOfStock(item: string): Counter {
  if (findEntry('tube', item)) return 'plumber’s counter';
  if (findEntry('timber', item)) return 'timber yard';
  if (findEntry('bar', item) || findEntry('track', item)) return 'metal';
  const sheet = findEntry('sheet', item);
  return sheet && (sheet.use === 'plate' || sheet.use === 'edge') ? 'metal' : 'sheets and insulation';
}

/** The counter at which a line of a buy list is had; what is there already lies in the shed. */
export function counterOf({ id, rule, have, priceField }: BuyLine): Counter {
  if (have || rule === 'on hand') return 'shed and scrap';
  const [list, key = ''] = priceField ?? [];
  if (list !== 'prices') return counterOfStock((key || id).split('@')[0] ?? '');
  if (key.startsWith('pane/')) return 'glazier';
  if (key.startsWith('hose/')) return 'plumber’s counter';
  // Screws, bolts, straps, hinges and all else that lies in drawers.
  return byPrice.get(key) ?? 'screws and fittings';
}

/** What a thing is sold in: so many of the line's own unit (each, m, kg, L) to a pack, and what one and several are called. */
type Pack = readonly [each: number, one: string, many: string];

/** Things that are counted out alike by either tape. */
const countedPacks: Readonly<Record<string, Pack>> = {
  screw: [100, 'box of 100', 'boxes of 100'],
  staple: [1000, 'box of 1000', 'boxes of 1000'],
  'small-staple': [1000, 'box of 1000', 'boxes of 1000'],
  'lattice-bolt': [100, 'box of 100', 'boxes of 100'],
  washer: [100, 'bag of 100', 'bags of 100'],
  'cable-tie': [100, 'bag of 100', 'bags of 100'],
  'tie-base': [50, 'bag of 50', 'bags of 50'],
  'hose-clip': [2, 'pack of 2', 'packs of 2'],
  clip: [10, 'bag of 10', 'bags of 10'],
};
const [ounce, pint, quart, footLong] = [0.0283495, 0.473176, 0.946353, 0.3048];

/** Usual packs by habit; a shop has its own. Trade. */
const packs: Readonly<Record<Habit, Readonly<Record<string, Pack>>>> = {
  metric: {
    silicone: [0.3, 'cartridge of 300 mL', 'cartridges of 300 mL'],
    grease: [0.1, 'tub of 100 mL', 'tubs of 100 mL'],
    solder: [0.1, 'reel of 100 g', 'reels of 100 g'],
    braze: [0.05, 'pack of 50 g', 'packs of 50 g'],
    flux: [0.1, 'tin of 100 g', 'tins of 100 g'],
    paint: [0.75, 'tin of 750 mL', 'tins of 750 mL'],
    'lining-paint': [0.75, 'tin of 750 mL', 'tins of 750 mL'],
    primer: [0.75, 'tin of 750 mL', 'tins of 750 mL'],
    preservative: [1, 'can of 1 L', 'cans of 1 L'],
    glue: [0.25, 'bottle of 250 mL', 'bottles of 250 mL'],
    alcohol: [0.5, 'bottle of 500 mL', 'bottles of 500 mL'],
    'pvc-cement': [0.25, 'tin of 250 mL', 'tins of 250 mL'],
    distilled: [1, 'bottle of 1 L', 'bottles of 1 L'],
    'alu-tape': [45, 'roll of 45 m', 'rolls of 45 m'],
    'clear-tape': [25, 'roll of 25 m', 'rolls of 25 m'],
    'end-tape': [10, 'roll of 10 m', 'rolls of 10 m'],
    gasket: [10, 'roll of 10 m', 'rolls of 10 m'],
    wire: [25, 'coil of 25 m', 'coils of 25 m'],
    'steel-strap': [10, 'roll of 10 m', 'rolls of 10 m'],
    lagging: [1, 'length of 1 m', 'lengths of 1 m'],
    gutter: [2, 'length of 2 m', 'lengths of 2 m'],
  },
  imperial: {
    silicone: [0.3, '10 oz cartridge', '10 oz cartridges'],
    grease: [0.09, '3 oz tube', '3 oz tubes'],
    solder: [8 * ounce, '8 oz reel', '8 oz reels'],
    braze: [2 * ounce, '2 oz pack', '2 oz packs'],
    flux: [4 * ounce, '4 oz tin', '4 oz tins'],
    paint: [quart, 'quart', 'quarts'],
    'lining-paint': [quart, 'quart', 'quarts'],
    primer: [quart, 'quart', 'quarts'],
    preservative: [quart, 'quart', 'quarts'],
    glue: [0.2366, '8 oz bottle', '8 oz bottles'],
    alcohol: [pint, 'pint', 'pints'],
    'pvc-cement': [0.2366, '8 oz can', '8 oz cans'],
    distilled: [3.7854, 'gallon', 'gallons'],
    'alu-tape': [150 * footLong, '150 ft roll', '150 ft rolls'],
    'clear-tape': [75 * footLong, '75 ft roll', '75 ft rolls'],
    'end-tape': [33 * footLong, '33 ft roll', '33 ft rolls'],
    gasket: [50 * footLong, '50 ft roll', '50 ft rolls'],
    wire: [100 * footLong, '100 ft coil', '100 ft coils'],
    'steel-strap': [25 * footLong, '25 ft roll', '25 ft rolls'],
    lagging: [6 * footLong, '6 ft length', '6 ft lengths'],
    gutter: [10 * footLong, '10 ft length', '10 ft lengths'],
  },
};

/** In how many packs a line is sold, in words; nothing for what is sold by the piece, by the metre or to size. */
export function packsOf(
  { quantity, unit, priceField }: Pick<BuyLine, 'quantity' | 'unit' | 'priceField'>,
  habit: Habit,
): string | undefined {
  const [list, key = ''] = priceField ?? [];
  // Grease is listed by mass where a heat pipe takes it, and sold by the tub either way.
  if (list !== 'prices' || (key === 'grease' && unit === 'kg')) return undefined;
  const pack = unit === 'each' ? countedPacks[key] : packs[habit][key];
  if (!pack) return undefined;
  const [each, one, many] = pack;
  const count = Math.max(1, Math.ceil(quantity / each - 1e-9));
  return count === 1 ? `1 ${one}` : `${count} ${many}`;
}

/** The lines of a buy list by the counter at which they are had, empty counters left out. */
export function buyByCounter(lines: readonly BuyLine[]): { counter: Counter; lines: BuyLine[] }[] {
  return counters.flatMap((counter) => {
    const here = lines.filter((line) => counterOf(line) === counter);
    return here.length > 0 ? [{ counter, lines: here }] : [];
  });
}
