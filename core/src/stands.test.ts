import { expect } from 'chai';
import { defaultJob, heatersOf } from './document';
import { heatersFrom } from './document/heaters.fixture';
import type { HeaterDocument } from './families';
import { mountFindings, mountOf, openJob, sideOf } from './job';
import { laysOn, type MountKind, mounts } from './mounts';

describe('job: stands that a kind does not go on', () => {
  const on = (family: string, kind: MountKind) => {
    const job = defaultJob(family);
    const [heater] = heatersOf(job);
    const mount = { kind, parameters: mounts[kind].standard('metric') };
    return openJob({ ...job, heaters: heatersFrom([{ ...(heater as HeaterDocument), mount }]) });
  };
  for (const [family, kind, why] of [
    ['batch-box', 'ground-stand', /leans by itself/],
    ['batch-box', 'vehicle-rack', /leans by itself/],
    ['roof-tube', 'ground-stand', /pipes lie level/],
    ['heat-pipe', 'vehicle-rack', /nothing runs back/],
    ['trickle', 'vehicle-rack', /no water runs down/],
  ] as const)
    it(`${family} on ${kind} is a clash, with its reason, and nothing else is said of that stand`, () => {
      const [finding, ...more] = mountFindings(on(family, kind));
      expect(more).deep.equal([]);
      expect(finding).include({ code: 'stand-unfit', severity: 'clash', path: 'heaters.panel-a.mount.kind' });
      expect(finding?.values.why).match(why);
    });
  it('are none where it goes on them', () => {
    for (const [family, kind] of [
      ['roof-tube', 'vehicle-rack'],
      ['harp', 'vehicle-rack'],
      ['heat-pipe', 'ground-stand'],
    ] as const)
      expect(mountFindings(on(family, kind)).map(({ code }) => code)).not.include('stand-unfit');
  });
  it('a box of tanks is drawn standing on its skids, a roof tube lying level', () => {
    const box = sideOf(openJob(defaultJob('batch-box')), 0);
    const lowest = (part: string) =>
      Math.min(
        ...box.shapes.flatMap((shape) => (shape.kind === 'rect' && shape.part === `panel-a/${part}` ? [shape.y] : [])),
      );
    expect(lowest('skid')).below(lowest('floor'));
    const tube = sideOf(openJob(defaultJob('roof-tube')), 0);
    expect(tube.dimensions.find(({ id }) => id === 'side-height')?.value ?? 0).closeTo(0, 1e-9);
  });
  it('are level where the stand lays a panel flat, and at the tilt of the place on all others', () => {
    for (const kind of Object.keys(mounts) as MountKind[]) {
      const tilt = mountOf(on('harp', kind), 0)?.tilt;
      expect(tilt === 0, kind).equal(laysOn[kind] === 'level');
    }
  });
});
