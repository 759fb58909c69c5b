import type { Fluid } from './fluids';

/** What a characteristic is taken at, as a laboratory says it. */
export interface Reference {
  /** Degrees from level (β). */
  tilt: number;
  /** kg/s for each m² of aperture. */
  specificFlow: number;
  /** Water when left out. */
  fluid?: Fluid;
}

/** Effort of a fit: `whole`, checked on conditions held back; `screening`, a quarter of the conditions, unchecked, enough to rank kinds of heater. */
export type FitEffort = 'whole' | 'screening';

/** Degrees between two angles of a table of incidence angle modifiers that is alike all round: it bends gently. */
export const modifierStep = 5;
/** The steps of others, which have corners, from the coarsest; and how far straight lines between may be off, of the beam square on. */
const steps = [5, 2.5, 1, 0.5] as const;
const straight = 0.006;
/** Degrees beyond which no step is judged: a beam that grazes the pane brings nothing. */
const grazes = 75;

/** Angles from 0 to 90 degrees at the coarsest even steps at which a modifier is straight between them, within `straight`. */
export function modifierAngles(modifier: (angle: number) => number): number[] {
  const fine = 0.5;
  const sampled = Array.from({ length: 90 / fine + 1 }, (_, index) => modifier(index * fine));
  const found = steps.find((step) => {
    const table = sampled.filter((_, index) => index % (step / fine) === 0);
    return sampled.every(
      (value, index) => index * fine > grazes || Math.abs(modifierAt(table, index * fine) - value) <= straight,
    );
  });
  const step = found ?? fine;
  return Array.from({ length: 90 / step + 1 }, (_, index) => index * step);
}

/**
 * K_b of beam by its angles, at even steps from 0 to 90 degrees, across the heater and along it. `round` ones are alike in all planes: only
 * the angle of incidence counts.
 */
export interface BeamModifier {
  round: boolean;
  transversal: readonly number[];
  longitudinal: readonly number[];
  /** K_b by both angles where the planes are not alike: a row for each angle across, a column for each along. */
  both?: readonly (readonly number[])[];
}

/** A modifier at an angle (degrees, to either side) of a table from 0 to 90 at even steps, straight between. */
export function modifierAt(table: readonly number[], angle: number): number {
  const place = (Math.min(90, Math.abs(angle)) * (table.length - 1)) / 90;
  const below = Math.min(table.length - 2, Math.floor(place));
  const [low = 0, high = 0] = [table[below], table[below + 1]];
  return low + (high - low) * (place - below);
}

/**
 * K_b of a beam. The standard multiplies K_T by K_L where the planes are not alike (ISO 9806:2017), which is exact in either plane alone and off
 * between them (`productShortfall`): a run takes the table of both angles. A beam without angles is taken to lie in the transversal plane.
 */
export function beamModifierAt(
  { round, transversal, both }: BeamModifier,
  { incidence, angles }: { incidence: number; angles?: { transversal: number; longitudinal: number } },
): number {
  if (round || !both) return modifierAt(transversal, incidence);
  const at = angles ?? { transversal: incidence, longitudinal: 0 };
  const place = (Math.min(90, Math.abs(at.transversal)) * (both.length - 1)) / 90;
  const below = Math.min(both.length - 2, Math.floor(place));
  const [low, high] = [
    modifierAt(both[below] ?? [], at.longitudinal),
    modifierAt(both[below + 1] ?? [], at.longitudinal),
  ];
  return low + (high - low) * (place - below);
}

/** By how much K_T K_L misses K_b at its worst up to some degrees from square, as a share of the beam square on, and where. */
export function productShortfall(
  { transversal, longitudinal, both }: BeamModifier,
  most = 60,
): { share: number; transversal: number; longitudinal: number } {
  let worst = { share: 0, transversal: 0, longitudinal: 0 };
  if (!both) return worst;
  const step = 90 / (both.length - 1);
  const between = 90 / (longitudinal.length - 1);
  const tangent = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
  for (let row = 0; row * step <= most; row += 1)
    for (let column = 0; column * between <= most; column += 1) {
      if (Math.hypot(tangent(row * step), tangent(column * between)) > tangent(most) + 1e-9) continue;
      const share = (transversal[row] ?? 0) * (longitudinal[column] ?? 0) - (both[row]?.[column] ?? 0);
      if (Math.abs(share) > Math.abs(worst.share))
        worst = { share, transversal: row * step, longitudinal: column * between };
    }
  return worst;
}

/** Coefficients of the equation of ISO 9806:2017, on aperture, SI. */
export interface IsoCoefficients {
  /** η0,b: peak efficiency for beam, at wind 3 m/s. */
  eta0b: number;
  /** K_d: modifier of diffuse light of sky and ground, with `groundShare` of it from the ground. */
  kd: number;
  /** W/m²K at 3 m/s and air at 15 °C. */
  a1: number;
  /** W/m²K². */
  a2: number;
  /** J/m³K: loss with wind. */
  a3: number;
  /** Of the long-wave balance. */
  a4: number;
  /** J/m²K: effective heat capacity. */
  a5: number;
  /** s/m: peak efficiency with wind. */
  a6: number;
  /** s/m: long wave with wind. */
  a7: number;
  /** W/m²K⁴. */
  a8: number;
}

/**
 * What the equation of the standard leaves out, and this fit adds: the loss that grows with the air's own temperature (radiation goes by its
 * third power), that bends with wind, goes with the sky, and both with the flow. SI, by the terms in `termsOf`.
 */
export interface Corrections {
  air: number;
  windSquared: number;
  riseAir: number;
  riseSky: number;
  riseWind: number;
  flowGain: number;
  flowLoss: number;
  /**
   * Of a heater of pipes, or whose absorber stands far over its water: it loses by the sun it keeps as well as by the water's rise, and those
   * losses bend. Nothing for others.
   */
  keptSquared?: number;
  riseKept?: number;
  keptAir?: number;
  keptWind?: number;
  keptSky?: number;
  /** Wind across a cylinder goes by its root. */
  riseRoot?: number;
  keptRoot?: number;
  riseSquaredRoot?: number;
}

/** Water that flows through: ISO 9806:2017, quasi-dynamic, with its corrections. */
export interface FlowThrough {
  kind: 'flow-through';
  /** m². */
  apertureArea: number;
  reference: Reference;
  iso: IsoCoefficients;
  corrections: Corrections;
  beamModifier: BeamModifier;
  /** Modifiers of sky and of ground light at the reference tilt. */
  skyModifier: number;
  groundModifier: number;
  /** It gives nothing back when it is colder than its water. */
  oneWay: boolean;
  residual: Residual;
}

/** Water that is heated where it stands: tanks in series with the equation of the standard for each square metre of pane. */
export interface Storage {
  kind: 'storage';
  /** m². */
  apertureArea: number;
  reference: Reference;
  /** Tanks in series, cold in the first, and mixed parts of each from the bottom up. */
  tanks: number;
  parts: number;
  /** m³ of all water; J/K of water and metal. */
  volume: number;
  heatCapacity: number;
  iso: IsoCoefficients;
  corrections: Corrections;
  /**
   * (τα) K_b of beam by its angles, at even steps: across the heater from 0 to 90 (rows), along it from −90 to 90; with what an
   * open lid throws in.
   */
  beam: readonly (readonly number[])[];
  /** (τα) K of sky and ground light at the reference tilt. */
  sky: number;
  ground: number;
  hasLid: boolean;
  /** W/K with the lid shut, or at night without one. */
  shutLoss: number;
  residual: Residual;
}

/** Degrees between two angles of a storage's table of acceptance. */
export const acceptanceSteps = { pane: 5, pipes: 2.5 } as const;

/** What a run, a comparison and a laboratory's report need of a heater. */
export type Characteristic = FlowThrough | Storage;

/** How far a characteristic is from the model that it was fitted to, over conditions that it was not fitted to. */
export interface Residual {
  /** Shares of useful heat: root of the mean square, and the worst. */
  rms: number;
  worst: number;
  /** Conditions. */
  count: number;
}
