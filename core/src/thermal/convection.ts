import { type Fluid, type FluidState, fluidDensity, fluidState } from './fluids';

/** What lets warm liquid stir itself in a tube. */
export interface Stirring {
  /** W/m of tube into the liquid. */
  heatPerLength: number;
  /** Degrees of the tube from level: along an upright one nothing falls across it. */
  tilt: number;
  /** W/K. Conductivity times thickness of the tube's wall: a wall that conducts evens itself out round the tube. */
  wallConductance: number;
}

/**
 * Heat between tube wall and liquid. Laminar: developing flow with even heating (VDI Heat Atlas, section G1: 4.364 far
 * down the tube, 1.953 Gz^(1/3) near its mouth), stirred by its own warmth after Morcos and Bergles (1975) where `stirring`
 * is given. Turbulent from 4 000: Gnielinski (1976). Between: his straight bridge (2013).
 *
 * @param query.massFlow kg/s in this tube
 * @param query.length m
 * @param query.temperature °C of the liquid
 * @returns coefficient in W/m²K, and the Reynolds number
 */
export function tubeFilm(query: {
  massFlow: number;
  innerDiameter: number;
  length: number;
  temperature: number;
  fluid: Fluid;
  stirring?: Stirring;
}): { coefficient: number; reynolds: number } {
  const { innerDiameter: bore, stirring } = query;
  const state = fluidState(query.fluid, query.temperature);
  const reynolds = (4 * Math.abs(query.massFlow)) / (Math.PI * bore * state.viscosity);
  const prandtl = (state.viscosity * state.heatCapacity) / state.conductivity;
  const slender = bore / query.length;
  const laminar = Math.min(reynolds, 2300);
  const turbulent = Math.max(reynolds, 4000);
  const bridge = Math.min(1, Math.max(0, (reynolds - 2300) / (4000 - 2300)));
  let nusselt = 0;
  if (bridge < 1) {
    const entry = 1.953 * Math.cbrt(laminar * prandtl * slender);
    const forced = Math.cbrt(4.364 ** 3 + 0.6 ** 3 + Math.max(0, entry - 0.6) ** 3);
    nusselt += (1 - bridge) * (stirring ? stirred(forced, stirring, { state, prandtl, bore, query }) : forced);
  }
  if (bridge > 0) nusselt += bridge * gnielinski(turbulent, prandtl, slender);
  return { coefficient: (nusselt * state.conductivity) / bore, reynolds };
}

/** Nusselt number of turbulent flow. Gnielinski (1976) with the entry correction of Hausen. */
function gnielinski(reynolds: number, prandtl: number, slender: number): number {
  const f = (0.79 * Math.log(reynolds) - 1.64) ** -2 / 8;
  return (
    ((f * (reynolds - 1000) * prandtl) / (1 + 12.7 * Math.sqrt(f) * (Math.cbrt(prandtl) ** 2 - 1))) *
    (1 + Math.cbrt(slender) ** 2)
  );
}

/**
 * Nusselt number with the liquid rising along the warm wall and sinking in the middle. Morcos and Bergles (1975), level
 * tubes with even heating: (forced² + (0.055 (Gr Pr^1.35 / Pw^0.25)^0.4)²)^½, for Gr Pr of 3e4 to 1e6 (a weaker one adds
 * little, a stronger one is held). In a leaning tube gravity across it counts (derived). The wall's own excess is found with
 * it, in a few rounds.
 */
function stirred(
  forced: number,
  stirring: Stirring,
  at: { state: FluidState; prandtl: number; bore: number; query: { temperature: number; fluid: Fluid } },
): number {
  const { state, prandtl, bore, query } = at;
  if (stirring.heatPerLength <= 0) return forced;
  const warm = fluidDensity(query.fluid, query.temperature + 1);
  const cold = fluidDensity(query.fluid, query.temperature - 1);
  const expansion = Math.max(0, (cold - warm) / (2 * state.density));
  const across = 9.80665 * Math.cos((stirring.tilt * Math.PI) / 180);
  const kinematic = state.viscosity / state.density;
  const power = prandtl ** 1.35;
  let nusselt = forced;
  for (let pass = 0; pass < 6; pass += 1) {
    const film = (nusselt * state.conductivity) / bore;
    const excess = stirring.heatPerLength / (Math.PI * bore * film);
    const grashof = Math.min((across * expansion * excess * bore ** 3) / kinematic ** 2, 1e6 / prandtl);
    const wall = Math.min(66, Math.max(2, (film * bore ** 2) / stirring.wallConductance));
    const own = 0.055 * ((grashof * power) / wall ** 0.25) ** 0.4;
    nusselt = Math.hypot(forced, own);
  }
  return nusselt;
}

/**
 * Heat between a sheet and a thin layer of liquid on it, laminar, the other sheet giving none: Nusselt number 5.385 on twice the
 * gap (Shah and London 1978). Its short entry length is left out, which errs low.
 */
export function slotFilm(gap: number, temperature: number, fluid: Fluid): { coefficient: number; reynolds: number } {
  return { coefficient: (5.385 * fluidState(fluid, temperature).conductivity) / (2 * gap), reynolds: 0 };
}
