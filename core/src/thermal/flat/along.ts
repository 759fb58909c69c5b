import type { OperatingConditions, ThermalState } from '../contract';
import { fluidState } from '../fluids';
import { termOf } from './derivations';
import type { FlatDescription } from './description';
import type { FlatModel } from './flatModel';

/** Parts that the way of the water is taken in. */
const parts = 16;

/**
 * °C of an absorber along its water, part by part from the inlet, all of its breadth alike. The water nears the temperature at rest as
 * exp(−A_c U_L F' x / ṁ c), x from 0 to 1 (D&B 6.7), and the absorber lies 1 − F' of what is left above it (derived from the same line).
 *
 * @param state of the model at the boundary, with a flow
 */
export function temperaturesAlong(
  { description: { absorberArea } }: FlatModel<FlatDescription>,
  boundary: OperatingConditions,
  state: ThermalState,
): number[] {
  const [loss, factor] = [termOf(state, 'lossCoefficient'), termOf(state, 'efficiencyFactor')];
  const rest = boundary.air + (termOf(state, 'absorbed') / absorberArea - termOf(state, 'lossAtAir')) / loss;
  const mean = (boundary.inlet + (state.outletTemperature ?? boundary.inlet)) / 2;
  const carried = boundary.massFlow * fluidState(boundary.fluid ?? 'water', mean).heatCapacity;
  return Array.from({ length: parts }, (_, part) => {
    const left = (rest - boundary.inlet) * Math.exp((-absorberArea * loss * factor * (part + 0.5)) / parts / carried);
    return rest - factor * left;
  });
}
