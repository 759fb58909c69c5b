import { gravity } from '../quantity';
import { type AirState, airState } from './fluids';
import { fourthPower, stefan } from './radiation';

// Roots by square and cube roots: a general power takes three times as long, and a run asks for millions.

function fourthRoot(x: number): number {
  return Math.sqrt(Math.sqrt(x));
}

function fiveEighths(x: number): number {
  const root = Math.sqrt(x);
  return root * fourthRoot(root);
}

/**
 * W/m²K between a long cylinder and a wind across it. Churchill and Bernstein (1977): Nu = 0.3 + 0.62 Re^½ Pr^⅓ / [1 + (0.4 / Pr)^⅔]^¼ ×
 * [1 + (Re / 282 000)^⅝]^⅘, for Re Pr above 0.2.
 *
 * @param query.wind m/s
 * @param query.diameter m
 * @param query.film °C, mean of surface and air
 */
export function windOnCylinder({ wind, diameter, film }: { wind: number; diameter: number; film: number }): number {
  return windInAir(wind, diameter, airState(film));
}

function windInAir(wind: number, diameter: number, { conductivity, kinematic, prandtl }: AirState): number {
  const re = (wind * diameter) / kinematic;
  const nusselt =
    0.3 +
    ((0.62 * Math.sqrt(re) * Math.cbrt(prandtl)) / fourthRoot(1 + Math.cbrt(0.4 / prandtl) ** 2)) *
      (1 + fiveEighths(re / 282_000)) ** 0.8;
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
  return stillInAir(Math.abs(surface - air), film, diameter, airState(film));
}

function stillInAir(
  apart: number,
  film: number,
  diameter: number,
  { conductivity, kinematic, prandtl }: AirState,
): number {
  const rayleigh = (gravity * apart * diameter ** 3 * prandtl) / ((film + 273.15) * kinematic * kinematic);
  const nusselt =
    (0.6 + (0.387 * Math.cbrt(Math.sqrt(rayleigh))) / (1 + (0.559 / prandtl) ** (9 / 16)) ** (8 / 27)) ** 2;
  return (nusselt * conductivity) / diameter;
}

/** W/m²K of a cylinder in the open: wind and its own draught joined by their fourth powers (Churchill 1977). */
export function airOnCylinder(query: { wind: number; surface: number; air: number; diameter: number }): number {
  const film = (query.surface + query.air) / 2;
  const state = airState(film);
  const forced = windInAir(query.wind, query.diameter, state);
  const free = stillInAir(Math.abs(query.surface - query.air), film, query.diameter, state);
  return fourthRoot((forced * forced) ** 2 + (free * free) ** 2);
}

/** The gap between two cylinders one in the other, with what follows from their diameters alone. */
export interface Annulus {
  /** m. */
  inner: number;
  outer: number;
  /** ln(D/d). */
  log: number;
  /** m³: b³, and that of Ra_c over Ra_b. */
  cubed: number;
  critical: number;
}

export function annulus(inner: number, outer: number): Annulus {
  const log = Math.log(outer / inner);
  const cubed = ((outer - inner) / 2) ** 3;
  return { inner, outer, log, cubed, critical: log ** 4 / (cubed * (inner ** -0.6 + outer ** -0.6) ** 5) };
}

/**
 * W/mK between two cylinders one in the other, by the air between them. Raithby and Hollands (1975): keff / k = 0.386 [Pr / (0.861 +
 * Pr)]^¼ Ra_c^¼ with Ra_c = ln(D/d)⁴ Ra_b / [b³ (d^−⅗ + D^−⅗)⁵], b the gap; conduction alone where that is more.
 *
 * @param warm °C of one face, and `cold` of the other
 * @returns for each metre and kelvin between the two
 */
export function annulusAir({ log, cubed, critical }: Annulus, warm: number, cold: number): number {
  const mean = (warm + cold) / 2;
  const { conductivity, kinematic, prandtl } = airState(mean);
  const rayleigh = (gravity * Math.abs(warm - cold) * cubed * prandtl) / ((mean + 273.15) * kinematic * kinematic);
  const effective = Math.max(1, 0.386 * fourthRoot((prandtl / (0.861 + prandtl)) * (critical * rayleigh)));
  return (2 * Math.PI * conductivity * effective) / log;
}

/** Black face, m² a metre, that a cylinder exchanges long wave with the one round it by: πd / (1/ε + d/D (1/ε' − 1)). */
export function annulusExchange({ inner, outer }: Annulus, emittance: number, outerEmittance: number): number {
  return (Math.PI * inner) / (1 / emittance + (inner / outer) * (1 / outerEmittance - 1));
}

/** A cylinder in the open with what it meets. */
export interface OpenCylinder {
  /** m. */
  diameter: number;
  /** °C. */
  air: number;
  /** m/s. */
  wind: number;
  emittance: number;
  /** K⁴ that it sees: one half of it is before what the plane sees, the other before roof and ground at the air's temperature. */
  seen: number;
}

/** @param query.surroundings °C of a black body that looks like what the plane sees */
export function openCylinder(query: {
  diameter: number;
  air: number;
  surroundings: number;
  wind: number;
  emittance: number;
}): OpenCylinder {
  const { diameter, air, surroundings, wind, emittance } = query;
  return { diameter, air, wind, emittance, seen: (fourthPower(surroundings) + fourthPower(air)) / 2 };
}

/** W/m that it loses to the air with its surface at a temperature (°C). */
export function cylinderToAir({ diameter, air, wind }: OpenCylinder, surface: number): number {
  return Math.PI * diameter * airOnCylinder({ wind, surface, air, diameter }) * (surface - air);
}

/** W/m that it loses by long wave. */
export function cylinderLongWave({ diameter, emittance, seen }: OpenCylinder, surface: number): number {
  return Math.PI * diameter * emittance * stefan * (fourthPower(surface) - seen);
}

/** W/m that it loses in all. */
export function cylinderLoss(cylinder: OpenCylinder, surface: number): number {
  return cylinderToAir(cylinder, surface) + cylinderLongWave(cylinder, surface);
}
