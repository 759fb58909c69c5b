import { paneAngles, sunPosition } from '../../sky';
import type { ThermalModel } from '../../thermal';

/** Minutes between two looks at the sun. */
const every = 5;
/** Any year will do. */
const year = 2026;
/** Day of each month that stands for it. */
const day = 21;

/** A day of the year as a trough sees it. */
export interface TroughDay {
  /** 0 to 11. */
  month: number;
  /** Degrees from level at which the sun is square in the section at noon, facing the equator; undefined where the sun stays down. */
  best: number | undefined;
  /** Hours in which it takes up half or more of what it takes up square on, as it stands and at the best tilt. */
  hours: number;
  atBest: number;
}

/**
 * Useful hours of each month's 21st, the sky clear to a level horizon: those in which the beam that is taken up is at least half of that
 * square on.
 */
export function troughDays(
  acceptance: ThermalModel['acceptance'],
  stands: { tilt: number; latitude: number; aim: number },
): TroughDay[] {
  const square = acceptance.beam(0, 0);
  const equator = stands.latitude >= 0 ? 180 : 0;
  return Array.from({ length: 12 }, (_, month) => {
    const suns = Array.from({ length: (24 * 60) / every }, (__, step) =>
      sunPosition({
        at: new Date(Date.UTC(year, month, day, 0, step * every)),
        latitude: stands.latitude,
        longitude: 0,
      }),
    ).filter(({ zenith }) => zenith < 90);
    const highest = suns.reduce((least, { zenith }) => Math.min(least, zenith), 90);
    const hoursAt = (tilt: number, aim: number): number => {
      const useful = suns.filter(({ zenith, azimuth }) => {
        const { transversal, longitudinal } = paneAngles({ zenith, azimuth, tilt, aim });
        return (
          Math.abs(transversal) < 90 &&
          Math.abs(longitudinal) < 90 &&
          acceptance.beam(transversal, longitudinal) >= square / 2
        );
      });
      return (useful.length * every) / 60;
    };
    const best = suns.length > 0 ? Math.max(0, Math.min(90, highest)) : undefined;
    return {
      month,
      best,
      hours: hoursAt(stands.tilt, stands.aim),
      atBest: best === undefined ? 0 : hoursAt(best, equator),
    };
  });
}
