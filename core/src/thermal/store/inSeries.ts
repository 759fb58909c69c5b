import {
  isFlowing,
  type OperatingConditions,
  type StandardNormals,
  type ThermalState,
  type Workmanship,
} from '../contract';
import { fluidState } from '../fluids';
import { risingRoot } from '../root';

/** Bodies of water in series, each mixed, in the terms of the model that they are of. */
interface StoresInSeries<B> {
  count: number;
  /** W that all of them gather, less what they lose, by the temperature (°C) of all. Falls as that rises. */
  net(one: B, boundary: OperatingConditions): (temperature: number) => number;
  /** The state with each at its temperature, and so much heat into the water that passes. */
  stateOf(one: B, boundary: OperatingConditions, temperatures: readonly number[], usefulHeat: number): ThermalState;
  built(deviates?: StandardNormals, workmanship?: Workmanship): B;
}

/** K round the air and the inlet within which they settle, below and above. */
const reach = { below: 60, above: 500 };

/** Air and sky alike at 10 °C, hardly any wind, water at 40 °C: what a store in the open loses is said for it. */
export const overcastNight: OperatingConditions = {
  irradiance: 0,
  beamShare: 0,
  groundShare: 0,
  incidence: 0,
  air: 10,
  surroundings: 10,
  wind: 1,
  inlet: 40,
  massFlow: 0,
  tilt: 45,
};

/** W/K from a store to the air on `overcastNight`, by its net heat then. */
export function overcastLoss(net: (temperature: number) => number): number {
  return -net(overcastNight.inlet) / (overcastNight.inlet - overcastNight.air);
}

/**
 * Steady state and net heat of water that stands in several bodies in series: at rest all settle alike; with a flow ṁ c (T_i − T_{i−1}) =
 * net(T_i) / n for each of n (heat balance of a mixed body).
 */
export function storesInSeries<B>(stores: StoresInSeries<B>) {
  const { count, net, stateOf, built } = stores;
  return {
    state: (boundary: OperatingConditions, deviates?: StandardNormals, workmanship?: Workmanship): ThermalState => {
      const one = built(deviates, workmanship);
      const netAt = net(one, boundary);
      if (!isFlowing(boundary)) {
        const at = risingRoot((guess) => -netAt(guess), boundary.air - reach.below, boundary.air + reach.above, 1e-4);
        return stateOf(one, boundary, new Array<number>(count).fill(at), 0);
      }
      const carried = boundary.massFlow * fluidState(boundary.fluid ?? 'water', boundary.inlet).heatCapacity;
      const temperatures: number[] = [];
      let before = boundary.inlet;
      for (let body = 0; body < count; body += 1) {
        const entering = before;
        before = risingRoot(
          (at) => carried * (at - entering) - netAt(at) / count,
          Math.min(entering, boundary.air) - reach.below,
          Math.max(entering, boundary.air) + reach.above,
          1e-7,
        );
        temperatures.push(before);
      }
      const gain = before - boundary.inlet;
      return { ...stateOf(one, boundary, temperatures, carried * gain), outletTemperature: before, gain };
    },
    stagnantNetHeat: (boundary: OperatingConditions, deviates?: StandardNormals, workmanship?: Workmanship) =>
      net(built(deviates, workmanship), boundary),
  };
}
