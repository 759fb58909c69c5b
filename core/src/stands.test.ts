import { expect } from 'chai';
import * as fc from 'fast-check';
import { sayFinding } from './cautions';
import { defaultJob, heatersOf } from './document';
import { heatersFrom } from './document/heaters.fixture';
import type { HeaterDocument } from './families';
import { mountFindings, mountOf, openJob, sideOf } from './job';
import { carryFindings } from './job/mountCarries';
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

describe('job: rails of a stand carry what lies on them', () => {
  const standing = (
    family: string,
    kind: MountKind,
    count: Record<string, unknown> = {},
    units: 'metric' | 'imperial' = 'metric',
  ) => {
    const job = defaultJob(family, { units });
    const [heater] = heatersOf(job);
    if (!heater) throw new Error('no heater');
    const mount = { kind, parameters: mounts[kind].standard(units) };
    const parameters = { ...heater.parameters, ...count };
    return openJob({ ...job, heaters: heatersFrom([{ ...(heater as HeaterDocument), parameters, mount }]) });
  };
  const weak = (open: ReturnType<typeof openJob>) => mountFindings(open).find(({ code }) => code === 'stand-rail-weak');
  /** Pa by another way: the beam cut at 400 places, its own weight of the panel summed on both sides. */
  const byPieces = (mass: number, span: number, across: number, { wide, deep }: { wide: number; deep: number }) => {
    const parts = 400;
    const load = ((mass * 9.81) / 2 / across) * span;
    let most = 0;
    for (let cut = 0; cut <= parts; cut += 1) {
      const x = (span * cut) / parts;
      let moment = (load / 2) * x;
      for (let piece = 0; piece < cut; piece += 1) moment -= (load / parts) * (x - (span * (piece + 0.5)) / parts);
      most = Math.max(most, moment);
    }
    return (most * (deep / 2)) / ((wide * deep ** 3) / 12);
  };
  it('under an ordinary panel of every kind, by either tape', () => {
    for (const units of ['metric', 'imperial'] as const)
      for (const family of ['harp', 'serpentine', 'lattice', 'trickle', 'heat-pipe', 'trough', 'spiral'])
        for (const kind of ['ground-stand', 'wall-bracket', 'roof-standoff'] as const)
          expect(weak(standing(family, kind, {}, units)), `${family} on ${kind}, ${units}`).equal(undefined);
  });
  it('not under a covered spiral of twice seventeen rounds: the number is that of a beam cut to pieces, and a stouter timber mends it', () => {
    const open = standing('spiral', 'ground-stand', { rounds: 17, starts: 2, cover: 'twin-wall' });
    const found = weak(open);
    const mount = mountOf(open, 0);
    const outside = open.panels[0]?.design.outside;
    if (!found || !mount?.rails || !outside) throw new Error('it is borne');
    expect(found.severity).equal('clash');
    const { span, wide, deep } = mount.rails;
    const across = open.panels[0]?.document.turned ? outside.length : outside.width;
    expect(Number(found.values.stress) / byPieces(Number(found.values.mass), span, across, { wide, deep })).closeTo(
      1,
      0.01,
    );
    expect(String(found.fix)).match(/planed/);
    const mended = standing('spiral', 'ground-stand', { rounds: 17, starts: 2, cover: 'twin-wall' });
    const [heater] = heatersOf(mended.job);
    const parameters = { ...mounts['ground-stand'].standard('metric'), timber: found.fix };
    const then = openJob({
      ...mended.job,
      heaters: heatersFrom([{ ...(heater as HeaterDocument), mount: { kind: 'ground-stand', parameters } }]),
    });
    expect(weak(then)).equal(undefined);
  });
  it('is worded with its weight, its span and both stresses', () => {
    const found = weak(standing('spiral', 'ground-stand', { rounds: 17, starts: 2, cover: 'twin-wall' }));
    if (!found) throw new Error('no finding');
    for (const units of ['metric', 'imperial'] as const) {
      const { detail, remedy } = sayFinding(found, units);
      expect(detail).match(/held .* apart: they are bent by .* softwood bears/);
      expect(remedy).match(/stouter/);
    }
  });
});

describe('job: rails of a stand over any panel', () => {
  const kinds = ['ground-stand', 'wall-bracket', 'roof-standoff'] as const;
  it('clash just where a beam of that section, bent by that weight, goes over what softwood bears; the mend never does', () => {
    let [weak, mended] = [0, 0];
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.double({ min: 0.6, max: 3, noNaN: true }),
        fc.double({ min: 0.6, max: 3.5, noNaN: true }),
        fc.double({ min: 20, max: 400, noNaN: true }),
        (kind, upslope, across, mass) => {
          const panel = { prefix: 'p', upslope, across, depth: 0.12, mass, tilts: [{ name: 'all year', tilt: 40 }] };
          const parameters = mounts[kind].standard('metric');
          const { rails } = mounts[kind].open(parameters).under(panel);
          if (!rails) throw new Error('it has rails');
          // By hand: half the panel on each rail, w L² / 8 over b d² / 6.
          const stress =
            ((mass * 9.80665) / 2 / Math.max(across, rails.span)) *
            (rails.span ** 2 / 8) *
            (6 / (rails.wide * rails.deep ** 2));
          const [found] = carryFindings(panel, { kind, parameters }, 'heaters.a.mount');
          if (Math.abs(stress / 5.908e6 - 1) > 0.02) expect(found !== undefined, `${stress}`).equal(stress > 5.908e6);
          if (!found) return;
          weak += 1;
          if (found.fix === undefined) return;
          mended += 1;
          expect(carryFindings(panel, { kind, parameters: { ...parameters, timber: found.fix } }, 'x')).deep.equal([]);
        },
      ),
      { numRuns: 400 },
    );
    expect(weak).above(20);
    expect(mended).above(5);
  });
});
