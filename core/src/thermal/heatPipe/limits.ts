import { gravity } from '../../quantity';
import { fluidState, steamPressure } from '../fluids';

/** kg/m³ of saturated steam at a temperature (°C), as an ideal gas with the compressibility of saturation: within 2 % to 200 °C. */
export function steamDensity(temperature: number): number {
  const kelvin = temperature + 273.15;
  const ideal = steamPressure(temperature) / (461.5 * kelvin);
  // Z of saturated steam falls from 1 to 0.93 at 180 °C and 0.91 at 200 °C (steam tables).
  return ideal / (1 - 0.0905 * (Math.max(0, temperature) / 200) ** 2);
}

/** J/kg that water takes up boiling at a temperature (°C). Watson (1943) from 2.257 MJ/kg at 100 °C. */
export function latentHeat(temperature: number): number {
  const reduced = (celsius: number) => 1 - (celsius + 273.15) / 647.096;
  return 2.257e6 * (reduced(temperature) / reduced(100)) ** 0.38;
}

/**
 * W that one tube carries at the most before the vapour that rises holds up the water that runs back. Wallis (1969) as for closed
 * thermosiphons (Faghri 1995): Q = C² h_fg A √(g d (ρl − ρv) ρv) / [1 + (ρv / ρl)^¼]², C = 0.725.
 */
export function floodingLimit(bore: number, asked: number): number {
  // The formulas for steam end before its critical point; below 1 °C it freezes.
  const temperature = Math.min(320, Math.max(1, asked));
  const vapour = steamDensity(temperature);
  const { density } = fluidState('water', Math.min(100, temperature));
  return (
    (0.725 ** 2 *
      latentHeat(temperature) *
      (Math.PI / 4) *
      bore ** 2 *
      Math.sqrt(gravity * bore * (density - vapour) * vapour)) /
    (1 + (vapour / density) ** 0.25) ** 2
  );
}

/** °C at which all of a charge (kg) is steam in a tube of so many m³: nothing runs back any more. Infinity where that is beyond 300 °C. */
export function dryOutTemperature(charge: number, volume: number): number {
  const wanted = charge / volume;
  if (steamDensity(300) < wanted) return Number.POSITIVE_INFINITY;
  let [low, high] = [0, 300];
  for (let pass = 0; pass < 60; pass += 1) {
    const middle = (low + high) / 2;
    if (steamDensity(middle) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
