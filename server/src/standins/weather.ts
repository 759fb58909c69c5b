import { createHash } from 'node:crypto';
import { zValidator } from '@hono/zod-validator';
import { climateMonths, syntheticYear, type WeatherSeries } from '@north-pane/core/sky';
import { Hono } from 'hono';
import * as z from 'zod';

const query = z.object({
  latitude: z.coerce.number().min(-90).max(90),
  longitude: z.coerce.number().min(-180).max(180),
  elevation: z.coerce.number().min(-450).max(6000).default(0),
  hours: z.coerce.number().int().min(24).max(168).default(72),
});

const hourMilliseconds = 3_600_000;
const mostYears = 20;

/**
 * Stands in for a weather service where there is no network: made-up weather of the commonest kind at the latitude, the same
 * for the same place and year. It forecasts nothing.
 */
export function standInWeather(now: () => Date) {
  const years = new Map<string, WeatherSeries>();
  const yearAt = (place: { latitude: number; longitude: number; elevation: number }, year: number): WeatherSeries => {
    const key = [place.latitude.toFixed(1), place.longitude.toFixed(1), Math.round(place.elevation / 100), year].join(
      '/',
    );
    const known = years.get(key);
    if (known) return known;
    const seed = createHash('sha256').update(key).digest().readUInt16LE(0);
    const made = syntheticYear(climateMonths(null, place.latitude, place.elevation), place, seed);
    const [oldest] = years.keys();
    if (years.size >= mostYears && oldest !== undefined) years.delete(oldest);
    years.set(key, made);
    return made;
  };
  return new Hono().get(
    '/',
    zValidator('query', query, (result, context) =>
      result.success ? undefined : context.json({ message: 'latitude and longitude are needed, in degrees' }, 422),
    ),
    (context) => {
      const { hours, ...place } = context.req.valid('query');
      const made = now();
      const first = Math.floor(made.getTime() / hourMilliseconds) * hourMilliseconds;
      const list = Array.from({ length: hours }, (_, index) => {
        const time = first + index * hourMilliseconds;
        const year = new Date(time).getUTCFullYear();
        const series = yearAt(place, year);
        // The made-up year is 2025; this hour of this year is that hour of it.
        const since = (time - Date.UTC(year, 0, 1) - (series.start - Date.UTC(2025, 0, 1))) / hourMilliseconds;
        const hour = ((Math.floor(since) % series.length) + series.length) % series.length;
        const { global, air, wind, dewPoint, cloud } = series.columns;
        const round = (value: number | undefined, digits: number) => Number((value ?? 0).toFixed(digits));
        return {
          time: new Date(time).toISOString(),
          global: round(global?.[hour], 0),
          air: round(air?.[hour], 1),
          dewPoint: round(dewPoint?.[hour], 1),
          wind: round(wind?.[hour], 1),
          cloud: round(cloud?.[hour], 2),
        };
      });
      return context.json({ made: made.toISOString(), madeUp: true, hours: list });
    },
  );
}
