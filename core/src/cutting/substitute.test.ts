import { expect } from 'chai';
import { defaultJob, pathSteps, withValueAt } from '../document';
import { wholeFigures } from '../figures/whole.fixture';
import { openJob } from '../job';
import { substitutes } from './substitute';

describe('job: something else in the place of it', () => {
  const job = defaultJob('harp');
  it('offers tube of the same outside with another wall, with what it changes', () => {
    const found = substitutes(openJob(job), 'en-1057-15x0.7');
    expect(found.map(({ item }) => item)).include('en-1057-15x1');
    const thick = found.find(({ item }) => item === 'en-1057-15x1');
    if (!thick) throw new Error('no thicker wall');
    expect(thick.mass).above(1);
    expect(thick.cost).above(0);
    const then = wholeFigures(
      thick.changes.reduce((next, { path, value }) => withValueAt(next, pathSteps(path), value), job),
    );
    expect(then.cost - wholeFigures(job).cost).closeTo(thick.cost, 1e-6);
    expect(thick.changes.map(({ value }) => value)).deep.equal(['en-1057-15x1']);
  });
  it('leaves coils out where straight tube is drawn', () => {
    for (const { item } of substitutes(openJob(job), 'en-1057-15x0.7')) expect(item).not.include('coil');
  });
  it('puts those first that bring nothing new to look at', () => {
    const found = substitutes(openJob(job), 'planed-115x19');
    expect(found.length).above(0);
    const matters = found.map(({ findings }) => findings);
    expect(matters).deep.equal([...matters].sort((a, b) => a - b));
  });
  it('knows nothing in the place of what no list has', () => {
    expect(substitutes(openJob(job), 'moonstone')).deep.equal([]);
  });
});
