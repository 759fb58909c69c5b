import { expect } from 'chai';
import * as fc from 'fast-check';
import { range } from '../catalogue';
import { plateModel } from '../thermal';
import { glazedPanel } from '../thermal/plate/collector.fixture';
import {
  compareReadings,
  flowMeters,
  type Plant,
  predict,
  type Reading,
  readingConditions,
  type Sensors,
  sensorErrors,
  skyShares,
  skyWords,
  sunMeters,
  thermometers,
} from '.';

const plant: Plant = {
  groups: [{ thermal: plateModel(glazedPanel()), count: 2 }],
  connection: 'parallel',
  latitude: 52.3,
  longitude: -1.9,
  elevation: 100,
  tilt: 45,
  aim: 180,
  albedo: 0.2,
};
const noon: Reading = {
  time: Date.UTC(2026, 5, 21, 12, 10),
  inlet: 18,
  outlet: 24,
  air: 20,
  flow: 8.4e-5,
  irradiance: 850,
  wind: 2,
};
const errors: Sensors = { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' };
const gain = (change: Partial<Reading>, at: Plant = plant) =>
  predict(at, { ...noon, ...change }, errors)?.gain ?? Number.NaN;

describe('proof: conditions of a reading', () => {
  it('are those that were read, and the angles of that moment', () => {
    const conditions = readingConditions(plant, noon);
    expect(conditions).include({ irradiance: 850, air: 20, inlet: 18, wind: 2, tilt: 45 });
    // June noon at 52.3° N: the sun stands 61°, a pane at 45° meets it at about 61 + 45 − 90 = 16°.
    expect(conditions?.incidence).closeTo(16, 1.5);
    expect(conditions?.massFlow).closeTo(8.4e-5 * 998.6, 1e-4);
  });
  it('have less beam and a warmer sky the cloudier it is', () => {
    const at = (irradiance: number) => readingConditions(plant, { ...noon, irradiance });
    expect(at(300)?.beamShare).below(at(850)?.beamShare ?? 0);
    expect(at(150)?.beamShare).closeTo(0, 1e-9);
    expect(at(300)?.surroundings).above(at(850)?.surroundings ?? 0);
    expect(at(850)?.surroundings).below(20);
  });
  it('need a sun, by number or by word', () => {
    const { irradiance: _, ...blind } = noon;
    expect(readingConditions(plant, blind)).equal(undefined);
    expect(readingConditions(plant, { ...blind, sky: 'thin cloud' })?.irradiance).within(400, 900);
  });
  it('take a light breeze when nobody looked', () => {
    const { wind: _, ...still } = noon;
    expect(readingConditions(plant, still)?.wind).equal(1.5);
  });
});

describe('proof: prediction', () => {
  it('moves as a panel must', () => {
    expect(gain({ irradiance: 950 })).above(gain({}));
    expect(gain({ flow: 6e-5 })).above(gain({}));
    expect(gain({ inlet: 40 })).below(gain({}));
    expect(gain({ air: 5 })).below(gain({}));
    // Water as cool as the air: the sky chills the pane below it, and wind is no loss. Warm water shows the wind.
    expect(gain({ inlet: 45, wind: 8 })).below(gain({ inlet: 45 }));
  });
  it('is absent without flow or sun, and never a NaN', () => {
    expect(predict(plant, { ...noon, flow: 0 }, errors)).equal(undefined);
    expect(predict(plant, { ...noon, irradiance: 0 }, errors)).equal(undefined);
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1300, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: -30, max: 45, noNaN: true }),
        fc.double({ min: 1e-6, max: 5e-4, noNaN: true }),
        fc.integer({ min: 0, max: 23 }),
        (irradiance, inlet, air, flow, hour) => {
          const prediction = predict(
            plant,
            { ...noon, time: Date.UTC(2026, 5, 21, hour), irradiance, inlet, air, flow },
            errors,
          );
          if (!prediction) return;
          for (const value of [
            prediction.gain,
            prediction.outlet,
            prediction.heat,
            prediction.low,
            prediction.high,
            ...Object.values(prediction.effects).flatMap(({ up, down }) => [up, down]),
          ])
            expect(Number.isFinite(value)).equal(true);
          expect(prediction.low).at.most(prediction.gain);
          expect(prediction.high).at.least(prediction.gain);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('settles where the plate stands by half a degree above the air', () => {
    const faint = { irradiance: 53.92305490373012, inlet: 0.026455799290191, air: 0, flow: 0.0004991975345611573 };
    const prediction = predict(plant, { ...noon, time: Date.UTC(2026, 5, 21, 11), ...faint }, errors);
    expect(prediction?.gain).within(0, 1);
  });
  it('doubts more where the bond is anybody’s guess, and where the sun is only said', () => {
    const half = (at: Plant, change: Partial<Reading> = {}) => {
      const prediction = predict(at, { ...noon, ...change }, errors);
      return prediction ? (prediction.high - prediction.low) / 2 : Number.NaN;
    };
    const loose: Plant = {
      ...plant,
      groups: [{ count: 2, thermal: plateModel(glazedPanel({ bond: range(1, 4, 12, 'judgement', 'log-normal') })) }],
    };
    expect(half(loose)).above(half(plant));
    const { irradiance: _, ...blind } = noon;
    const said = predict(plant, { ...blind, sky: 'thin cloud' }, errors);
    const read = predict(plant, noon, errors);
    expect(Math.abs(said?.effects['sun: thin cloud']?.down ?? 0)).above(
      Math.abs(read?.effects['sun: pyranometer']?.down ?? 0),
    );
  });
  it('knows which way each doubt pulls', () => {
    const effects = predict(plant, noon, errors)?.effects ?? {};
    expect(effects.transmittance?.up).above(0);
    expect(effects.bond?.up).above(0);
    expect(effects.back?.up).below(0);
    expect(effects['flow: meter']?.up).below(0);
    expect(effects['thermometers: two digital']?.up).closeTo(0.7 / 1.6449, 1e-9);
    // Dirt and bond are far worse than likely more easily than better.
    for (const input of ['dirt', 'bond'])
      expect(-(effects[input]?.down ?? 0) / (effects[input]?.up ?? 1), input).above(1.5);
  });
  it('takes glycol as it is: less dense by its heat, so warmer at the same litres, and the same in what was measured', () => {
    const glycol: Plant = { ...plant, fluid: { glycol: 0.4 } };
    expect(gain({}, glycol)).above(gain({}) * 1.02);
    const [row] = compareReadings([{ from: 0, plant: glycol }], [noon], errors).rows;
    // 6 K of 8.4e-5 m³/s: 1 033 kg/m³ × 3 700 J/kgK or so.
    expect((row?.measuredHeat ?? 0) / (8.4e-5 * 6)).within(3.6e6, 3.95e6);
  });
});

describe('proof: instruments', () => {
  it('each has an error above zero, the better the smaller', () => {
    for (const one of thermometers)
      for (const two of flowMeters)
        for (const three of sunMeters) {
          const { difference, flow, sun } = sensorErrors({ thermometers: one, flow: two, sun: three });
          expect(Math.min(difference, flow, sun)).above(0);
          expect(
            sensorErrors({ thermometers: 'matched pair', flow: 'weighed bucket', sun: 'pyranometer' }).difference,
          ).at.most(difference);
        }
    expect(sensorErrors({ thermometers: 'glass', flow: 'meter', sun: 'phone' }).sun).closeTo(0.25 / 1.6449, 1e-9);
  });
  it('the words for the sky are in order and only broken cloud is not judged', () => {
    for (const word of skyWords) {
      const { low, likely, high } = skyShares[word];
      expect(low < likely && likely < high, word).equal(true);
    }
    expect(skyWords.filter((word) => !skyShares[word].judge)).deep.equal(['broken cloud']);
  });
});
