import type { Shape } from '@north-pane/core/draw';
import { type Family, families } from '@north-pane/core/families';
import { expect } from 'chai';
import { likeShapes } from './likeShapes';

const fin = (x: number, more: Partial<Shape> = {}) =>
  ({ kind: 'rect', layer: 'plate', part: 'a/strip', x, y: 0, width: 0.1, height: 2, ...more }) as Shape;

describe('drawing: like shapes', () => {
  it('takes a row of fins that touch as one mark, and keeps those that overlap apart', () => {
    expect(likeShapes([fin(0), fin(0.1), fin(0.2)]).map(({ shapes }) => shapes.length)).deep.equal([3]);
    expect(likeShapes([fin(0), fin(0.1), fin(0.05)]).map(({ shapes }) => shapes.length)).deep.equal([2, 1]);
  });

  it('keeps another part, another layer, a hidden edge and any other kind of shape for themselves', () => {
    const circle: Shape = { kind: 'circle', layer: 'plate', part: 'a/strip', centre: { x: 0, y: 0 }, radius: 1 };
    const rows = likeShapes([
      fin(0),
      fin(1, { part: 'a/plate' }),
      fin(2, { part: 'a/plate', layer: 'back' }),
      fin(3, { part: 'a/plate', layer: 'back', hidden: true }),
      circle,
      circle,
    ]);
    expect(rows.map(({ shapes }) => shapes.length)).deep.equal([1, 1, 1, 1, 1, 1]);
  });

  it('loses no shape of any view, keeps their order, and names each mark once', () => {
    for (const family of Object.values<Family>(families))
      for (const { draw } of Object.values(
        family.open({ id: 'a', ...family.standard('metric') }, 'heaters.panel-a').drawings,
      )) {
        const { shapes, title } = draw();
        const rows = likeShapes(shapes);
        expect(
          rows.flatMap((row) => row.shapes),
          title,
        ).deep.equal([...shapes]);
        expect(new Set(rows.map(({ key }) => key)).size, title).equal(rows.length);
      }
  });
});
