// The job document: its schema and versions, and everything that is worked out from it.

export { asBuilt } from './asBuilt';
export { loopBoils } from './boiling';
export type { Change, Conflict } from './changes';
export { changesBetween, mergeChanges, pathSteps, same, valueAtPath, withValueAt } from './changes';
export type { Conditions } from './conditions';
export {
  designConditions,
  designFlow,
  heatConditions,
  nightConditions,
  stagnationConditions,
  tiltOf,
} from './conditions';
export { type Cooking, jobCooking, placeWords } from './cooking';
export { cutDecisions, type JobShop, jobShop } from './cutList';
export { type CutMiss, cutMiss, isSlip, type MissFit } from './cutMiss';
export {
  type FieldChanges,
  keepOf,
  lockBar,
  lockMiscut,
  lockSheet,
  type Moved,
  movePiece,
  putOnShelf,
  recountShelf,
  releaseMaterial,
  unlock,
} from './cutting';
export { type Beginning, beginJob, defaultJob, familyIds } from './defaults';
export { type Editable, editableDimensions, fieldValue, withDimension } from './dimension';
export type { Band, BandedFigure, Bands, Figures, PanelFigures, WorkFigures } from './evaluate';
export { evaluateBands, evaluateJob, evaluateOpen, panelBand, workOf } from './evaluate';
export { allWords, jobFindings, sayFinding } from './findings';
export { curveSlope, type FlowArgument, type FlowPoint, flowArgument, specificFlowFor } from './flowArgument';
export { type GapAdvice, gapAdvice } from './gap';
export { guideForUnpriced } from './guide';
export {
  bondTest,
  type Found,
  foundOf,
  paneTest,
  plateTest,
  withFound,
  withMeasured,
  withoutFound,
} from './handTests';
export { jobParts } from './jobParts';
export { type LookItem, lastLook } from './lastLook';
export { type AmountUnit, buyAmount, buyListCsv, buySize, buyUnit, cutListCsv } from './listsCsv';
export { type MadeFigure, type Making, type Makings, panelMakings } from './makings';
export { type MarkWorth, marksWorth } from './marks';
export { mountOf, sideOf, usualGust, windOf } from './mount';
export type { OpenJob } from './open';
export { openJob } from './open';
export { jobTemplates, type PaperKind, type PrintContext, paperKinds, printDrawing, printJob } from './papers';
export type { ParsedJob } from './parse';
export { parseJob } from './parse';
export {
  isPlaced,
  jobAround,
  jobMonths,
  jobPaneSun,
  jobSky,
  jobStanding,
  jobStudy,
  namePlace,
  type PaneSun,
  type SkySource,
  siteMakings,
  skySourceOf,
} from './place';
export { type BuiltJob, compareBuilt, compareJob, jobDoubts, plantOf } from './prove';
export { type Refit, refitDimension, sayBound, sayRefit } from './refit';
export { sayChanges } from './sayChanges';
export type { Job } from './schema';
export { jobFormat, jobJsonSchema, jobSchema, jobVersion, leastSpecificFlow } from './schema';
export { jobSteps, jobTools, sayStep } from './steps';
export { type StillFigures, stillFigures, stillMakings } from './still';
export { type StockFit, shrinkToSave, stretchToStock, sweepTogether } from './stockFits';
export { sayFit, sayPoint, sayPointFully } from './stockWords';
export { type Substitute, substitutes } from './substitute';
export { candidates, type Sweep, type SweepOptions, sweepDimension, type Waste } from './sweep';
export { type UncertainRow, uncertainRows, uncertainWords } from './uncertainty';
export { provedShop, type StockChange, type WasteFreePoint, wasteFreePoints } from './wasteFree';
export { type WaterCheck, waterCheck } from './waterCheck';
export { jobWeights, type Weights } from './weights';
export { type WorkedOut, withSameParts, workOut } from './workOut';
