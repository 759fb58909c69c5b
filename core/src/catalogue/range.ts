/** Where a value comes from: shown beside it, because the three are not worth the same. */
export type SourceKind = 'standard' | 'data sheet' | 'textbook' | 'trade' | 'judgement' | 'measured';

/** A value with its spread. `low` and `high` are about the 5th and 95th percentile of what is met in practice. */
export interface Range {
  low: number;
  likely: number;
  high: number;
  /** Log-normal where the value spreads by factors (bonds), else split normal. */
  spread: 'normal' | 'log-normal';
  kind: SourceKind;
}

export function range(
  low: number,
  likely: number,
  high: number,
  kind: SourceKind,
  spread: Range['spread'] = 'normal',
): Range {
  return { low, likely, high, kind, spread };
}
