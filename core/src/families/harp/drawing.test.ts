import { expect } from 'chai';
import * as fc from 'fast-check';
import { type Drawing, extent, type Shape } from '../../draw';
import { withParameters } from './harp.fixture';

type Rect = Extract<Shape, { kind: 'rect' }>;
const rects = (shapes: readonly Shape[], layer: Shape['layer']): Rect[] =>
  shapes.filter((shape): shape is Rect => shape.kind === 'rect' && shape.layer === layer);

/** One view of a design, drawn. */
function viewOf({ drawings }: ReturnType<typeof withParameters>, view: string): Drawing {
  const found = drawings[view];
  if (!found) throw new Error(`no view ${view}`);
  return found.draw();
}

describe('harp: the plan is the layout', () => {
  const change = { riserCount: 10, pitch: 0.106, riserClear: 1.88 };
  const design = withParameters(change);
  const plan = design.drawings.plan.draw();
  it('draws a tube for every riser, a pitch apart, as long as its cut', () => {
    const tubes = rects(plan.shapes, 'tube').sort((a, b) => a.y - b.y);
    expect(tubes).length(10);
    tubes.slice(1).forEach((tube, index) => {
      expect(tube.y - (tubes[index]?.y ?? 0)).closeTo(0.106, 1e-9);
    });
    for (const tube of tubes) expect(tube.width).closeTo(1.894, 1e-9);
  });
  it('draws headers as long as they are cut, out of opposite sides', () => {
    const [cold, hot] = rects(plan.shapes, 'header').sort((a, b) => a.x - b.x);
    expect(cold?.height).closeTo(1.114, 1e-9);
    expect(hot?.height).closeTo(1.114, 1e-9);
    expect(cold?.y).closeTo(-0.05, 1e-9);
    expect((hot?.y ?? 0) + (hot?.height ?? 0)).closeTo(1.124 + 0.05, 1e-9);
  });
  it('draws both headers out of one side when they are to come out there', () => {
    const same = withParameters({ ...change, connection: 'same-side' }).drawings.plan.draw();
    for (const header of rects(same.shapes, 'header')) expect(header.y).closeTo(-0.05, 1e-9);
  });
  it('puts the inlet’s words at the cold header and the outlet’s at the hot one', () => {
    const at = (words: string) => plan.labels.find((label) => label.words === words)?.at.x ?? Number.NaN;
    expect(at('cold in')).below(0.3);
    expect(at('hot out')).above(1.7);
    expect(plan.labels.find((label) => label.words === 'up')).not.equal(undefined);
  });
  it('keeps everything inside the box but stubs, handles, dimensions and the arrow', () => {
    for (const shape of plan.shapes) {
      if (shape.kind !== 'rect' || shape.layer === 'header' || shape.part === 'panel-a/handle') continue;
      expect(shape.x, shape.layer).at.least(-1e-9);
      expect(shape.y, shape.layer).at.least(-1e-9);
      expect(shape.x + shape.width, shape.layer).at.most(2.024 + 1e-9);
      expect(shape.y + shape.height, shape.layer).at.most(1.124 + 1e-9);
    }
  });
  it('measures what it draws: each dimension is as long as it says', () => {
    for (const view of ['plan', 'section'] as const)
      for (const { from, to, value, id } of viewOf(design, view).dimensions)
        expect(Math.hypot(to.x - from.x, to.y - from.y), id).closeTo(value, 1e-9);
  });
});

describe('harp: the section is the stack', () => {
  const design = withParameters({});
  const section = viewOf(design, 'section');
  const one = (layer: Shape['layer']) => rects(section.shapes, layer)[0];
  it('lays back, insulation, tubes and pane on one another without overlap', () => {
    const back = one('back');
    const wool = one('insulation');
    const pane = one('pane');
    const header = one('header');
    expect((back?.y ?? 0) + (back?.height ?? 0)).closeTo(wool?.y ?? 0, 1e-9);
    expect((wool?.y ?? 0) + (wool?.height ?? 0)).at.most((header?.y ?? 0) + 1e-9);
    expect((header?.y ?? 0) + (header?.height ?? 0)).below(pane?.y ?? 0);
    expect((pane?.y ?? 0) + (pane?.height ?? 0)).closeTo(0.115, 1e-9);
  });
  it('leaves the air gap that was asked for', () => {
    const gap = section.dimensions.find((dimension) => dimension.id === 'air-gap');
    expect(gap?.value).equal(0.025);
    expect((gap?.to.y ?? 0) - (gap?.from.y ?? 0)).closeTo(0.025, 1e-9);
  });
  it('names its layers from the pane down, each with its size', () => {
    expect(section.labels.map((label) => label.words)).deep.equal([
      'pane',
      'air',
      'plate on tube',
      'insulation',
      'back',
      'rebate, deep',
      'room beside the pane',
      'ledge',
    ]);
    for (const label of section.labels) expect(label.size).above(0);
  });
  it('stays a drawing over the whole range', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 60 }),
        fc.double({ min: 0.03, max: 0.4, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.double({ min: 0.008, max: 0.08, noNaN: true }),
        (riserCount, pitch, riserClear, airGap) => {
          for (const view of ['plan', 'section'] as const) {
            const box = extent(viewOf(withParameters({ riserCount, pitch, riserClear, airGap }), view));
            for (const side of Object.values(box)) expect(Number.isFinite(side)).equal(true);
            expect(box.width).above(0);
            expect(box.height).above(0);
          }
        },
      ),
      { numRuns: 100 },
    );
  });
});
