import type { HeaterGroup } from '../loop';
import { silence } from './steady';

/** How fast a panel's temperature moved at a reading. */
export interface Drift {
  /** Whether the reading stands in a stretch of readings by which it can be told. */
  known: boolean;
  /** K/s of the mean of the water. */
  rate: number;
}

const minute = 60_000;
/** Minutes. A shorter stretch tells noise and no drift. */
const leastStretch = 8;
/** Readings of a stretch from which on its two ends are not used. */
const enoughInside = 5;
/** W/m². A reading in less sun, or a stretch of less on its mean, says little of a panel. */
export const leastSun = 300;

/** J/K of panels with their water and the share of their boxes that swings with them. */
export function plantCapacity(groups: readonly HeaterGroup[]): number {
  return groups.reduce(
    (sum, { thermal: { capacity }, count }) => sum + (capacity.dry + capacity.water + capacity.box) * count,
    0,
  );
}

/**
 * Drift of each reading, by the slope of the water's mean temperature between its neighbours: while a panel warms, its metal, water and
 * box keep C dT/dt of the heat from the outlet (quasi-dynamic term of ISO 9806, a5). Unknown for a reading that stands alone.
 *
 * @param readings in order of time, °C, W/m²
 */
export function driftOf(
  readings: readonly { time: number; inlet: number; outlet: number; irradiance: number }[],
): Drift[] {
  const drifts: Drift[] = readings.map(() => ({ known: false, rate: 0 }));
  let start = 0;
  for (let end = 0; end < readings.length; end += 1) {
    const next = readings[end + 1];
    if (next && next.time - (readings[end]?.time ?? 0) <= silence * minute) continue;
    const stretch = readings.slice(start, end + 1);
    const length = (stretch[stretch.length - 1]?.time ?? 0) - (stretch[0]?.time ?? 0);
    const sun = stretch.reduce((sum, one) => sum + one.irradiance, 0) / stretch.length;
    if (length >= leastStretch * minute && sun >= leastSun)
      stretch.forEach((_, index) => {
        // At its ends a stretch of many readings knows its slope from one side only, and leaves them out.
        if (stretch.length >= enoughInside && (index === 0 || index === stretch.length - 1)) return;
        const before = stretch[Math.max(0, index - 1)];
        const after = stretch[Math.min(stretch.length - 1, index + 1)];
        if (!before || !after) return;
        const rise = (after.inlet + after.outlet - before.inlet - before.outlet) / 2;
        drifts[start + index] = { known: true, rate: (rise / (after.time - before.time)) * 1000 };
      });
    start = end + 1;
  }
  return drifts;
}
