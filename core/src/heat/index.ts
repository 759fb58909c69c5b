// Heat in a panel: covers, losses, fin, bond, film, and the steady state that comes of them; what it does when it stands
// still, how warm each layer gets, and what a hand test says of it.

export type { CollectorDescription, HeatConditions, UncertainInput } from './description';
export { uncertainInputs } from './description';
export type { FieldQuery, PlateField } from './field';
export { plateField, plateMap, serpentineRemoval } from './field';
export type { Stirring } from './film';
export { slotFilm, tubeFilm } from './film';
export type { FinStep, TubeMount } from './fin';
export { efficiencyFactor, finEfficiency, finProfile, heatRemovalFactor, steppedFin } from './fin';
export type { Fluid, FluidState, Glycol } from './fluids';
export {
  airState,
  boilingPoint,
  fluidState,
  glycolFreezing,
  massFlowOf,
  steamPressure,
  volumeFlow,
} from './fluids';
export { bestGap, buildableGaps, topLossOverGaps } from './gap';
export type { BondReading, BondTest, PaneReading, PlateWeighing, TestBench } from './handTests';
export { bareEmittance, bondFromTest, paneFromTest, roomLoss, thicknessByWeight } from './handTests';
export type { PanelPlace } from './layers';
export { hottestDeviates, layerTemperatures, panelPlaces } from './layers';
export type { Cavities, LossCover, TopLoss, TopLossQuery } from './losses';
export { coverConductance, gapConvection, steaming, topFlux, topLoss, windCoefficient } from './losses';
export { NotConverged } from './notConverged';
export type { CoverOptics, CoverSheet } from './optics';
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
export type { CollectorState, EfficiencyLine } from './steady';
export { collectorState, efficiencyLine, leastFlow, stagnationTemperature } from './steady';
export type { Sunlit } from './sunlit';
export { litArea, openArea } from './sunlit';
export { freezingAir, timeToReach } from './transient';
export type { Deviates, Make } from './uncertain';
export { makes, modifiersOf, spreadsOf, steamLoss } from './uncertain';
