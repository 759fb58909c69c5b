import { zoneClock } from '../../time';
import { broadMonths } from './climates';
import type { WeatherSeries } from './series';
import { syntheticYear } from './synthetic';

/** Gannet Reach. */
export const reach = { latitude: -40.9, longitude: 172.9, elevation: 4, zone: 'Pacific/Auckland' };
export const reachMonths = broadMonths('maritime', reach.latitude, reach.elevation);
let made: WeatherSeries | undefined;

/** A year of made-up weather there, made once for all tests. */
export function reachYear(): WeatherSeries {
  made ??= syntheticYear(reachMonths, reach, 3);
  return made;
}

/** The lines of a logger's file of that year, as the site's clock or another one shows it. */
export function loggerLines(options: { clock?: 'site' | 'utc'; lateMinutes?: number; days?: number } = {}): string[] {
  const year = reachYear();
  const clock = zoneClock(reach.zone);
  const lines = ['time,GHI W/m2,Temp C,Wind m/s,RH %'];
  const two = (value: number | undefined) => (value ?? 0).toFixed(2);
  for (let index = 0; index < (options.days ?? 365) * 24; index += 1) {
    const at = year.start + index * 3_600_000;
    const shown = at + (options.lateMinutes ?? 0) * 60_000 + (options.clock === 'utc' ? 0 : clock.offsetAt(at));
    const text = new Date(shown).toISOString();
    const { global, air, wind } = year.columns;
    lines.push(
      `${text.slice(0, 10)} ${text.slice(11, 16)},${two(global?.[index])},${two(air?.[index])},${two(wind?.[index])},70`,
    );
  }
  return lines;
}
