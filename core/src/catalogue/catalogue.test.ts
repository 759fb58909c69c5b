import { expect } from 'chai';
import { bore, entries, entry, entryName, hoseBore, pressureDerating, UnknownEntry } from '.';

const kinds = ['tube', 'timber', 'sheet', 'track', 'pane', 'coating', 'hose'] as const;

describe('catalogue', () => {
  it('gives every entry an id of its own and a source', () => {
    const ids = kinds.flatMap((kind) => entries(kind).map((one) => one.id));
    expect(new Set(ids).size).equal(ids.length);
    for (const kind of kinds)
      for (const one of entries(kind)) expect('source' in one ? one.source : one.standard, one.id).not.equal('');
  });
  it('knows half-inch type M: 0.625 outside, 0.569 inside (ASTM B88)', () => {
    const tube = entry('tube', 'astm-b88-m-1_2');
    expect(tube.outerDiameter / 0.0254).closeTo(0.625, 1e-9);
    expect(bore(tube) / 0.0254).closeTo(0.569, 1e-9);
  });
  it('knows a one by six is 3/4 by 5 1/2 (PS 20)', () => {
    const board = entry('timber', 'ps20-1x6');
    expect(board.thickness / 0.0254).closeTo(0.75, 1e-12);
    expect(board.width / 0.0254).closeTo(5.5, 1e-12);
  });
  it('keeps ranges in order', () => {
    for (const pane of entries('pane')) {
      const { low, likely, high } = pane.transmittance;
      expect(low <= likely && likely <= high && high < 1, pane.id).equal(true);
    }
  });
  it('knows 25 × 2.3 pipe is 20.4 inside, and half-inch pipe 0.622 inside (EN 12201, ASTM D2239)', () => {
    expect(hoseBore(entry('hose', 'pe-25x2.3')) * 1000).closeTo(20.4, 1e-9);
    expect(hoseBore(entry('hose', 'd2239-1_2')) / 0.0254).closeTo(0.622, 1e-9);
  });
  it('derates PVC to 0.22 at 60 °C, half-way between its rows, and to nothing beyond', () => {
    expect(pressureDerating('pvc', 60)).closeTo(0.22, 1e-12);
    expect(pressureDerating('pvc', 29.5)).closeTo((0.88 + 0.75) / 2, 1e-12);
    expect(pressureDerating('pvc', 61)).equal(0);
    expect(pressureDerating('polyethylene', 10)).equal(1);
    for (let at = 0; at < 130; at += 1) expect(pressureDerating('epdm', at)).at.least(pressureDerating('epdm', at + 1));
  });
  it('names what it does not hold', () => {
    expect(() => entry('tube', 'nope')).throw(UnknownEntry, 'nope');
    expect(entryName('ply-12')).equal('12 mm plywood');
    expect(entryName('nope')).equal(undefined);
  });
});
