import { cos } from '../angles';
import { clearSkyAt } from '../clear';
import { dayOfYear, sunPosition } from '../sun';
import type { WeatherSeries } from './series';

/** What the sun of a half-month says about the clock. */
export interface ClockBlock {
  /** ms. Middle of it. */
  at: number;
  /** Minutes that the sun of the file comes late. */
  late: number;
}

const blockDays = 15;
/** W/m² over the day below which a clear sky is too weak to tell the time by. */
const leastClear = 60;

/**
 * How late the sun of a file comes: in each half-month the brightest that each time of day ever was is held against a clear
 * sky, morning against afternoon (derived: the centre of a curve moves by as much as its clock). Clouds take from both
 * sides alike; a hill in the east does not.
 */
export function clockBlocks(
  series: WeatherSeries,
  site: { latitude: number; longitude: number; elevation: number },
): ClockBlock[] {
  const { global } = series.columns;
  if (!global) return [];
  const slots = Math.round(86_400 / series.step);
  const stepMilliseconds = series.step * 1000;
  // Days by the mean sun, so that noon is in the middle wherever the site is.
  const shift = Math.round((site.longitude / 15) * 3_600_000);
  const perBlock = slots * blockDays;
  const blocks: ClockBlock[] = [];
  const lead = slots - (Math.floor((series.start + shift) / stepMilliseconds) % slots);
  for (let from = lead % slots; from + perBlock <= series.length; from += perBlock) {
    const seen = new Float64Array(slots);
    const clear = new Float64Array(slots);
    for (let index = from; index < from + perBlock; index += 1) {
      const slot = (index - from) % slots;
      const value = global[index] ?? Number.NaN;
      if (value > (seen[slot] ?? 0)) seen[slot] = value;
    }
    const middle = series.start + (from + perBlock / 2) * stepMilliseconds;
    const firstDay = series.start + (from + Math.floor(blockDays / 2) * slots) * stepMilliseconds;
    for (let slot = 0; slot < slots; slot += 1) {
      const at = new Date(firstDay + (slot + 0.5) * stepMilliseconds);
      const { zenith } = sunPosition({ ...site, at });
      if (cos(zenith) <= 0) continue;
      clear[slot] = clearSkyAt({ zenith, elevation: site.elevation, day: dayOfYear(at), turbidity: 3 }).global;
    }
    const expected = centre(clear);
    const found = centre(seen);
    if (!expected || !found || expected.sum / slots < leastClear || found.sum < expected.sum * 0.3) continue;
    const late = ((found.at - expected.at) * series.step) / 60;
    blocks.push({ at: middle, late: aroundTheClock(late) });
  }
  return blocks;
}

/** Middle of what lies round the clock, in slots: the day has no edge that a sun twelve hours late could be cut at. */
function centre(values: Float64Array): { at: number; sum: number } | undefined {
  let sum = 0;
  let along = 0;
  let across = 0;
  for (const [slot, value] of values.entries()) {
    const angle = (2 * Math.PI * slot) / values.length;
    sum += value;
    along += value * Math.cos(angle);
    across += value * Math.sin(angle);
  }
  return sum > 0 ? { at: (Math.atan2(across, along) / (2 * Math.PI)) * values.length, sum } : undefined;
}

/** Minutes late by the clock's face: a day late is not late at all. */
export function aroundTheClock(minutes: number): number {
  return ((((minutes + 720) % 1440) + 1440) % 1440) - 720;
}

/** Middle value; undefined of none. */
export function median(values: readonly number[]): number | undefined {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  const upper = sorted[half];
  if (upper === undefined) return undefined;
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[half - 1] ?? upper)) / 2;
}
