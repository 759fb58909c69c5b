import { expect } from 'chai';
import { runStorage } from '../run';
import { storeModel } from '../thermal';
import { twoTanks } from '../thermal/store/store.fixture';
import { compareReadings } from './compare';
import { readingDoubts } from './doubts';
import { drawTests } from './draws';
import { clearOnPane, type Plant, readingConditions } from './predict';
import type { Reading, Sensors } from './reading';
import { standingInterval } from './warmUp';
import { sayLeft, sayVerdict } from './words';

const model = storeModel(twoTanks());
const plant: Plant = {
  groups: [{ thermal: model, count: 1 }],
  connection: 'parallel',
  latitude: 36.6,
  longitude: -105.8,
  elevation: 2000,
  tilt: 45,
  aim: 180,
  albedo: 0.2,
};
const sensors: Sensors = { thermometers: 'matched pair', flow: 'weighed bucket', sun: 'pyranometer' };
const hour = 3_600_000;
const morning = Date.UTC(2026, 9, 5, 15, 0);
const air = 12;
const sunAt = (time: number) => Math.max(0, clearOnPane(plant, time).total);
const reading = (time: number, cold: number, hot: number, more: Partial<Reading> = {}): Reading => ({
  time,
  inlet: cold,
  outlet: hot,
  air,
  flow: 0,
  irradiance: sunAt(time),
  wind: 1.5,
  ...more,
});

/** What the store would show under a clear sky at some hours after the morning: run by layers, not by the mean that is judged. */
function sound(hours: readonly number[], from = { start: 15, share: 1 }): Reading[] {
  const storage = model.characteristic({ tilt: 45, specificFlow: 0 });
  if (storage.kind !== 'storage') throw new Error('a store');
  const run = runStorage(storage, {
    start: from.start,
    seconds: 12 * 3600,
    at: (second) => {
      const time = morning + second * 1000;
      const conditions = readingConditions(plant, reading(time, air, air, { irradiance: from.share * sunAt(time) }));
      if (!conditions) throw new Error('a sun');
      return { ...conditions, massFlow: 0 };
    },
    draws: [],
    cold: () => 10,
  });
  return hours.map((after) => {
    const parts = run.samples.find(({ second }) => second >= after * 3600)?.parts ?? [];
    return reading(morning + after * hour, parts[0] ?? 0, parts[parts.length - 1] ?? 0);
  });
}
const compare = (readings: readonly Reading[]) =>
  compareReadings([{ from: Number.NEGATIVE_INFINITY, plant }], readings, sensors);

describe('proof: water that stands and warms', () => {
  it('agrees with a sound store read through a clear day, interval by interval', () => {
    const { rows, verdict, left } = compare(sound([0, 2.5, 5, 7.5]));
    expect(rows).length(3);
    expect(left).equal(0);
    for (const row of rows) {
      expect(row.judgement, `${row.score}`).equal('agrees');
      expect(row.measuredGain).closeTo(row.predicted.gain, 0.06 * Math.abs(row.predicted.gain) + 0.15);
    }
    expect(verdict).deep.include({ judgement: 'agrees', of: 'rise', count: 3, steady: true });
    expect(sayVerdict(verdict, 'metric').headline).match(/^[\d.]+\sK of rise\. Expected [\d.]+ to [\d.]+\.$/);
  });
  it('calls a store colder that gets half the sun', () => {
    const { verdict } = compare(sound([0, 2.5, 5], { start: 15, share: 0.5 }));
    expect(verdict.judgement).equal('colder');
    expect(sayVerdict(verdict, 'metric').judgement).match(/Was a tap open, or the lid shut\?/);
  });
  it('rises as fast as constant sun says: C dT = net × time, by hand over a quarter of an hour', () => {
    const [from, to] = [reading(morning + 4 * hour, 20, 20), reading(morning + 4.25 * hour, 22, 22)];
    const { rows } = compare([from, to]);
    const conditions = readingConditions(plant, reading(morning + 4.125 * hour, 20, 20));
    if (!conditions || !rows[0]) throw new Error('a row');
    // 300 kg of water at 4 180 J/kgK nearly, 80 kg of steel at 460.
    const capacity = 300 * 0.992 * 4179 + 80 * 460;
    const expected = (model.stagnantNetHeat({ ...conditions, massFlow: 0 })(20) * 900) / capacity;
    expect(rows[0].predicted.gain).closeTo(expected, 0.03 * expected);
  });
  it('shuts the lid of a night, and opens it by day', () => {
    const lid = {
      hinge: 'low' as const,
      length: 1,
      angle: 105,
      reflectance: twoTanks().lining,
      insulation: { thickness: 0.05, conductivity: 0.025 },
    };
    const night = [
      reading(Date.UTC(2026, 9, 6, 3), 40, 44, { irradiance: 0 }),
      reading(Date.UTC(2026, 9, 6, 12), 38, 42, { irradiance: 0 }),
    ];
    const fall = (thermal: typeof model) =>
      compareReadings(
        [{ from: Number.NEGATIVE_INFINITY, plant: { ...plant, groups: [{ thermal, count: 1 }] } }],
        night,
        sensors,
      ).rows[0]?.predicted.gain ?? Number.NaN;
    const [open, shut] = [fall(model), fall(storeModel(twoTanks({ lid })))];
    expect(open).below(0);
    expect(shut).within(0.75 * open, 0.2 * open);
  });
  it('leaves out what is too near, too far or drawn between, and says so', () => {
    const near = compare([reading(morning, 15, 15), reading(morning + 5 * 60_000, 15, 15)]);
    expect([near.rows.length, near.left]).deep.equal([0, 1]);
    const far = compare([reading(morning, 15, 15), reading(morning + 20 * hour, 15, 15)]);
    expect([far.rows.length, far.left]).deep.equal([0, 1]);
    const drawn = compare([
      reading(morning, 15, 15),
      reading(morning + 2 * hour, 12, 20, { flow: 1e-4 }),
      reading(morning + 4 * hour, 20, 25),
    ]);
    expect(drawn.rows).deep.equal([]);
    expect(sayLeft(far)).match(/too near to or too far from the one before/);
    expect(sayLeft({ left: 0, verdict: far.verdict })).equal(undefined);
    expect(sayVerdict(far.verdict, 'metric').judgement).match(/no warm-up to judge/);
    expect(standingInterval(plant, reading(morning, 15, 15, { flow: 1e-4 }), reading(morning + hour, 15, 15))).equal(
      undefined,
    );
  });
  it('takes words for the sky where no sun was measured', () => {
    const said = sound([0, 3]).map(({ irradiance: _, ...rest }) => ({ ...rest, sky: 'clear' as const }));
    const { rows } = compare(said);
    expect(rows[0]?.judgement).equal('agrees');
    expect(rows[0]?.predicted.irradiance ?? 0).above(500);
  });
});

describe('proof: draws from a store', () => {
  const begin = morning + 8 * hour;
  /** Litres a minute out of a bucket, every two minutes. */
  const taken = (outlets: readonly number[], litres = 12): Reading[] => [
    reading(begin, 40, 50),
    ...outlets.map((outlet, index) => reading(begin + (index + 1) * 120_000, 10, outlet, { flow: litres / 60_000 })),
  ];
  it('agrees with water that comes as the store held it: 120 L out of 300 L', () => {
    const [test, ...more] = drawTests(plant, taken([50, 49, 48, 47, 46]), sensors);
    expect(more).deep.equal([]);
    expect(test?.volume).closeTo(0.12, 1e-9);
    // By hand: trapezoid of 50, 50, 49, 48, 47, 46 over mains at 10, 24 kg between two reads.
    const mean = (50 + 49.5 + 48.5 + 47.5 + 46.5) / 5;
    expect(test?.measured).closeTo(0.12 * 992.2 * 4179 * (mean - 10), 2e4);
    expect(test?.judgement, `${test?.score}`).equal('agrees');
    expect(test?.low).below(test?.expected ?? 0);
  });
  it('calls it colder when half of it never comes: a store smaller than drawn', () => {
    const [test] = drawTests(plant, taken([40, 28, 20, 15, 12]), sensors);
    expect(test?.judgement).equal('colder');
  });
  it('needs a reading of the store just before it', () => {
    expect(drawTests(plant, taken([50, 49]).slice(1), sensors)).deep.equal([]);
    const late = taken([50, 49]).map((one, index) => (index === 0 ? { ...one, time: begin - 2 * hour } : one));
    expect(drawTests(plant, late, sensors)).deep.equal([]);
  });
  it('counts in a comparison, with its readings not left out', () => {
    const { draws, left, rows } = compare(taken([50, 49, 48]));
    expect(draws).length(1);
    expect([left, rows.length]).deep.equal([0, 0]);
  });
});

describe('proof: what a store can hardly have shown', () => {
  const doubts = (one: Reading) => readingDoubts(plant, one, { aperture: 2, placed: true }).map((doubt) => doubt.code);
  it('asks about a hot end colder than the cold one, and not about a draw far above the sun, by day or night', () => {
    expect(doubts(reading(morning, 30, 26))).deep.equal(['ends-swapped']);
    expect(doubts(reading(morning, 30, 29))).deep.equal([]);
    expect(doubts(reading(morning, 10, 50, { flow: 2e-4 }))).deep.equal([]);
    expect(doubts(reading(Date.UTC(2026, 9, 6, 6), 10, 40, { flow: 2e-4, irradiance: 0 }))).deep.equal([]);
  });
});
