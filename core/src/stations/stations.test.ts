import { expect } from 'chai';
import { beginJob, type Job, setFields } from '../document';
import { type WorkedOut, workOut } from '../figures';
import { untouchedShop } from '../shoplog';
import { nextStation, type StationId, stationIds, stationList, stationMarks } from '.';

const base = { units: 'metric', name: 'Shed' } as const;
const placed: Job = beginJob('harp', { ...base, where: { latitude: 47.4, longitude: 8.5, zone: 'Europe/Zurich' } });
const nowhere: Job = beginJob('harp', { ...base, where: { climate: 'continental', half: 'north' } });
const unpicked: Job = { ...placed, decisions: { ...placed.decisions, unpicked: true } };
/** The risers are longer than their box. */
const clashing: Job = setFields(placed, [
  { path: `heaters.${Object.keys(placed.heaters)[0]}.parameters.riserClear`, value: 2.6 },
]).document;

const route = (job: Job | WorkedOut, readings = 0): string[] => {
  const known = 'open' in job ? job : workOut(job);
  return stationIds.map((id) => nextStation(id, known, readings)?.id ?? '-');
};

describe('stations: the list', () => {
  it('counts upward, and every id and number stands once', () => {
    const numbers = stationList.map(({ number }) => number);
    expect(numbers).deep.equal([...new Set(numbers)].sort((a, b) => a - b));
    expect(new Set(stationIds).size).equal(stationIds.length);
    for (const { id } of stationList) expect(id).match(/^[a-z]+$/);
  });
});

describe('stations: what comes next', () => {
  it('is the station that follows, while nothing earlier is missing', () => {
    expect(route(placed)).deep.equal(['pick', 'size', 'cut', 'build', 'forecast', 'prove', 'build']);
  });
  it('is the place while nobody chose one, from every other station', () => {
    expect(route(nowhere)).deep.equal(['pick', ...Array(6).fill('place')]);
  });
  it('is the pick of a kind before one is picked, and nothing at Pick itself', () => {
    expect(route(unpicked)).deep.equal(['pick', '-', ...Array(5).fill('pick')]);
  });
  it('is the bench while the heater cannot be built as drawn, with how many problems', () => {
    const known = workOut(clashing);
    expect(route(known)).deep.equal(['pick', 'size', 'cut', ...Array(4).fill('size')]);
    const clashes = known.findings.filter(({ severity }) => severity === 'clash' || severity === 'stop').length;
    expect(nextStation('cut', known, 0)?.reason).match(new RegExp(`^${clashes} problems? keeps? it from being built`));
  });
  it('ends where readings are noted', () => {
    expect(route(placed, 3).at(-1)).equal('-');
  });
  it('counts the pieces that are cut on the way to Build', () => {
    const known = workOut(placed);
    const [first] = known.parts;
    const wanted = known.parts.reduce((sum, { count }) => sum + count, 0);
    const reason = (made: Record<string, number>) =>
      nextStation('cut', workOut(placed, { ...untouchedShop, made }), 0)?.reason ?? '';
    expect(reason({})).include(`0 of ${wanted} pieces`);
    expect(reason({ [first?.id ?? '']: 1, 'panel-a/of-another-drawing': 4 })).include(`1 of ${wanted} pieces`);
    expect(reason(Object.fromEntries(known.parts.map(({ id, count }) => [id, count + 1])))).not.include('pieces');
  });
});

describe('stations: how far each is', () => {
  const states = (job: WorkedOut, readings = 0) =>
    stationIds.map((id) => stationMarks(job, readings)[id]?.state ?? 'untouched');
  it('only the place of a job without a heater', () => {
    expect(Object.keys(stationMarks(workOut(unpicked), 5))).deep.equal(['place']);
  });
  it('by what is settled, cut, begun and measured', () => {
    const known = workOut(placed);
    const [first] = known.parts;
    const begun = workOut(placed, {
      ...untouchedShop,
      made: { [first?.id ?? '']: 1 },
      steps: { 'panel-a/cut': {} } as never,
    });
    const at = (list: string[], id: StationId) => list[stationIds.indexOf(id)];
    expect(at(states(known), 'cut')).equal('untouched');
    expect(at(states(begun), 'cut')).equal('under way');
    expect(at(states(begun), 'build')).equal('under way');
    expect(at(states(known, 2), 'prove')).equal('under way');
    expect(at(states(workOut(nowhere)), 'place')).equal('untouched');
    expect(at(states(workOut(nowhere)), 'forecast')).equal('under way');
  });
  it('problems stand at Size with their number', () => {
    const known = workOut(clashing);
    expect(stationMarks(known, 0).size).deep.equal({ state: 'matters', count: known.findings.length });
  });
});
