import { airState, steamPressure } from './fluids';
import { stefan } from './radiation';

const kelvin = 273.15;
/** m/s². Standard gravity: ISO 80000-3. */
const gravity = 9.80665;

/** Cavities inside a cover of several sheets: twin-wall, sealed unit. */
export interface Cavities {
  /** How many, one above the other. */
  count: number;
  /** m. Across one of them. */
  gap: number;
  /** W/m²K. Conducted by the webs of one cavity; 0 without any. */
  webs: number;
  /** Share of the radiation between two wide faces that passes: webs that radiate again let through less. 1 without any. */
  view: number;
}

/** A cover as heat meets it, from the plate outward. */
export interface LossCover {
  emittance: number;
  /** Share of long-wave radiation that passes straight through it: films. 0 when left out. */
  longWave?: number;
  /** m. Air gap below this cover. */
  gap: number;
  /** W/m²K. Through the cover's solid, face to face; a thin pane is Infinity. */
  conductance?: number;
  /** Cavities that the heat crosses besides; their conductance follows from the temperatures. */
  cavities?: Cavities;
}

/** An air gap with what follows from its tilt alone. */
export interface TiltedGap {
  /** m, and its third power. */
  gap: number;
  cubed: number;
  /** cos β, and 1708 (sin 1.8β)^1.6, with the tilt held at 75°. */
  cosine: number;
  lean: number;
}

export function tiltedGap(gap: number, degrees: number): TiltedGap {
  const tilt = (Math.min(75, Math.max(0, degrees)) * Math.PI) / 180;
  return {
    gap,
    cubed: gap ** 3,
    cosine: Math.cos(tilt),
    lean: 1708 * Math.max(0, Math.sin(1.8 * tilt)) ** 1.6,
  };
}

/** W/m²K across a gap by convection between two faces (°C), as `gapConvection` says. */
export function convectionAcross({ gap, cubed, cosine, lean }: TiltedGap, below: number, above: number): number {
  const air = airState((below + above) / 2);
  const rise = below - above;
  if (rise <= 0) return air.conductivity / gap;
  const middle = (below + above) / 2 + kelvin;
  const rayleigh = (gravity * rise * cubed * air.prandtl) / (middle * air.kinematic ** 2);
  const along = rayleigh * cosine;
  // Conduction alone; this also avoids a division by zero where both faces have one temperature.
  if (along <= 1708) return air.conductivity / gap;
  const onset = 1 - 1708 / along;
  const wavy = Math.max(0, Math.cbrt(along / 5830) - 1);
  return ((1 + 1.44 * (1 - lean / along) * onset + wavy) * air.conductivity) / gap;
}

/**
 * Nusselt number of a tilted air gap. Hollands et al. (1976), tilt held at 75°; conduction when heated from above.
 *
 * @param query.below °C of the lower face
 * @param query.above °C of the upper face
 * @returns W/m²K across the gap by convection
 */
export function gapConvection(query: { below: number; above: number; gap: number; tilt: number }): number {
  return convectionAcross(tiltedGap(query.gap, query.tilt), query.below, query.above);
}

/** Pa of vapour over water. Held below the boiling point, where the gap would be all steam. */
function vapourPressure(temperature: number): number {
  return steamPressure(Math.min(99, temperature));
}

/** J/kg. Latent heat of water near 50 °C: steam tables. */
const latent = 2.38e6;
/** Pa. Standard atmosphere. */
const atmosphere = 101325;

/**
 * W/m²K that evaporation adds to the convection of a gap whose lower face is wet and whose upper one is colder and gathers the
 * dew. Lewis' analogy: mass moves as heat does, by h / (ρ c Le^⅔), Le = 0.87; with Stefan's flow, since the air stands still while the
 * steam goes through it: h_m p / (R T) × ln((p − p_above) / (p − p_below)).
 *
 * @param below °C of the wet face
 * @param above °C of the face that gathers the dew
 * @param convection W/m²K of the gap
 */
export function steaming(below: number, above: number, convection: number): number {
  const rise = below - above;
  if (rise < 0.05) return 0;
  const air = 1.1 * 1006 * 0.87 ** (2 / 3);
  const gas = 461.5 * ((below + above) / 2 + kelvin);
  const dry = (temperature: number) => atmosphere - vapourPressure(temperature);
  const stefanFlow = (atmosphere / gas) * Math.log(dry(above) / dry(below));
  return ((convection / air) * latent * stefanFlow) / rise;
}

/** W/m²K that black faces at two temperatures exchange: σ (T1² + T2²)(T1 + T2). */
export function blackExchange(a: number, b: number): number {
  const first = a + kelvin;
  const second = b + kelvin;
  return stefan * (first ** 2 + second ** 2) * (first + second);
}

/**
 * W/m²K through a cover, face to face: its solid and its cavities in series, each cavity with air (`gapConvection`), webs and
 * radiation between its walls at the temperatures that they have.
 */
export function coverConductance(
  cover: Pick<LossCover, 'emittance' | 'conductance' | 'cavities'>,
  faces: { inner: number; outer: number; tilt: number },
): number {
  const cavity = cover.cavities && tiltedGap(cover.cavities.gap, faces.tilt);
  return throughCover(cover, cavity, faces.inner, faces.outer);
}

/** The same with the tilt of its cavities worked in. */
export function throughCover(
  {
    cavities,
    emittance,
    conductance = Number.POSITIVE_INFINITY,
  }: Pick<LossCover, 'emittance' | 'conductance' | 'cavities'>,
  cavity: TiltedGap | undefined,
  inner: number,
  outer: number,
): number {
  if (!cavities || !cavity) return conductance;
  const step = (inner - outer) / cavities.count;
  let resistance = 1 / conductance;
  for (let index = 0; index < cavities.count; index += 1) {
    const below = inner - index * step;
    const above = below - step;
    const radiated = (cavities.view * blackExchange(below, above)) / (2 / emittance - 1);
    const air = convectionAcross(cavity, below, above);
    resistance += 1 / (air + radiated + cavities.webs);
  }
  return 1 / resistance;
}
