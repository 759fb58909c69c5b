import { type Fluid, fluidState } from '../heat';
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
