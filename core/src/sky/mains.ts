import { cos } from './angles';

const daysInYear = 365;
/** Day of the year in the middle of each month. */
export const midMonthDays = [15.5, 45, 74.5, 105, 135.5, 166, 196.5, 227.5, 258, 288.5, 319, 349.5] as const;

/** Mean, half swing and coldest day of twelve monthly means: their first harmonic. */
export function yearlyWave(months: readonly number[]): { mean: number; amplitude: number; coldestDay: number } {
  const mean = months.reduce((sum, value) => sum + value, 0) / 12;
  let inPhase = 0;
  let quarter = 0;
  for (const [index, value] of months.entries()) {
    const angle = (2 * Math.PI * (midMonthDays[index] ?? 0)) / daysInYear;
    inPhase += (value - mean) * Math.cos(angle);
    quarter += (value - mean) * Math.sin(angle);
  }
  const amplitude = Math.hypot(inPhase, quarter) / 6;
  const warmest = (Math.atan2(quarter, inPhase) / (2 * Math.PI)) * daysInYear;
  return { mean, amplitude, coldestDay: (warmest + 1.5 * daysInYear) % daysInYear };
}

/** What the builder measured at the tap; °C. */
export interface MeasuredMains {
  coldest: number;
  warmest: number;
}

/**
 * °C. Mains water on a day of the year from the monthly means of the air: Burch and Christensen (2007), with the phase
 * taken from the coldest of the air and not from the calendar, so that it holds in both hemispheres. Kept above freezing.
 * Typical error 2 to 3 K: depth of pipe and kind of source are not known. A measured pair stands above it.
 *
 * @param query.air twelve monthly means, °C
 * @param query.day 1 to 366
 */
export function mainsTemperature(query: {
  air: readonly number[];
  day: number;
  measured?: MeasuredMains | null;
}): number {
  const { mean, coldestDay } = yearlyWave(query.air);
  const meanF = mean * 1.8 + 32;
  const ratio = Math.min(1, Math.max(0, 0.4 + 0.01 * (meanF - 44)));
  const lag = Math.min(60, Math.max(0, 35 - (meanF - 44)));
  const since = ((query.day - coldestDay - lag) * 360) / daysInYear;
  if (query.measured) {
    const { coldest, warmest } = query.measured;
    return (coldest + warmest) / 2 - ((warmest - coldest) / 2) * cos(since);
  }
  const swing = (Math.max(...query.air) - Math.min(...query.air)) / 2;
  return Math.max(0.5, mean + 6 / 1.8 - ratio * swing * cos(since));
}
