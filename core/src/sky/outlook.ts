import { zoneClock } from '../time';
import { clearSkyAt } from './clear';
import { type HorizonPoint, hidesSun, skylineOf } from './horizon';
import { cloudFromSun } from './night';
import { obstructedIrradiance, obstructionOf } from './obstructed';
import { splitGlobal } from './split';
import { dayOfYear, incidenceAngle, sunPosition } from './sun';

/** An hour of a forecast: means over it. */
export interface OutlookHour {
  /** ms. Beginning of the hour. */
  time: number;
  /** W/m² on the flat. */
  global: number;
  /** °C. */
  air: number;
  /** m/s at 10 m. */
  wind: number;
}

export interface OutlookDay {
  /** ms of midnight that begins it, by the site's clock. */
  day: number;
  /** Day of the month and month, 1 to 12, by the site's clock. */
  date: number;
  month: number;
  hours: { hour: number; onPane: number; fit: boolean }[];
  /** Hours by the site's clock between which a test could be run: sun above 700 W/m², within 30° of square, hardly a cloud. */
  window: { from: number; until: number } | undefined;
  verdict: 'good' | 'short' | 'poor';
  /** Why, in a sentence. */
  reason: string;
  /** J/m² on the pane. */
  sun: number;
  /** °C. */
  airLow: number;
  airHigh: number;
}

/** What a steady test needs of the sun: W/m² on the pane, degrees from square. In the manner of ISO 9806. */
export const steadySun = { least: 700, mostIncidence: 30 } as const;
/** Share of the clear sky's sun that an hour must have for its sun to be steady, and hours in a row for a test. Judgement. */
const clearEnough = 0.85;
const hoursForTest = 2;
const dayMilliseconds = 86_400_000;

/** Which of the days ahead would make a good test, with the hours for it. */
export function judgeOutlook(
  hours: readonly OutlookHour[],
  site: {
    latitude: number;
    longitude: number;
    elevation: number;
    zone: string;
    tilt: number;
    aim: number;
    albedo: number;
    horizon: readonly HorizonPoint[];
  },
): OutlookDay[] {
  const clock = zoneClock(site.zone);
  const skyline = skylineOf(site.horizon);
  const obstruction = obstructionOf(site, site);
  const days = new Map<number, OutlookHour[]>();
  for (const hour of hours) {
    const wall = hour.time + clock.offsetAt(hour.time);
    const day = Math.floor(wall / dayMilliseconds) * dayMilliseconds;
    days.set(day, [...(days.get(day) ?? []), hour]);
  }
  return [...days].map(([wallDay, list]) => {
    const judged = list.map((hour) => {
      const wall = hour.time + clock.offsetAt(hour.time);
      const at = new Date(hour.time + 1_800_000);
      const sun = sunPosition({ ...site, at });
      const day = dayOfYear(at);
      const hidden = hidesSun(skyline, sun.zenith, sun.azimuth);
      const parts = splitGlobal({ global: hour.global, zenith: sun.zenith, dayOfYear: day });
      const query = { ...site, ...sun, ...parts, global: hour.global, dayOfYear: day };
      const onPane = obstructedIrradiance(query, obstruction).total;
      const clear = clearSkyAt({ zenith: sun.zenith, elevation: site.elevation, day, turbidity: 3 }).global;
      const square = incidenceAngle({ ...sun, ...site }) <= steadySun.mostIncidence;
      const steady = clear > 0 && hour.global >= clearEnough * clear;
      return {
        hour: Math.floor((wall % dayMilliseconds) / 3_600_000),
        onPane,
        fit: !hidden && square && steady && onPane >= steadySun.least,
        square: square && !hidden,
        steady,
        cloud: cloudFromSun(hour.global, clear),
        lit: clear > 100,
      };
    });
    const window = longestRun(judged);
    const length = window ? window.until - window.from : 0;
    const verdict = length >= hoursForTest ? 'good' : length > 0 ? 'short' : 'poor';
    const when = new Date(wallDay);
    return {
      day: wallDay - clock.offsetAt(wallDay),
      date: when.getUTCDate(),
      month: when.getUTCMonth() + 1,
      hours: judged.map(({ hour, onPane, fit }) => ({ hour, onPane, fit })),
      window,
      verdict,
      reason: reasonFor(judged, window, verdict),
      sun: judged.reduce((sum, hour) => sum + hour.onPane * 3600, 0),
      airLow: Math.min(...list.map((hour) => hour.air)),
      airHigh: Math.max(...list.map((hour) => hour.air)),
    };
  });
}

interface Judged {
  hour: number;
  onPane: number;
  fit: boolean;
  square: boolean;
  steady: boolean;
  cloud: number;
  lit: boolean;
}

function longestRun(judged: readonly Judged[]): OutlookDay['window'] {
  let best: { from: number; until: number } | undefined;
  let from: number | undefined;
  for (const hour of judged) {
    if (!hour.fit) {
      from = undefined;
      continue;
    }
    from ??= hour.hour;
    if (!best || hour.hour + 1 - from > best.until - best.from) best = { from, until: hour.hour + 1 };
  }
  return best;
}

function reasonFor(judged: readonly Judged[], window: OutlookDay['window'], verdict: OutlookDay['verdict']): string {
  if (window && verdict === 'good')
    return `Clear and square enough from ${window.from}:00 to ${window.until}:00 for a steady test.`;
  if (window) return `Only from ${window.from}:00 to ${window.until}:00; a test wants two hours in a row.`;
  const lit = judged.filter((hour) => hour.lit);
  if (lit.length === 0) return 'The sun hardly rises.';
  const square = lit.filter((hour) => hour.square);
  if (square.length === 0) return 'The sun never comes within 30° of square to this pane.';
  if (!square.some((hour) => hour.steady)) {
    const cloud = square.reduce((sum, hour) => sum + hour.cloud, 0) / square.length;
    return `Clouds over ${Math.round(cloud * 10)} tenths of the sky when the sun is square to the pane: it will not hold still.`;
  }
  return 'Less than 700 W/m² on the pane when it is square to the sun.';
}
