import type { Range } from '../catalogue';

/** Standard normal deviate of the 95th percentile: nine in ten lie within so many standard deviations. */
export const ninetyDeviate = 1.6449;

/** What one cause does at one standard deviation to either side: a split normal. */
export interface Effect {
  up: number;
  down: number;
}

/**
 * Mean and variance of the sum of independent causes, each a split normal: for z standard normal it is `up` × z above zero and
 * `down` × |z| below it. Its mean is (up + down) / √(2π) and its mean square (up² + down²) / 2 (derived). In the unit of the effects.
 */
export function momentsOf(effects: Iterable<Effect>): { mean: number; variance: number } {
  let mean = 0;
  let variance = 0;
  for (const { up, down } of effects) {
    const shift = (up + down) / Math.sqrt(2 * Math.PI);
    mean += shift;
    variance += (up ** 2 + down ** 2) / 2 - shift ** 2;
  }
  return { mean, variance };
}

/**
 * The value a range takes at a standard normal deviate: `likely` at 0, `low` and `high` at the 5th and 95th percentile.
 * Deviates beyond three are held there, so that no draw leaves what can be met.
 */
export function valueAt(range: Range, deviate: number): number {
  const held = Math.min(3, Math.max(-3, deviate));
  const share = Math.abs(held) / ninetyDeviate;
  const edge = held < 0 ? range.low : range.high;
  if (range.spread === 'log-normal') return range.likely * (edge / range.likely) ** share;
  return range.likely + (edge - range.likely) * share;
}
