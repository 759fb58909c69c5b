// Heat in a heater: the contract that every kind keeps, a model for each way of gathering heat (a folder each), and what they share: fluids,
// covers, losses, films, fins.

export {
  characteristicHeat,
  fitFlowThrough,
  heatByInlet,
  leastJudged,
  residualOf,
  workingRange,
} from './characteristic';
export { coilModel, wallResistance } from './coil/coilModel';
export type { CoilDescription } from './coil/description';
export {
  bodyTemperature,
  type HeatPath,
  isFlowing,
  leastFlow,
  type OperatingConditions,
  type Place,
  type StandardNormals,
  spreadOf,
  stagnationTemperature,
  type ThermalModel,
  type ThermalState,
  type UncertainInput,
  type Workmanship,
  workmanships,
  worstBeam,
} from './contract';
export { slotFilm, tubeFilm } from './convection';
export { coverConductance, gapConvection, steaming } from './coverGap';
export {
  airOnCylinder,
  annulus,
  annulusAir,
  annulusExchange,
  cylinderLoss,
  openCylinder,
  stillOnCylinder,
  windOnCylinder,
} from './cylinder';
export type { FilmDescription } from './film/description';
export { filmModel } from './film/filmModel';
export type { FinStep } from './fin';
export { efficiencyFactor, finEfficiency, finProfile, heatRemovalFactor, steppedFin } from './fin';
export { temperaturesAlong } from './flat/along';
export type { FlatDescription } from './flat/description';
export type { FlatModel } from './flat/flatModel';
export type { GapAdvice } from './flat/gap';
export type { Fluid } from './fluids';
export { airState, boilingPoint, fluidState, glycolFreezing, massFlowOf, steamPressure, volumeFlow } from './fluids';
export type { HandTest, Settled, TestBench } from './handTests';
export type { HeatPipeDescription } from './heatPipe/description';
export { type HeatPipeModel, heatPipeModel } from './heatPipe/heatPipeModel';
export { dryOutTemperature, floodingLimit, latentHeat, steamDensity } from './heatPipe/limits';
export { sleevedOptics, wallTables } from './heatPipe/sleeve';
export {
  type Characteristic,
  type FlowThrough,
  modifierAt,
  productShortfall,
  type Reference,
  type Storage,
} from './laboratory';
export { topFlux, topLoss, windCoefficient } from './losses';
export { NotConverged } from './notConverged';
export {
  absorptanceAtAngle,
  coverOptics,
  diffuseIncidence,
  incidenceModifier,
  sheetsFor,
  transmittanceAbsorptance,
} from './optics';
export { type PipeStoreDescription, type PipeStoreModel, pipeStoreModel } from './pipeStore/pipeStoreModel';
export type { PlateDescription, PlateStrip } from './plate/description';
export type { FieldQuery } from './plate/field';
export { plateField, plateMap, serpentineRemoval } from './plate/field';
export type { PlateAtWork } from './plate/plateAt';
export { plateAtWork } from './plate/plateAt';
export { type PlateModel, plateModel } from './plate/plateModel';
export { hottestNormals } from './reliability';
export { risingRoot } from './root';
export { type RoundTubes, tubesLit, tubesLitRound } from './roundTubes';
export type { SheetDescription } from './sheet/description';
export { sheetModel } from './sheet/sheetModel';
export { type Effect, momentsOf, ninetyDeviate, valueAt } from './spread';
export type { ThermalStack } from './stack';
export { stackConductance, stackFaces } from './stack';
export { afterExposure, freezingAir, timeToReach } from './still';
export { type StoreDescription, underLid } from './store/description';
export { beamAt, keptBy, storageHeat, storageResidual } from './store/fitStorage';
export { type Mirror, type Mirrored, mirrored } from './store/mirror';
export { mirrorSpread, type StoreModel, storeModel } from './store/storeModel';
export type { Sunlit } from './sunlit';
export { litArea, openArea } from './sunlit';
export { bestHeight, halfAngle, type MirrorQuality, sectionOptics, troughAcceptance } from './trough/acceptance';
export { filmReflectance, filmSlope, troughShelter } from './trough/build';
export type { TroughDescription, TroughSection } from './trough/description';
export { caughtAt, type InSection, openingWidth, rimHeight, traceRay } from './trough/trace';
export { type TroughModel, troughModel } from './trough/troughModel';
