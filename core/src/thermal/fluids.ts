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

/** Water with propylene glycol: its share by mass, 0 to 0.6. */
export interface Glycol {
  glycol: number;
}

/** Water or a glycol mixture by its temperature, or a liquid described by its own constants. */
export type Fluid = 'water' | Glycol | FluidState;

/**
 * Properties of a fluid at a temperature (°C, held between 0 and 100 for water, between its freezing point and 110 for
 * glycol). Water: density by Kell (1975), viscosity by Likhachev (2003) short form, 2 %, conductivity by Ramires et al. (1995), heat
 * capacity fit to the tables of Wagner and Pruss (2002), 0.1 %. Glycol: Conde (2011); 4 % beside other tables, viscosity 20 %.
 */
export function fluidState(fluid: Fluid, temperature: number): FluidState {
  if (fluid !== 'water') return 'glycol' in fluid ? glycolState(fluid.glycol, temperature) : fluid;
  const t = Math.min(100, Math.max(0, temperature));
  const kelvin = t + 273.15;
  const reduced = kelvin / 298.15;
  return {
    density: waterDensity(t),
    viscosity: 2.414e-5 * 10 ** (247.8 / (kelvin - 140)),
    conductivity: 0.6065 * (-1.48445 + 4.12292 * reduced - 1.63866 * reduced ** 2),
    heatCapacity:
      4217.489 + t * (-3.491806 + t * (0.1161767 + t * (-1.861029e-3 + t * (1.51792e-5 - t * 4.711538e-8)))),
  };
}

/** kg/m³ by the temperature, 0 to 100 °C. Kell (1975). */
function waterDensity(t: number): number {
  return (
    (999.83952 + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))))) /
    (1 + 16.87985e-3 * t)
  );
}

/** kg/m³ of a fluid at a temperature, as `fluidState` has it. */
export function fluidDensity(fluid: Fluid, temperature: number): number {
  return fluid === 'water'
    ? waterDensity(Math.min(100, Math.max(0, temperature)))
    : fluidState(fluid, temperature).density;
}

/** Conde Engineering, Thermophysical Properties of Brines (2011), propylene glycol: A1 to A5 of each property. */
const conde = {
  density: [508.41109, -182.4082, 965.76507, 280.29104, -472.2251],
  heatCapacity: [4.47642, 0.60863, -0.71497, -1.93855, 0.47873],
  conductivity: [1.18886, -1.4911, -0.69682, 1.13633, 0.06735],
  logViscosity: [-1.02798, -10.03298, -19.93497, 14.65802, 14.6205],
} as const;

function glycolState(share: number, temperature: number): FluidState {
  const x = Math.min(0.6, Math.max(0, share));
  const t = Math.min(110, Math.max(glycolFreezing(x), temperature));
  const cold = 273.15 / (t + 273.15);
  const of = ([a, b, c, d, e]: readonly [number, number, number, number, number]) =>
    a + b * x + (c + d * x) * cold + e * cold ** 2;
  return {
    density: of(conde.density),
    viscosity: Math.exp(of(conde.logViscosity)),
    conductivity: of(conde.conductivity),
    heatCapacity: 1000 * of(conde.heatCapacity),
  };
}

/** °C at which crystals begin, by share of mass in steps of a tenth. ASHRAE Handbook, Fundamentals: aqueous propylene glycol. */
const freezing = [0, -3.3, -7.1, -12.7, -21.1, -33.5, -51.1] as const;

/** °C at which the first crystals form in water with a share (by mass, 0 to 0.6) of propylene glycol. */
export function glycolFreezing(share: number): number {
  const place = Math.min(0.6, Math.max(0, share)) * 10;
  const below = Math.min(5, Math.floor(place));
  const low = freezing[below] ?? 0;
  return low + ((freezing[below + 1] ?? low) - low) * (place - below);
}

/** IAPWS Industrial Formulation 1997, region 4: n1 to n10 of table 34. */
const region4 = [
  0.11670521452767e4, -0.72421316703206e6, -0.17073846940092e2, 0.1202082470247e5, -0.32325550322333e7,
  0.1491510861353e2, -0.48232657361591e4, 0.40511340542057e6, -0.23855557567849, 0.65017534844798e3,
] as const;

/** °C at which water boils under an absolute pressure in Pa (611 to 20 million). IAPWS-IF97, equation 31. */
export function boilingPoint(pressure: number): number {
  const [n1, n2, n3, n4, n5, n6, n7, n8, n9, n10] = region4;
  const b = (pressure / 1e6) ** 0.25;
  const e = b ** 2 + n3 * b + n6;
  const f = n1 * b ** 2 + n4 * b + n7;
  const g = n2 * b ** 2 + n5 * b + n8;
  const d = (2 * g) / (-f - Math.sqrt(f ** 2 - 4 * e * g));
  return (n10 + d - Math.sqrt((n10 + d) ** 2 - 4 * (n9 + n10 * d))) / 2 - 273.15;
}

/** Pa, absolute, under which water boils at a temperature in °C (0 to 370). IAPWS-IF97, equation 30. */
export function steamPressure(temperature: number): number {
  const [n1, n2, n3, n4, n5, n6, n7, n8, n9, n10] = region4;
  const kelvin = temperature + 273.15;
  const t = kelvin + n9 / (kelvin - n10);
  const a = t ** 2 + n1 * t + n2;
  const b = n3 * t ** 2 + n4 * t + n5;
  const c = n6 * t ** 2 + n7 * t + n8;
  return 1e6 * ((2 * c) / (-b + Math.sqrt(b ** 2 - 4 * a * c))) ** 4;
}

/** m³/s for kg/s of a liquid at a temperature; of water when none is named. */
export function volumeFlow(massFlow: number, temperature: number, fluid: Fluid = 'water'): number {
  return massFlow / fluidState(fluid, temperature).density;
}

/** kg/s for m³/s of a liquid at a temperature; of water when none is named. */
export function massFlowOf(flow: number, temperature: number, fluid: Fluid = 'water'): number {
  return flow * fluidState(fluid, temperature).density;
}

/** Properties of air at one temperature: W/mK, m²/s, and the Prandtl number. */
export interface AirState {
  conductivity: number;
  kinematic: number;
  prandtl: number;
}

/** Air at sea level by its temperature in °C. Sutherland's laws as in the US Standard Atmosphere (1976). */
export function airState(temperature: number): AirState {
  const kelvin = temperature + 273.15;
  const power = kelvin * Math.sqrt(kelvin);
  const viscosity = (1.458e-6 * power) / (kelvin + 110.4);
  const conductivity = (2.64638e-3 * power) / (kelvin + 245.4 * Math.exp((-12 * Math.LN10) / kelvin));
  const density = 101325 / (287.05 * kelvin);
  return { conductivity, kinematic: viscosity / density, prandtl: (viscosity * 1006) / conductivity };
}
