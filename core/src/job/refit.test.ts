import { expect } from 'chai';
import type { Job } from '../document';
import { beginJob, defaultJob, familyIds, parseJob, pathSteps, withValueAt } from '../document';
import { type Editable, editableDimensions, openWith } from './dimension';
import { openJob } from './open';
import { refitDimension, sayBound, sayRefit } from './refit';

const dimension = (job: Job, id: string): Editable => {
  const found = editableDimensions(openJob(job), 0).find((one) => one.id === id);
  if (!found) throw new Error(`no dimension ${id}`);
  return found;
};
const applied = (job: Job, changes: { path: string; value: unknown }[]): Job =>
  changes.reduce((moved, { path, value }) => withValueAt(moved, pathSteps(path), value), job);
const clashes = (job: Job): string[] =>
  (openJob(job).panels[0]?.design.findings ?? [])
    .filter(({ severity }) => severity === 'clash' || severity === 'stop')
    .map(({ code }) => code);

describe('job: the rest of a panel follows a size beyond its bounds', () => {
  it('a narrower pane takes fewer risers, and says so in counts and pitches', () => {
    const job = defaultJob('harp');
    const width = dimension(job, 'outside-width');
    expect(sayBound(width, 0.9, 'metric')).match(/the plate would not fit/);
    const [refit] = refitDimension(job, 0, width, 0.9, 'metric');
    if (!refit) throw new Error('no way to fit');
    expect(sayRefit(refit)).match(/Risers: 12 to 9/);
    const fitted = applied(job, refit.changes);
    expect(dimension(fitted, 'outside-width').value).closeTo(0.9, 1e-6);
    expect(clashes(fitted)).deep.equal([]);
    // By hand: 0.9 less two boards of 19 mm leaves 862; 9 strips of 89 mm take 801, ten would take 890.
    expect(openJob(fitted).panels[0]?.document.parameters.riserCount).equal(9);
  });
  it('a shorter pane takes shorter risers and keeps their number', () => {
    const job = defaultJob('harp');
    const [refit] = refitDimension(job, 0, dimension(job, 'outside-length'), 1.5, 'metric');
    if (!refit) throw new Error('no way to fit');
    const fitted = applied(job, refit.changes);
    expect(dimension(fitted, 'outside-length').value).closeTo(1.5, 1e-6);
    const { parameters } = openJob(fitted).panels[0]?.document ?? {};
    expect(parameters?.riserCount).equal(12);
    expect(parameters?.riserClear).below(1.5);
    expect(clashes(fitted)).deep.equal([]);
  });
  it('a longer riser takes a longer pane; a wider pitch fewer risers or a wider pane', () => {
    const job = defaultJob('harp');
    const [longer] = refitDimension(job, 0, dimension(job, 'riser-clear'), 2.1, 'metric');
    expect(longer?.words.join()).match(/^Pane, .*2\u00a0000\u00a0mm to 2\u00a02\d\d\u00a0mm/);
    const wider = refitDimension(job, 0, dimension(job, 'pitch'), 0.12, 'metric');
    expect(wider.map(sayRefit).join(' | ')).match(/Risers: 12 to 9.*Pane, /);
  });
  it('a deeper air gap takes a deeper board', () => {
    const job = defaultJob('harp');
    const gap = dimension(job, 'air-gap');
    const refits = refitDimension(job, 0, gap, gap.edit.high + 0.01, 'metric');
    expect(refits.map(sayRefit).join()).match(/board/i);
    for (const { changes } of refits) expect(clashes(applied(job, changes))).deep.equal([]);
  });
  it('offers nothing where nothing fits, and nothing within the bounds', () => {
    const job = defaultJob('harp');
    const width = dimension(job, 'outside-width');
    expect(refitDimension(job, 0, width, 0.05, 'metric')).deep.equal([]);
    expect(refitDimension(job, 0, width, -1, 'metric')).deep.equal([]);
    expect(refitDimension(job, 7, width, 0.9, 'metric')).deep.equal([]);
  });
  for (const family of familyIds)
    for (const units of ['metric', 'imperial'] as const)
      it(`${family}, ${units}: every way that is offered has the size, is in order and clashes no more than before`, () => {
        const job = beginJob(family, { units, name: 'Fit' });
        let tried = 0;
        for (const one of editableDimensions(openJob(job), 0))
          for (const share of [0.6, 0.75, 0.9, 1.1, 1.3]) {
            const size = one.value * share;
            if (sayBound(one, size, units) === undefined) continue;
            for (const { changes, words } of refitDimension(job, 0, one, size, units)) {
              tried += 1;
              const fitted = applied(job, changes);
              expect(parseJob(fitted).ok).equal(true);
              expect(dimension(fitted, one.id).value).closeTo(size, 1e-4);
              expect(clashes(fitted), `${one.id} ${size}: ${words.join()}`).deep.equal([]);
              // The size alone would not have done.
              const alone = openWith(openJob(job), 0, one.edit, size);
              expect(alone === undefined || clashes(alone.job).length > 0 || changes.length > 1).equal(true);
            }
          }
        if (family === 'harp' || family === 'serpentine') expect(tried).above(3);
      });
});
