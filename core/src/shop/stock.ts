import { barMass, bore, entries, entry, findEntry, type Hose, hoseBore, materials, type Tube } from '../catalogue';
import type { Habit } from '../quantity';

/** A length or a sheet that the shop sells, with its price. */
export type Sold = { id: string; item: string; price: number } & (
  | { length: number }
  | { width: number; height: number }
);

/** A length or a sheet in the builder's own shed. */
export type OnHand = { id: string; item: string; count: number } & (
  | { length: number }
  | { width: number; height: number }
);

/**
 * A price list to begin with, in round figures that stand for no shop and no country: copper at 24 a kilogram, PVC pipe at 6, drawn aluminium at 12, planed
 * board at 5 000 a cubic metre, sheet by the square metre. The builder's own prices take its place.
 */
export function guidePrices(habit: Habit): { sold: Sold[]; prices: Record<string, number> } {
  const sold: Sold[] = [];
  const perKilogram = { copper: 24, pvc: 6 };
  for (const tube of entries('tube'))
    if (tube.tape === habit)
      for (const length of tube.lengths)
        sold.push({
          id: soldId(tube.id, length),
          item: tube.id,
          length,
          price: round(tubeMass(tube) * length * perKilogram[tube.material === 'pvc' ? 'pvc' : 'copper']),
        });
  for (const board of entries('timber'))
    if (board.tape === habit)
      for (const length of board.lengths)
        sold.push({
          id: soldId(board.id, length),
          item: board.id,
          length,
          price: round(board.width * board.thickness * length * 5000),
        });
  for (const bar of entries('bar'))
    if (bar.tape === habit)
      for (const length of bar.lengths)
        sold.push({ id: soldId(bar.id, length), item: bar.id, length, price: round(barMass(bar) * length * 12) });
  for (const track of entries('track'))
    if (track.tape === habit) sold.push({ id: track.id, item: track.id, length: track.length, price: 7 });
  // Money for a square metre, and the thickness in m that it is for.
  const perArea = { back: 22, insulation: 18, plate: 62, edge: 16 };
  const usualThickness = { back: 0.012, insulation: 0.05, plate: 0.0003, edge: 0.0006 };
  for (const sheet of entries('sheet')) {
    if (sheet.tape !== habit) continue;
    const weight = sheet.thickness / usualThickness[sheet.use];
    const price = round(perArea[sheet.use] * weight * sheet.width * sheet.height);
    sold.push({ id: sheet.id, item: sheet.id, width: sheet.width, height: sheet.height, price });
  }
  const prices: Record<string, number> = {
    cap: 3.5,
    union: 9,
    solder: 60,
    flux: 40,
    paint: 30,
    silicone: 12,
    screw: 0.12,
    gasket: 1.4,
    grease: 45,
    bolt: 0.9,
    clip: 0.6,
    can: 0,
    'alu-tape': 0.25,
    'feed-tube': 0.8,
    gutter: 5,
    'gutter-end': 2,
    'lattice-bolt': 0.25,
    washer: 0.06,
    'rim-bar': 3,
    bulkhead: 9,
    'wool-30': 8,
    elbow: 1.2,
    tee: 2.4,
    'street-elbow': 1.6,
    'return-bend': 4,
    'wire-turn': 0.1,
    wire: 0.3,
    staple: 0.15,
    'pane-bar': 4,
    'end-tape': 2.5,
    hinge: 4,
    'roof-bracket': 9,
    angle: 1.5,
    strap: 12,
    'steel-strap': 1.5,
    'pipe-seal': 2,
    'thread-tape': 1,
    ballast: 4,
    guy: 14,
    'ground-anchor': 11,
    'lid-clip': 3,
    handle: 5,
    hanger: 2,
    'weep-screen': 0.3,
    'small-staple': 0.02,
    glue: 14,
    stop: 1.2,
    alcohol: 6,
    primer: 34,
    'sensor-wire': 1.1,
    'sensor-sleeve': 1.5,
    'pane-clip': 1.2,
    'feed-manifold': 12,
    'air-cock': 5,
    preservative: 16,
    gauze: 4,
    'wire-wool': 1,
    'tank-used': 15,
    'tank-new': 190,
    'relief-valve': 28,
    anode: 24,
    'element-plug': 4,
    'drain-cock': 9,
    'tank-link': 16,
    'discharge-pipe': 6,
    'mirror-film': 11,
    'lining-paint': 16,
    'turn-button': 0.8,
    chain: 3,
    'pvc-cap': 9,
    'fill-plug': 6,
    vent: 5,
    outlet: 9,
    'pvc-cement': 40,
    shower: 14,
    'hand-pump': 35,
    'tee-manifold': 9,
    bottle: 0,
    'clear-tape': 0.3,
    distilled: 1.5,
    lagging: 4,
    braze: 90,
    'cable-tie': 0.1,
    'tie-base': 0.2,
    'hose-tail': 3,
    'hose-clip': 1,
  };
  const panePrices = {
    tempered: 55,
    annealed: 30,
    'sealed-unit': 0,
    multiwall: 32,
    fibreglass: 18,
    acrylic: 60,
    film: 9,
  };
  // Money for a metre: plastic and rubber by weight at 6 a kilogram, and as much again for rolling and selling it.
  for (const hose of entries('hose')) prices[`hose/${hose.id}`] = Math.round(hoseMass(hose) * 1200) / 100;
  for (const pane of entries('pane')) prices[`pane/${pane.id}`] = panePrices[pane.kind];
  return { sold, prices };
}

function soldId(item: string, length: number): string {
  return `${item}@${Math.round(length * 1000)}`;
}

function round(price: number): number {
  return price < 20 ? Math.round(price * 2) / 2 : Math.round(price);
}

/** kg/m of tube. */
export function tubeMass(tube: Tube): number {
  return (Math.PI / 4) * (tube.outerDiameter ** 2 - bore(tube) ** 2) * materials[tube.material ?? 'copper'].density;
}

/** kg/m of hose. */
export function hoseMass(hose: Hose): number {
  return (Math.PI / 4) * (hose.outerDiameter ** 2 - hoseBore(hose) ** 2) * materials[hose.material].density;
}

/** Lengths of a thing as usually sold, priceless, for a job whose list does not have it. */
export function usualLengths(item: string): number[] {
  const kind = (['tube', 'timber'] as const).find((one) => findEntry(one, item));
  if (kind) return [...entry(kind, item).lengths];
  const bar = findEntry('bar', item);
  if (bar) return [...bar.lengths];
  const track = findEntry('track', item);
  return track ? [track.length] : [];
}
