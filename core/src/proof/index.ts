// Holding the forecast against what was measured: readings, prediction, steadiness, verdict.
export { parseFlow } from './bucket';
export type { Compared } from './compare';
export { compareReadings } from './compare';
export type { Comparison, Verdict } from './comparison';
export { doubtWords, readingDoubts } from './doubts';
export type { DrawTest } from './draws';
export type { Plant } from './predict';
export { clearOnPane, predict, readingConditions } from './predict';
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
export type { Reading, Sensors, WindWord } from './reading';
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
export { steadyReadings } from './steady';
export { isStore } from './warmUp';
export { sayLeft, sayVerdict } from './words';
