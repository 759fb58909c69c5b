import { expect } from 'chai';
import { defaultJob, familyIds, type Job, soldOf, withValueAt } from '../document';
import { jobShop, openJob } from '../job';
import { untouchedShop } from '../shoplog';
import { lastLook } from './lastLook';

function looks(job: Job, state = untouchedShop) {
  const open = openJob(job, state);
  return lastLook(open, jobShop(open).plan);
}
const ids = (job: Job) => looks(job).map(({ id }) => id);

describe('job: a last look before the saw', () => {
  const job = defaultJob('harp');
  it('asks for the pane, a dry fit and the saw, with the sizes that are drawn', () => {
    expect(ids(job)).include.members(['panel-a/look/pane', 'panel-a/look/riser', 'look/kerf/timber']);
    const pane = looks(job).find(({ id }) => id === 'panel-a/look/pane');
    expect(pane?.words).include('⟦2⟧').include('⟦1.1⟧');
  });
  it('holds what was found right until it is another', () => {
    const pane = looks(job).find(({ id }) => id === 'panel-a/look/pane');
    const state = { ...untouchedShop, checks: { 'panel-a/look/pane': pane?.value ?? '' } };
    const settled = (one: Job) => looks(one, state).find(({ id }) => id === 'panel-a/look/pane')?.settled;
    expect(settled(job)).equal(true);
    const path = ['heaters', 'panel-a', 'glazing', 'parameters', 'length'];
    expect(settled(withValueAt(job, path, 2.01))).equal(false);
  });
  it('calls no danger a clash that stays with the kind: air in plastic, a sealed wet tube', () => {
    for (const family of ['roof-tube', 'heat-pipe'] as const) {
      const open = openJob(defaultJob(family));
      const stops = open.panels.flatMap(({ design }) => design.findings.filter(({ severity }) => severity === 'stop'));
      expect(stops.length, family).above(0);
      expect(ids(defaultJob(family)), family).not.include('panel-a/look/clash');
    }
    // A real clash is one: one saddle alone under three metres of full pipe.
    const low = withValueAt(defaultJob('roof-tube'), ['heaters', 'panel-a', 'parameters', 'saddles'], 2);
    expect(ids(low)).include('panel-a/look/clash');
  });
  it('asks for no kerf where nothing is lost, and for no fit that was tried', () => {
    const kerfs = { tube: 0, timber: 0, sheet: 0 };
    expect(ids(withValueAt(job, ['shop', 'kerfs'], kerfs)).some((id) => id.startsWith('look/kerf'))).equal(false);
    const snake = defaultJob('serpentine');
    expect(ids(snake)).include('panel-a/look/bend');
    const dry = ['heaters', 'panel-a', 'parameters'];
    const tried = withValueAt(withValueAt(snake, [...dry, 'dryStub'], 0.03), [...dry, 'dryPitch'], 0.11);
    expect(ids(tried)).not.include('panel-a/look/bend');
  });
  it('says what no stock holds, and a clash on the bench; no tick mends these', () => {
    const short = withValueAt(
      job,
      ['shop', 'without'],
      Object.fromEntries(
        soldOf(job.shop)
          .filter((one) => 'length' in one && one.length > 2)
          .map(({ id }) => [id, true]),
      ),
    );
    const open = looks(short).filter((one) => one.open);
    expect(open.length).above(0);
    expect(open.every(({ settled }) => !settled)).equal(true);
    const clash = withValueAt(job, ['heaters', 'panel-a', 'parameters', 'entry'], 0.02);
    expect(ids(clash)).include('panel-a/look/clash');
  });
  it('has words without loose ends for every kind of heater', () => {
    for (const family of familyIds)
      for (const { words } of looks(defaultJob(family)))
        expect(words, family)
          .match(/^[^.]+$|⟦/)
          .not.match(/undefined|NaN/);
  });
});
