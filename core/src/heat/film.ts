import { type Fluid, fluidState } from './fluids';

/**
 * Heat between tube wall and liquid. Laminar: developing flow with even heating (VDI Heat Atlas, section G1: 4.364 far
 * down the tube, 1.953 Gz^(1/3) near its mouth). Turbulent from 4 000: Gnielinski (1976). Between: his straight
 * bridge (2013). Buoyancy in the tube is left out, which errs low by up to a third in hot slow risers.
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
}): { coefficient: number; reynolds: number } {
  const state = fluidState(query.fluid, query.temperature);
  const reynolds = (4 * Math.abs(query.massFlow)) / (Math.PI * query.innerDiameter * state.viscosity);
  const prandtl = (state.viscosity * state.heatCapacity) / state.conductivity;
  const slender = query.innerDiameter / query.length;
  const laminar = (re: number) => {
    const entry = 1.953 * Math.cbrt(re * prandtl * slender);
    return Math.cbrt(4.364 ** 3 + 0.6 ** 3 + Math.max(0, entry - 0.6) ** 3);
  };
  const turbulent = (re: number) => {
    const f = (0.79 * Math.log(re) - 1.64) ** -2 / 8;
    return (
      ((f * (re - 1000) * prandtl) / (1 + 12.7 * Math.sqrt(f) * (Math.cbrt(prandtl) ** 2 - 1))) *
      (1 + Math.cbrt(slender) ** 2)
    );
  };
  const bridge = (reynolds - 2300) / (4000 - 2300);
  const nusselt =
    reynolds <= 2300
      ? laminar(reynolds)
      : reynolds >= 4000
        ? turbulent(reynolds)
        : (1 - bridge) * laminar(2300) + bridge * turbulent(4000);
  return { coefficient: (nusselt * state.conductivity) / query.innerDiameter, reynolds };
}
