import { expect } from 'chai';
import { fixesFor } from '../care';
import { defaultJob, type Job, pathSteps, withValueAt } from '../document';
import { standardChoice } from '../families';
import { openJob } from '../job';
import { jobFindings } from './findings';

const found = (job: Job) => jobFindings(openJob(job));
const set = (job: Job, path: string, value: unknown): Job => withValueAt(job, pathSteps(path), value);

describe('job: a pane that grows', () => {
  // Two metres of polycarbonate over some 115 K grow 15 mm: more than twice 6 of room, and 8 of it want a ledge of 16.
  const paned = (length: number) =>
    set(
      set(defaultJob('harp'), 'heaters.panel-a.glazing', {
        ...standardChoice('glazing', 'twin-wall', 'metric'),
        parameters: { ...standardChoice('glazing', 'twin-wall', 'metric').parameters, length },
      }),
      'heaters.panel-a.box.parameters.ledge',
      0.012,
    );
  const long = paned(2);

  it('is given room and a ledge that still reaches it, in one go', () => {
    const finding = found(long).find(({ code, path }) => code === 'needs-room' && path.includes('glazing'));
    if (!finding) throw new Error('it has the room');
    const mends = fixesFor(finding);
    expect(mends.map(({ path }) => path)).deep.equal([
      'heaters.panel-a.glazing.parameters.clearance',
      'heaters.panel-a.box.parameters.ledge',
    ]);
    const mended = mends.reduce((job, { path, value }) => set(job, path, value), long);
    const codes = found(mended).map(({ code, path }) => `${code} ${path}`);
    expect(codes).not.include('needs-room heaters.panel-a.glazing.parameters.clearance');
    expect(codes.filter((code) => code.startsWith('pane-falls-in'))).deep.equal([]);
    // The room alone would have dropped it into the box.
    const alone = set(long, mends[0]?.path ?? '', mends[0]?.value);
    expect(found(alone).map(({ code }) => code)).include('pane-falls-in');
  });
  it('offers no room that no ledge of the board could make good', () => {
    const finding = found(paned(3.1)).find(({ code, path }) => code === 'needs-room' && path.includes('glazing'));
    expect(finding?.code).equal('needs-room');
    expect(finding?.fix).equal(undefined);
  });
});
