import { expect } from 'chai';
import * as fc from 'fast-check';
import { jobFindings, sayFinding } from './cautions';
import { defaultJob, heatersOf, parseJob, withValueAt } from './document';
import { heatersFrom } from './document/heaters.fixture';
import { changeKind, type Family, families, type HeaterDocument } from './families';
import { fitRuns } from './families/plate/fit';
import { assess } from './figures';
import { given, wholeFigures } from './figures/whole.fixture';
import type { SerialModel } from './hydraulic';
import { jobParts, jobShop, openJob, sideOf, windOf } from './job';
import { trials } from './quantity/trials.fixture';
import { faceOf } from './shop';

const habits = ['metric', 'imperial'] as const;
const panel = (change: Record<string, unknown> = {}, others: Partial<HeaterDocument> = {}): HeaterDocument => {
  const standard = families.serpentine.standard('metric');
  return { id: 'panel-a', ...standard, ...others, parameters: { ...standard.parameters, ...change } };
};
const open = (change: Record<string, unknown> = {}, others: Partial<HeaterDocument> = {}) =>
  families.serpentine.open(panel(change, others), 'heaters.panel-a');
const serialOf = ({ hydraulic }: ReturnType<typeof open>) => {
  if (!hydraulic || !('description' in hydraulic)) throw new Error('no serial water');
  return (hydraulic as SerialModel).description;
};
const lengthOf = (design: ReturnType<typeof open>, id: string) => {
  const part = design.parts.find((one) => one.id === `panel-a/${id}`);
  return part?.kind === 'length' ? part.length : Number.NaN;
};
const codes = (change: Record<string, unknown>, others?: Partial<HeaterDocument>) =>
  open(change, others).findings.map(({ code }) => code);

describe('serpentine: a panel worked by hand', () => {
  // Pane 2 000 × 1 100: inside 1 986 by 1 086, outside 2 024 by 1 124. Ten runs at 108, 1 930 stop to stop; elbows of 15 mm
  // lay 12 and are 17.2 across, so a turn reaches 12 + 8.6 = 20.6 past the stop.
  const design = open({ runs: 10, pitch: 0.108, runLength: 1.93, stub: 0.06 });
  it('cuts stubs to the pitch less two laying lengths: 108 − 24 = 84, one fewer than there are runs', () => {
    expect(lengthOf(design, 'stub')).closeTo(0.084, 1e-9);
    expect(design.parts.find(({ id }) => id === 'panel-a/stub')?.count).equal(9);
    expect(design.parts.find(({ id }) => id === 'panel-a/run')?.count).equal(8);
  });
  it('lets first and last run out at the same end of an even number', () => {
    // Room at each end (1 986 − 1 930 − 41.2)/2 = 7.4, so the straight ends at 19 + 7.4 + 20.6 + 1 930 = 1 977; out 60 more.
    expect(lengthOf(design, 'run-first')).closeTo(1.977 + 0.06, 1e-9);
    expect(lengthOf(design, 'run-last')).closeTo(1.977 + 0.06, 1e-9);
    const cold = design.parts.find(({ id }) => id === 'panel-a/end-cold')?.holes?.[0];
    expect(cold?.positions).length(2);
    // (1 086 − 9 × 108)/2 = 57 from the inside of the low board.
    expect(cold?.positions[0]).closeTo(0.057, 1e-9);
    const hot = design.parts.find(({ id }) => id === 'panel-a/end-hot')?.holes ?? [];
    expect(hot.filter(({ diameter }) => diameter > 0.01)).deep.equal([]);
  });
  it('lets them out at opposite ends of an odd number', () => {
    const odd = open({ runs: 9, pitch: 0.108, runLength: 1.93 });
    for (const end of ['end-cold', 'end-hot'])
      expect(odd.parts.find(({ id }) => id === `panel-a/${end}`)?.holes?.[0]?.positions).length(1);
  });
  it('holds π/4 × 13.6² over all of its tube: 2 × 2.037 + 8 × 1.93 + 9 × (84 + 48 mm) = 20.70 m', () => {
    const water = serialOf(design);
    expect(water.length).closeTo(2 * 2.037 + 8 * 1.93 + 9 * 0.132, 1e-9);
    expect(water.volume).closeTo((Math.PI / 4) * 0.0136 ** 2 * water.length, 1e-12);
    expect(water.bends).deep.equal({ fitting: 'elbow-90', count: 18 });
  });
  it('buys two elbows a turn and solders four joints', () => {
    expect(design.purchases.find(({ id }) => id === 'panel-a/elbow')?.quantity).equal(18);
    expect(design.purchases.find(({ id }) => id === 'panel-a/joint-solder')?.rule).match(/38 joints/);
  });
});

describe('serpentine: turns', () => {
  it('solve the laying length from a dry fit: 60 of stub measuring 87 lays 13.5, so 108 takes 81', () => {
    const fitted = open({ dryStub: 0.06, dryPitch: 0.087, pitch: 0.108 });
    expect(lengthOf(fitted, 'stub')).closeTo(0.108 - 2 * 0.0135, 1e-9);
    expect(fitted.findings.map(({ code }) => code)).not.include('dry-fit-first');
    expect(codes({})).include('dry-fit-first');
  });
  it('take the pitch of a street elbow as it is: laying and spigot, 12 + 22.6 = 34.6', () => {
    const [clash] = open({ bend: 'elbow-street', pitch: 0.1 }).findings;
    expect(clash).include({ code: 'pitch-is-fixed', fix: 0.0346 });
    const measured = open({ bend: 'elbow-street', dryPitch: 0.036 }).findings[0];
    expect(measured?.fix).closeTo(0.036, 1e-9);
  });
  it('take the pitch of a formed U from its radius, and say where elbows or tube would not go', () => {
    expect(open({ bend: 'formed-u', bendRadius: 0.05, pitch: 0.1 }).findings.map(({ code }) => code)).not.include(
      'pitch-is-fixed',
    );
    expect(codes({ bend: 'formed-u', bendRadius: 0.04, pitch: 0.1 })).include('pitch-is-fixed');
    // Two laying lengths and two sockets: 2 × (12 + 10.6) = 45.2.
    const tight = open({ pitch: 0.04 }).findings.find(({ code }) => code === 'turn-too-tight');
    expect(tight?.fix).closeTo(0.046, 1e-9);
  });
  it('bend a soft coil in one piece, without fittings or joints, over four diameters at the least', () => {
    const coil = open({ bend: 'soft-coil', tube: 'en-1057-coil-15x1', pitch: 0.13, runs: 8 });
    expect(coil.parts.map(({ id }) => id)).include('panel-a/coil');
    // But for the unions at its two ends.
    expect(coil.purchases.find(({ id }) => id === 'panel-a/joint-solder')?.rule).match(/in 2 joints/);
    expect(lengthOf(coil, 'coil')).closeTo(serialOf(coil).length, 1e-9);
    expect(codes({ bend: 'soft-coil', tube: 'en-1057-coil-15x1', pitch: 0.1 })).include('turn-too-tight');
    expect(codes({ bend: 'soft-coil' })).include('needs-soft-tube');
    expect(codes({ tube: 'en-1057-coil-15x1' })).include('needs-hard-tube');
  });
});

describe('serpentine: over the whole range', () => {
  const any = fc.record({
    runs: fc.integer({ min: 2, max: 40 }),
    pitch: fc.double({ min: 0.05, max: 0.3, noNaN: true }),
    runLength: fc.double({ min: 0.2, max: 3, noNaN: true }),
    bend: fc.constantFrom('two-elbows', 'elbow-street', 'formed-u'),
    stub: fc.double({ min: 0, max: 0.3, noNaN: true }),
  });
  it('has no part of no size, its pieces add up to its way, and nothing is NaN', () => {
    fc.assert(
      fc.property(any, (change) => {
        const design = open(change);
        const water = serialOf(design);
        for (const part of design.parts) {
          expect(part.mass, part.id).above(0);
          expect(part.count, part.id).above(0);
        }
        const tubes = design.parts.filter(({ id }) => /run|stub/.test(id));
        const cut = tubes.reduce((sum, part) => sum + (part.kind === 'length' ? part.length * part.count : 0), 0);
        expect(water.length).at.least(cut - (change.runs - 1) * change.pitch - 1e-9);
        expect(JSON.stringify(design.drawings.plan.draw())).not.match(/null/);
        expect(Number.isFinite(water.volume)).equal(true);
      }),
      { numRuns: trials(25, 60) },
    );
  });
  it('drills every hole inside its board wherever nothing clashes', () => {
    fc.assert(
      fc.property(any, (change) => {
        const design = open({ ...change, runLength: Math.min(1.9, change.runLength) });
        if (design.findings.some(({ severity }) => severity === 'clash')) return;
        for (const part of design.parts)
          for (const { positions, diameter, axis } of part.holes ?? [])
            for (const at of positions) {
              const face = faceOf(part);
              expect(at - diameter / 2).above(0);
              expect(at + diameter / 2).below(axis === 'up' ? face.up : face.along);
            }
      }),
      { numRuns: trials(25, 60) },
    );
  });
  it('drops more pressure with more runs and less with a wider tube, and gains as a harp does or a little less', () => {
    const drop = (change: Record<string, unknown>) => {
      const job = {
        ...defaultJob('serpentine'),
        heaters: heatersFrom([{ ...heatersOf(defaultJob('serpentine'))[0], ...panel(change) }]),
      };
      return wholeFigures(job as ReturnType<typeof defaultJob>);
    };
    expect(drop({ runs: 8 }).pressureDrop ?? Number.NaN).below(drop({}).pressureDrop ?? Number.NaN);
    expect(drop({ tube: 'en-1057-18x1' }).pressureDrop ?? Number.NaN).below(drop({}).pressureDrop ?? Number.NaN);
    const harp = wholeFigures(defaultJob('harp'));
    expect(drop({}).efficiency / harp.efficiency).within(0.85, 1.02);
    expect(drop({}).perHeater[0]?.branches).deep.equal([]);
  });
});

describe('families: a panel fitted to its pane', () => {
  it('fills the width with whole runs: 1 086 − 6 is 10 of 108', () => {
    expect(fitRuns({ inside: 1.086, pitch: 0.105, least: 2, most: 60 })).deep.equal({ count: 10, pitch: 0.108 });
    expect(fitRuns({ inside: 1.086, pitch: 0.0346, least: 2, most: 60, fixed: true }).count).equal(31);
  });
  for (const family of Object.values<Family>(families).filter(({ fit }) => fit))
    for (const habit of habits)
      it(`${family.id}, ${habit}: does not clash round any pane`, () => {
        fc.assert(
          fc.property(
            fc.double({ min: 0.8, max: 2.4, noNaN: true }),
            fc.double({ min: 0.5, max: 1.3, noNaN: true }),
            (length, width) => {
              const standard = family.standard(habit);
              const glazing = standard.glazing && {
                ...standard.glazing,
                parameters: { ...standard.glazing.parameters, length, width },
              };
              const fitted = (family.fit as NonNullable<Family['fit']>)({
                id: 'panel-a',
                ...standard,
                ...(glazing ? { glazing } : {}),
              });
              const clashes = family
                .open(fitted, 'heaters.panel-a')
                .findings.filter(({ severity, code }) => severity === 'clash' && code !== 'exit-hole-meets-screw');
              expect(clashes).deep.equal([]);
            },
          ),
          { numRuns: trials(10, 25) },
        );
      });
});

describe('families: one kind made into another', () => {
  it('keeps pane, box, absorber and what means the same, and says what it leaves', () => {
    const harp = { ...heatersOf(defaultJob('harp'))[0], count: 3 } as HeaterDocument;
    const glazing = { kind: 'twin-wall', parameters: { ...families.harp.standard('metric').glazing?.parameters } };
    const wide = {
      ...harp,
      glazing: { ...glazing, parameters: { ...glazing.parameters, pane: 'twin-wall-10', width: 0.9 } },
    };
    const { panel: made, kept, left } = changeKind(wide, 'serpentine', 'metric');
    expect(made.family).equal('serpentine');
    expect(made.count).equal(3);
    expect(made.glazing?.parameters).include({ pane: 'twin-wall-10', width: 0.9 });
    expect(made.absorber).deep.equal(harp.absorber);
    expect(kept).include.members(['pane', 'box', 'absorber', 'air gap']);
    expect(left).include.members(['header tube', 'riser entry']);
    expect(families.serpentine.problems(made)).deep.equal([]);
    const clashes = families.serpentine
      .open(made, 'heaters.panel-a')
      .findings.filter(({ severity }) => severity === 'clash');
    expect(clashes).deep.equal([]);
  });
  it('goes there and back without a clash', () => {
    const there = changeKind(heatersOf(defaultJob('harp'))[0] as HeaterDocument, 'serpentine', 'metric').panel;
    const back = changeKind(there, 'harp', 'metric').panel;
    expect(families.harp.problems(back)).deep.equal([]);
    expect(
      families.harp.open(back, 'heaters.panel-a').findings.filter(({ severity }) => severity === 'clash'),
    ).deep.equal([]);
  });
});

describe('job: a loop that drains back', () => {
  it('warns of a serpentine either way: level runs keep their water as the turns at the foot do', () => {
    const job = withValueAt(defaultJob('serpentine'), ['loop', 'kind'], 'drain-back');
    const up = withValueAt(job, ['heaters', 'panel-a', 'turned'], false);
    const found = (one: typeof job) => jobFindings(openJob(one)).map(({ code }) => code);
    expect(found(up)).include('panel-holds-water');
    expect(found(job)).include('panel-holds-water');
    expect(found(withValueAt(defaultJob('harp'), ['loop', 'kind'], 'drain-back'))).not.include('panel-holds-water');
    expect(found(withValueAt(up, ['loop', 'kind'], 'pumped-coil'))).not.include('panel-holds-water');
  });
});

describe('job: a panel on a stand', () => {
  const standing = (kind: string, gust?: number) => {
    const job = defaultJob('harp');
    const [first] = heatersOf(job);
    return {
      ...job,
      site: { ...job.site, ...(gust === undefined ? {} : { gust }) },
      heaters: heatersFrom([{ ...first, mount: { kind, parameters: {} } }]),
    };
  };
  it('has the stand in its parts and its money, as often as there are panels', () => {
    const job = standing('ground-stand');
    const ids = jobParts(openJob(job)).parts.map(({ id }) => id);
    expect(ids).include('panel-a/stand-leg-rear');
    expect(wholeFigures(job).cost).above(wholeFigures(defaultJob('harp')).cost);
    expect(wholeFigures(job).unpriced).deep.equal([]);
    const two = { ...job, heaters: heatersFrom([{ ...heatersOf(job)[0], count: 2 }]) };
    const legs = (one: typeof job) =>
      jobParts(openJob(one)).parts.find(({ id }) => id === 'panel-a/stand-leg-rear')?.count;
    expect(legs(two)).equal(2 * (legs(job) ?? 0));
  });
  it('says what the wind does, with its number, and more of it the stronger it blows', () => {
    const [found] = jobFindings(openJob(standing('ground-stand'))).filter(({ code }) => code === 'wind-lifts');
    if (!found) throw new Error('no wind');
    const { detail, remedy } = sayFinding(found, 'metric');
    expect(detail).match(/gust of 40\sm\/s pulls .* what \d{3}\skg weigh/);
    expect(remedy).match(/engineer decide/);
    expect(windOf(openJob(standing('ground-stand', 55)), 0).ballast).above(
      windOf(openJob(standing('ground-stand')), 0).ballast,
    );
    expect(jobFindings(openJob(defaultJob('harp'))).map(({ code }) => code)).not.include('wind-lifts');
  });
  it('buys the ballast or the guys that the gust asks for, and says how much they must hold', () => {
    const held = (anchor: string, gust?: number) => {
      const job = standing('ground-stand', gust);
      const [panel] = heatersOf(job);
      return openJob({
        ...job,
        heaters: heatersFrom([{ ...panel, mount: { kind: 'ground-stand', parameters: { anchor } } }]),
      });
    };
    const open = held('ballast');
    const blocks = jobParts(open).purchases.find(({ id }) => id === 'panel-a/stand-ballast');
    // Blocks of 20 kg, none too few and none too many.
    expect((blocks?.quantity ?? 0) * 20).within(windOf(open, 0).ballast, windOf(open, 0).ballast + 20);
    const note = jobFindings(open).find(({ code }) => code === 'ballast-holds');
    expect(note?.severity).equal('note');
    expect(jobFindings(open).map(({ code }) => code)).not.include('wind-lifts');
    const guyed = jobParts(held('guys')).purchases.map(({ id }) => id);
    expect(guyed).include.members(['panel-a/stand-guy', 'panel-a/stand-ground-anchor']);
    // A breeze asks for nothing.
    expect(jobParts(held('ballast', 3)).purchases.map(({ id }) => id)).not.include('panel-a/stand-ballast');
  });
  it('tells what each fixing must hold where it is screwed to a roof or a wall', () => {
    for (const kind of ['roof-standoff', 'wall-bracket', 'vehicle-rack']) {
      const open = openJob(standing(kind));
      const [found] = jobFindings(open).filter(({ code }) => code === 'fixings-pull');
      if (!found) throw new Error(`${kind}: nothing said`);
      expect(Number(found.values.each) * Number(found.values.count)).closeTo(windOf(open, 0).force, 1e-6);
      expect(sayFinding(found, 'imperial').remedy).match(/engineer decide/);
      expect(wholeFigures(open.job).unpriced).deep.equal([]);
    }
  });
  it('is refused where no stand of that kind is, by its field', () => {
    const parsed = parseJob(standing('tripod'));
    if (parsed.ok) throw new Error('taken');
    expect(parsed.errors[0]?.path).equal('heaters.panel-a.mount.kind');
    expect(parsed.errors[0]?.message).match(/must be one of: ground-stand, hinged-frame/);
    expect(parseJob(standing('hinged-frame')).ok).equal(true);
  });
  it('is drawn from the side, turned or not', () => {
    const up = sideOf(openJob(standing('ground-stand')), 0);
    const turned = standing('ground-stand');
    const across = sideOf(openJob({ ...turned, heaters: heatersFrom([{ ...heatersOf(turned)[0], turned: true }]) }), 0);
    const height = (drawing: typeof up) => drawing.dimensions.find(({ id }) => id === 'stand-rear')?.value ?? 0;
    // The box is 2 024 long and 1 124 wide: laid across it stands lower.
    expect(height(across)).below(height(up));
  });
});

describe('families: any kind into any other', () => {
  for (const habit of habits)
    it(`${habit}: opens, is in order, and clashes nowhere`, () => {
      for (const from of Object.keys(families))
        for (const to of Object.keys(families)) {
          const [first] = heatersOf(defaultJob(from, { units: habit }));
          const { panel: made, kept, left } = changeKind(first as HeaterDocument, to, habit);
          const family: Family = families[to as keyof typeof families];
          expect(family.problems(made), `${from} to ${to}`).deep.equal([]);
          const clashes = family.open(made, 'heaters.panel-a').findings.filter(({ severity }) => severity === 'clash');
          expect(clashes, `${from} to ${to}`).deep.equal([]);
          expect(kept).include('how many');
          expect(left.every((words) => words !== '')).equal(true);
          const job = { ...defaultJob(from, { units: habit }), heaters: heatersFrom([made]) };
          expect(parseJob(JSON.parse(JSON.stringify(job))).ok, `${from} to ${to}`).equal(true);
        }
    });
});

describe('job: every kind as it begins', () => {
  it('is cut from stock that the shop has, every piece of it', () => {
    for (const id of Object.keys(families))
      for (const units of habits) {
        const { plan } = jobShop(openJob(defaultJob(id, { units })));
        for (const { name, plan: material } of plan.materials)
          expect('unplaced' in material ? material.unplaced : [], `${id} ${units} ${name}`).deep.equal([]);
      }
  });
});

describe('trickle: what each strip is given, and what steams away', () => {
  const figuresOf = (change: Record<string, unknown>) => {
    const job = defaultJob('trickle');
    const [panel] = heatersOf(job);
    if (!panel) throw new Error('no panel');
    const changed = { ...job, heaters: heatersFrom([{ ...panel, parameters: { ...panel.parameters, ...change } }]) };
    const figures = wholeFigures(changed);
    const { readouts } = assess(openJob(changed), figures, 0);
    const read = (id: string) => readouts.find((one) => one.id === id)?.values[0];
    return { ...given(figures.perHeater[0]), stripFlow: read('stripFlow'), steam: read('steam') };
  };
  it('parts the panel’s flow among its strips', () => {
    const figure = figuresOf({ strips: 4 });
    // At 20 °C a litre of water weighs 998.2 g.
    expect((figure?.stripFlow ?? 0) * 4 * 998.2).closeTo(figure?.massFlow ?? 1, 1e-5);
  });
  it('steams when it is open under a cover, by as much as it gains less when nothing else changes; sealed not at all', () => {
    const open = figuresOf({ film: 'open' });
    const sealed = figuresOf({ film: 'sealed' });
    expect(open?.steam ?? 0).above(0);
    expect(sealed?.steam).equal(undefined);
    expect(open?.usefulHeat ?? 0).below(sealed?.usefulHeat ?? 0);
    // More than it costs: a plate that steams runs cooler, and loses less besides.
    expect((sealed?.usefulHeat ?? 0) - (open?.usefulHeat ?? 0)).below(1.1 * (open?.steam ?? 0));
  });
  it('has no pressure to drop', () => {
    expect(figuresOf({})?.pressureDrop).equal(undefined);
  });
});
