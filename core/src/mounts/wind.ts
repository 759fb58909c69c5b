import { gravity, weighs } from '../quantity';

/** kg/m³ over two: half the density of air at 15 °C at sea level. */
const halfDensity = 0.613;

/**
 * Share of the wind's pressure that pulls or pushes square to an open, tilted panel. EN 1991-1-4, table 7.6, free-standing
 * monopitch canopies, among its worst overall values (recalled); an edge sees more.
 */
export const netCoefficient = 1.3;

/** What a gust does to a panel on a stand; kg are what 9.81 N make. */
export interface WindLoad {
  /** Pa. */
  pressure: number;
  /** N, square to the panel. */
  force: number;
  /** kg that pull as hard as it does, square to the panel. */
  pull: number;
  /** kg to be laid on the stand or anchored, so that it neither lifts nor topples. No safety factor in it. */
  ballast: number;
  /** Whether toppling asks for more than lifting. */
  topples: boolean;
}

/**
 * Wind on a panel from in front or from behind, the worse way: q = 0.613 v² on its area with `netCoefficient`. Lift against
 * weight; toppling about the foot away from the wind against weight over half the base. Derived.
 *
 * @param query.speed m/s, gust at the panel
 * @param query.base m, front foot to back foot
 */
export function windOn(query: {
  speed: number;
  upslope: number;
  across: number;
  tilt: number;
  low: number;
  mass: number;
  base: number;
}): WindLoad {
  const { speed, upslope, across, tilt, low, mass, base } = query;
  const angle = (tilt * Math.PI) / 180;
  const pressure = halfDensity * speed ** 2;
  const force = pressure * netCoefficient * upslope * across;
  const up = force * Math.cos(angle);
  const along = force * Math.sin(angle);
  const lift = weighs(up);
  // About the front foot: the pull acts in the middle of the panel, half the slope up and `low` over the ground.
  const height = low + (upslope / 2) * Math.sin(angle);
  const reach = (upslope / 2) * Math.cos(angle);
  const turning = up * reach + along * height;
  const byTurning = weighs(turning / (base / 2)) - mass;
  const byLift = lift - mass;
  return {
    pressure,
    force,
    pull: weighs(force),
    ballast: Math.max(0, byLift, byTurning),
    topples: byTurning > byLift + 1e-9,
  };
}

/** Guys that share what lifts, and the angle to the ground at which they stand. */
const guys = 4;
const guyAngle = 45;

/**
 * N that each guy and its anchor must hold. Two of the four pull against the wind at any time; each holds its share of the missing
 * weight along its own slope. Derived, no safety factor in it.
 *
 * @param ballast kg that would do the same
 */
export function guyPull(ballast: number): number {
  return (ballast * gravity) / (guys / 2) / Math.sin((guyAngle * Math.PI) / 180);
}
