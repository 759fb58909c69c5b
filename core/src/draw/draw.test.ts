import { expect } from 'chai';
import { type Drawing, dimensionLine, extent, scaleFor, writeSvg } from '.';

const drawing: Drawing = {
  title: 'A box & its <hole>',
  shapes: [
    { kind: 'rect', layer: 'timber', part: 'a/side', x: 0, y: 0, width: 2, height: 1 },
    { kind: 'circle', layer: 'hole', centre: { x: 1, y: 0.5 }, radius: 0.1 },
    { kind: 'line', layer: 'centre', from: { x: 1, y: -0.2 }, to: { x: 1, y: 1.2 }, hidden: true },
    {
      kind: 'path',
      layer: 'note',
      points: [
        { x: 0, y: 0 },
        { x: 0.1, y: 0.1 },
      ],
      closed: false,
    },
  ],
  dimensions: [{ id: 'length', label: 'length', from: { x: 0, y: 0 }, to: { x: 2, y: 0 }, offset: -0.3, value: 2 }],
  labels: [{ at: { x: 0, y: 1 }, to: { x: -0.4, y: 1.3 }, words: 'ply', size: 0.012, anchor: 'end' }],
};

describe('draw', () => {
  it('stands a dimension to the left of its way, or to the right when below zero', () => {
    expect(dimensionLine(drawing.dimensions[0] as never).from).deep.equal({ x: 0, y: -0.3 });
  });
  it('knows the box round everything, words and dimensions too', () => {
    const box = extent(drawing);
    expect(box).deep.equal({ left: -0.4, bottom: -0.3, width: 2.4, height: 1.6 });
  });
  it('is drawn at the largest usual scale that goes on a sheet', () => {
    expect(scaleFor({ width: 0.1, height: 0.24 })).equal(1000);
    expect(scaleFor({ width: 0.3, height: 0.1 })).equal(500);
    expect(scaleFor({ width: 2.4, height: 1.4 })).equal(100);
    expect(scaleFor({ width: 20, height: 1 })).equal(10);
  });
  it('makes room for words that reach beyond the drawing', () => {
    const wide = (words: string) => {
      const label = { at: { x: 2, y: 1 }, to: { x: 2, y: 1 }, words, anchor: 'start' as const };
      const svg = writeSvg({ ...drawing, labels: [label] }, { habit: 'metric' });
      return Number(/width="([\d.]+)mm"/.exec(svg)?.[1]);
    };
    expect(wide('a long word about the insulation')).above(wide('ply') + 30);
  });
  it('writes SVG with its own words made safe, sizes in the reader’s unit, hidden edges dashed', () => {
    const metric = writeSvg(drawing, { habit: 'metric' });
    expect(metric)
      .include('A box &amp; its &lt;hole&gt;')
      .include('>2\u00a0000<')
      .include('ply 12')
      .include('stroke-dasharray');
    expect(writeSvg(drawing, { habit: 'imperial' })).include('6′ 6 3/4″');
    // 2.4 m at a hundred mm to the metre, the largest that goes on a sheet of 250, and 14 mm round it; six letters of 1.79 mm reach 10.75 out on the left, 3.75 more than
    // half the margin.
    expect(metric).match(/width="271.75mm" height="188mm"/);
  });
});
