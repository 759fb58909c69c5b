import { expect } from 'chai';
import { beginJob, type FieldPath, familyIds, type Job, parseJob, pathSteps, withValueAt } from '../document';
import { workOut } from '../figures';
import { untouchedShop } from '../shoplog';
import { broadClimateIds, broadClimates } from '../sky';
import { isPlaced, jobStanding, namePlace } from './place';

const base = { units: 'metric', name: 'Shed' } as const;
const named = (job: Job, place: { latitude: number; longitude: number }, zone?: string): Job =>
  namePlace(job.site, place, zone).reduce((moved, { path, value }) => withValueAt(moved, pathSteps(path), value), job);

describe('job: where a new one stands', () => {
  it('at a place it looks to the equator, tilted by the latitude, on the clock of the place', () => {
    const where = { latitude: -40.9, longitude: 172.9, zone: 'Pacific/Auckland' };
    const { site, currency } = beginJob('harp', { ...base, currency: 'NZ$', where });
    expect(site).deep.include({ latitude: -40.9, longitude: 172.9, zone: 'Pacific/Auckland' });
    expect(site.standing).deep.equal({ aim: 0, tilts: { 'tilt-a': { order: 0, name: 'all year', tilt: 41 } } });
    expect(isPlaced(site)).equal(true);
    expect(currency).equal('NZ$');
  });
  const zones: [longitude: number, given: string | undefined, zone: string][] = [
    [172.9, 'Europe/London', 'Etc/GMT-12'],
    [-105.8, 'Etc/UTC', 'Etc/GMT+7'],
    [-1.9, 'Europe/London', 'Europe/London'],
    [-1.9, undefined, 'Etc/UTC'],
    [2, 'Nowhere/At-all', 'Etc/UTC'],
    [179.9, undefined, 'Etc/GMT-12'],
    [-180, undefined, 'Etc/GMT+12'],
  ];
  for (const [longitude, given, zone] of zones)
    it(`at ${longitude}° with the clock of ${given ?? 'nobody'} it goes by ${zone}`, () => {
      const where = { latitude: 10, longitude, ...(given ? { zone: given } : {}) };
      expect(beginJob('harp', { ...base, where }).site.zone).equal(zone);
    });
  for (const climate of broadClimateIds)
    for (const half of ['north', 'south'] as const)
      it(`somewhere with “${broadClimates[climate].name}” in the ${half}: in order, and known to be unnamed`, () => {
        const job = beginJob('harp', { ...base, where: { climate, half } });
        expect(parseJob(job).ok).equal(true);
        expect(isPlaced(job.site)).equal(false);
        expect(Math.sign(job.site.latitude)).equal(half === 'south' ? -1 : 1);
        expect(job.site.climate).deep.equal({ kind: 'broad', type: climate });
        expect(jobStanding(job).aim).equal(half === 'south' ? 0 : 180);
      });
  it('of every kind, at every place, is in order', () => {
    for (const family of familyIds)
      for (const latitude of [-90, -33.4, 0, 12, 90])
        expect(
          parseJob(beginJob(family, { ...base, where: { latitude, longitude: 20 } })).ok,
          `${family} ${latitude}`,
        ).equal(true);
  });
});

describe('job: naming the place', () => {
  const somewhere = () => beginJob('harp', { ...base, where: { climate: 'maritime', half: 'north' } });
  it('turns a pane that nobody has set, takes the clock, and is unnamed no more', () => {
    const { site } = named(somewhere(), { latitude: -36, longitude: 175 }, 'Pacific/Auckland');
    expect(isPlaced(site)).equal(true);
    expect(site.zone).equal('Pacific/Auckland');
    expect(site.standing).deep.equal({ aim: 0, tilts: { 'tilt-a': { order: 0, name: 'all year', tilt: 36 } } });
  });
  it('leaves a pane as it was set, and the clock of a place that is only put right', () => {
    const set = withValueAt(somewhere(), pathSteps('site.standing.aim'), 200);
    expect(named(set, { latitude: 51, longitude: 1 }).site.standing.aim).equal(200);
    const placed = named(set, { latitude: 51, longitude: 1 }, 'Europe/London');
    const moved = named(placed, { latitude: 52, longitude: 2 }, 'Europe/Paris');
    expect(moved.site.zone).equal('Europe/London');
    expect(moved.site).include({ latitude: 52, longitude: 2 });
  });
});

describe('job: what is worked out anew', () => {
  const job = beginJob('harp', base);
  const worked = workOut(job);
  const set = (path: FieldPath, value: unknown) => withValueAt(job, pathSteps(path), value);
  const price = ['shop', 'sold', 'planed-115x19@2400', 'price'];
  const changes: [what: string, path: FieldPath, value: unknown][] = [
    ['a price', price, 99],
    ['the name', 'name', 'Barn'],
    ['a saw', 'shop.kerfs.tube', 0.002],
    ['a pitch', 'heaters.panel-a.parameters.pitch', 0.085],
    ['the place', 'site.latitude', 30],
    ['the flow', 'loop.specificFlow', 0.03],
  ];
  for (const [what, path, value] of changes)
    it(`after ${what}: the same as from nothing`, () => {
      const next = set(path, value);
      const { open, ...quick } = workOut(next, undefined, worked);
      const { open: fresh, ...slow } = workOut(next);
      expect(JSON.parse(JSON.stringify(quick))).deep.equal(JSON.parse(JSON.stringify(slow)));
      expect(open.job).equal(next);
      // Models are functions over their data: what they say is compared.
      expect(JSON.parse(JSON.stringify(open.groups))).deep.equal(JSON.parse(JSON.stringify(fresh.groups)));
    });
  it('a tick and a price leave the design alone; a tick leaves the plan too', () => {
    const ticked = workOut(job, { ...untouchedShop, made: { 'panel-a/riser': 3 } }, worked);
    expect(ticked.plan).equal(worked.plan);
    expect(ticked.margins).equal(worked.margins);
    const priced = workOut(set(price, 99), undefined, worked);
    expect(priced.plan).not.equal(worked.plan);
    expect(priced.open.panels).equal(worked.open.panels);
  });
});
