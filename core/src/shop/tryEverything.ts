import type { Choice } from './bars';
import type { Length, Pattern } from './columns';
import { fillings } from './patterns';

/** Sets of pieces still to be cut, times fillings, beyond which not everything is tried. */
const mostTrials = 1_500_000;
const mostFillings = 1500;
/** Cheapest plans that are looked at for one with few set-ups. */
const mostPlans = 20_000;

/** A plan in whole bars: so many of each filling. */
export interface TriedPlan {
  patterns: readonly Pattern[];
  counts: number[];
  cost: number;
  optimal: true;
}

/**
 * The cheapest plan of a few pieces, by trying everything: for every set of pieces that may be left, the cheapest way to cut it (dynamic
 * programming over the sets, always on a filling that holds the longest piece left). Among the cheapest, one with the fewest set-ups.
 *
 * @returns nothing where there is too much to try, or where bars are few
 */
export function tryEverything(lengths: readonly Length[], stock: readonly Choice[]): TriedPlan | undefined {
  if (stock.some(({ left }) => Number.isFinite(left))) return undefined;
  let sets = 1;
  const place = lengths.map(({ count }) => {
    const own = sets;
    sets *= count + 1;
    return own;
  });
  if (sets > mostTrials) return undefined;
  const patterns: Pattern[] = [];
  for (const one of stock) {
    const ways = fillings(lengths, one.room, mostFillings - patterns.length);
    if (!ways) return undefined;
    patterns.push(...ways.map((take) => ({ stock: one, take })));
  }
  if (sets * patterns.length > mostTrials) return undefined;
  const leftOf = (set: number, index: number) =>
    Math.floor(set / (place[index] ?? 1)) % ((lengths[index]?.count ?? 0) + 1);
  const firstLeft = (set: number) => {
    let index = 0;
    while (leftOf(set, index) === 0) index += 1;
    return index;
  };
  /** The set that a filling leaves of a set: of each length it holds no more than is left. */
  const after = (set: number, { take }: Pattern): number =>
    take.reduce((rest, count, index) => rest - Math.min(count, leftOf(set, index)) * (place[index] ?? 0), set);
  const cost = new Float64Array(sets);
  for (let set = 1; set < sets; set += 1) {
    const first = firstLeft(set);
    let least = Number.POSITIVE_INFINITY;
    for (const pattern of patterns)
      if ((pattern.take[first] ?? 0) > 0)
        least = Math.min(least, pattern.stock.price + (cost[after(set, pattern)] ?? 0));
    cost[set] = least;
  }
  const whole = cost[sets - 1] ?? Number.POSITIVE_INFINITY;
  if (!Number.isFinite(whole)) return undefined;
  return fewestSetUps({ sets, patterns, cost, after, firstLeft, leftOf, kinds: lengths.length });
}

/** Walks through the cheapest plans, up to a number, and keeps the one with the fewest different bars. */
function fewestSetUps(query: {
  sets: number;
  patterns: readonly Pattern[];
  cost: Float64Array;
  after(set: number, pattern: Pattern): number;
  firstLeft(set: number): number;
  leftOf(set: number, index: number): number;
  kinds: number;
}): TriedPlan {
  const { sets, patterns, cost, after, firstLeft, leftOf, kinds } = query;
  let looked = 0;
  let best: Map<string, { pattern: Pattern; count: number }> | undefined;
  const bars = new Map<string, { pattern: Pattern; count: number }>();
  const walk = (set: number): void => {
    if (looked > mostPlans || (best && bars.size >= best.size)) return;
    looked += 1;
    if (set === 0) {
      best = new Map([...bars].map(([key, one]) => [key, { ...one }]));
      return;
    }
    const first = firstLeft(set);
    for (const pattern of patterns) {
      if ((pattern.take[first] ?? 0) === 0) continue;
      const next = after(set, pattern);
      if (pattern.stock.price + (cost[next] ?? 0) > (cost[set] ?? 0) + 1e-9) continue;
      const take = Array.from({ length: kinds }, (_, index) => Math.min(pattern.take[index] ?? 0, leftOf(set, index)));
      const key = `${pattern.stock.id} ${take.join(' ')}`;
      const bar = bars.get(key) ?? { pattern: { stock: pattern.stock, take }, count: 0 };
      bar.count += 1;
      bars.set(key, bar);
      walk(next);
      bar.count -= 1;
      if (bar.count === 0) bars.delete(key);
    }
  };
  walk(sets - 1);
  const chosen = [...(best?.values() ?? [])];
  return {
    patterns: chosen.map(({ pattern }) => pattern),
    counts: chosen.map(({ count }) => count),
    cost: cost[sets - 1] ?? 0,
    optimal: true,
  };
}
