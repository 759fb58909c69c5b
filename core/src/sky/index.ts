// Sun, clear sky, sun on a tilted pane, how cold the sky looks. Degrees, azimuth clockwise from true north, W/m².
export { airMass, clearSky, clearSkyAt, extraterrestrial, solarConstant } from './clear';
export type { ClearSky } from './clear';
export { clearSkyTemperature, dewPointOf, surroundingsTemperature, windAtPanelShare } from './night';
export { noonSun, solarNoon, sunPath } from './path';
export type { PathPoint } from './path';
export { splitGlobal } from './split';
export { airPressure, dayOfYear, hourAngle, incidenceAngle, sunCoordinates, sunPosition } from './sun';
export type { SunPosition, SunPositionQuery } from './sun';
export { tiltedIrradiance } from './tilted';
export type { SkyModel, TiltedIrradiance, TiltedQuery } from './tilted';
