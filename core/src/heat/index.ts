// Heat in a panel: covers, losses, fin, bond, film, and the steady state that comes of them.
export { collectorState, efficiencyLine, stagnationTemperature, sunSpread, uncertainInputs } from './collector';
export type {
  CollectorDescription,
  CollectorState,
  Deviates,
  EfficiencyLine,
  HeatConditions,
  UncertainInput,
} from './collector';
export { tubeFilm } from './film';
export { efficiencyFactor, finEfficiency, heatRemovalFactor } from './fin';
export { airState, fluidState, massFlowOf, volumeFlow } from './fluids';
export type { Fluid, FluidState } from './fluids';
export { gapConvection, topFlux, topLoss, windCoefficient } from './losses';
export type { LossCover, TopLoss, TopLossQuery } from './losses';
export { NotConverged } from './notConverged';
export { absorptanceAtAngle, coverOptics, diffuseIncidence, sheetsFor, transmittanceAbsorptance } from './optics';
export type { CoverOptics, CoverSheet } from './optics';
export { normals, valueAt } from './spread';
