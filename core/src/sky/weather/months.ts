import * as z from 'zod';
import { zoneClock } from '../../time';
import type { WeatherSeries } from './series';

const twelve = (low: number, high: number, unit: string) =>
  z
    .array(z.number('must be a number').min(low, `at least ${low} ${unit}`).max(high, `at most ${high} ${unit}`))
    .length(12, 'twelve months, January first');

/** Twelve monthly means, January first. SI. */
export const monthlySchema = z.strictObject({
  /** W/m² on the flat, over day and night. */
  global: twelve(0, 500, 'W/m²'),
  /** °C. */
  air: twelve(-60, 45, '°C'),
  dewPoint: twelve(-70, 35, '°C'),
  /** m/s at 10 m. */
  wind: twelve(0, 30, 'm/s'),
});
export type MonthlyClimate = z.infer<typeof monthlySchema>;

/**
 * Monthly means of a series, by the site's clock. A month that the series hardly reaches takes the mean of the months
 * beside it; `seen` says which were there.
 */
export function monthlyMeans(series: WeatherSeries, zone: string): { months: MonthlyClimate; seen: boolean[] } {
  const clock = zoneClock(zone);
  const names = ['global', 'air', 'dewPoint', 'wind'] as const;
  const sums = names.map(() => new Float64Array(12));
  const counts = names.map(() => new Float64Array(12));
  for (let index = 0; index < series.length; index += 1) {
    const at = series.start + (index + 0.5) * series.step * 1000;
    const month = new Date(at + clock.offsetAt(at)).getUTCMonth();
    for (const [place, name] of names.entries()) {
      const value = series.columns[name]?.[index] ?? Number.NaN;
      const sum = sums[place];
      const count = counts[place];
      if (Number.isNaN(value) || !sum || !count) continue;
      sum[month] = (sum[month] ?? 0) + value;
      count[month] = (count[month] ?? 0) + 1;
    }
  }
  // A month is known by ten days of it, or by half of what the best-known month has in a shorter file.
  const fewest = Math.min((10 * 86_400) / series.step, Math.max(...(counts[0] ?? [0])) / 2);
  const enough = (place: number, month: number) => (counts[place]?.[month] ?? 0) >= Math.max(1, fewest);
  const mean = (place: number): number[] => {
    const known = Array.from({ length: 12 }, (_, month) =>
      enough(place, month) ? (sums[place]?.[month] ?? 0) / (counts[place]?.[month] ?? 1) : undefined,
    );
    return known.map((value, month) => value ?? between(known, month));
  };
  const air = mean(1);
  const months = {
    global: mean(0),
    air,
    // Not measured: half-saturated air lies some 10 K above its dew point.
    dewPoint: mean(2).map((value, month) => (series.columns.dewPoint ? value : (air[month] ?? 0) - 10)),
    wind: mean(3).map((value) => (series.columns.wind ? value : 3)),
  };
  return { months, seen: Array.from({ length: 12 }, (_, month) => enough(0, month)) };
}

/** From the nearest known months before and after, by how far they are. */
function between(known: readonly (number | undefined)[], month: number): number {
  const find = (way: number) => {
    for (let off = 1; off < 12; off += 1) {
      const value = known[(month + way * off + 24) % 12];
      if (value !== undefined) return { off, value };
    }
    return undefined;
  };
  const before = find(-1);
  const after = find(1);
  if (!before || !after) return 0;
  return (before.value * after.off + after.value * before.off) / (before.off + after.off);
}
