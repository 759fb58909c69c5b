// Holding the forecast against what was measured: readings, prediction, steadiness, verdict.
export { compareReadings, verdictOf } from './compare';
export type { Comparison, Judgement, Verdict } from './compare';
export { clearOnPane, predict, readingConditions } from './predict';
export type { Plant, Prediction } from './predict';
export {
  type ColumnName,
  columnKinds,
  columnNames,
  mappingSchema,
  previewFile,
  proposeMapping,
  readReadings,
  readTime,
} from './readFile';
export type { ReadFile, ReadingMapping } from './readFile';
export { flowMeters, sensorErrors, sensorsSchema, skyShares, skyWords, sunMeters, thermometers } from './reading';
export type { Reading, SensorErrors, Sensors, SkyWord } from './reading';
export { steadyReadings } from './steady';
export type { SteadyInput } from './steady';
export { sayVerdict } from './words';
