// The front door of core: everything that is computed, and the words for it. No interface, no network, no files.

export type { Finding, Severity, Wording } from './care';
export { mendsOf } from './care';
export type { CatalogueKind, FieldMeta, Range, Saw } from './catalogue';
export { bore, entries, entry, entryName, findEntry, hottestStart, insteadOf, loopPipes, saws } from './catalogue';
export type {
  Dimension,
  Drawing,
  Edit,
  Extent,
  Label,
  Layer,
  LetterSet,
  PaperFonts,
  PaperSize,
  Point,
  Shape,
  SvgOptions,
} from './draw';
export { dimensionLine, direction, extent, letterSetsOf, paperSizes, tiles, writeDxf, writeSvg } from './draw';
export type { Chosen, Family, FamilyId, Field, PanelDesign, PanelDocument, View, WaterDescription } from './families';
export { type ChangedKind, changeKind, families, fieldsOf, standardChoice, views } from './families';
export { manifoldFlow, pressureDrop } from './flow';
export type {
  BondReading,
  CollectorDescription,
  CollectorState,
  Fluid,
  HeatConditions,
  Make,
  PaneReading,
  PlateAtWork,
  PlateWeighing,
  TestBench,
  UncertainInput,
} from './heat';
export {
  coverOptics,
  efficiencyFactor,
  efficiencyLine,
  finEfficiency,
  fluidState,
  heatRemovalFactor,
  makes,
  massFlowOf,
  plateAtWork,
  stagnationTemperature,
  topLoss,
  tubeFilm,
  volumeFlow,
} from './heat';
export * from './job';
export { panelsState, totalAperture } from './loop';
export { mounts } from './mounts';
export { inOrder, isStepId, type Step } from './plan';
export * from './proof';
export * from './quantity';
export type {
  Bar,
  BuyLine,
  HoleSchedule,
  LengthMaterial,
  LengthPlan,
  Lock,
  Mate,
  MaterialPlan,
  Misfit,
  OnHand,
  Part,
  Purchase,
  SheetCut,
  SheetMaterial,
  SheetPlan,
  ShopPlan,
  Sold,
  Solver,
  Template,
} from './shop';
export {
  cutOrder,
  cutTolerance,
  diagonalOf,
  faceOf,
  gangs,
  gapOf,
  holeReach,
  isProved,
  keptOffcuts,
  kerfOf,
  layoutDrawing,
  layoutDrawings,
  leftOut,
  loadSolver,
  matesOf,
  mateWords,
  planLengths,
  planSheets,
  proofKey,
  proveMaterial,
  ripLines,
  rowDistances,
  sheetOffcuts,
  stuffOf,
  sumShop,
  wasteShare,
  workWords,
  writeCsv,
} from './shop';
export * from './sky';
