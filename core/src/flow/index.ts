// Pressure and flow: friction in tubes, and how a header shares its water among the risers.
export { frictionFactor, pressureDrop } from './friction';
export type { ManifoldQuery } from './manifold';
export { copperRoughness, manifoldFlow } from './manifold';
