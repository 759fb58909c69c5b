import { expect } from 'chai';
import { defaultJob, familyIds, type Job, pathSteps, withValueAt } from '../document';
import { wholeFigures } from '../figures/whole.fixture';
import { editableDimensions, jobShop, openJob, withDimension } from '../job';
import { someOf } from '../quantity/trials.fixture';
import { patient } from '../shop/work.fixture';
import { shrinkToSave, stretchToStock, sweepTogether } from './stockFits';
import { sayPoint } from './stockWords';
import { candidates, sweepDimension } from './sweep';
import { wasteFreePoints } from './wasteFree';

describe('job: sizes that waste nothing', () => {
  const job = defaultJob('harp');
  const at = openJob(job);
  const pitch = editableDimensions(at, 0).find(({ id }) => id === 'pitch');
  if (!pitch) throw new Error('a harp has a pitch');
  const soldWithout = (gone: string) =>
    Object.fromEntries(Object.entries(job.shop.sold).filter(([, { item }]) => item !== gone));

  it('sweeps at the marks of the tape, within the limits, and its cost is the job’s own at each', () => {
    const sweep = sweepDimension(at, 0, pitch, 'metric', { reach: 0.02 });
    expect(sweep.values.length).above(15);
    sweep.values.forEach((value, place) => {
      expect(Math.abs(value * 1000 - Math.round(value * 1000))).below(1e-6);
      expect(value).within(pitch.edit.low - 1e-9, pitch.edit.high + 1e-9);
      const cost = sweep.cost[place] ?? Number.NaN;
      if (Number.isNaN(cost)) return;
      const there = jobShop(openJob(withDimension(job, 0, pitch.edit, value))).plan;
      expect(cost).closeTo(
        there.materials.reduce((sum, { plan }) => sum + plan.cost, 0),
        1e-9,
      );
    });
  });
  it('gives no cost to a size whose pieces no stock holds', () => {
    const lattice = openJob(defaultJob('lattice'));
    const length = editableDimensions(lattice, 0).find(({ id }) => id === 'length');
    if (!length) throw new Error('a lattice has a length');
    const sweep = sweepDimension(lattice, 0, length, 'metric', { reach: 0.5 });
    const beyond = sweep.values.findIndex((value) => value > 2.3);
    expect(beyond).above(0);
    expect(sweep.cost[beyond]).NaN;
  });
  it('takes the nearest size that is cheaper than all nearer ones, and the farthest that costs no more', () => {
    const sweep = {
      values: Float64Array.from([1, 2, 3, 4, 5, 6, 7]),
      cost: Float64Array.from([5, 8, 8, 10, 10, 10, 12]),
      lengths: Float64Array.from([3, 3, 3, 2, 1, 0.5, 3]),
      sheets: new Float64Array(7),
    };
    const now = { cost: 10, waste: { lengths: 2, sheets: 0 } };
    expect(candidates(sweep, 4, now)).deep.equal([
      { value: 1, free: false },
      { value: 3, free: false },
      { value: 6, free: true },
    ]);
    sweep.cost[5] = Number.NaN;
    expect(candidates(sweep, 4, now).find(({ free }) => free)?.value).equal(5);
    // What leaves as much over as before uses nothing up.
    sweep.lengths[4] = 2;
    expect(candidates(sweep, 4, now).find(({ free }) => free)).equal(undefined);
  });
  it('shows only what its proof bears out: the money saved is there when the size is set', async () => {
    const { points } = await wasteFreePoints(at, 0, pitch, 'metric', await patient());
    expect(points.length).above(0);
    const cost = wholeFigures(job).cost;
    for (const point of points) {
      const there = wholeFigures(withDimension(job, 0, pitch.edit, point.value));
      // The live figure is by the quick planner and never cheaper than the proof.
      expect(there.cost).at.least(cost + point.cost - 1e-6);
      if (!point.free) expect(point.saves).above(0);
      expect(sayPoint(point, '$')).match(/saves|wastes nothing|used up|stretched/);
    }
  });
  it('says that a length is used up only where it is proved and nothing but kerf is left', async () => {
    // A length to be had out of which two risers come with nothing left, once they are 20 mm shorter.
    const open = openJob(job);
    const riser = jobShop(open).parts.find(({ id }) => id.endsWith('/riser'));
    if (riser?.kind !== 'length') throw new Error('a harp has risers');
    const clear = editableDimensions(open, 0).find(({ edit }) => edit.path === 'parameters.riserClear');
    if (!clear) throw new Error('a harp has a clear gap');
    const shorter = Math.round((clear.value - 0.02) * 1000) / 1000;
    const exact = 2 * (riser.length - (clear.value - shorter));
    const tight = withValueAt(job, ['shop', 'sold'], {
      ...soldWithout(riser.item),
      pair: { item: riser.item, length: exact, price: 10 },
      long: { item: riser.item, length: 3, price: 20 },
    });
    const even = withValueAt(tight, ['heaters', 'panel-a', 'parameters', 'riserCount'], 12);
    const there = editableDimensions(openJob(even), 0).find(({ edit }) => edit.path === 'parameters.riserClear');
    if (!there) throw new Error('a harp has a clear gap');
    const { points } = await wasteFreePoints(openJob(even), 0, there, 'metric', {
      reach: 0.05,
      ...(await patient()),
    });
    const name = jobShop(openJob(even)).plan.materials.find(({ item }) => item === riser.item)?.name ?? '';
    const whole = points.filter(({ usedUp }) => usedUp.includes(name));
    expect(whole[whole.length - 1]?.value).closeTo(shorter, 1e-9);
    // A foil is cut shorter too, and of its sheet there is something left: that is not nothing.
    expect(whole.every(({ wastesNothing }) => wastesNothing)).equal(false);
  });
  it('stretches what it can without buying more, and loses no heat', () => {
    for (const family of someOf(familyIds, 4)) {
      const start = defaultJob(family);
      const fit = stretchToStock(openJob(start), 0, 'metric', { reach: 0.1 });
      if (!fit) continue;
      expect(fit.saves, family).at.least(-0.005);
      expect(fit.heat, family).at.least(-1e-6);
      const after = fit.moves.reduce((one, { path, value }) => withValueAt(one, pathSteps(path), value), start);
      expect(wholeFigures(after).usefulHeat - wholeFigures(start).usefulHeat, family).closeTo(fit.heat, 1e-6);
      for (const { from, to } of fit.moves) expect(to, family).above(from);
    }
  });
  it('finds what must shrink to buy one length less, and that it is so', () => {
    const fits = shrinkToSave(at, 0, 'metric', { reach: 0.2 });
    expect(fits.length).above(0);
    for (const fit of fits) {
      expect(fit.saves).above(0);
      const [move] = fit.moves;
      if (!move) throw new Error('nothing moves');
      const there = wholeFigures(withValueAt(job, pathSteps(move.path), move.value));
      expect(there.cost - wholeFigures(job).cost).closeTo(fit.cost, 1e-6);
    }
  });
  it('looks at two dimensions together, and keeps only what neither gives alone', () => {
    // A short sheet is cheap and takes shorter strips; a closer pitch makes them narrower, and one sheet is enough. Both: one short one.
    const plate = jobShop(openJob(job)).parts.find(({ id }) => id.endsWith('/strip'));
    if (!plate) throw new Error('a harp has plate strips');
    const two = withValueAt(job, ['shop', 'sold'], {
      ...soldWithout(plate.item),
      short: { item: plate.item, width: 1, height: 1.86, price: 50 },
      long: { item: plate.item, width: 1, height: 2, price: 100 },
    });
    const held = editableDimensions(openJob(two), 0).find(({ id }) => id === 'pitch');
    if (!held) throw new Error('a harp has a pitch');
    const costOf = (one: Job) => jobShop(openJob(one)).plan.cost;
    const fits = sweepTogether(openJob(two), 0, held, 'metric', { reach: 0.03 });
    expect(fits.length).above(0);
    for (const { moves, saves, cost } of fits) {
      expect(saves).closeTo(150, 1e-6);
      const set = (one: Job, { path, value }: { path: string; value: number }) =>
        withValueAt(one, pathSteps(path), value);
      expect(moves.length).equal(2);
      expect(costOf(moves.reduce(set, two)) - costOf(two)).closeTo(cost, 1e-6);
      for (const move of moves) expect(costOf(set(two, move)) - costOf(two)).above(cost + 10);
    }
    expect(sweepTogether(at, 0, pitch, 'metric', { reach: 0.01 })).deep.equal([]);
  });
  it('stops when it is told to', () => {
    let asked = 0;
    const shouldStop = () => {
      asked += 1;
      return asked > 3;
    };
    const sweep = sweepDimension(at, 0, pitch, 'metric', { shouldStop });
    expect(Array.from(sweep.cost.slice(5)).every(Number.isNaN)).equal(true);
  });
});
