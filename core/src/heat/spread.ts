import type { Range } from '../catalogue';

const fifthPercentile = 1.6449;

/**
 * The value a range takes at a standard normal deviate: `likely` at 0, `low` and `high` at the 5th and 95th percentile.
 * Deviates beyond three are held there, so that no draw leaves what can be met.
 */
export function valueAt(range: Range, deviate: number): number {
  const held = Math.min(3, Math.max(-3, deviate));
  const share = Math.abs(held) / fifthPercentile;
  const edge = held < 0 ? range.low : range.high;
  if (range.spread === 'log-normal') return range.likely * (edge / range.likely) ** share;
  return range.likely + (edge - range.likely) * share;
}
