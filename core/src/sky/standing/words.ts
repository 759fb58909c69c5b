import { formatAim, formatNumber } from '../../quantity';
import type { PaneOrientation } from './skyYear';
import type { StandingShares, StandingStudy } from './study';

export const monthNames = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

const percent = (share: number) => `${formatNumber(share * 100)}\u00a0%`;

/**
 * What the standing of a pane comes to, in a sentence.
 *
 * @example 'Facing 12° east of north at 38° you collect 97 % of the best fixed pane; in June 88 % of one set for June.'
 */
export function sayStanding(pane: PaneOrientation, shares: StandingShares, study: StandingStudy): string {
  const month = monthNames[study.darkestMonth - 1] ?? '';
  const lead = pane.tilt < 1 ? 'Lying level' : `Facing ${formatAim(pane.aim)} at ${formatNumber(pane.tilt)}°`;
  if (study.best.year.sun <= 0) return `${lead} the pane gets no sun at all.`;
  const dark =
    study.darkestBest > 0
      ? `in ${month} ${percent(shares.darkest)} of one set for ${month}`
      : `in ${month} there is no sun to collect`;
  return `${lead} you collect ${percent(shares.year)} of the best fixed pane; ${dark}.`;
}

/** `Apr to Sep`, `Jun`, `Jan, Mar`: months in words, runs drawn together. Across the year's end too. */
export function sayMonths(months: readonly number[]): string {
  if (months.length === 0) return 'never';
  if (months.length === 12) return 'all year';
  const has = (month: number) => months.includes(((month + 11) % 12) + 1);
  const runs: [from: number, to: number][] = [];
  for (const month of months) {
    if (has(month - 1)) continue;
    let end = month;
    while (has(end + 1)) end += 1;
    runs.push([month, ((end + 11) % 12) + 1]);
  }
  const short = (month: number) => monthNames[month - 1]?.slice(0, 3) ?? '';
  return runs.map(([from, to]) => (from === to ? short(from) : `${short(from)} to ${short(to)}`)).join(', ');
}

/** Seasons of three months, as they fall north of the equator; half a year later south of it. */
const northern = { spring: [3, 4, 5], summer: [6, 7, 8], autumn: [9, 10, 11], winter: [12, 1, 2] } as const;
export const seasons = ['spring', 'summer', 'autumn', 'winter'] as const;
export type Season = (typeof seasons)[number];

/** Months of a season at a latitude, 1 to 12 ascending. */
export function monthsOfSeason(season: Season, latitude: number): number[] {
  const months = northern[season].map((month) => (latitude >= 0 ? month : ((month + 5) % 12) + 1));
  return months.sort((a, b) => a - b);
}
