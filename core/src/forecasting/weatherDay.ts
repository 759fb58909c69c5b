import type { Job } from '../document';
import { jobMonths } from '../site';
import { clearSky, dayOfYear, splitGlobal, sunPosition, windAtPanel } from '../sky';
import type { OperatingConditions } from '../thermal';
import { zoneClock } from '../time';
import { paneWeather } from './paneWeather';

/** A day as it may be. */
export const dayKinds = ['clear', 'average', 'bad'] as const;
export type DayKind = (typeof dayKinds)[number];

/** What each kind of day is: of the month's mean sun (a clear day is as the sky lets it), K of half its swing, and clouds. Judgement. */
const days: Record<DayKind, { ofMean?: number; swing: number; cloud: number }> = {
  clear: { swing: 7, cloud: 0 },
  average: { ofMean: 1, swing: 5, cloud: 0.45 },
  // One day in ten or so.
  bad: { ofMean: 0.3, swing: 2.5, cloud: 1 },
};
/** h of the day at which the air is warmest. */
const warmest = 15;
/** A year without a leap day stands for all. */
const year = 2027;

/** Weather of one day of a job's place, by seconds from its midnight. */
export interface WeatherDay {
  /** What a heater meets at a second, the lid open. */
  at(second: number): OperatingConditions;
  /** J/m² on the pane over the day. Worked out when it is asked for. */
  readonly insolation: number;
}

/** s from one look at the sun to the next where a day is summed. */
const look = 600;

/** The sum of something over a day, by what it is at a second. */
function overDay(at: (second: number) => number): number {
  let sum = 0;
  for (let second = look / 2; second < 86_400; second += look) sum += at(second) * look;
  return sum;
}

/** What every kind of day of a month (0 to 11) has alike at a job's place: where the sun stands, and what a clear sky lets through. */
function monthOf(job: Job, month: number) {
  const { site } = job;
  const { latitude, longitude, elevation } = site;
  const noon = Date.UTC(year, month, 15, 12);
  const midnight = Date.UTC(year, month, 15) - zoneClock(site.zone).offsetAt(noon);
  const clearAt = (second: number) => {
    const at = new Date(midnight + second * 1000);
    return {
      at,
      sun: sunPosition({ at, latitude, longitude, elevation }),
      sky: clearSky({ at, latitude, longitude, elevation }),
    };
  };
  const months = jobMonths(site);
  return {
    clearAt,
    onPane: paneWeather(job),
    /** J/m² on the flat, of a clear day and of the month's mean. */
    clearSum: overDay((second) => clearAt(second).sky.global),
    mean: (months.global[month] ?? 0) * 86_400,
    air: months.air[month] ?? 10,
    dewPoint: months.dewPoint[month],
    wind: windAtPanel(months.wind[month] ?? 3, site.exposure.windShare).likely,
  };
}

type Month = ReturnType<typeof monthOf>;

/** The fifteenth of a month (0 to 11) at the job's place: sun by the clear sky and the month's mean, air by the month's mean and a daily wave. */
export function weatherDay(job: Job, query: { month: number; kind: DayKind }): WeatherDay {
  return dayOf(monthOf(job, query.month), query.kind);
}

/** Share of a clear day's sun that a kind of day has. */
function clearness({ clearSum, mean }: Month, kind: DayKind): number {
  const { ofMean } = days[kind];
  return ofMean === undefined || clearSum <= 0 ? 1 : Math.min(1, (ofMean * mean) / clearSum);
}

function dayOf(month: Month, kind: DayKind): WeatherDay {
  const { swing, cloud } = days[kind];
  const share = clearness(month, kind);
  return onPane((second) => {
    const { at, sun, sky } = month.clearAt(second);
    const global = sky.global * share;
    const split = share < 1 ? splitGlobal({ global, zenith: sun.zenith, dayOfYear: dayOfYear(at) }) : sky;
    const hour = second / 3600;
    const air = month.air + swing * Math.cos(((hour - warmest) / 12) * Math.PI);
    const { beamNormal, diffuse } = split;
    return month.onPane({
      at,
      global,
      beamNormal,
      diffuse,
      air,
      dewPoint: month.dewPoint ?? air,
      cloud,
      hour,
      wind: month.wind,
    });
  });
}

/** A day by what it is at a second, its sum on the pane once somebody asks. */
function onPane(at: WeatherDay['at']): WeatherDay {
  let sum: number | undefined;
  return {
    at,
    get insolation() {
      sum ??= overDay((second) => at(second).irradiance);
      return sum;
    },
  };
}
