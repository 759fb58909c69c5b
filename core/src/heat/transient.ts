import type { CollectorDescription, HeatConditions } from './description';
import { risingRoot } from './root';
import { stagnationTemperature } from './steady';
import { absorbedSun, build, type Deviates, losses, lossSum } from './uncertain';

/**
 * Seconds in which a still panel goes from one plate temperature to another under steady conditions, warming or cooling,
 * all of it at one temperature (D&B 6.12, one capacity). Infinity when it never gets there.
 *
 * @param query.full with its water, else dry
 */
export function timeToReach(
  description: CollectorDescription,
  conditions: HeatConditions,
  query: { from: number; to: number; full: boolean },
  deviates: Deviates = {},
): number {
  const { from, to, full } = query;
  if (from === to) return 0;
  const built = build(description, deviates);
  const absorbed = absorbedSun(built, conditions);
  const capacity = description.capacity.dry + (full ? description.capacity.water : 0);
  const net = (plate: number) => description.absorberArea * (absorbed - lossSum(losses(built, conditions, plate)));
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

/**
 * °C of the air at which a still panel's plate stands at freezing: warmer than 0 under a clear sky.
 *
 * @param night conditions of the night at an air temperature
 */
export function freezingAir(description: CollectorDescription, night: (air: number) => HeatConditions): number {
  return risingRoot((air) => stagnationTemperature(description, { ...night(air), irradiance: 0 }), -15, 25, 0.01);
}
