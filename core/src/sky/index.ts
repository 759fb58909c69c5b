// Sun, clear sky, sun on a tilted pane, how cold the sky looks, the skyline, the needle; weather and how a pane may stand
// in it. Degrees, azimuth clockwise from true north, W/m².

export type { ClearSky } from './clear';
export { airMass, clearSky, clearSkyAt, extraterrestrial, solarConstant } from './clear';
export { hourMarks, paneEdge, type YearPath, yearPaths } from './dome';
export { exposures, grounds } from './grounds';
export type { HorizonPoint, ParsedHorizon, Skyline } from './horizon';
export {
  hiddenHours,
  hiddenSky,
  hidesSun,
  horizonAt,
  parseHorizon,
  skylineOf,
  withHorizonPoint,
  writeHorizon,
} from './horizon';
export type { MagneticDeclination } from './magnetic';
export { compassBearing, magneticDeclination } from './magnetic';
export type { MeasuredMains } from './mains';
export { mainsTemperature, midMonthDays, yearlyWave } from './mains';
export {
  clearSkyTemperature,
  cloudFromSun,
  dewPointOf,
  skyTemperature,
  surroundingsTemperature,
  windAtPanel,
  windAtPanelShare,
} from './night';
export { type Obstruction, obstructedIrradiance, obstructionOf } from './obstructed';
export type { OutlookDay, OutlookHour } from './outlook';
export { judgeOutlook, steadySun } from './outlook';
export { paneAngles } from './paneAngles';
export type { PathPoint } from './path';
export { noonSun, solarNoon, sunPath } from './path';
export type { FrontRow } from './rows';
export { clearSpacing, rowShade } from './rows';
export { splitGlobal } from './split';
export * from './standing';
export type { SunPosition, SunPositionQuery } from './sun';
export { airPressure, dayOfYear, hourAngle, incidenceAngle, sunCoordinates, sunPosition } from './sun';
export type { SkyModel, TiltedIrradiance, TiltedQuery } from './tilted';
export { tiltedIrradiance } from './tilted';
export type { SunTimes } from './times';
export { equationOfTime, solarTime, sunTimes } from './times';
export * from './weather';
