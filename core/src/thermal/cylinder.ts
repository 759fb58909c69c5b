import { gravity } from '../quantity';
import { airState } from './fluids';
import { fourthPower, stefan } from './radiation';

/**
 * W/m²K between a long cylinder and a wind across it. Churchill and Bernstein (1977): Nu = 0.3 + 0.62 Re^½ Pr^⅓ / [1 + (0.4 / Pr)^⅔]^¼ ×
 * [1 + (Re / 282 000)^⅝]^⅘, for Re Pr above 0.2.
 *
 * @param query.wind m/s
 * @param query.diameter m
 * @param query.film °C, mean of surface and air
 */
export function windOnCylinder({ wind, diameter, film }: { wind: number; diameter: number; film: number }): number {
  const { conductivity, kinematic, prandtl } = airState(film);
  const re = (wind * diameter) / kinematic;
  const nusselt =
    0.3 +
    ((0.62 * Math.sqrt(re) * Math.cbrt(prandtl)) / (1 + (0.4 / prandtl) ** (2 / 3)) ** 0.25) *
      (1 + (re / 282_000) ** 0.625) ** 0.8;
  return (nusselt * conductivity) / diameter;
}

/**
 * W/m²K between a long level cylinder and still air. Churchill and Chu (1975): Nu = {0.6 + 0.387 Ra^(1/6) / [1 + (0.559 / Pr)^(9/16)]^(8/27)}²,
 * for Ra below 1e12. A leaning one loses a little less: left out.
 */
export function stillOnCylinder({
  surface,
  air,
  diameter,
}: {
  surface: number;
  air: number;
  diameter: number;
}): number {
  const film = (surface + air) / 2;
  const { conductivity, kinematic, prandtl } = airState(film);
  const rayleigh =
    (gravity * Math.abs(surface - air) * diameter ** 3 * prandtl) / ((film + 273.15) * kinematic * kinematic);
  const nusselt = (0.6 + (0.387 * rayleigh ** (1 / 6)) / (1 + (0.559 / prandtl) ** (9 / 16)) ** (8 / 27)) ** 2;
  return (nusselt * conductivity) / diameter;
}

/** W/m²K of a cylinder in the open: wind and its own draught joined by their fourth powers (Churchill 1977). */
export function airOnCylinder(query: { wind: number; surface: number; air: number; diameter: number }): number {
  const film = (query.surface + query.air) / 2;
  const forced = windOnCylinder({ wind: query.wind, diameter: query.diameter, film });
  const free = stillOnCylinder(query);
  return (forced ** 4 + free ** 4) ** 0.25;
}

/**
 * W/mK between two cylinders one in the other, by the air between them. Raithby and Hollands (1975): keff / k = 0.386 [Pr / (0.861 +
 * Pr)]^¼ Ra_c^¼ with Ra_c = ln(D/d)⁴ Ra_b / [b³ (d^−⅗ + D^−⅗)⁵], b the gap; conduction alone where that is more.
 *
 * @returns for each metre and kelvin between the two
 */
export function annulusAir(query: { inner: number; outer: number; warm: number; cold: number }): number {
  const { inner, outer, warm, cold } = query;
  const mean = (warm + cold) / 2;
  const { conductivity, kinematic, prandtl } = airState(mean);
  const gap = (outer - inner) / 2;
  const rayleigh = (gravity * Math.abs(warm - cold) * gap ** 3 * prandtl) / ((mean + 273.15) * kinematic * kinematic);
  const critical = (Math.log(outer / inner) ** 4 * rayleigh) / (gap ** 3 * (inner ** -0.6 + outer ** -0.6) ** 5);
  const effective = Math.max(1, 0.386 * (prandtl / (0.861 + prandtl)) ** 0.25 * critical ** 0.25);
  return (2 * Math.PI * conductivity * effective) / Math.log(outer / inner);
}

/** W/m of long wave from a cylinder to the one round it: 2πr σ (T⁴ − T⁴) / (1/ε + d/D (1/ε' − 1)). */
export function annulusLongWave(query: {
  inner: number;
  outer: number;
  emittance: number;
  outerEmittance: number;
  warm: number;
  cold: number;
}): number {
  const { inner, outer, emittance, outerEmittance, warm, cold } = query;
  const exchange = 1 / (1 / emittance + (inner / outer) * (1 / outerEmittance - 1));
  return Math.PI * inner * stefan * exchange * (fourthPower(warm) - fourthPower(cold));
}

/**
 * W/m that a cylinder in the open loses: to the air, and by long wave, one half of it before what the plane sees (`surroundings`), the
 * other before roof and ground at the air's temperature.
 */
export function openCylinderLoss(query: {
  diameter: number;
  surface: number;
  air: number;
  surroundings: number;
  wind: number;
  emittance: number;
}): { air: number; longWave: number } {
  const { diameter, surface, air, surroundings, emittance } = query;
  const round = Math.PI * diameter;
  return {
    air: round * airOnCylinder(query) * (surface - air),
    longWave: round * emittance * stefan * (fourthPower(surface) - (fourthPower(surroundings) + fourthPower(air)) / 2),
  };
}
