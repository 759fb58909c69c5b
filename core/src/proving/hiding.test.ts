import { expect } from 'chai';
import { defaultJob } from '../document';
import { heatersState } from '../loop';
import { compareReadings, type Plant, type Reading, readingConditions, type Sensors } from '../proof';
import { plantOf } from '.';

const sensors: Sensors = { thermometers: 'matched pair', flow: 'meter', sun: 'pyranometer' };
const stood = (plant: Plant) => [{ from: Number.NEGATIVE_INFINITY, plant }];

/** Twelve readings about noon in June, as a plant gives them that is like the one drawn. */
function readingsOf(like: Plant, drawn: Plant = like): Reading[] {
  return Array.from({ length: 12 }, (_, index) => {
    const time = Date.UTC(2026, 5, 21, 11, 30) + index * 300_000;
    const bare = { time, inlet: 18, outlet: 18, air: 20, flow: 3e-5, irradiance: 900, wind: 1.5 };
    const conditions = readingConditions(drawn, bare);
    if (!conditions) throw new Error('no sun');
    return { ...bare, outlet: 18 + (heatersState(like.groups, like.connection, conditions).gain ?? Number.NaN) };
  });
}

/** A plant with one input known for sure. */
function withKnownInputs(plant: Plant, input: string, value: number): Plant {
  const known = { low: value, likely: value, high: value, spread: 'normal', kind: 'measured' } as const;
  return {
    ...plant,
    groups: plant.groups.map((one) => ({ ...one, thermal: one.thermal.withKnownInputs({ [input]: known }) })),
  };
}

describe('proving: what could hide behind readings that agree', () => {
  for (const [family, inputs] of [
    ['harp', ['bond', 'transmittance', 'back']],
    ['spiral', ['oneSided']],
    ['heat-pipe', ['condensing']],
    ['trough', ['reflectance', 'slope']],
  ] as const)
    it(`${family}: ${inputs.join(', ')}, each just as bad as readings do not tell`, () => {
      const drawn = plantOf(defaultJob(family));
      const { verdict } = compareReadings(stood(drawn), readingsOf(drawn), sensors);
      expect(verdict.judgement).equal('agrees');
      for (const input of inputs) {
        const hidden = verdict.hidden.find((one) => one.input === input);
        if (!hidden) throw new Error(`${input} is not named`);
        expect(hidden.words, input).match(/\S/);
        // Readings of a plant with that very fault, held against the drawing, agree still.
        const likely = drawn.groups[0]?.thermal.inputs.find(({ id }) => id === input)?.spread['well made'].likely ?? 1;
        const judged = (value: number) =>
          compareReadings(stood(drawn), readingsOf(withKnownInputs(drawn, input, value), drawn), sensors).verdict
            .judgement;
        const short = likely + 0.9 * (hidden.value - likely);
        expect(judged(short), `${input} at ${short}`).equal('agrees');
        // Where a worse one would be told, one much worse is.
        if (!hidden.any) expect(judged(likely * (hidden.value / likely) ** 3), `${input} far beyond`).equal('colder');
      }
    });
  it('asks every heater of a job, not the first alone', () => {
    const harp = plantOf(defaultJob('harp'));
    const spiral = plantOf(defaultJob('spiral'));
    const both: Plant = { ...harp, groups: [...harp.groups, ...spiral.groups] };
    const { hidden } = compareReadings(stood(both), readingsOf(both), sensors).verdict;
    expect(hidden.map(({ input }) => input)).include.members(['bond', 'oneSided']);
  });
});
