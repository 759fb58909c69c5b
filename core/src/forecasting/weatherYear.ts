import type { Job } from '../document';
import { jobMonths } from '../site';
import { middleOf, syntheticYear, windAtPanel } from '../sky';
import type { OperatingConditions } from '../thermal';
import { zoneClock } from '../time';
import { paneWeather } from './paneWeather';

/** One hour of a year at a job's pane. */
export interface HourOfYear {
  /** 0 to 11, and of the day by the clock of the place, 0 to 23. */
  month: number;
  hour: number;
  /** What a heater meets in the middle of it, the lid open. */
  boundary: OperatingConditions;
}

const hourSeconds = 3600;

/**
 * The hours of a synthetic year of the twelve means of a job's place, on its pane: clear days and dull ones come as they do, which a mean day
 * has not. A third of a second: for a worker.
 */
export function weatherYear(job: Job): HourOfYear[] {
  const { site } = job;
  const series = syntheticYear(jobMonths(site), site);
  const { global, beamNormal, diffuse, air, dewPoint, cloud, wind } = series.columns;
  const onPane = paneWeather(job);
  const clock = zoneClock(site.zone);
  return Array.from({ length: series.length }, (_, index): HourOfYear => {
    const middle = middleOf(series, index);
    const local = new Date(middle + clock.offsetAt(middle));
    const hour = local.getUTCHours();
    const value = (column: Float32Array | undefined) => column?.[index] ?? 0;
    return {
      month: local.getUTCMonth(),
      hour,
      boundary: onPane({
        at: new Date(middle),
        global: value(global),
        beamNormal: value(beamNormal),
        diffuse: value(diffuse),
        air: value(air),
        dewPoint: value(dewPoint),
        cloud: value(cloud),
        hour,
        wind: windAtPanel(value(wind), site.exposure.windShare).likely,
      }),
    };
  });
}

/** J/m² on the pane in a year. */
export function yearInsolation(year: readonly HourOfYear[]): number {
  return year.reduce((sum, { boundary }) => sum + hourSeconds * boundary.irradiance, 0);
}
