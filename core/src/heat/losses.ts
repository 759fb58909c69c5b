import { airState, steamPressure } from './fluids';
import { NotConverged } from './notConverged';

const kelvin = 273.15;
/** W/m²K⁴. Stefan and Boltzmann, CODATA. */
const stefan = 5.670374e-8;
const gravity = 9.80665;

/** A cover as heat meets it, from the plate outward. */
export interface LossCover {
  emittance: number;
  /** m. Air gap below this cover. */
  gap: number;
  /** W/m²K. Through the cover itself; a thin pane is Infinity. */
  conductance?: number;
}

export interface TopLoss {
  /** W/m²K between plate and outside air. With the plate within 0.01 K of the air: the slope there. */
  coefficient: number;
  /** W/m² leaving the plate upwards. Not nought when plate and air are alike and the sky is colder. */
  flux: number;
  /** °C of the outer face of each cover, from the plate outward. */
  coverTemperatures: number[];
}

export interface TopLossQuery {
  plateTemperature: number;
  ambientTemperature: number;
  /** °C that the pane radiates to; see `surroundingsTemperature` for a tilted one. */
  skyTemperature: number;
  /** W/m²K. Convection only; radiation is counted on its own. */
  windCoefficient: number;
  /** Degrees. */
  tilt: number;
  plateEmittance: number;
  covers: readonly LossCover[];
  /** Share of the plate that is wet and open to the gap: it steams onto the first cover. */
  wet?: number;
}

/**
 * Nusselt number of a tilted air gap. Hollands et al. (1976), tilt held at 75°; conduction when heated from above.
 *
 * @param query.below °C of the lower face
 * @param query.above °C of the upper face
 * @returns W/m²K across the gap by convection
 */
export function gapConvection(query: { below: number; above: number; gap: number; tilt: number }): number {
  const air = airState((query.below + query.above) / 2);
  const rise = query.below - query.above;
  if (rise <= 0) return air.conductivity / query.gap;
  const middle = (query.below + query.above) / 2 + kelvin;
  const rayleigh = (gravity * rise * query.gap ** 3 * air.prandtl) / (middle * air.kinematic ** 2);
  const tilt = (Math.min(75, Math.max(0, query.tilt)) * Math.PI) / 180;
  const along = rayleigh * Math.cos(tilt);
  const onset = Math.max(0, 1 - 1708 / along);
  const lean = 1 - (1708 * Math.max(0, Math.sin(1.8 * tilt)) ** 1.6) / along;
  const wavy = Math.max(0, (along / 5830) ** (1 / 3) - 1);
  return ((1 + 1.44 * lean * onset + wavy) * air.conductivity) / query.gap;
}

/** kg/m³ of vapour in saturated air. */
function vapour(temperature: number): number {
  return steamPressure(Math.min(99, temperature)) / (461.5 * (temperature + kelvin));
}

/** J/kg. Latent heat of water near 50 °C: steam tables. */
const latent = 2.38e6;

/**
 * W/m²K that evaporation adds to the convection of a gap whose lower face is wet and whose upper one is colder and gathers the
 * dew. Lewis' analogy: mass moves as heat does, by h / (ρ c Le^⅔), Le = 0.87.
 */
export function steaming(below: number, above: number, convection: number): number {
  const rise = below - above;
  if (rise < 0.05) return 0;
  const air = 1.1 * 1006 * 0.87 ** (2 / 3);
  return ((convection / air) * latent * (vapour(below) - vapour(above))) / rise;
}

function radiation(a: number, b: number, emittanceA: number, emittanceB: number): number {
  const first = a + kelvin;
  const second = b + kelvin;
  return (stefan * (first ** 2 + second ** 2) * (first + second)) / (1 / emittanceA + 1 / emittanceB - 1);
}

/**
 * Heat that leaves a plate upwards, by a balance over plate, covers, air and sky, iterated until every cover is still
 * to a thousandth of a kelvin. D&B section 6.4, with sky and air told apart. Throws NotConverged.
 */
export function topLoss(query: TopLossQuery): TopLoss {
  const state = balance(query);
  const difference = query.plateTemperature - query.ambientTemperature;
  if (Math.abs(difference) >= 0.01) return { ...state, coefficient: state.flux / difference };
  const above = balance({ ...query, plateTemperature: query.ambientTemperature + 0.5 });
  const below = balance({ ...query, plateTemperature: query.ambientTemperature - 0.5 });
  return { ...state, coefficient: above.flux - below.flux };
}

/** W/m² upwards only, for those who need no coefficient. */
export function topFlux(query: TopLossQuery): number {
  return balance(query).flux;
}

function balance(query: TopLossQuery): { flux: number; coverTemperatures: number[] } {
  const { plateTemperature: plate, ambientTemperature: air, skyTemperature: sky, windCoefficient, covers } = query;
  if (covers.length === 0) {
    const toSky = query.plateEmittance * stefan * ((plate + kelvin) ** 4 - (sky + kelvin) ** 4);
    return { flux: windCoefficient * (plate - air) + toSky, coverTemperatures: [] };
  }
  const count = covers.length;
  const faces = covers.map((_, index) => plate + ((air - plate) * (index + 1)) / (count + 1));
  let flux = 0;
  const limit = 200;
  for (let pass = 0; pass < limit; pass += 1) {
    let resistance = 0;
    let below = plate;
    let emittance = query.plateEmittance;
    const drops: number[] = [];
    covers.forEach((cover, index) => {
      const inner = (faces[index] ?? air) + flux / (cover.conductance ?? Number.POSITIVE_INFINITY);
      const convection = gapConvection({ below, above: inner, gap: cover.gap, tilt: query.tilt });
      const steam = index === 0 && query.wet ? query.wet * steaming(below, inner, convection) : 0;
      const across = 1 / (convection + radiation(below, inner, emittance, cover.emittance) + steam);
      resistance += across + 1 / (cover.conductance ?? Number.POSITIVE_INFINITY);
      drops.push(resistance);
      below = faces[index] ?? air;
      emittance = cover.emittance;
    });
    const outer = faces[count - 1] ?? air;
    const toSky = radiation(outer, sky, emittance, 1);
    const series = 1 / resistance;
    const surface = (series * plate + windCoefficient * air + toSky * sky) / (series + windCoefficient + toSky);
    const next = series * (plate - surface);
    let moved = 0;
    for (let index = 0; index < count; index += 1) {
      const target = index === count - 1 ? surface : plate - next * (drops[index] ?? 0);
      const old = faces[index] ?? air;
      moved = Math.max(moved, Math.abs(target - old));
      // A half step in stacks of covers: gaps near the onset of convection would else swing to and fro.
      faces[index] = old + (target - old) * (pass < 4 ? 1 : 0.6);
    }
    flux = next;
    if (moved < 1e-4) return { flux, coverTemperatures: faces };
  }
  throw new NotConverged('topLoss', limit, flux);
}

/**
 * W/m²K. Convection by wind on a flat face: Mitchell (1976) as in D&B 3.15.10, least 5.
 *
 * @param wind m/s at the panel
 * @param length m. Side of a square of the panel's area
 */
export function windCoefficient(wind: number, length: number): number {
  return Math.max(5, (8.6 * wind ** 0.6) / length ** 0.4);
}
