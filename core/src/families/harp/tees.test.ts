import { expect } from 'chai';
import * as fc from 'fast-check';
import { drillFor, entries, teeFor } from '../../catalogue';
import type { Part } from '../../shop';
import { withParameters } from './harp.fixture';

const base = { riserCount: 10, pitch: 0.106, riserClear: 1.88 };
const lengthOf = (parts: readonly Part[], id: string) => {
  const found = parts.find((one) => one.id === `panel-a/${id}`);
  return found?.kind === 'length' ? found.length : Number.NaN;
};

describe('drills', () => {
  it('leave a solder gap, or are the tube’s own size and eased', () => {
    // 15 mm: the next half is 0.5 over, so 15 and a file. 10 mm: 10.1. 5/8″: 41/64 is 0.4 mm over, so 5/8 and a file.
    expect(drillFor(0.015, 'metric')).deep.equal({ diameter: 0.015, eased: true });
    expect(drillFor(0.0127, 'metric')).deep.equal({ diameter: 0.0128, eased: false });
    expect(drillFor(0.01, 'metric').diameter).closeTo(0.0101, 1e-12);
    expect(drillFor(0.625 * 0.0254, 'imperial')).deep.equal({ diameter: 0.625 * 0.0254, eased: true });
    for (const { outerDiameter, tape } of entries('tube')) {
      const { diameter, eased } = drillFor(outerDiameter, tape);
      expect(diameter - outerDiameter).within(eased ? 0 : 0.00005 - 1e-9, 0.0003 + 1e-9);
    }
  });
});

describe('harp of tees', () => {
  const design = withParameters({ ...base, joint: 'tees', ends: 'crossed', farStub: 0.04 });
  it('cuts its pieces from stop to stop (worked by hand)', () => {
    // Tee of 28 and 15: run 15/2 + 3 = 10.5, branch 28/2 + 3 = 17. Between two: 106 − 21 = 85.
    expect(teeFor(0.028, 0.015).runLaying).closeTo(0.0105, 1e-12);
    expect(lengthOf(design.parts, 'header-piece')).closeTo(0.085, 1e-9);
    expect(design.parts.find(({ id }) => id === 'panel-a/header-piece')?.count).equal(18);
    // Headers are 1 880 + 28 apart, centre to centre: 1 908 − 2 × 17 = 1 874.
    expect(lengthOf(design.parts, 'riser')).closeTo(1.874, 1e-9);
    // First riser at (1 124 − 954)/2 = 85; stub 50 before the box: 85 + 50 − 10.5 = 124.5. Far: 85 + 40 − 10.5 = 114.5.
    expect(lengthOf(design.parts, 'header-open')).closeTo(0.1245, 1e-9);
    expect(lengthOf(design.parts, 'header-closed')).closeTo(0.1145, 1e-9);
    expect(design.purchases.find(({ id }) => id === 'panel-a/tee')?.quantity).equal(20);
  });
  it('drills no header, and may stand under mains pressure', () => {
    expect(design.parts.filter(({ id }) => id.startsWith('panel-a/header')).some(({ holes }) => holes)).equal(false);
    expect(design.hydraulic?.weakPoint).equal(undefined);
    expect(withParameters(base).hydraulic?.weakPoint).not.equal(undefined);
  });
  it('asks for more box: a tee is thicker than its header', () => {
    expect(design.stack?.needed ?? 0).above(withParameters(base).stack?.needed ?? 0);
  });
  it('says where tees would meet, and offers what mends it', () => {
    // 2 × (10.5 + 18.4) = 57.8, so 58.
    const [finding] = withParameters({ joint: 'tees', pitch: 0.05, ends: 'crossed' }).findings;
    expect(finding?.code).equal('tees-meet');
    expect(finding?.fix).closeTo(0.058, 1e-9);
    const mended = withParameters({ joint: 'tees', pitch: Number(finding?.fix), ends: 'crossed' }).findings;
    expect(mended.map(({ code }) => code)).not.include('tees-meet');
    const capped = withParameters({ ...base, joint: 'tees', closedEnd: 0.025 }).findings.map(({ code }) => code);
    expect(capped).include('closed-end-too-short');
  });
  it('adds up: pieces and tees are as long as the header that is drawn, over the whole range', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 30 }),
        fc.double({ min: 0.06, max: 0.12, noNaN: true }),
        fc.constantFrom('diagonal' as const, 'same-side' as const),
        fc.constantFrom('inside' as const, 'flush' as const, 'crossed' as const),
        (riserCount, pitch, connection, ends) => {
          const made = withParameters({ riserCount, pitch, connection, ends, closedEnd: 0.06, joint: 'tees' });
          const sum =
            lengthOf(made.parts, 'header-open') +
            lengthOf(made.parts, 'header-closed') +
            (riserCount - 1) * lengthOf(made.parts, 'header-piece') +
            riserCount * 2 * teeFor(0.028, 0.015).runLaying;
          const drawn = made.drawings.plan
            .draw()
            .shapes.flatMap((shape) =>
              shape.kind === 'rect' && /header-(open|closed|piece)$/.test(shape.part ?? '') ? [shape] : [],
            );
          const header = drawn.filter(({ x }) => Math.abs(x - (drawn[0]?.x ?? 0)) < 1e-9);
          // Tees that meet clash, and no piece is drawn between them.
          const pieces = ['header-open', 'header-closed', 'header-piece'];
          fc.pre(pieces.every((one) => lengthOf(made.parts, one) > 0));
          const [first] = header;
          const last = header[header.length - 1];
          expect(sum).closeTo((last?.y ?? 0) + (last?.height ?? 0) - (first?.y ?? 0), 1e-9);
        },
      ),
    );
  });
});

describe('harp: what moves and what must be missed', () => {
  it('draws its exit holes out into slots: half of 16.6e-6 × 1.908 × 150 = 4.75 is 2.38, 2 of it in the hole’s own room, so 1 mm (worked by hand)', () => {
    const { parts } = withParameters(base);
    const slot = (which: string) => parts.find(({ id }) => id === `panel-a/side-${which}`)?.holes?.[0]?.slot;
    expect(slot('high')).closeTo(0.001, 1e-12);
    expect(slot('low')).closeTo(0.001, 1e-12);
    // A short array has room enough: half of 16.6e-6 × 0.528 × 150 is 0.66.
    expect(
      withParameters({ riserClear: 0.5 }).parts.find(({ id }) => id === 'panel-a/side-high')?.holes?.[0]?.slot,
    ).equal(undefined);
  });
  it('screws its rails half-way between tubes, whatever the pitch', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 30 }),
        fc.double({ min: 0.03, max: 0.1, noNaN: true }),
        (riserCount, pitch) => {
          const made = withParameters({ riserCount, pitch });
          const back = made.parts
            .find(({ id }) => id === 'panel-a/back')
            ?.holes?.find(({ where }) => where.includes('rail'));
          // From the edge of the back, 6 under the side.
          const screws = back?.positions.map((at) => at - 0.006) ?? [];
          expect(screws.length).within(1, 4);
          const tubes = made.drawings.plan
            .draw()
            .shapes.flatMap((shape) =>
              shape.kind === 'rect' && shape.part === 'panel-a/riser' ? [shape.y + shape.height / 2 - 0.019] : [],
            );
          for (const screw of screws)
            expect(Math.min(...tubes.map((tube) => Math.abs(tube - screw)))).closeTo(pitch / 2, 1e-9);
        },
      ),
    );
  });
  it('offers the least deep board that holds the stack', () => {
    // 109.8 needed: 90 is too shallow, 115 of the same thickness is not.
    const [finding] = withParameters({}, { box: { board: 'planed-90x19' } }).findings;
    expect(finding?.code).equal('board-too-shallow');
    expect(finding?.fix).equal('planed-115x19');
    const mended = withParameters({}, { box: { board: 'planed-115x19' } }).findings;
    expect(mended.map(({ code }) => code)).not.include('board-too-shallow');
    // Deeper than any board that is sold: nothing is offered.
    const deep = withParameters({ airGap: 0.08 }, { box: { board: 'planed-185x19', insulation: 'polyiso-50' } });
    expect(deep.findings.every(({ code, fix }) => code !== 'board-too-shallow' || fix === undefined)).equal(true);
  });
});

describe('harp: far ends of the headers', () => {
  const holes = (ends: 'inside' | 'flush' | 'crossed', which: 'low' | 'high') =>
    withParameters({ ...base, ends }).parts.find(({ id }) => id === `panel-a/side-${which}`)?.holes?.[0]?.positions
      .length ?? 0;
  it('go through both sides when they are flush or crossed, and only then', () => {
    expect([holes('inside', 'low'), holes('inside', 'high')]).deep.equal([1, 1]);
    expect([holes('flush', 'low'), holes('flush', 'high')]).deep.equal([2, 2]);
    expect([holes('crossed', 'low'), holes('crossed', 'high')]).deep.equal([2, 2]);
  });
  it('make the header as long as box and stubs (worked by hand)', () => {
    const header = (ends: 'flush' | 'crossed') =>
      lengthOf(withParameters({ ...base, ends, farStub: 0.04 }).parts, 'header-cold');
    expect(header('flush')).closeTo(1.124 + 0.05, 1e-9);
    expect(header('crossed')).closeTo(1.124 + 0.05 + 0.04, 1e-9);
  });
  it('close with a cap each, or with a union and its plug', () => {
    const bought = (closing: 'cap' | 'union') =>
      withParameters({ ...base, ends: 'crossed', closing })
        .purchases.filter(({ id }) => /caps|unions|plugs/.test(id))
        .map(({ id, quantity }) => [id.split('/')[1], quantity]);
    expect(bought('cap')).deep.equal([
      ['caps', 2],
      ['unions', 2],
    ]);
    expect(bought('union')).deep.equal([
      ['unions', 4],
      ['plugs', 2],
    ]);
  });
});
