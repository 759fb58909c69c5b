import { heatersInLoop, totalAperture } from '../loop';
import { type Effect, fluidState, massFlowOf, momentsOf, ninetyDeviate } from '../thermal';
import type { Comparison, Verdict } from './comparison';
import { type DrawTest, drawTests } from './draws';
import { driftOf, leastSun, plantCapacity } from './drift';
import { judge } from './effects';
import { hiddenFaults } from './hiding';
import { type Plant, predictorOf } from './predict';
import { type Reading, type Sensors, sensorErrors, skyShares } from './reading';
import { compareStanding } from './standing';
import { steadyReadings } from './steady';
import { isStore, meanOf } from './warmUp';

export interface Compared {
  rows: Comparison[];
  /** Readings without sun or flow; of water that stands, those without one before them that they can be held against. */
  left: number;
  /** Draws from heaters that are their own store. */
  draws: DrawTest[];
  verdict: Verdict;
}

/** A plant, and the moment from which it stood: ms since 1970. */
export interface StandingPlant {
  from: number;
  plant: Plant;
}

/** Standard uncertainties to either side of the span that is told: nine in ten of sound panels, and a little more for what the model misses. */
const spanCover = 1.75;
/** Readings apart from each other that together say something although none is known to have settled. */
const leastApart = 3;

/** Every reading against the plant that stood at its time, the first one for what is older. Those without sun or flow are left out. */
export function compareReadings(
  stood: readonly StandingPlant[],
  readings: readonly Reading[],
  sensors: Sensors,
): Compared {
  const builds = [...stood]
    .sort((a, b) => a.from - b.from)
    .map(({ from, plant }) => ({
      from,
      plant,
      predictor: predictorOf(plant),
      aperture: totalAperture(heatersInLoop(plant.groups)),
      capacity: plantCapacity(plant.groups),
    }));
  const at = (time: number) => builds.findLast(({ from }) => from <= time) ?? builds[0];
  const sorted = [...readings].sort((a, b) => a.time - b.time);
  const standing = standingRows(sorted, (time) => at(time)?.plant, sensors);
  const seen = sorted.flatMap((reading) => {
    const build = at(reading.time);
    if (!build || isStore(build.plant)) return [];
    const predicted = build.predictor.predict(reading, reading.sensors ?? sensors);
    return predicted ? [{ reading, build, predicted }] : [];
  });
  const steady = steadyReadings(
    seen.map(({ reading, predicted }) => ({
      ...reading,
      irradiance: predicted.irradiance,
      incidence: predicted.incidence,
    })),
  );
  const drifts = driftOf(seen.map(({ reading, predicted }) => ({ ...reading, irradiance: predicted.irradiance })));
  const flowing = seen.map(({ reading, build, predicted }, index): Comparison => {
    const fluid = build.plant.fluid ?? 'water';
    const measuredGain = reading.outlet - reading.inlet;
    const mean = meanOf(reading);
    const capacityRate = massFlowOf(reading.flow, reading.inlet, fluid) * fluidState(fluid, mean).heatCapacity;
    const drift = drifts[index] ?? { known: false, rate: 0 };
    const settledGain = measuredGain + (build.capacity * drift.rate) / capacityRate;
    const measuredHeat = capacityRate * settledGain;
    const sun = predicted.irradiance * build.aperture;
    const moments = momentsOf(Object.values(predicted.effects));
    const score = (settledGain - predicted.gain - moments.mean) / Math.sqrt(moments.variance);
    const worded = reading.irradiance === undefined && reading.sky ? skyShares[reading.sky].judge : true;
    return {
      reading,
      predicted,
      measuredGain,
      measuredHalf: ninetyDeviate * sensorErrors(reading.sensors ?? sensors).difference,
      settledGain,
      measuredHeat,
      efficiency: {
        x: (reading.inlet - reading.air) / predicted.irradiance,
        measured: measuredHeat / sun,
        predicted: predicted.heat / sun,
      },
      score,
      judgement: judge(score),
      steady: steady[index] ?? false,
      drift,
      // In a stretch whose drift is known the weak minutes count too: left out they would bias what is left.
      fit: worded && (drift.known || predicted.irradiance >= leastSun),
    };
  });
  const rows = [...flowing, ...standing.rows].sort((a, b) => a.reading.time - b.reading.time);
  const draws = builds.flatMap(({ plant }) =>
    isStore(plant)
      ? drawTests(
          plant,
          sorted.filter(({ time }) => at(time)?.plant === plant),
          sensors,
        )
      : [],
  );
  const drawn = sorted.filter(({ time }) => draws.some(({ from, to }) => time > from && time <= to)).length;
  // A heater that became another kind is judged by what stands now.
  const last = builds[builds.length - 1];
  const stands = last !== undefined && isStore(last.plant);
  const verdict: Verdict = {
    ...verdictOf(rows.filter((row) => (row.since !== undefined) === stands)),
    of: stands ? 'rise' : 'gain',
  };
  const plantAt = (time: number) => at(time)?.plant;
  return {
    rows,
    left: sorted.length - rows.length - standing.first - drawn,
    draws,
    verdict:
      verdict.judgement === 'cannot tell'
        ? verdict
        : {
            ...verdict,
            hidden: hiddenFaults(
              usedRows(rows.filter((row) => (row.since !== undefined) === stands)),
              verdict,
              plantAt,
            ),
          },
  };
}

/** Readings of water that stands, each against the one before it; `first` counts those that only begin a run of them. */
function standingRows(
  sorted: readonly Reading[],
  plantAt: (time: number) => Plant | undefined,
  sensors: Sensors,
): { rows: Comparison[]; first: number } {
  const rows: Comparison[] = [];
  let first = 0;
  let before: Reading | undefined;
  for (const reading of sorted) {
    const plant = plantAt(reading.time);
    if (!plant || !isStore(plant)) continue;
    if (reading.flow > 0) {
      before = undefined;
      continue;
    }
    const row = before && compareStanding(plant, before, reading, reading.sensors ?? sensors);
    if (row) rows.push(row);
    else if (!before) first += 1;
    before = reading;
  }
  return { rows, first };
}

/** The readings that a verdict rests on: steady ones where there are any, else stretches whose drift is known, else several apart. */
function usedRows(rows: readonly Comparison[]): Comparison[] {
  const fit = rows.filter((row) => row.fit);
  const steady = fit.filter((row) => row.steady);
  if (steady.length > 0) return steady;
  const known = fit.filter((row) => row.drift.known);
  if (known.length > 0) return known;
  return fit.length >= leastApart ? fit : [];
}

/**
 * One verdict over many readings. What errs the same way in all of them (bond, pane, sun scale, flow scale, thermometers)
 * is not shrunk by their number; only the scatter is. Each cause errs by as much as it does to its own side.
 */
export function verdictOf(rows: readonly Comparison[]): Verdict {
  const used = usedRows(rows);
  const count = used.length;
  const mean = (of: (row: Comparison) => number) =>
    count === 0 ? 0 : used.reduce((sum, row) => sum + of(row), 0) / count;
  const base = {
    of: rows.some((row) => row.since) ? ('rise' as const) : ('gain' as const),
    count,
    steady: used.some((row) => row.steady),
    measured: mean((row) => row.settledGain),
    expected: mean((row) => row.predicted.gain),
    hidden: [],
  };
  if (count === 0) {
    const reason = rows.some((row) => row.fit) ? 'unsettled' : 'nothing';
    return { ...base, judgement: 'cannot tell', reason, low: 0, high: 0, uncertainty: 0, score: 0 };
  }
  const moments = momentsOf(meanEffects(used));
  const differences = used.map((row) => row.settledGain - row.predicted.gain);
  const uncertainty = Math.sqrt(moments.variance + scatterOf(differences));
  const middle = base.expected + moments.mean;
  const score = (base.measured - middle) / uncertainty;
  return {
    ...base,
    judgement: judge(score),
    low: middle - spanCover * uncertainty,
    high: middle + spanCover * uncertainty,
    uncertainty,
    score,
  };
}

/** Effects of every cause on the mean of some readings; a cause that a reading does not have is zero there. */
export function meanEffects(rows: readonly Comparison[]): Effect[] {
  const sums = new Map<string, Effect>();
  for (const { predicted } of rows)
    for (const [name, { up, down }] of Object.entries(predicted.effects)) {
      const sum = sums.get(name) ?? { up: 0, down: 0 };
      sums.set(name, { up: sum.up + up, down: sum.down + down });
    }
  return [...sums.values()].map(({ up, down }) => ({ up: up / rows.length, down: down / rows.length }));
}

/**
 * K². Variance of the mean of differences that follow each other: neighbours that are alike count for fewer than they are, by the
 * lag-one autocorrelation r, n (1 − r) / (1 + r) (Bartlett 1935, as usual for serial data).
 */
function scatterOf(differences: readonly number[]): number {
  const count = differences.length;
  if (count < 2) return 0;
  const mean = differences.reduce((sum, one) => sum + one, 0) / count;
  const square = differences.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (count - 1);
  if (square === 0) return 0;
  const neighbours = differences.reduce(
    (sum, one, index) => (index === 0 ? 0 : sum + (one - mean) * ((differences[index - 1] ?? mean) - mean)),
    0,
  );
  const r = Math.min(0.9, Math.max(0, neighbours / ((count - 1) * square)));
  return square / Math.max(1, (count * (1 - r)) / (1 + r));
}
