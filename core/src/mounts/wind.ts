import { gravity, weighs } from '../quantity';

/** kg/m³ over two: half the density of air at 15 °C at sea level. */
const halfDensity = 0.613;

/** What stands round a panel: open to the wind on both sides, or lying close over a roof. */
export type Exposure = 'open' | 'roof';

/**
 * Net pressure coefficients of a panel open to the wind on both sides, up (away from the front) and down, by tilt: EN 1991-1-4, table
 * 7.6, free-standing monopitch canopies, overall force, the worse of free and blocked underneath (recalled); from 30° on the 1.8 of
 * signboards, clause 7.4.3. Straight between rows.
 */
const openCoefficients: readonly (readonly [tilt: number, up: number, down: number])[] = [
  [0, 1.3, 0.2],
  [5, 1.4, 0.4],
  [10, 1.4, 0.5],
  [15, 1.4, 0.7],
  [20, 1.4, 0.8],
  [25, 1.6, 1],
  [30, 1.8, 1.2],
  [90, 1.8, 1.8],
];

/**
 * Suction at the corner of a monopitch roof, the worst zone (Fup at 5°), of 1 m² and of 10 m²: EN 1991-1-4, table 7.3b (recalled);
 * between them by the logarithm of the area, figure 7.2. The middle of a roof sees about half.
 */
const roofSuction = { small: 2.6, large: 2.1 };
/** Pressure on a roof of up to 45°: EN 1991-1-4, table 7.3a, zone G and H (recalled). */
const roofPressure = 0.7;

/** Worst net pressure coefficients of a panel, away from its front and onto it. EN 1991-1-4. */
export function netCoefficients(query: { exposure: Exposure; tilt: number; area: number }): {
  up: number;
  down: number;
} {
  const { exposure, tilt, area } = query;
  if (exposure === 'roof') {
    const share = Math.min(1, Math.max(0, Math.log10(Math.max(area, 1e-3))));
    return { up: roofSuction.small + (roofSuction.large - roofSuction.small) * share, down: roofPressure };
  }
  const at = Math.min(90, Math.max(0, tilt));
  const above = Math.max(
    1,
    openCoefficients.findIndex(([row]) => row >= at),
  );
  const low = openCoefficients[above - 1] ?? [0, 1.8, 1.8];
  const high = openCoefficients[above] ?? low;
  const share = high[0] === low[0] ? 0 : (at - low[0]) / (high[0] - low[0]);
  return { up: low[1] + (high[1] - low[1]) * share, down: low[2] + (high[2] - low[2]) * share };
}

/** Pa of a gust: half the density of air times its speed squared. */
export function gustPressure(speed: number): number {
  return halfDensity * speed ** 2;
}

/** Timber or metal feet on gravel, grass or concrete, wet: judgement, from 0.3 to 0.5 in tables of friction. */
export const footFriction = 0.4;

/** m. A stand on less is a pole. */
const leastBase = 0.05;

/** What a gust does to a panel on a stand; kg are what 9.81 N make. */
export interface WindLoad {
  /** Pa. */
  pressure: number;
  /** N, square to the panel, and of it along the ground. */
  force: number;
  drag: number;
  /** kg that pull as hard as it does, square to the panel. */
  pull: number;
  /** kg to be laid on the stand so that it neither lifts nor topples nor slides. No safety factor in it. */
  ballast: number;
  /** kg that are wanted against lifting and toppling alone, where ropes or pegs keep it from sliding. */
  heldDown: number;
  /** Which of the three asks for the most. */
  way: 'lifts' | 'topples' | 'slides';
}

/**
 * Wind on a panel from in front or from behind, the worse way: q = 0.613 v² on its area with `netCoefficients`. Lift against weight;
 * toppling about the foot away from the wind against weight over half the base; sliding when the drag exceeds friction under what is
 * left of the weight, so that lift + drag / μ − weight is wanted. Derived.
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
  exposure?: Exposure;
}): WindLoad {
  const { speed, upslope, across, tilt, low, mass, base, exposure = 'open' } = query;
  const angle = (tilt * Math.PI) / 180;
  const pressure = gustPressure(speed);
  const area = upslope * across;
  const force = pressure * netCoefficients({ exposure, tilt, area }).up * area;
  const up = force * Math.cos(angle);
  const drag = force * Math.sin(angle);
  // About the front foot: the pull acts in the middle of the panel, half the slope up and `low` over the ground.
  const height = low + (upslope / 2) * Math.sin(angle);
  const reach = (upslope / 2) * Math.cos(angle);
  const turning = up * reach + drag * height;
  const wanted = {
    lifts: weighs(up) - mass,
    topples: weighs(turning / (Math.max(leastBase, base) / 2)) - mass,
    slides: weighs(up + drag / footFriction) - mass,
  };
  const ways = ['lifts', 'topples', 'slides'] as const;
  const way = ways.reduce((most, one) => (wanted[one] > wanted[most] + 1e-9 ? one : most));
  return {
    pressure,
    force,
    drag,
    pull: weighs(force),
    ballast: Math.max(0, wanted[way]),
    heldDown: Math.max(0, wanted.lifts, wanted.topples),
    way,
  };
}

/** Guys that share what lifts, and the angle to the ground at which they stand. */
const guys = 4;
const guyAngle = 45;

/**
 * N that each guy and its anchor must hold: two of the four pull against the wind at any time. The more of what holds down the missing
 * weight and what holds the drag, each along the guy's own slope. Derived, no safety factor in it.
 */
export function guyPull({ heldDown, drag }: Pick<WindLoad, 'heldDown' | 'drag'>): number {
  const slope = (guyAngle * Math.PI) / 180;
  return Math.max((heldDown * gravity) / Math.sin(slope), drag / Math.cos(slope)) / (guys / 2);
}
