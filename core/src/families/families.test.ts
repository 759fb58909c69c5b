import { expect } from 'chai';
import * as fc from 'fast-check';
import { wordFinding } from '../care';
import { entries } from '../catalogue';
import { writeSvg } from '../draw';
import { sayWords } from '../quantity';
import { inOrder } from '../steps';
import { fluidState, stagnationTemperature } from '../thermal';
import { flatOf, lineOf } from '../thermal/flat/flat.fixture';
import { fairDay } from '../thermal/plate/collector.fixture';
import { families, type HeaterDocument, standardChoice } from '.';
import { withParameters } from './harp/harp.fixture';

const habits = ['metric', 'imperial'] as const;

/** Dangers that a kind has however it is drawn, and says at once. */
const inherent: Readonly<Record<string, readonly string[]>> = {
  spiral: ['first-litre-scalds'],
  'heat-pipe': ['sealed-wet-tube'],
  'roof-tube': ['air-in-plastic'],
  trough: ['concentrated-light'],
};

describe('families: every kind has the same duties', () => {
  for (const family of Object.values(families))
    for (const habit of habits) {
      const panel: HeaterDocument = { id: 'panel-a', ...family.standard(habit) };
      describe(`${family.id}, ${habit}`, () => {
        it('begins with a panel that opens and does not clash', () => {
          expect(family.problems(panel)).deep.equal([]);
          const { findings } = family.open(panel, 'heaters.panel-a');
          const grave = findings.filter(({ severity }) => severity !== 'note');
          expect(grave.map(({ code }) => code)).deep.equal(inherent[family.id] ?? []);
          expect(grave.filter(({ severity }) => severity === 'clash')).deep.equal([]);
        });
        it('has parts above zero, from its own prefix, each id once', () => {
          const { parts, purchases, dryMass } = family.open(panel, 'heaters.panel-a');
          const ids = [...parts, ...purchases].map((one) => one.id);
          expect(new Set(ids).size).equal(ids.length);
          for (const part of parts) {
            expect(part.id).match(/^panel-a\//);
            expect(part.count, part.id).above(0);
            expect(part.mass, part.id).above(0);
            for (const size of part.kind === 'length' ? [part.length] : [part.width, part.height])
              expect(size, part.id).above(0);
          }
          for (const one of purchases) expect(one.quantity, one.id).above(0);
          expect(dryMass).within(2, 200);
        });
        it('is built in steps that follow, of parts that it has, each step once', () => {
          const design = family.open(panel, 'heaters.panel-a');
          const steps = inOrder(design.steps());
          const ids = steps.map(({ id }) => id);
          expect(new Set(ids).size).equal(ids.length);
          const has = new Set([...design.parts, ...design.purchases].map(({ id }) => id));
          for (const { id, does, parts, checks } of steps) {
            expect(id).match(/^panel-a\/step\//);
            expect(does.length, id).above(0);
            for (const part of parts) expect(has.has(part), `${id}: ${part}`).equal(true);
            expect(new Set(checks.map((check) => check.id)).size, id).equal(checks.length);
            for (const { expects } of checks)
              if (expects) expect(Number.isFinite(expects.value) && expects.within >= 0, id).equal(true);
          }
          const words = steps.flatMap((one) => [...one.does, ...one.beware, ...one.checks.map((check) => check.words)]);
          for (const one of words) expect(sayWords(one, habit)).not.match(/[⟦⟧]|NaN|undefined|Infinity/);
          // Never closed in before it was tested, never carried before it was closed.
          const at = (end: string) => ids.findIndex((id) => id.endsWith(end));
          expect(at('/test-open')).above(0);
          expect(at('/test-open')).below(at('/carry'));
          if (at('/glaze') >= 0) expect(at('/test-open')).below(at('/glaze'));
          expect(ids[ids.length - 1]).match(/\/carry$/);
          // Every part that is cut is used somewhere.
          const used = new Set(steps.flatMap(({ parts }) => parts));
          expect(design.parts.filter((part) => !used.has(part.id)).map((part) => part.id)).deep.equal([]);
        });
        it('draws every view to SVG without a NaN, and every editable dimension solves back', () => {
          const design = family.open(panel, 'heaters.panel-a');
          for (const [view, { draw }] of Object.entries(design.drawings)) {
            const drawing = draw();
            const svg = writeSvg(drawing, { habit });
            expect(svg).match(/^<svg[\s\S]*<\/svg>\n$/);
            expect(svg).not.match(/NaN|undefined|Infinity/);
            for (const dimension of drawing.dimensions) {
              const { edit } = dimension;
              if (!edit) continue;
              expect(edit.low, dimension.id).at.most(dimension.value + 1e-9);
              expect(edit.high, dimension.id).at.least(dimension.value - 1e-9);
              const wanted = (dimension.value + edit.high) / 2;
              const changed = JSON.parse(JSON.stringify(panel)) as Record<string, unknown>;
              const steps = edit.path.split('.');
              const last = steps.pop() ?? '';
              const holder = steps.reduce((node, step) => node[step] as Record<string, unknown>, changed);
              holder[last] = wanted * edit.scale + edit.offset;
              const again = family.open(changed as unknown as HeaterDocument, 'heaters.panel-a').drawings[view]?.draw();
              const moved = again?.dimensions.find((one) => one.id === dimension.id);
              expect(moved?.value, dimension.id).closeTo(wanted, 1e-9);
            }
          }
        });
        it('has heat and water that make sense together', () => {
          const { thermal, hydraulic, areas } = family.open(panel, 'heaters.panel-a');
          expect(areas.absorber).above(0.2 * areas.aperture);
          expect(areas.aperture).equal(thermal.apertureArea);
          expect(areas.aperture).below(areas.gross);
          // A film holds half a litre, risers and headers a few, tanks hundreds; what heat warms is what the pipes hold.
          expect(hydraulic?.volume).within(0.0003, 1);
          const { density, heatCapacity } = fluidState('water', 30);
          expect(thermal.capacity.water / (density * heatCapacity)).closeTo(
            hydraulic?.volume ?? 0,
            0.01 * (hydraulic?.volume ?? 0),
          );
          expect(hydraulic?.drains.how).not.equal('');
          const state = thermal.state({ ...fairDay, massFlow: 0.02 * thermal.apertureArea });
          // Bare pipes in the wind are the least of them.
          expect(state.efficiency).within(0.15, 0.75);
          // In the dark, with water as warm as everything round it, nothing comes of it.
          const even = { ...fairDay, irradiance: 0, surroundings: 15, inlet: 15, massFlow: 0.02 };
          expect(thermal.state(even).usefulHeat).closeTo(0, 0.01);
        });
        it('lies in the sanity envelope of a well-built single-glazed flat black panel', () => {
          const { thermal } = family.open(panel, 'heaters.panel-a');
          if (!('working' in thermal)) return;
          const heat = flatOf(thermal).description;
          // Of those that fill their box: an envelope on aperture says nothing of wide rims.
          // It is one of panels under glass: a film lets the warmth of the plate out.
          const [cover] = heat.covers;
          if (!cover || cover.longWave || heat.absorberArea < 0.9 * heat.apertureArea) return;
          const line = lineOf(thermal, { ...fairDay, massFlow: 0.02 * heat.apertureArea });
          expect(line.intercept).within(0.68, 0.78);
          expect(line.slope).within(4.5, 7);
          const dry = { ...fairDay, irradiance: 1000, air: 30, surroundings: 20, wind: 0.5, massFlow: 0 };
          expect(stagnationTemperature(thermal, dry)).within(120, 155);
        });
        it('names every field it offers, with a value that its schema takes', () => {
          for (const field of family.fields(panel)) {
            expect(field.meta.label, field.path).not.equal('');
            expect(field.value, field.path).not.equal(undefined);
          }
        });
        it('finds what is wrong with a panel and says where', () => {
          const size = family
            .fields(panel)
            .find(({ meta, path }) => meta.kind === 'length' && /^parameters/.test(path));
          const name = size?.path.split('.')[1] ?? '';
          const { glazing, ...rest } = panel;
          const wrong = { ...rest, parameters: { ...panel.parameters, [name]: -0.1 } };
          const paths = family.problems(wrong).map((problem) => problem.path.join('.'));
          expect(paths).include(`parameters.${name}`);
          if (glazing) expect(paths).include('glazing');
        });
      });
    }
});

describe('families: the words of what they find', () => {
  it('belong to one kind, unless kinds share them', () => {
    const known = new Map<string, unknown>();
    for (const family of Object.values(families))
      for (const [code, words] of Object.entries(family.words)) {
        expect(known.get(code) ?? words, `${family.id}: ${code}`).equal(words);
        known.set(code, words);
      }
  });
});

describe('families: the shared choices', () => {
  const panel: HeaterDocument = { id: 'panel-a', ...families.harp.standard('metric') };
  it('keep the size of the pane when its kind is changed', () => {
    const glazing = { kind: 'tempered-glass', parameters: { ...panel.glazing?.parameters, length: 1.7, width: 0.9 } };
    const twin = standardChoice('glazing', 'twin-wall', 'metric', glazing);
    expect(twin.parameters).include({ length: 1.7, width: 0.9, pane: 'twin-wall-10', clearance: 0.006 });
  });
  it('open with every absorber, box, glazing and catalogue entry they offer', () => {
    for (const field of families.harp.fields(panel))
      for (const { value } of field.meta.choices ?? []) {
        const [head = '', ...rest] = field.path.split('.');
        const changed = JSON.parse(JSON.stringify(panel)) as Record<string, Record<string, unknown>>;
        if (rest[0] === 'kind') changed[head] = standardChoice(head as 'absorber', value, 'metric') as never;
        else if (rest.length === 2) (changed[head]?.parameters as Record<string, unknown>)[rest[1] ?? ''] = value;
        else if (changed[head]) changed[head][rest[0] ?? ''] = value;
        const document = changed as unknown as HeaterDocument;
        expect(families.harp.problems(document), `${field.path} ${value}`).deep.equal([]);
        const design = families.harp.open(document, 'heaters.panel-a');
        // Whatever clashes has its words, in both habits.
        for (const finding of design.findings)
          for (const habit of habits) {
            const words = wordFinding(finding, families.harp.words, habit);
            expect(`${words.headline}${words.detail}${words.remedy}`).not.match(/NaN|undefined|Infinity/);
          }
      }
  });
});

describe('harp: a panel worked by hand', () => {
  // Pane 2 000 × 1 100, clearance 3, bearing 10, boards 19: inside 2 000 + 6 − 20 = 1 986 by 1 086; outside 2 024 by 1 124.
  // Ten risers at 106, 1 880 clear, entry 7, headers 28: riser 1 880 + 14 = 1 894.
  const design = withParameters({ riserCount: 10, pitch: 0.106, riserClear: 1.88, entry: 0.007 });
  const part = (id: string) => design.parts.find((one) => one.id === `panel-a/${id}`);
  const length = (id: string) => {
    const found = part(id);
    return found?.kind === 'length' ? found.length : Number.NaN;
  };
  it('has box, boards and back to size', () => {
    expect(design.areas.gross).closeTo(2.024 * 1.124, 1e-9);
    expect(design.areas.aperture).closeTo(1.986 * 1.086, 1e-9);
    expect(length('side-low')).closeTo(2.024, 1e-9);
    expect(length('end')).closeTo(1.086, 1e-9);
    // The back lies 7 under the boards all round, with 1 of room: 1 986 + 12 by 1 086 + 12.
    expect(part('back')).deep.include({ width: 1.998, height: 1.098 });
  });
  it('cuts risers to the gap and two entries', () => {
    expect(length('riser')).closeTo(1.894, 1e-9);
    expect(part('riser')?.count).equal(10);
  });
  it('drills headers from the closed end, alike on both sides of the middle', () => {
    // Closed end 25 before the first hole; nine pitches of 106 are 954, so the middle is at 25 + 477 = 502.
    const holes = part('header-cold')?.holes?.[0];
    expect(holes?.positions.map((at) => Math.round(at * 1000))).deep.equal([
      25, 131, 237, 343, 449, 555, 661, 767, 873, 979,
    ]);
    expect(holes?.middle).closeTo(0.502, 1e-9);
    // From there to the outside of the box, and the stub: (1 124 − 954)/2 = 85, 25 + 954 + 85 + 50 = 1 114.
    expect(length('header-cold')).closeTo(1.114, 1e-9);
    expect(length('header-hot')).closeTo(1.114, 1e-9);
  });
  it('lets the headers out where they are', () => {
    // Headers stand (1 986 − 1 880 − 56)/2 = 25 from the end board, so their centre is at 19 + 25 + 14 = 58.
    expect(part('side-low')?.holes?.[0]?.positions[0]).closeTo(0.058, 1e-9);
    expect(part('side-high')?.holes?.[0]?.positions[0]).closeTo(2.024 - 0.058, 1e-9);
  });
  it('holds π/4 × bore² × length, less the riser ends in the headers', () => {
    // Headers 2 × 1.114 m of 26.2 mm: 1.2012 L; risers 10 × 1.894 of 13.6: 2.7514 L; 20 ends of 15 mm, 6.1 mm in: 0.0216 L.
    expect((design.hydraulic?.volume ?? 0) * 1000).closeTo(1.2012 + 2.7514 - 0.0216, 0.0005);
  });
  it('stacks 9 + 50 + 14 + 7.5 + 0.3 + 25 + 4 = 109.8 on a board of 115', () => {
    expect(design.stack?.needed).closeTo(0.1098, 1e-9);
    expect(design.stack?.available).closeTo(0.115, 1e-9);
  });
});

describe('harp: clashes', () => {
  const codes = (change: Parameters<typeof withParameters>[0], others?: Parameters<typeof withParameters>[1]) =>
    withParameters(change, others).findings.map((finding) => finding.code);
  it('knows how far a riser must go in: 15 into 28 × 0.9 is 14 − √(13.1² − 7.5²) + 1 = 4.26 mm', () => {
    const short = withParameters({ entry: 0.004 }).findings[0];
    expect(short?.code).equal('riser-entry-short');
    expect(Number(short?.values.least) * 1000).closeTo(4.26, 0.005);
    expect(codes({ entry: 0.0045 })).deep.equal([]);
    // A third of the header's bore of 26.2.
    expect(codes({ entry: 0.0088 })).deep.equal(['riser-entry-deep']);
  });
  it('says each thing that cannot be built', () => {
    expect(codes({ headerTube: 'en-1057-15x0.7' })).include('riser-too-wide');
    expect(codes({ riserClear: 2.2 })).include('array-too-long');
    expect(codes({ riserClear: 1.92 })).include('header-meets-cleat');
    expect(codes({ riserCount: 14, pitch: 0.089 })).include('array-too-wide');
    expect(codes({ closedEnd: 0.09 })).include('closed-end-meets-side');
    expect(codes({ airGap: 0.01 })).include('pane-too-close');
    expect(codes({}, { box: { board: 'planed-90x19' } })).include('board-too-shallow');
    expect(codes({ riserClear: 1.906 }, { box: { cleat: 0.045 } })).include('exit-hole-meets-screw');
    expect(codes({ airGap: 0.05 }, { box: { board: 'planed-115x19' } })).include('board-too-shallow');
  });
  it('is mended by the fix that it offers', () => {
    for (const change of [
      { entry: 0.004 },
      { entry: 0.012 },
      { riserClear: 2.2 },
      { riserClear: 1.92 },
      { riserCount: 14 },
      { closedEnd: 0.09 },
    ]) {
      const [finding] = withParameters(change).findings;
      if (finding?.fix === undefined) throw new Error(`no fix for ${JSON.stringify(change)}`);
      const name = finding.path.split('.').pop() ?? '';
      expect(codes({ ...change, [name]: finding.fix }), finding.code).not.include(finding.code);
    }
  });
  it('never makes a part of no size, a hole outside its board, or words with holes in them, over the whole range', () => {
    const tube = fc.constantFrom(
      ...entries('tube')
        .filter((one) => one.temper === 'hard')
        .map((one) => one.id),
    );
    fc.assert(
      fc.property(
        tube,
        tube,
        fc.integer({ min: 2, max: 60 }),
        fc.double({ min: 0.03, max: 0.4, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.double({ min: 0.001, max: 0.03, noNaN: true }),
        fc.constantFrom('diagonal' as const, 'same-side' as const),
        (riserTube, headerTube, riserCount, pitch, riserClear, entry, connection) => {
          const { parts, findings } = withParameters({
            riserTube,
            headerTube,
            riserCount,
            pitch,
            riserClear,
            entry,
            connection,
          });
          for (const one of parts) {
            const sizes = one.kind === 'length' ? [one.length] : [one.width, one.height];
            for (const size of sizes) expect(size, one.id).above(0);
            if (findings.length > 0 || one.kind !== 'length') continue;
            for (const at of one.holes?.flatMap(({ positions }) => positions) ?? [])
              expect(at, one.id).within(0, one.length);
          }
          for (const finding of findings) wordFinding(finding, families.harp.words, 'imperial');
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('harp: what stands under and beside its tubes', () => {
  it('has no rail under a header, and says how many rails have none', () => {
    // A row of 900 in a box of 1 986 inside: headers 543 in; with three rails the first stands at 492 ± 10, with two at 652.
    const { findings } = withParameters({ riserClear: 0.97 });
    const met = findings.find(({ code }) => code === 'rail-under-header');
    // Headers at (1 986 − 970 − 56)/2 + 14 = 494 from the end: on the rail.
    expect(met?.path).equal('heaters.panel-a.box.parameters.rails');
    const mended = withParameters({ riserClear: 0.97 }, { box: { rails: Number(met?.fix) } });
    expect(mended.findings.map(({ code }) => code)).not.include('rail-under-header');
    expect(withParameters({}).findings.map(({ code }) => code)).not.include('rail-under-header');
  });
  it('needs room between its tubes', () => {
    const touching = withParameters({ pitch: 0.03, riserTube: 'en-1057-28x0.9', headerTube: 'en-1057-42x1.2' });
    expect(touching.findings.find(({ code }) => code === 'tubes-touch')?.fix).closeTo(0.036, 1e-9);
  });
});
