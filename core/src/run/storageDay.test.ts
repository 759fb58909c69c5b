import { expect } from 'chai';
import * as fc from 'fast-check';
import { type OperatingConditions, type Storage, storageHeat, storeModel } from '../thermal';
import { fairDay } from '../thermal/plate/collector.fixture';
import { lowLid, twoTanks } from '../thermal/store/store.fixture';
import { runStorage } from '.';

function storageOf(change: Parameters<typeof twoTanks>[0] = {}): Storage {
  const found = storeModel(twoTanks({ lid: lowLid, ...change })).characteristic({ tilt: 45, specificFlow: 0.02 });
  if (found.kind !== 'storage') throw new Error('no storage');
  return found;
}

const lying = storageOf();
const upright = storageOf({ tanks: { ...twoTanks().tanks, upright: true } });
const shut: OperatingConditions = { ...fairDay, massFlow: 0, irradiance: 0, covered: true, air: 5 };
const sunny: OperatingConditions = { ...fairDay, massFlow: 0 };

describe('run: a store through a day', () => {
  it('cools shut by its exponential', () => {
    const { samples } = runStorage(lying, { start: 55, seconds: 12 * 3600, at: () => shut, draws: [], cold: () => 10 });
    const last = samples[samples.length - 1]?.parts ?? [];
    const expected = 5 + 50 * Math.exp((-lying.shutLoss * 12 * 3600) / lying.heatCapacity);
    for (const part of last) expect(part).closeTo(expected, 0.03);
  });
  it('gives its hottest water first, and cold water once all of it has been drawn twice over', () => {
    const draws = [
      { second: 0, volume: 0.05, duration: 600 },
      { second: 3600, volume: 0.6, duration: 3600 },
      { second: 10_000, volume: 0.05, duration: 600 },
    ];
    const run = runStorage(upright, { start: 50, seconds: 12_000, at: () => shut, draws, cold: () => 10 });
    const [first, , last] = run.draws;
    expect(first?.temperature).closeTo(50, 1);
    expect(last?.temperature).within(9.5, 22);
    expect(run.draws.map(({ volume }) => Math.round(volume * 1e6) / 1e6)).deep.equal([0.05, 0.6, 0.05]);
    // What was drawn carried off its own warmth over the cold: 992 kg/m³ of 4 179 J/kgK.
    const heat = run.draws.reduce((sum, one) => sum + one.volume * 992.2 * 4179 * (one.temperature - one.cold), 0);
    expect(run.energy.drawn / heat).closeTo(1, 0.002);
  });
  it('loses no heat between sun, water and draws', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            second: fc.integer({ min: 0, max: 80_000 }),
            volume: fc.double({ min: 0, max: 0.3, noNaN: true }),
            duration: fc.integer({ min: 0, max: 4000 }),
          }),
          { maxLength: 5 },
        ),
        fc.double({ min: 5, max: 70, noNaN: true }),
        fc.boolean(),
        (draws, start, lies) => {
          const run = runStorage(lies ? lying : upright, {
            start,
            seconds: 86_400,
            at: (second) => (second > 20_000 && second < 60_000 ? sunny : shut),
            draws,
            cold: () => 12,
          });
          const size = Math.abs(run.energy.gathered) + Math.abs(run.energy.drawn) + 1e6;
          expect(Math.abs(run.energy.unaccounted) / size).below(1e-6);
          for (const { parts } of run.samples) for (const part of parts) expect(part).within(2, 110);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('keeps its warm water on top where it stands, and never colder over warmer', () => {
    const draws = [{ second: 0, volume: 0.1, duration: 600 }];
    const { samples } = runStorage(upright, { start: 40, seconds: 7200, at: () => sunny, draws, cold: () => 10 });
    for (const { parts } of samples)
      for (const tank of [0, 1])
        for (const place of [0, 1])
          expect(parts[3 * tank + place] ?? 0).at.most((parts[3 * tank + place + 1] ?? 0) + 1e-9);
  });
  it('warms in an hour by what the characteristic says it gathers', () => {
    const { samples } = runStorage(lying, { start: 20, seconds: 3600, at: () => sunny, draws: [], cold: () => 10 });
    const rise = (samples[samples.length - 1]?.parts[0] ?? 0) - 20;
    expect(rise / ((storageHeat(lying, sunny)(20 + rise / 2) * 3600) / lying.heatCapacity)).closeTo(1, 0.005);
  });
});
