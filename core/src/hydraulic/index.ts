// Pressure and flow in a heater: the contract that every kind keeps, a model for each way that water goes, and what they share: friction,
// fittings, and how a header shares its water among the risers.
export type { HydraulicModel, WaterAt, WaterState } from './contract';
export { openFilmModel } from './filmModel';
export type { Fitting } from './fittings';
export { coilFriction, coilOnset, fittingLoss, fittings } from './fittings';
export { frictionFactor, pressureDrop } from './friction';
export type { HeaderEvenness } from './headers';
export { evenEnough, headersCompared, narrowestEven, unevenness } from './headers';
export type { ManifoldQuery } from './manifold';
export { copperRoughness, manifoldFlow } from './manifold';
export { type ManifoldDescription, type ManifoldModel, manifoldModel } from './manifoldModel';
export { type SerialModel, serialModel } from './serialModel';
export { seriesDrop, slotDrop } from './series';
export { slotModel } from './slotModel';
export { type SpiralDescription, spiralDrop, spiralModel } from './spiralModel';
