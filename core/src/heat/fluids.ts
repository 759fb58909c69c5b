/** Properties of a liquid at one temperature. */
export interface FluidState {
  /** kg/m³. */
  density: number;
  /** Pa s. */
  viscosity: number;
  /** W/mK. */
  conductivity: number;
  /** J/kgK. */
  heatCapacity: number;
}

/** Water by its temperature, or a liquid described by its own constants. */
export type Fluid = 'water' | FluidState;

/**
 * Properties of a fluid at a temperature (°C, held between 0 and 100 for water).
 * Density: Kell (1975). Viscosity: Likhachev (2003) short form, 2 %. Conductivity: Ramires et al. (1995).
 * Heat capacity: fit to the tables of Wagner and Pruss (2002), 0.1 %.
 */
export function fluidState(fluid: Fluid, temperature: number): FluidState {
  if (fluid !== 'water') return fluid;
  const t = Math.min(100, Math.max(0, temperature));
  const kelvin = t + 273.15;
  const density =
    (999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))))) /
    (1 + 16.87985e-3 * t);
  const reduced = kelvin / 298.15;
  return {
    density,
    viscosity: 2.414e-5 * 10 ** (247.8 / (kelvin - 140)),
    conductivity: 0.6065 * (-1.48445 + 4.12292 * reduced - 1.63866 * reduced ** 2),
    heatCapacity:
      4217.489 + t * (-3.491806 + t * (0.1161767 + t * (-1.861029e-3 + t * (1.51792e-5 - t * 4.711538e-8)))),
  };
}

/** m³/s for kg/s of water at a temperature. */
export function volumeFlow(massFlow: number, temperature: number): number {
  return massFlow / fluidState('water', temperature).density;
}

/** kg/s for m³/s of water at a temperature. */
export function massFlowOf(flow: number, temperature: number): number {
  return flow * fluidState('water', temperature).density;
}

/** Air at sea level by its temperature in °C. Sutherland's laws as in the US Standard Atmosphere (1976). */
export function airState(temperature: number): { conductivity: number; kinematic: number; prandtl: number } {
  const kelvin = temperature + 273.15;
  const viscosity = (1.458e-6 * kelvin ** 1.5) / (kelvin + 110.4);
  const conductivity = (2.64638e-3 * kelvin ** 1.5) / (kelvin + 245.4 * 10 ** (-12 / kelvin));
  const density = 101325 / (287.05 * kelvin);
  return { conductivity, kinematic: viscosity / density, prandtl: (viscosity * 1006) / conductivity };
}
