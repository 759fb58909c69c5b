// Heat in a panel: covers, losses, fin, bond, film, and the steady state that comes of them; what it does when it stands
// still, how warm each layer gets, and what a hand test says of it.

export type { CollectorDescription, HeatConditions, UncertainInput } from './description';
export { uncertainInputs } from './description';
export type { FieldQuery } from './field';
export { plateField, plateMap, serpentineRemoval } from './field';
export { slotFilm, tubeFilm } from './film';
export type { FinStep } from './fin';
export { efficiencyFactor, finEfficiency, finProfile, heatRemovalFactor, steppedFin } from './fin';
export type { Fluid } from './fluids';
export { airState, boilingPoint, fluidState, glycolFreezing, massFlowOf, steamPressure, volumeFlow } from './fluids';
export { bestGap, topLossOverGaps } from './gap';
export type { BondReading, PaneReading, PlateWeighing, TestBench } from './handTests';
export {
  bareEmittance,
  bondFromTest,
  kitchenScaleStep,
  paneFromTest,
  probeRepeatability,
  roomLoss,
  thicknessByWeight,
} from './handTests';
export type { PanelPlace } from './layers';
export { hottestDeviates, layerTemperatures, panelPlaces } from './layers';
export { coverConductance, gapConvection, steaming, topFlux, topLoss, windCoefficient } from './losses';
export { NotConverged } from './notConverged';
export {
  absorptanceAtAngle,
  coverOptics,
  diffuseIncidence,
  incidenceModifier,
  sheetsFor,
  transmittanceAbsorptance,
} from './optics';
export type { PlateAtWork } from './plateAt';
export { plateAtWork } from './plateAt';
export { risingRoot } from './root';
export { type Effect, momentsOf, ninetyDeviate, valueAt } from './spread';
export type { ThermalStack } from './stack';
export { stackConductance, stackFaces } from './stack';
export type { CollectorState } from './steady';
export { collectorState, efficiencyLine, stagnationTemperature } from './steady';
export type { Sunlit } from './sunlit';
export { litArea, openArea } from './sunlit';
export { freezingAir, timeToReach } from './transient';
export type { Deviates, Workmanship } from './uncertain';
export { modifiersOf, spreadsOf, steamLoss, workmanships } from './uncertain';
