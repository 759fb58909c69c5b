import { defaultJob, pathSteps, withValueAt } from '@north-pane/core/document';
import { expect } from 'chai';
import { fieldsMoved, revisionBrief, revisionWords } from './moved';

const job = defaultJob('harp');
const set = (path: string, value: unknown, of = job) => withValueAt(of, pathSteps(path), value);
const kept = (changes: number) => ({ number: 3, changes });

describe('web: how far a job has moved on from what was kept', () => {
  const rows: [what: string, moved: number, document: typeof job][] = [
    ['nothing', 0, job],
    ['a copy of it', 0, JSON.parse(JSON.stringify(job)) as typeof job],
    ['one size', 1, set('heaters.panel-a.parameters.pitch', 0.08)],
    ['a size and the name', 2, set('name', 'Barn', set('heaters.panel-a.parameters.pitch', 0.08))],
    ['a tick, which is no design', 0, set('decisions.ticks.panel-a/riser', 3)],
    ['a skyline, as one field', 1, set('site.horizon', [{ azimuth: 10, elevation: 4 }])],
  ];
  for (const [what, moved, document] of rows)
    it(`${what}: ${moved}`, () => expect(fieldsMoved(job, document)).equal(moved));
  it('is told in full and in short', () => {
    expect([revisionWords(undefined), revisionBrief(undefined)]).deep.equal(['no version saved', 'none saved']);
    expect([revisionWords(kept(0)), revisionBrief(kept(0))]).deep.equal(['version 3', 'version 3']);
    expect([revisionWords(kept(1)), revisionBrief(kept(1))]).deep.equal(['version 3 and 1 change', 'version 3 +1']);
    expect([revisionWords(kept(8)), revisionBrief(kept(8))]).deep.equal(['version 3 and 8 changes', 'version 3 +8']);
  });
});
