import { fluidState, massFlowOf } from '../heat';
import { totalAperture } from '../loop';
import { type Plant, type Prediction, predict } from './predict';
import { type Reading, type Sensors, sensorErrors, skyShares } from './reading';
import { steadyReadings } from './steady';

/** How measured stands to expected, by combined standard uncertainties. */
export type Judgement = 'agrees' | 'hotter' | 'colder';

export interface Comparison {
  reading: Reading;
  predicted: Prediction;
  /** K, and half of the span that nine in ten lie in. */
  measuredGain: number;
  measuredHalf: number;
  /** W. */
  measuredHeat: number;
  /** Heat over the sun on the aperture, measured and predicted, and the plane they lie on: K m²/W. */
  efficiency: { x: number; measured: number; predicted: number };
  /** Measured less predicted gain, over its combined standard uncertainty. */
  score: number;
  judgement: Judgement;
  /** At the end of a steady stretch. */
  steady: boolean;
  /** Whether a verdict may rest on it (broken cloud may not). */
  fit: boolean;
}

export interface Verdict {
  judgement: Judgement | 'cannot tell';
  /** How many readings it rests on, and whether those were steady. */
  count: number;
  steady: boolean;
  /** K, means over those readings. */
  measured: number;
  expected: number;
  low: number;
  high: number;
  /** K. Combined standard uncertainty of the mean difference. */
  uncertainty: number;
  score: number;
}

/** Beyond this many standard uncertainties a difference is not put down to chance. */
const limit = 2;
/** W/m². Below it a reading says little about a panel. */
const leastSun = 300;

function judge(score: number): Judgement {
  if (score > limit) return 'hotter';
  return score < -limit ? 'colder' : 'agrees';
}

/** W. Heat that the water carried by its own readings. */
function measuredHeat(reading: Reading): number {
  const mean = (reading.inlet + reading.outlet) / 2;
  return (
    massFlowOf(reading.flow, reading.inlet) * fluidState('water', mean).heatCapacity * (reading.outlet - reading.inlet)
  );
}

/** Every reading against the drawing. Those without sun or flow are left out; `left` says how many. */
export function compareReadings(
  plant: Plant,
  readings: readonly Reading[],
  sensors: Sensors,
): { rows: Comparison[]; left: number; verdict: Verdict } {
  const errors = sensorErrors(sensors);
  const aperture = totalAperture(plant.groups);
  const sorted = [...readings].sort((a, b) => a.time - b.time);
  const rows: Comparison[] = [];
  for (const reading of sorted) {
    const predicted = predict(plant, reading, errors);
    if (!predicted) continue;
    const measuredGain = reading.outlet - reading.inlet;
    const heat = measuredHeat(reading);
    const sun = predicted.irradiance * aperture;
    const combined = Math.sqrt(Object.values(predicted.shared).reduce((sum, part) => sum + part ** 2, 0));
    const score = (measuredGain - predicted.gain) / combined;
    const worded = reading.irradiance === undefined && reading.sky ? skyShares[reading.sky].judge : true;
    rows.push({
      reading,
      predicted,
      measuredGain,
      measuredHalf: 1.645 * errors.difference,
      measuredHeat: heat,
      efficiency: {
        x: (reading.inlet - reading.air) / predicted.irradiance,
        measured: heat / sun,
        predicted: predicted.heat / sun,
      },
      score,
      judgement: judge(score),
      steady: false,
      fit: worded && predicted.irradiance >= leastSun,
    });
  }
  const steady = steadyReadings(
    rows.map(({ reading, predicted }) => ({
      ...reading,
      irradiance: predicted.irradiance,
      incidence: predicted.incidence,
    })),
  );
  rows.forEach((row, index) => {
    row.steady = steady[index] ?? false;
  });
  return { rows, left: sorted.length - rows.length, verdict: verdictOf(rows) };
}

/**
 * One verdict over many readings. What errs the same way in all of them (bond, pane, sun scale, flow scale, thermometers)
 * is not shrunk by their number; only the scatter is.
 */
export function verdictOf(rows: readonly Comparison[]): Verdict {
  const fit = rows.filter((row) => row.fit);
  const held = fit.filter((row) => row.steady);
  const used = held.length > 0 ? held : fit;
  const count = used.length;
  const mean = (of: (row: Comparison) => number) =>
    count === 0 ? 0 : used.reduce((sum, row) => sum + of(row), 0) / count;
  const base = {
    count,
    steady: held.length > 0,
    measured: mean((row) => row.measuredGain),
    expected: mean((row) => row.predicted.gain),
    low: mean((row) => row.predicted.low),
    high: mean((row) => row.predicted.high),
  };
  if (count === 0) return { ...base, judgement: 'cannot tell', uncertainty: 0, score: 0 };
  const names = new Set(used.flatMap((row) => Object.keys(row.predicted.shared)));
  let systematic = 0;
  for (const name of names) systematic += mean((row) => row.predicted.shared[name] ?? 0) ** 2;
  const difference = base.measured - base.expected;
  const scatter =
    count > 1
      ? used.reduce((sum, row) => sum + (row.measuredGain - row.predicted.gain - difference) ** 2, 0) /
        (count - 1) /
        count
      : 0;
  const uncertainty = Math.sqrt(systematic + scatter);
  const score = difference / uncertainty;
  return { ...base, judgement: judge(score), uncertainty, score };
}
