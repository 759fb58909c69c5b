import { expect } from 'chai';
import * as fc from 'fast-check';
import { jobSteps, sayStep } from './building';
import { sayFinding } from './cautions';
import { defaultJob, familyIds, heatersOf, type Job, leastSpecificFlow, parseJob } from './document';
import { heatersFrom } from './document/heaters.fixture';
import { families } from './families';
import { anyPanel } from './families/anyPanel.fixture';
import { workOut } from './figures';
import { mounts } from './mounts';
import { trials } from './quantity/trials.fixture';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** A job with any panel of a kind, on any stand, in any loop and place. */
function anyJob(id: string): fc.Arbitrary<Job> {
  const family = families[id as keyof typeof families];
  const base = defaultJob(id);
  return fc
    .record({
      panel: anyPanel(family),
      filled: fc.boolean(),
      count: fc.integer({ min: 1, max: 3 }),
      mount: fc.constantFrom(undefined, ...Object.keys(mounts)),
      kind: fc.constantFrom('pumped-direct', 'drain-back', 'thermosiphon'),
      connection: fc.constantFrom('parallel', 'series'),
      specificFlow: fc.oneof(any(leastSpecificFlow, 0.2), fc.constantFrom(leastSpecificFlow, 0.001, 0.2)),
      pressurised: fc.boolean(),
      glycol: fc.constantFrom(undefined, 0.2, 0.6),
      tilt: fc.integer({ min: 0, max: 90 }),
      gust: any(10, 80),
      elevation: any(0, 4000),
    })
    .map(
      ({ panel, filled, count, mount, kind, connection, specificFlow, pressurised, glycol, tilt, gust, elevation }) => {
        const drawn = filled && family.fit ? family.fit(panel) : panel;
        const stand = mount && { kind: mount, parameters: mounts[mount as keyof typeof mounts].standard('metric') };
        return {
          ...base,
          heaters: heatersFrom([{ ...drawn, id: 'panel-a', count, ...(stand ? { mount: stand } : {}) }]),
          loop: { kind, connection, specificFlow, pressurised, ...(glycol ? { glycol } : {}) },
          site: {
            ...base.site,
            gust,
            elevation,
            standing: { aim: 0, tilts: { 'tilt-a': { order: 0, name: 'all year', tilt } } },
          },
        } as unknown as Job;
      },
    );
}

describe('job: anywhere in the whole range of everything', () => {
  for (const id of familyIds)
    it(`${id}: is worked out, planned, looked through and told step by step; what cannot be says so and takes nothing along`, () => {
      const seen = { jobs: 0, whole: 0, clean: 0, boiling: 0, absent: 0 };
      fc.assert(
        fc.property(anyJob(id), (drawn) => {
          const parsed = parseJob(drawn);
          expect(parsed.ok, JSON.stringify(parsed)).equal(true);
          if (!parsed.ok) return;
          const { figures, findings, plan, open, margins } = workOut(parsed.job);
          seen.jobs += 1;
          const codes = new Set(findings.map(({ code }) => code));
          if (codes.has('outlet-boils')) seen.boiling += 1;
          if (codes.has('not-worked-out')) seen.absent += 1;
          if (figures.gain !== undefined && figures.cost !== undefined) seen.whole += 1;
          if (!findings.some(({ severity }) => severity === 'clash' || severity === 'stop')) seen.clean += 1;
          // A figure is there and sound, or it is not there.
          for (const [name, value] of Object.entries(figures))
            if (typeof value === 'number') expect(Number.isFinite(value), name).equal(true);
          for (const panel of figures.perHeater)
            for (const [name, value] of Object.entries(panel))
              if (typeof value === 'number') expect(Number.isFinite(value), name).equal(true);
          expect(figures.apertureArea).above(0);
          expect(margins.length).above(0);
          for (const { sees, high } of margins) expect(Number.isFinite(sees) && high >= sees).equal(true);
          if (figures.efficiency !== undefined) expect(figures.efficiency).below(1);
          // Friction asks something of the pump, whatever the warm water lifts.
          if (figures.pressureDrop !== undefined && !codes.has('riser-too-wide'))
            expect(figures.pressureDrop).at.least(0);
          expect(plan.cost).at.least(0);
          for (const finding of findings)
            for (const habit of ['metric', 'imperial'] as const) {
              const { headline, detail, remedy } = sayFinding(finding, habit);
              expect(`${headline}${detail}${remedy}`, finding.code).not.match(/NaN|undefined|Infinity/);
            }
          for (const step of jobSteps(open)) expect(sayStep(step, 'imperial').name).not.equal('');
        }),
        { numRuns: trials(12, 60) },
      );
      // Most of what is drawn by chance clashes; hardly any of it may be beyond working out.
      expect(seen.jobs).at.least(trials(12, 60));
      expect(seen.absent / seen.jobs, JSON.stringify(seen)).at.most(0.05);
      expect(seen.whole / seen.jobs, JSON.stringify(seen)).at.least(0.6);
    });
  it('a serpentine whose turns leave no stub is a clash with a mend, and the rest of its bench stands', () => {
    const base = defaultJob('serpentine');
    const drawn = {
      ...base,
      heaters: heatersFrom(
        heatersOf(base).map((panel) => ({
          ...panel,
          parameters: { ...panel.parameters, pitch: 0.046, tube: 'en-1057-35x1.2', bend: 'two-elbows' },
        })),
      ),
    } as Job;
    const { figures, findings, plan } = workOut(drawn);
    expect(figures.gain).above(1);
    expect(plan.cost).above(10);
    const tight = findings.find(({ code }) => code === 'turn-too-tight');
    expect(tight?.fix).above(0.046);
    expect(findings.map(({ code }) => code))
      .include('piece-without-size')
      .not.include('not-worked-out');
  });
  it('a riser wider than its header is a clash with a header that takes it', () => {
    const base = defaultJob('harp');
    const drawn = {
      ...base,
      heaters: heatersFrom(
        heatersOf(base).map((panel) => ({
          ...panel,
          parameters: {
            ...panel.parameters,
            riserTube: 'en-1057-28x0.9',
            headerTube: 'en-1057-10x0.7',
            connection: 'same-side',
          },
        })),
      ),
    } as Job;
    const { findings } = workOut(drawn);
    const wide = findings.find(({ code }) => code === 'riser-too-wide');
    expect(wide?.path).equal('heaters.panel-a.parameters.headerTube');
    const mended = {
      ...drawn,
      heaters: heatersFrom(
        heatersOf(drawn).map((panel) => ({ ...panel, parameters: { ...panel.parameters, headerTube: wide?.fix } })),
      ),
    } as Job;
    expect(workOut(mended).findings.map(({ code }) => code)).not.include('riser-too-wide');
  });
  it('a flow of next to nothing is refused as a flow, and a small one boils and says what flow would not', () => {
    const base = defaultJob('harp');
    // At 4 000 m, where water boils at 87 °C.
    const at = (specificFlow: number) =>
      ({
        ...base,
        site: { ...base.site, elevation: 4000 },
        loop: { ...base.loop, specificFlow },
      }) as Job;
    expect(parseJob(at(5e-11)).ok).equal(false);
    const { figures, findings } = workOut(at(leastSpecificFlow));
    expect(figures).not.have.any.keys('gain', 'outletTemperature', 'usefulHeat', 'efficiency');
    const boils = findings.find(({ code }) => code === 'outlet-boils');
    expect(boils?.severity).equal('stop');
    expect(boils?.values.boils).closeTo(87, 1.5);
    expect(boils?.values.outlet).above(88);
    const mended = workOut(at(Number(boils?.fix)));
    expect(mended.figures.gain).within(20, 75);
    // Against the relief valve it boils later, and this flow does not boil at all.
    const closed = workOut({ ...at(leastSpecificFlow), loop: { ...at(leastSpecificFlow).loop, pressurised: true } });
    expect(closed.figures.outletTemperature).above(88);
  });
});
