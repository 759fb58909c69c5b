import { acos, asin, atan2, cos, sin, tan, turn } from './angles';

export interface SunPosition {
  /** Degrees from straight up; over 90 below the horizon. */
  zenith: number;
  /** Degrees clockwise from true north. */
  azimuth: number;
}

export interface SunPositionQuery {
  at: Date;
  /** Degrees, north positive. */
  latitude: number;
  /** Degrees, east positive. */
  longitude: number;
  /** m above the sea; thins the air that bends the light. */
  elevation?: number;
  /** Bend the light as the air does (on by default). */
  refraction?: boolean;
}

const dayMilliseconds = 86_400_000;

/** Days since 2000-01-01 12:00. UTC stands for terrestrial time: the minute between them moves the sun 0.0007°. */
function daysSinceEpoch(at: Date): number {
  return at.getTime() / dayMilliseconds - 10957.5;
}

/** Apparent declination and right ascension of the sun, degrees. Meeus, Astronomical Algorithms (1998), chapter 25. */
export function sunCoordinates(at: Date): { declination: number; rightAscension: number } {
  const century = daysSinceEpoch(at) / 36525;
  const meanLongitude = 280.46646 + century * (36000.76983 + century * 0.0003032);
  const anomaly = 357.52911 + century * (35999.05029 - century * 0.0001537);
  const centre =
    (1.914602 - century * (0.004817 + century * 0.000014)) * sin(anomaly) +
    (0.019993 - century * 0.000101) * sin(2 * anomaly) +
    0.000289 * sin(3 * anomaly);
  const node = 125.04 - 1934.136 * century;
  const apparent = meanLongitude + centre - 0.00569 - 0.00478 * sin(node);
  const obliquity = 23.439291 - century * (0.0130042 + century * (1.64e-7 - century * 5.04e-7)) + 0.00256 * cos(node);
  return {
    declination: asin(sin(obliquity) * sin(apparent)),
    rightAscension: turn(atan2(cos(obliquity) * sin(apparent), cos(apparent))),
  };
}

/** Local hour angle of the sun, degrees, -180 to 180, positive in the afternoon. */
export function hourAngle(at: Date, longitude: number): number {
  return hourAngleOf(at, longitude, sunCoordinates(at).rightAscension);
}

function hourAngleOf(at: Date, longitude: number, rightAscension: number): number {
  const sidereal = 280.46061837 + 360.98564736629 * daysSinceEpoch(at);
  const angle = turn(sidereal + longitude - rightAscension);
  return angle > 180 ? angle - 360 : angle;
}

/**
 * Where the sun stands, to 0.01° between 1950 and 2050, at any latitude.
 * Meeus (1998) for the sun, Bennett's refraction (1982) as given there, air thinned with height.
 *
 * @example sunPosition({ at: new Date('2003-10-17T19:30:30Z'), latitude: 39.742476, longitude: -105.1786,
 *   elevation: 1830 }) // zenith 50.11, azimuth 194.34
 */
export function sunPosition(query: SunPositionQuery): SunPosition {
  const { declination, rightAscension } = sunCoordinates(query.at);
  const hour = hourAngleOf(query.at, query.longitude, rightAscension);
  const { latitude } = query;
  const geometric = asin(sin(latitude) * sin(declination) + cos(latitude) * cos(declination) * cos(hour));
  // Parallax: we stand on the earth and not at its middle.
  const height = geometric - 0.00244 * cos(geometric);
  const south = atan2(sin(hour), cos(hour) * sin(latitude) - tan(declination) * cos(latitude));
  const bend = (query.refraction ?? true) && height > -1 ? refraction(height, query.elevation ?? 0) : 0;
  return { zenith: 90 - height - bend, azimuth: turn(south + 180) };
}

/** Degrees that the air lifts the sun, for a true height in degrees. Saemundsson's form, as in Meeus chapter 16. */
function refraction(height: number, elevation: number): number {
  const pressure = airPressure(elevation) / 101325;
  return ((pressure * 1.02) / 60 / tan(height + 10.3 / (height + 5.11))) * (283 / 288);
}

/** Pa. Pressure of the standard atmosphere (ISO 2533) at a height in metres. */
export function airPressure(elevation: number): number {
  return 101325 * (1 - 2.25577e-5 * elevation) ** 5.25588;
}

/**
 * Degrees between the sun and the line square out of a pane. Over 90: the sun is behind it.
 * D&B equation 1.6.3, in zenith and azimuth.
 */
export function incidenceAngle(query: { zenith: number; azimuth: number; tilt: number; aim: number }): number {
  const { zenith, azimuth, tilt, aim } = query;
  return acos(cos(zenith) * cos(tilt) + sin(zenith) * sin(tilt) * cos(azimuth - aim));
}

/** Day of the year in UTC, 1 to 366. */
export function dayOfYear(at: Date): number {
  return Math.floor((at.getTime() - Date.UTC(at.getUTCFullYear(), 0, 1)) / dayMilliseconds) + 1;
}
