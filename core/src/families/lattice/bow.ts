import { risingRoot } from '../../heat';

/** A sheet held by a square grid of bolts; SI. */
export interface HeldSheet {
  modulus: number;
  /** m. */
  thickness: number;
  pitch: number;
  washer: number;
}

/** Poisson's ratio of the sheets. */
const poisson = 0.3;

function rigidity({ modulus, thickness }: HeldSheet): number {
  return (modulus * thickness ** 3) / (12 * (1 - poisson ** 2));
}

/**
 * Pressure that bows a sheet between four bolts by so much in the middle, one-term energy method with the shape
 * w = w₀ (2 − cos X − cos Y) / 4, in bending and in its own plane: q = 2π⁴ / s⁴ × (D w₀ + E t w₀³ / (64 (1 − ν))). Derived;
 * for small bows it is 12 % stiffer than Timoshenko's exact 0.00581 q s⁴ / D.
 */
export function pressureFor(sheet: HeldSheet, bow: number): number {
  const { modulus, thickness, pitch } = sheet;
  const stretch = (modulus * thickness * bow ** 3) / (64 * (1 - poisson));
  return ((2 * Math.PI ** 4) / pitch ** 4) * (rigidity(sheet) * bow + stretch);
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
  /** Pa. Bending at the bolts with the pull in its plane. */
  stress: number;
  /** Pa. Shear round the washer. */
  shear: number;
  /** N on each bolt. */
  pull: number;
}

/** Stress, shear and pull at the bolts of the grid. Bending from the same shape, spread over a washer; derived. */
export function boltLoad(sheet: HeldSheet, pressure: number): BoltLoad {
  const { modulus, thickness, pitch, washer } = sheet;
  const bow = bowUnder(sheet, pressure);
  const curvature = (Math.PI ** 2 * bow) / pitch ** 2;
  const bending = (6 * rigidity(sheet) * (1 + poisson) * curvature) / thickness ** 2;
  const strain = (Math.PI ** 2 * bow ** 2) / (16 * pitch ** 2);
  const pull = pressure * pitch ** 2;
  return {
    bow,
    stress: bending + (modulus * strain) / (1 - poisson),
    shear: pull / (Math.PI * washer * thickness),
    pull,
  };
}

/** Pa that a sheet bears at its bolts for years; shear counts as 0.58 of pull (von Mises). */
export function mostPressure(sheet: HeldSheet, bears: number): number {
  const worst = (pressure: number) => {
    const { stress, shear } = boltLoad(sheet, pressure);
    return Math.max(stress, shear / 0.58) - bears;
  };
  return risingRoot(worst, 1, 5e6, 1);
}
