import { steadySun } from '../sky';

/** A reading with what steadiness is judged by. */
export interface SteadyInput {
  time: number;
  inlet: number;
  air: number;
  flow: number;
  /** W/m². */
  irradiance: number;
  /** Degrees. */
  incidence: number;
}

const minute = 60_000;
/** Minutes: 15 to settle and 10 held. */
const span = 25;
/** Minutes. A longer silence parts two stretches. */
export const silence = 16;

/**
 * Which readings stand at the end of 25 steady minutes: sun above 700 W/m² and within 50, sun within 30° of square,
 * inlet within 0.5 K, flow within 5 %, air within 2 K of their middle. Quasi-steady rules in the manner of ISO 9806.
 *
 * @param readings in order of time
 */
export function steadyReadings(readings: readonly SteadyInput[]): boolean[] {
  const steady: boolean[] = [];
  let start = 0;
  for (let end = 0; end < readings.length; end += 1) {
    const last = readings[end];
    const before = readings[end - 1];
    if (!last) break;
    if (before && last.time - before.time > silence * minute) start = end;
    while ((readings[start]?.time ?? 0) < last.time - span * minute - minute) start += 1;
    const first = readings[start];
    if (!first || last.time - first.time < (span - 1) * minute) {
      steady.push(false);
      continue;
    }
    const window = readings.slice(start, end + 1);
    const within = (of: (reading: SteadyInput) => number, half: number) => {
      const values = window.map(of);
      return Math.max(...values) - Math.min(...values) <= 2 * half;
    };
    const meanFlow = window.reduce((sum, reading) => sum + reading.flow, 0) / window.length;
    steady.push(
      window.every((reading) => reading.irradiance > steadySun.least && reading.incidence < steadySun.mostIncidence) &&
        within((reading) => reading.irradiance, 50) &&
        within((reading) => reading.inlet, 0.5) &&
        within((reading) => reading.air, 2) &&
        meanFlow > 0 &&
        within((reading) => reading.flow, 0.05 * meanFlow),
    );
  }
  return steady;
}
