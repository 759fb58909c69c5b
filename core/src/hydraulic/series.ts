import { type Fluid, fluidState } from '../thermal';
import { type Fitting, fittingLoss } from './fittings';
import { pressureDrop } from './friction';
import { copperRoughness } from './manifold';

/**
 * Pressure lost on one long way with bends in it. Darcy and Weisbach along the tube, Hooper's two constants at the bends.
 *
 * @returns Pa
 */
export function seriesDrop(query: {
  massFlow: number;
  /** m. */
  bore: number;
  length: number;
  bends: { fitting: Fitting; count: number };
  temperature: number;
  fluid?: Fluid;
}): number {
  const fluid = query.fluid ?? 'water';
  const { viscosity } = fluidState(fluid, query.temperature);
  const reynolds = (4 * Math.abs(query.massFlow)) / (Math.PI * query.bore * viscosity);
  const bend = fittingLoss({ fitting: query.bends.fitting, reynolds, bore: query.bore });
  return pressureDrop({
    massFlow: query.massFlow,
    innerDiameter: query.bore,
    length: query.length,
    roughness: copperRoughness,
    temperature: query.temperature,
    fluid,
    minorLoss: query.bends.count * bend,
  });
}

/**
 * Pressure lost between two plates close together, laminar: 12 μ L Q / (b g³) (plane Poiseuille flow, analytic).
 *
 * @returns Pa
 */
export function slotDrop(query: {
  massFlow: number;
  /** m. Along the flow, across it, and between the plates. */
  length: number;
  breadth: number;
  gap: number;
  temperature: number;
  fluid?: Fluid;
}): number {
  const { viscosity, density } = fluidState(query.fluid ?? 'water', query.temperature);
  return (12 * viscosity * query.length * (query.massFlow / density)) / (query.breadth * query.gap ** 3);
}
