import { risingRoot } from '../../thermal';

/** A sheet held by a square grid of bolts; SI. */
export interface HeldSheet {
  modulus: number;
  /** m. */
  thickness: number;
  pitch: number;
  washer: number;
  /** m. Thread of the bolts. */
  bolt: number;
}

/** Poisson's ratio of the sheets. */
const poisson = 0.3;

/**
 * A thin plate of pitch s under even pressure q, clamped by round washers of diameter w on a square grid: peak bending moment at
 * the washer's edge, M = c q s², and deflection in the middle of four bolts, d q s⁴ / D, both for small deflections and ν = 0.3.
 * Derived: series of plate functions that meets the clamped edge and the mirror lines between bolts, held against finite differences
 * in the tests; without a washer d goes to Timoshenko's 0.00581 and c has no bound.
 */
const clamped: readonly { ratio: number; moment: number; middle: number }[] = [
  { ratio: 0.05, moment: 0.3798, middle: 0.005325 },
  { ratio: 0.1, moment: 0.2725, middle: 0.00464 },
  { ratio: 0.125, moment: 0.239, middle: 0.004295 },
  { ratio: 0.2, moment: 0.1716, middle: 0.003337 },
  { ratio: 0.25, moment: 0.1419, middle: 0.002786 },
  { ratio: 1 / 3, moment: 0.1069, middle: 0.00203 },
  { ratio: 0.5, moment: 0.0649, middle: 0.001017 },
  { ratio: 0.7, moment: 0.0351, middle: 0.000371 },
];

/** The row at a washer's share of the pitch, straight in its logarithm; held at the ends of the table. */
function clampedAt(ratio: number): { moment: number; middle: number } {
  const above = clamped.findIndex((row) => row.ratio >= ratio);
  const high = clamped[above < 0 ? clamped.length - 1 : above];
  const low = clamped[above < 0 ? clamped.length - 1 : Math.max(0, above - 1)];
  if (!high || !low || high === low) return high ?? { moment: 0, middle: 0 };
  const share = Math.log(ratio / low.ratio) / Math.log(high.ratio / low.ratio);
  return {
    moment: low.moment + share * (high.moment - low.moment),
    middle: low.middle + share * (high.middle - low.middle),
  };
}

function rigidity({ modulus, thickness }: HeldSheet): number {
  return (modulus * thickness ** 3) / (12 * (1 - poisson ** 2));
}

/** Pa carried by bending and by the pull in the sheet's own plane, at a bow in the middle. */
function carried(sheet: HeldSheet, bow: number): { bending: number; stretch: number } {
  const { modulus, thickness, pitch, washer } = sheet;
  return {
    bending: (rigidity(sheet) * bow) / (clampedAt(washer / pitch).middle * pitch ** 4),
    stretch: ((2 * Math.PI ** 4) / pitch ** 4) * ((modulus * thickness * bow ** 3) / (64 * (1 - poisson))),
  };
}

/**
 * Pressure that bows a sheet between four bolts by so much in the middle: bending by the clamped plate, and the pull in its own plane
 * by a one-term energy method with the shape w = w₀ (2 − cos X − cos Y) / 4, q = 2π⁴ E t w₀³ / (64 (1 − ν) s⁴). Derived. Rubber
 * under the washers lets them tilt a little: a real sheet bows somewhat more.
 */
export function pressureFor(sheet: HeldSheet, bow: number): number {
  const { bending, stretch } = carried(sheet, bow);
  return bending + stretch;
}

/** m. How far a sheet bows in the middle between four bolts under a pressure in Pa. */
export function bowUnder(sheet: HeldSheet, pressure: number): number {
  if (pressure <= 0) return 0;
  const most = pressure / (pressureFor(sheet, 1e-6) / 1e-6);
  return risingRoot((bow) => pressureFor(sheet, bow) - pressure, 0, most + 1e-9, 1e-9);
}

/** What a pressure does to a sheet at its bolts. */
export interface BoltLoad {
  /** m in the middle. */
  bow: number;
  /** Pa. Bending at the washer's edge with the pull in the sheet's plane. */
  stress: number;
  /** Pa. Shear round the washer. */
  shear: number;
  /** N on each bolt, and Pa in its thread. */
  pull: number;
  boltStress: number;
}

/** Stress area of a coarse thread over the square of its diameter, the least of M3 to M10: ISO 898-1. */
const threadArea = 0.549;

/**
 * Stress at the washer's edge, shear round it, and pull of the bolt. Bending is 6 M / t² with M = c q s² of the pressure that
 * bending carries; the pull in the plane is E ε / (1 − ν) with the mean strain of the bowed shape.
 */
export function boltLoad(sheet: HeldSheet, pressure: number): BoltLoad {
  const { modulus, thickness, pitch, washer, bolt } = sheet;
  const bow = bowUnder(sheet, pressure);
  const { bending } = carried(sheet, bow);
  const moment = clampedAt(washer / pitch).moment * bending * pitch ** 2;
  const strain = (Math.PI ** 2 * bow ** 2) / (16 * pitch ** 2);
  const pull = pressure * pitch ** 2;
  return {
    bow,
    stress: (6 * moment) / thickness ** 2 + (modulus * strain) / (1 - poisson),
    shear: pull / (Math.PI * washer * thickness),
    pull,
    boltStress: pull / (threadArea * bolt ** 2),
  };
}

/** Pa that a stainless bolt bears for years: half of the 450 MPa proof stress of A2-70, ISO 3506-1. */
export const boltBears = 225e6;

/** Pa that sheet and bolts bear for years; shear counts as 0.58 of pull (von Mises). */
export function mostPressure(sheet: HeldSheet, bears: number): number {
  const worst = (pressure: number) => {
    const { stress, shear, boltStress } = boltLoad(sheet, pressure);
    return Math.max(stress / bears, shear / (0.58 * bears), boltStress / boltBears) - 1;
  };
  return risingRoot(worst, 0.1, 2e7, 0.1);
}
