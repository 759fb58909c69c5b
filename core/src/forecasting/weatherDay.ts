import type { Job } from '../document';
import { tiltOf } from '../job';
import { jobMonths } from '../site';
import {
  airPressure,
  clearSky,
  dayOfYear,
  incidenceAngle,
  paneAngles,
  skyTemperature,
  splitGlobal,
  sunPosition,
  surroundingsTemperature,
  tiltedIrradiance,
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
/** K by which the air swings to either side of its mean, on a bad day and on a clear one. */
export const airSwing = { bad: days.bad.swing, clear: days.clear.swing } as const;
/** h of the day at which the air is warmest. */
const warmest = 15;
/** A year without a leap day stands for all. */
const year = 2027;

/** Weather of one day of a job's place, by seconds from its midnight. */
export interface WeatherDay {
  /** What a heater meets at a second, the lid open. */
  at(second: number): Boundary;
  /** J/m² on the pane over the day. */
  insolation: number;
}

/** The fifteenth of a month (0 to 11) at the job's place: sun by the clear sky and the month's mean, air by the month's mean and a daily wave. */
export function weatherDay(job: Job, query: { month: number; kind: DayKind }): WeatherDay {
  const { site } = job;
  const { latitude, longitude, elevation, exposure } = site;
  const months = jobMonths(site);
  const { ofMean, swing, cloud } = days[query.kind];
  const noon = Date.UTC(year, query.month, 15, 12);
  const midnight = Date.UTC(year, query.month, 15) - zoneClock(site.zone).offsetAt(noon);
  const tilt = tiltOf(job);
  const { aim } = site.standing;
  const clearAt = (second: number) => {
    const at = new Date(midnight + second * 1000);
    return {
      at,
      sun: sunPosition({ at, latitude, longitude, elevation }),
      sky: clearSky({ at, latitude, longitude, elevation }),
    };
  };
  let sum = 0;
  for (let second = 300; second < 86_400; second += 600) sum += clearAt(second).sky.global * 600;
  const mean = (months.global[query.month] ?? 0) * 86_400;
  const share = ofMean === undefined || sum <= 0 ? 1 : Math.min(1, (ofMean * mean) / sum);
  const wind = windAtPanel(months.wind[query.month] ?? 3, exposure.windShare).likely;
  const meanAir = months.air[query.month] ?? 10;
  const at = (second: number): Boundary => {
    const { at: moment, sun, sky } = clearAt(second);
    const global = sky.global * share;
    const day = dayOfYear(moment);
    const split = share < 1 ? splitGlobal({ global, zenith: sun.zenith, dayOfYear: day }) : sky;
    const pane = tiltedIrradiance({
      model: 'perez',
      beamNormal: split.beamNormal,
      diffuse: split.diffuse,
      global,
      ...sun,
      tilt,
      aim,
      dayOfYear: day,
      albedo: exposure.albedo,
    });
    const hour = second / 3600;
    const air = meanAir + swing * Math.cos(((hour - warmest) / 12) * Math.PI);
    const looks = skyTemperature({
      air,
      dewPoint: Math.min(air, months.dewPoint[query.month] ?? air),
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
      wind,
      inlet: air,
      massFlow: 0,
      tilt,
    };
  };
  let insolation = 0;
  for (let second = 300; second < 86_400; second += 600) insolation += at(second).irradiance * 600;
  return { at, insolation };
}
