import {
  type OperatingConditions,
  type StandardNormals,
  stagnationTemperature,
  type ThermalModel,
  type Workmanship,
} from './contract';
import { risingRoot } from './root';

/**
 * Seconds in which a still heater goes from one temperature to another under steady conditions, warming or cooling,
 * all of it at one temperature (D&B 6.12, one capacity). Infinity when it never gets there.
 *
 * @param query.full with its water, else dry
 */
export function timeToReach(
  model: ThermalModel,
  boundary: OperatingConditions,
  query: { from: number; to: number; full: boolean },
  deviates: StandardNormals = {},
): number {
  const { from, to, full } = query;
  if (from === to) return 0;
  const capacity = model.capacity.dry + (full ? model.capacity.water : 0);
  const net = model.stagnantNetHeat(boundary, deviates);
  // The net heat falls all the way, so its sign at the far end tells.
  if (net(to) * (to - from) <= 0) return Number.POSITIVE_INFINITY;
  // Simpson's rule over the temperature: dt = C dT / net.
  const steps = 40;
  const width = (to - from) / steps;
  let sum = 0;
  for (let index = 0; index <= steps; index += 1) {
    const weight = index === 0 || index === steps ? 1 : index % 2 === 1 ? 4 : 2;
    sum += weight / net(from + index * width);
  }
  return (capacity * width * sum) / 3;
}

/** °C that a still, full heater comes to in so many seconds, by steps of at most a minute (explicit, C dT/dt = net). */
export function afterExposure(
  model: ThermalModel,
  boundary: OperatingConditions,
  query: { from: number; seconds: number },
  deviates: StandardNormals = {},
  workmanship: Workmanship = 'well made',
): number {
  const capacity = model.capacity.dry + model.capacity.water;
  const settled = stagnationTemperature(model, boundary, deviates, workmanship);
  const steps = Math.max(1, Math.ceil(query.seconds / 60));
  const step = query.seconds / steps;
  const net = model.stagnantNetHeat(boundary, deviates, workmanship);
  let temperature = query.from;
  for (let index = 0; index < steps; index += 1) {
    const next = temperature + (step * net(temperature)) / capacity;
    // A light one settles within a step, and never goes past where it settles.
    temperature = (next - settled) * (temperature - settled) < 0 ? settled : next;
  }
  return temperature;
}

/**
 * °C of the air at which a still heater stands at freezing: warmer than 0 under a clear sky.
 *
 * @param night conditions of the night at an air temperature
 */
export function freezingAir(model: ThermalModel, night: (air: number) => OperatingConditions): number {
  return risingRoot((air) => stagnationTemperature(model, { ...night(air), irradiance: 0 }), -15, 25, 0.01);
}
