import { expect } from 'chai';
import { timeToFreeze } from '../cautions';
import { defaultJob, heatersOf, type Job, parseJob } from '../document';
import { heatersFrom } from '../document/heaters.fixture';
import { heaterCharacteristic } from '../figures';
import { openJob } from '../job';
import { dailyDraws, dayKinds, type StoreDay, storeDays, weatherDay } from '.';

function job(change: { parameters?: Record<string, unknown>; need?: Partial<Job['need']>; count?: number } = {}): Job {
  const begun = defaultJob('batch-box');
  const [panel] = heatersOf(begun);
  if (!panel) throw new Error('no heater');
  const parsed = parseJob({
    ...begun,
    site: {
      ...begun.site,
      standing: { aim: 180, tilts: { 'tilt-a': { order: 0, name: 'yard', tilt: 45 } } },
      latitude: 36.6,
      longitude: -105.8,
      elevation: 2000,
      zone: 'America/Denver',
    },
    need: { ...begun.need, kind: 'washing', volumePerDay: 0.15, ...change.need },
    heaters: heatersFrom([
      { ...panel, count: change.count ?? 1, parameters: { ...panel.parameters, ...change.parameters } },
    ]),
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return parsed.job;
}
const readout = (day: StoreDay, id: string) => {
  const found = day.readouts.find((one) => one.id === id)?.values[0];
  if (found === undefined) throw new Error(`no ${id}`);
  return found;
};
const days = storeDays(openJob(job()), 0, 8);

describe('forecasting: the weather of a day', () => {
  it('has more sun on a clear day than on an average one, and more on that than on a bad one, in every month', () => {
    for (let month = 0; month < 12; month += 1) {
      const [clear = 0, average = 0, bad = 0] = dayKinds.map((kind) => weatherDay(job(), { month, kind }).insolation);
      expect(clear, `${month}`).above(average);
      expect(average).above(1.5 * bad);
      expect(bad).above(0);
    }
  });
  it('is dark at midnight, brightest about noon of its own clock, and warmest at three', () => {
    const { at } = weatherDay(job(), { month: 5, kind: 'clear' });
    expect(at(0).irradiance).equal(0);
    const hours = Array.from({ length: 24 }, (_, hour) => at(hour * 3600));
    const brightest = hours.reduce(
      (best, one, hour) => (one.irradiance > (hours[best]?.irradiance ?? 0) ? hour : best),
      0,
    );
    // Summer time at 105.8° W: the sun stands highest at about ten past one.
    expect(brightest).within(12, 14);
    expect(hours.indexOf(hours.reduce((a, b) => (b.air > a.air ? b : a)))).equal(15);
  });
});

describe('forecasting: a store through a day with draws', () => {
  it('closes its energy, draw for draw, on each kind of day', () => {
    for (const kind of dayKinds) {
      const day = days[kind];
      expect(Math.abs(day.unaccounted), kind).below(1e-9);
      const heat = day.draws.reduce((sum, { volume, temperature, cold }) => sum + volume * (temperature - cold), 0);
      expect(readout(day, 'heat')).closeTo(heat * 992.2 * 4179, 0.002 * Math.abs(heat * 992.2 * 4179) + 1);
    }
  });
  it('is hotter, leaves more and brings more heat the better the day', () => {
    for (const id of ['hottest', 'breakfast', 'drawn', 'heat', 'share'])
      expect(
        [readout(days.clear, id) > readout(days.average, id), readout(days.average, id) > readout(days.bad, id)],
        id,
      ).deep.equal([true, true]);
  });
  it('comes back at midnight to where it began: the day is in its rhythm, drawn from or hardly', () => {
    const hardly = storeDays(openJob(job({ need: { volumePerDay: 0.005 }, parameters: { lid: 'low' } })), 0, 6).clear;
    for (const { samples } of [...Object.values(days), hardly]) {
      const [first, last] = [samples[0], samples[samples.length - 1]];
      first?.temperatures.forEach((temperature, tank) => {
        expect(last?.temperatures[tank]).closeTo(temperature, 0.11);
      });
    }
  });
  it('gives no more heat than the sun brings: over a run of such days it gathers what is drawn', () => {
    const insolation = weatherDay(job(), { month: 8, kind: 'clear' }).insolation;
    const storage = heaterCharacteristic(openJob(job()), 0);
    expect(readout(days.clear, 'heat')).within(
      0.1 * insolation * storage.apertureArea,
      0.7 * insolation * storage.apertureArea,
    );
  });
  it('draws what the need says, shared among the heaters, cold from the mains of that month', () => {
    const two = job({ count: 2, need: { volumePerDay: 0.3 } });
    expect(dailyDraws(two).reduce((sum, { volume }) => sum + volume, 0)).closeTo(0.15, 1e-12);
    const [draw] = days.average.draws;
    expect(draw?.hour).equal(7);
    expect(draw?.cold).within(5, 20);
  });
  it('keeps its heat by night under a lid, and opens it with the sun', () => {
    const lidded = storeDays(openJob(job({ parameters: { lid: 'low' } })), 0, 8).clear;
    expect(days.clear.lidOpen).equal(undefined);
    expect(lidded.lidOpen?.from).within(6, 10);
    expect(lidded.lidOpen?.to).within(15, 20);
    // Hinged low and open at 105°, it throws most in when the sun stands over square, about noon; the pane alone has no such figure.
    expect(readout(lidded, 'lid-12')).within(1.2, 1.6);
    expect(readout(lidded, 'lid-9')).within(1, readout(lidded, 'lid-12'));
    expect(days.clear.readouts.some(({ id }) => id.startsWith('lid-'))).equal(false);
    expect(readout(lidded, 'night')).below(readout(days.clear, 'night'));
    expect(readout(lidded, 'frost')).above(readout(days.clear, 'frost'));
  });
  it('tells hours to frost as the caution does: by C dT/dt under a lid, 10 to 0 °C in air at −10 °C', () => {
    const open = openJob(job({ parameters: { lid: 'low' } }));
    const storage = heaterCharacteristic(open, 0);
    if (storage.kind !== 'storage') throw new Error('a store');
    const byHand = (storage.heatCapacity / storage.shutLoss) * Math.log(20 / 10);
    expect(timeToFreeze(open, 0)).closeTo(byHand, 0.02 * byHand);
  });
  it('names one line a tank, and refuses a heater that holds no store', () => {
    expect(days.clear.lines).deep.equal(['tank 1', 'tank 2']);
    const harp = openJob(defaultJob('harp'));
    expect(() => storeDays(harp, 0, 5).clear).throw(RangeError, /no store of its own/);
  });
});
