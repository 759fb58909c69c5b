import { expect } from 'chai';
import { barKeys } from './barKeys';

/** Bars by their height on the page, and where the lifted piece is. */
function press(code: string, tops: readonly number[], at: number) {
  let prevented = 0;
  const rects = new Map(tops.map((top, index) => [`bar-${index}`, { top, left: 10 * index }]));
  const found = barKeys(
    { code, preventDefault: () => (prevented += 1) } as unknown as KeyboardEvent,
    {
      currentCoordinates: { x: 0, y: at },
      context: {
        droppableRects: rects,
        droppableContainers: { getEnabled: () => [...rects.keys()].map((id) => ({ id })) },
        collisionRect: { top: at },
      },
    } as unknown as Parameters<typeof barKeys>[1],
  );
  return { found, prevented };
}

describe('web: a lifted piece goes from bar to bar by keys', () => {
  it('down to the next bar and up to the one before, whatever their order in the page', () => {
    expect(press('ArrowDown', [300, 100, 200], 100).found).deep.equal({ x: 24, y: 200 });
    expect(press('ArrowUp', [300, 100, 200], 300).found).deep.equal({ x: 24, y: 200 });
  });
  it('stays where there is no further bar, and a bar a few pixels off is its own', () => {
    expect(press('ArrowDown', [100, 200], 200).found).equal(undefined);
    expect(press('ArrowUp', [100, 200], 100).found).equal(undefined);
    expect(press('ArrowDown', [100, 200], 198).found).equal(undefined);
  });
  it('leaves other keys to the page', () => {
    expect(press('ArrowLeft', [100, 200], 100)).deep.equal({ found: undefined, prevented: 0 });
    expect(press('ArrowDown', [100, 200], 100).prevented).equal(1);
  });
});
