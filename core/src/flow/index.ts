// Pressure and flow: friction in tubes, and how a header shares its water among the risers.
export type { Fitting } from './fittings';
export { coilFriction, coilOnset, fittingLoss, fittings } from './fittings';
export { frictionFactor, pressureDrop } from './friction';
export type { HeaderEvenness } from './headers';
export { evenEnough, headersCompared, narrowestEven, unevenness } from './headers';
export type { ManifoldQuery } from './manifold';
export { copperRoughness, manifoldFlow } from './manifold';
export { seriesDrop, slotDrop } from './series';
