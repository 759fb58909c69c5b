import { type Job, mainTilt } from '../document';
import { jobMonths, jobObstruction } from '../site';
import {
  airPressure,
  clearSky,
  dayOfYear,
  incidenceAngle,
  obstructedIrradiance,
  paneAngles,
  skyTemperature,
  splitGlobal,
  sunPosition,
  surroundingsTemperature,
  windAtPanel,
} from '../sky';
import type { Boundary } from '../thermal';
import { zoneClock } from '../time';

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
/** Share of a month's days that are clear or bad through and through; the others are hazy alike. Fitted to the sun on panes of made-up years by the hour. */
const throughAndThrough = 0.4;
/** A year without a leap day stands for all. */
const year = 2027;

/** Weather of one day of a job's place, by seconds from its midnight. */
export interface WeatherDay {
  /** What a heater meets at a second, the lid open. */
  at(second: number): Boundary;
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
    /** What stands between the pane and its sky. */
    obstruction: jobObstruction(job),
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
  return dayOf(job, monthOf(job, query.month), query.kind);
}

/** Share of a clear day's sun that a kind of day has. */
function clearness({ clearSum, mean }: Month, kind: DayKind): number {
  const { ofMean } = days[kind];
  return ofMean === undefined || clearSum <= 0 ? 1 : Math.min(1, (ofMean * mean) / clearSum);
}

function dayOf({ site }: Job, month: Month, kind: DayKind): WeatherDay {
  const { elevation, exposure } = site;
  const { swing, cloud } = days[kind];
  const { tilt } = mainTilt(site);
  const { aim } = site.standing;
  const share = clearness(month, kind);
  const at = (second: number): Boundary => {
    const { at: moment, sun, sky } = month.clearAt(second);
    const global = sky.global * share;
    const day = dayOfYear(moment);
    const split = share < 1 ? splitGlobal({ global, zenith: sun.zenith, dayOfYear: day }) : sky;
    const pane = obstructedIrradiance(
      {
        beamNormal: split.beamNormal,
        diffuse: split.diffuse,
        global,
        ...sun,
        tilt,
        aim,
        dayOfYear: day,
        albedo: exposure.albedo,
      },
      month.obstruction,
    );
    const hour = second / 3600;
    const air = month.air + swing * Math.cos(((hour - warmest) / 12) * Math.PI);
    const looks = skyTemperature({
      air,
      dewPoint: Math.min(air, month.dewPoint ?? air),
      cloud,
      hour,
      pressure: airPressure(elevation),
    });
    const total = Math.max(0, pane.total);
    const diffuse = Math.max(1e-9, total - pane.beam);
    return {
      irradiance: total,
      beamShare: total > 0 ? Math.min(1, Math.max(0, pane.beam / total)) : 0,
      groundShare: Math.min(1, Math.max(0, pane.ground / diffuse)),
      incidence: Math.min(89, incidenceAngle({ ...sun, tilt, aim })),
      angles: paneAngles({ ...sun, tilt, aim }),
      air,
      surroundings: surroundingsTemperature({ sky: looks, air, tilt }),
      wind: month.wind,
      inlet: air,
      massFlow: 0,
      tilt,
    };
  };
  return onPane(at);
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

/**
 * A day that stands for all of a month (0 to 11): hazy ones, and clear and bad ones, so many of each that the flat has the month's mean. A tilted
 * pane has more of them than of hazy days alone, since beam comes with the clear ones.
 */
export function mixedDay(job: Job, month: number): WeatherDay {
  const one = monthOf(job, month);
  const kinds = dayKinds.map((kind) => ({ day: dayOf(job, one, kind), flat: clearness(one, kind) }));
  const [clear, , bad] = kinds;
  const asked = clearness(one, 'average');
  const apart = (clear?.flat ?? 1) - (bad?.flat ?? 0);
  const ofClear = apart > 0 ? Math.min(1, Math.max(0, (asked - (bad?.flat ?? 0)) / apart)) : 1;
  const weights = [throughAndThrough * ofClear, 1 - throughAndThrough, throughAndThrough * (1 - ofClear)];
  return onPane((second) => {
    const parts = kinds.map(({ day }, index) => ({ weight: weights[index] ?? 0, of: day.at(second) }));
    const sum = (value: (of: Boundary) => number) =>
      parts.reduce((total, { weight, of }) => total + weight * value(of), 0);
    const irradiance = sum((of) => of.irradiance);
    const beam = sum((of) => of.irradiance * of.beamShare);
    const ground = sum((of) => of.irradiance * (1 - of.beamShare) * of.groundShare);
    const diffuse = irradiance - beam;
    const [first] = parts;
    if (!first) throw new RangeError('a month has days');
    return {
      ...first.of,
      irradiance,
      beamShare: irradiance > 0 ? Math.min(1, beam / irradiance) : 0,
      groundShare: diffuse > 1e-9 ? Math.min(1, ground / diffuse) : 0,
      air: sum((of) => of.air),
      inlet: sum((of) => of.inlet),
      surroundings: sum((of) => of.surroundings),
    };
  });
}
