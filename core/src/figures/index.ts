// What a job does: figures with their bands and derivations, curves, still panels, and everything worked out at once.

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
export { type Derivation, type Derivations, type DerivedFigure, panelDerivations } from './derivations';
export {
  evaluateBands,
  evaluateJob,
  evaluateOpen,
  type Figures,
  figureChange,
  type PanelFigures,
  panelBand,
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
export { type GapAdvice, gapAdvice } from './gap';
export { type JobSummary, jobSummary } from './jobSummary';
export { type MarkWorth, marksWorth } from './marks';
export { type StillFigures, stillDerivations, stillFigures } from './still';
export { type UncertainRow, uncertainRows, uncertainWords } from './uncertainty';
export { type WaterCheck, waterCheck } from './waterCheck';
export { jobWeights } from './weights';
export { type WorkedOut, withSameParts, workOut } from './workOut';
