import { atan2, cos, sin, turn } from './angles';
import { hourAngle, type SunPosition, sunCoordinates, sunPosition } from './sun';

export interface PathPoint extends SunPosition {
  at: Date;
}

/** The moment of solar noon nearest to a moment. */
export function solarNoon(near: Date, longitude: number): Date {
  let at = near;
  // Twice: the equation of time moves a few seconds over the first correction.
  for (let pass = 0; pass < 2; pass += 1) at = new Date(at.getTime() - (hourAngle(at, longitude) / 15) * 3_600_000);
  return at;
}

/** Where the sun stands through the solar day about a moment, `minutes` apart, only while it is up. */
export function sunPath(query: {
  near: Date;
  latitude: number;
  longitude: number;
  elevation?: number;
  minutes?: number;
}): PathPoint[] {
  const step = (query.minutes ?? 10) * 60_000;
  const noon = solarNoon(query.near, query.longitude).getTime();
  const points: PathPoint[] = [];
  const half = Math.floor(43_200_000 / step);
  for (let index = -half; index <= half; index += 1) {
    const at = new Date(noon + index * step);
    const position = sunPosition({ ...query, at });
    if (position.zenith <= 90) points.push({ at, ...position });
  }
  return points;
}

/** Sun height at solar noon for a day's declination, and the side of the sky it stands on. Degrees. */
export function noonSun(near: Date, latitude: number, longitude: number): { height: number; azimuth: number } {
  const { declination } = sunCoordinates(solarNoon(near, longitude));
  const up = sin(latitude) * sin(declination) + cos(latitude) * cos(declination);
  const north = cos(latitude) * sin(declination) - sin(latitude) * cos(declination);
  return { height: atan2(up, Math.abs(north)), azimuth: turn(north >= 0 ? 0 : 180) };
}
