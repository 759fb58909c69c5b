// Heat in a panel: covers, losses, fin, bond, film, and the steady state that comes of them.

export type {
  CollectorDescription,
  CollectorState,
  Deviates,
  EfficiencyLine,
  HeatConditions,
  UncertainInput,
} from './collector';
export { collectorState, efficiencyLine, stagnationTemperature, uncertainInputs } from './collector';
export { tubeFilm } from './film';
export { efficiencyFactor, finEfficiency, heatRemovalFactor } from './fin';
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
export type { LossCover, TopLoss, TopLossQuery } from './losses';
export { gapConvection, topFlux, topLoss, windCoefficient } from './losses';
export { NotConverged } from './notConverged';
export type { CoverOptics, CoverSheet } from './optics';
export { absorptanceAtAngle, coverOptics, diffuseIncidence, sheetsFor, transmittanceAbsorptance } from './optics';
export { valueAt } from './spread';
