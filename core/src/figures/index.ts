// What a job does: figures with their bands and derivations, curves, still panels, and everything worked out at once.

export { type Assessment, assess, type DeepSection, deepSections, heaterSections, sectionOf } from './assess';
export {
  type BothBands,
  bandsOverFlow,
  bandsOverInlet,
  bothBands,
  efficiencyCurve,
  flowReach,
  inletAt,
  reducedTemperature,
  riseReach,
} from './bandCurves';
export { type Band, type Bands, evaluateBands, heaterBand } from './bands';
export { characteristicTables, heaterCharacteristic, referenceOf } from './characteristic';
export {
  evaluateJob,
  evaluateOpen,
  evaluateWithCost,
  type Figures,
  figureChange,
  type HeaterFigures,
  workOf,
} from './evaluate';
export {
  comparedFlows,
  curveSlope,
  type FlowArgument,
  type FlowPoint,
  flowArgument,
  specificFlowFor,
} from './flowArgument';
export { blankSummary, type JobSummary, jobSummary } from './jobSummary';
export { keyFigures, type Vital } from './keyFigures';
export { type MarkWorth, marksWorth } from './marks';
export { bandOf, heaterDerivations, heaterReadouts } from './readouts';
export { type StillFigures, stillFigures } from './still';
export { type UncertainRow, uncertainRows } from './uncertainty';
export { jobWeights } from './weights';
export { type WorkedOut, withSameParts, workOut } from './workOut';
