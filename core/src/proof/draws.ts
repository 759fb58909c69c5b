import { type Draw, runStorage } from '../run';
import { fluidState, ninetyDeviate, type Storage } from '../thermal';
import { type Judgement, judge } from './effects';
import { instrumentsOf, type Plant, readingConditions } from './predict';
import type { Reading, Sensors } from './reading';

/** Water drawn from a store at one go, read by read: what came out against what a store of that size would give. */
export interface DrawTest {
  /** ms since 1970, of the first and the last reading of it. */
  from: number;
  to: number;
  /** m³ drawn. */
  volume: number;
  /** °C as it began: cold end and hot end. */
  cold: number;
  hot: number;
  /** J over the mains that came in: measured, expected, and the span that nine in ten lie in. */
  measured: number;
  expected: number;
  low: number;
  high: number;
  /** Difference over its combined standard uncertainty. */
  score: number;
  judgement: Judgement;
}

/** ms. A longer silence ends a draw, or parts it from the reading before it. */
const silence = 30 * 60_000;
/** Mixed parts of a tank that mixes all through, and of one that hardly does: between them lies what a draw brings. */
const mixing = { all: 1, hardly: 6 } as const;

/** Runs of readings with flow, each led by the last reading of water that stood, not longer before it than `silence`. */
function drawsOf(readings: readonly Reading[]): { before: Reading; drawn: Reading[] }[] {
  const found: { before: Reading; drawn: Reading[] }[] = [];
  let before: Reading | undefined;
  let drawn: Reading[] = [];
  const end = () => {
    if (before && drawn.length > 0) found.push({ before, drawn });
    drawn = [];
  };
  let last = Number.NEGATIVE_INFINITY;
  for (const reading of readings) {
    if (reading.time - last > silence) {
      end();
      before = undefined;
    }
    last = reading.time;
    if (reading.flow > 0) {
      if (before) drawn.push(reading);
    } else {
      end();
      before = reading;
    }
  }
  end();
  return found;
}

/**
 * Every draw among the readings of a plant of one store, in order of time. Heat by the trapezoid over the readings; expected by pushing the same
 * water through the store from the temperatures that its two ends had. Undefined where no sun and no sky was said.
 */
export function drawTests(plant: Plant, readings: readonly Reading[], sensors: Sensors): DrawTest[] {
  const draws = drawsOf(readings);
  const [group] = plant.groups;
  if (draws.length === 0 || !group) return [];
  const characteristic = group.thermal.characteristic({ tilt: plant.tilt, specificFlow: 0 });
  if (characteristic.kind !== 'storage') return [];
  return draws.flatMap(({ before, drawn }) => {
    const test = drawTest(plant, { storage: characteristic, count: group.count }, { before, drawn }, sensors);
    return test ? [test] : [];
  });
}

function drawTest(
  plant: Plant,
  { storage, count }: { storage: Storage; count: number },
  { before, drawn }: { before: Reading; drawn: readonly Reading[] },
  sensors: Sensors,
): DrawTest | undefined {
  const conditions = readingConditions(plant, before);
  if (!conditions) return undefined;
  const { density, heatCapacity } = fluidState('water', 40);
  let last = before;
  let measured = 0;
  const draws: Draw[] = [];
  for (const reading of drawn) {
    const seconds = (reading.time - last.time) / 1000;
    const volume = reading.flow * seconds;
    // The tap runs from the reading before: what stood in the hot end came first.
    const out = (last.outlet + reading.outlet) / 2;
    measured += density * volume * heatCapacity * (out - reading.inlet);
    draws.push({ second: (last.time - before.time) / 1000, volume: volume / count, duration: seconds });
    last = reading;
  }
  const seconds = (last.time - before.time) / 1000;
  const cold = drawn.reduce((sum, { inlet }) => sum + inlet, 0) / drawn.length;
  const heatWith = (parts: number, shares: { volume?: number; ends?: number } = {}) => {
    const each = storage.tanks * parts;
    const start = Array.from(
      { length: each },
      (_, part) => before.inlet + ((before.outlet - before.inlet) * (part + 0.5)) / each + (shares.ends ?? 0),
    );
    const { energy } = runStorage(
      { ...storage, parts },
      {
        start,
        seconds: Math.ceil(seconds / 60) * 60,
        at: () => ({ ...conditions, massFlow: 0 }),
        draws: draws.map((one) => ({ ...one, volume: one.volume * (shares.volume ?? 1) })),
        cold: () => cold,
      },
    );
    return count * energy.drawn;
  };
  const mixed = heatWith(mixing.all);
  const layered = heatWith(mixing.hardly);
  const expected = (mixed + layered) / 2;
  const errors = instrumentsOf(before, sensors);
  const volume = count * draws.reduce((sum, one) => sum + one.volume, 0);
  // What a wrong bucket does to both is not the same; what the thermometers do to the measured heat is plain.
  const byMixing = Math.abs(layered - mixed) / 2;
  const byFlow = Math.abs(
    errors.flow.error * measured -
      (heatWith(storage.parts, { volume: 1 + errors.flow.error }) - heatWith(storage.parts)),
  );
  const byThermometers =
    density * volume * heatCapacity * errors.difference.error +
    Math.abs(heatWith(storage.parts, { ends: errors.difference.error }) - heatWith(storage.parts));
  const uncertainty = Math.hypot(byMixing, byFlow, byThermometers);
  const score = (measured - expected) / Math.max(1, uncertainty);
  return {
    from: before.time,
    to: last.time,
    volume,
    cold: before.inlet,
    hot: before.outlet,
    measured,
    expected,
    low: expected - ninetyDeviate * uncertainty,
    high: expected + ninetyDeviate * uncertainty,
    score,
    judgement: judge(score),
  };
}
