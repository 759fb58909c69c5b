// Sun, clear sky, sun on a tilted pane, how cold the sky looks. Degrees, azimuth clockwise from true north, W/m².

export type { ClearSky } from './clear';
export { airMass, clearSky, clearSkyAt, extraterrestrial, solarConstant } from './clear';
export { clearSkyTemperature, dewPointOf, surroundingsTemperature, windAtPanelShare } from './night';
export type { PathPoint } from './path';
export { noonSun, solarNoon, sunPath } from './path';
export { splitGlobal } from './split';
export type { SunPosition, SunPositionQuery } from './sun';
export { airPressure, dayOfYear, hourAngle, incidenceAngle, sunCoordinates, sunPosition } from './sun';
export type { SkyModel, TiltedIrradiance, TiltedQuery } from './tilted';
export { tiltedIrradiance } from './tilted';
