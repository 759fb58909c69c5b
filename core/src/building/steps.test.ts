import { expect } from 'chai';
import type { Job } from '../document';
import { defaultJob, familyIds, withValueAt } from '../document';
import { openJob } from '../job';
import { jobSteps, sayStep } from './steps';

const stepsOf = (job: Job) => jobSteps(openJob(job));
const at = (job: Job, end: string) => stepsOf(job).findIndex(({ id }) => id.endsWith(end));
const changed = (family: string, path: (string | number)[], value: unknown) =>
  withValueAt(defaultJob(family), path, value);

describe('job: the steps of a build', () => {
  it('solder the outer risers of the second header first, after the first header is whole', () => {
    const second = stepsOf(defaultJob('harp')).find(({ id }) => id.endsWith('/solder-second'));
    expect(second?.does[0]).match(/two outer risers first/);
    expect(second?.after).deep.equal(['panel-a/step/solder-first']);
    const tees = stepsOf(changed('harp', ['heaters', 'panel-a', 'parameters', 'joint'], 'tees'));
    expect(tees.map(({ id }) => id)).not.include('panel-a/step/drill');
    expect(tees.find(({ id }) => id.endsWith('/solder-second'))?.does[1]).match(/two outer risers first/);
  });
  it('ask for the diagonals that the drawing has: √(2.024² + 1.124²) = 2.3151 m (worked by hand)', () => {
    const box = stepsOf(defaultJob('harp')).find(({ id }) => id.endsWith('/box'));
    const diagonals = box?.checks.find(({ id }) => id === 'diagonals');
    expect(diagonals?.expects?.value).closeTo(2.3151, 1e-4);
    if (!box) throw new Error('no box');
    expect(sayStep(box, 'metric').checks[0]?.words).match(/diagonals are 2\s315\smm/);
    expect(sayStep(box, 'imperial').checks[0]?.words).match(/diagonals are 7′/);
  });
  it('test every panel before it is closed, with no air above what its danger says', () => {
    for (const family of ['harp', 'serpentine']) {
      const job = defaultJob(family);
      expect(at(job, '/test-open')).below(at(job, '/glaze'));
      expect(at(job, '/test-boxed')).below(at(job, '/glaze'));
      const test = stepsOf(job).find(({ id }) => id.endsWith('/test-open'));
      if (!test) throw new Error('no test');
      expect(sayStep(test, 'metric').beware.join(' ')).match(/no more than 35\skPa/);
    }
  });
  it('bake the paint before the pane goes on, and wait for it', () => {
    const job = defaultJob('serpentine');
    expect(at(job, '/paint')).below(at(job, '/glaze'));
    expect(stepsOf(job).find(({ id }) => id.endsWith('/paint'))?.waits).at.least(24 * 3600);
  });
  it('bend a coil where a coil is, and calibrate where there are elbows', () => {
    const coil = withValueAt(
      changed('serpentine', ['heaters', 'panel-a', 'parameters', 'bend'], 'soft-coil'),
      ['heaters', 'panel-a', 'parameters', 'tube'],
      'en-1057-coil-15x1',
    );
    expect(at(coil, '/bend')).above(-1);
    expect(at(coil, '/solder-turns')).equal(-1);
    expect(at(defaultJob('serpentine'), '/dry-fit')).below(at(defaultJob('serpentine'), '/lay-out'));
  });
  it('make the mount before the panel is carried to it', () => {
    const mounted = changed('harp', ['heaters', 'panel-a', 'mount'], { kind: 'roof-standoff', parameters: {} });
    expect(at(mounted, '/stand')).above(-1);
    expect(at(mounted, '/stand')).below(at(mounted, '/carry'));
    expect(at(defaultJob('harp'), '/stand')).equal(-1);
  });
  it('leave the pane out of a panel without one', () => {
    const bare = changed('harp', ['heaters', 'panel-a', 'glazing'], {
      kind: 'none',
      parameters: { length: 2, width: 1.1 },
    });
    expect(at(bare, '/glaze')).equal(-1);
    expect(at(bare, '/carry')).equal(stepsOf(bare).length - 1);
  });
  it('count what was cut, and measure its longest piece once more', () => {
    for (const family of familyIds) {
      const open = openJob(defaultJob(family));
      const cut = jobSteps(open).find(({ id }) => id.endsWith('/cut'));
      const parts = open.panels[0]?.design.parts ?? [];
      const pieces = cut?.checks.find(({ id }) => id === 'pieces');
      expect(pieces?.expects, family).deep.equal({
        kind: 'count',
        value: parts.reduce((sum, { count }) => sum + count, 0),
        within: 0,
      });
      const longest = Math.max(...parts.map((part) => (part.kind === 'length' ? part.length : 0)));
      expect(cut?.checks.find(({ id }) => id === 'longest')?.expects?.value, family).equal(longest);
    }
  });
  it('have a number to check at every step, the mount’s too', () => {
    for (const family of familyIds)
      for (const kind of ['ground-stand', 'roof-standoff'] as const) {
        const mounted = changed(family, ['heaters', 'panel-a', 'mount'], { kind, parameters: {} });
        for (const { id, checks } of stepsOf(mounted))
          expect(
            checks.some(({ expects }) => expects !== undefined),
            `${family} on ${kind}: ${id}`,
          ).equal(true);
      }
  });
  it('say how many lift it, by its weight', () => {
    const carry = stepsOf(defaultJob('harp')).find(({ id }) => id.endsWith('/carry'));
    // 63 kg at 25 kg each.
    expect(carry?.beware[0]).match(/three people lift it/);
  });
});
