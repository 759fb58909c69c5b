// Holding the forecast against what was measured: readings, prediction, steadiness, verdict.
export { parseFlow } from './bucket';
export type { Compared, Comparison, Judgement, StandingPlant, Verdict } from './compare';
export { compareReadings, verdictOf } from './compare';
export { doubtWords, readingDoubts } from './doubts';
export { driftOf, plantCapacity } from './drift';
export type { Effects } from './effects';
export type { FaultInput, HiddenFault } from './hiding';
export type { Plant, Prediction } from './predict';
export { clearOnPane, predict, predictorOf, readingConditions } from './predict';
export type { ReadFile, ReadingMapping } from './readFile';
export {
  type ColumnName,
  columnKinds,
  columnNames,
  mappingSchema,
  proposeMapping,
  readingEra,
  readReadings,
} from './readFile';
export type { Reading, SensorErrors, Sensors, SkyWord, WindWord } from './reading';
export {
  flowMeters,
  sensorErrors,
  sensorsSchema,
  skyShares,
  skyWords,
  sunMeters,
  thermometers,
  windWords,
} from './reading';
export type { SteadyInput } from './steady';
export { steadyReadings } from './steady';
export { sayVerdict } from './words';
