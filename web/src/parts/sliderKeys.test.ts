import { expect } from 'chai';
import type { KeyboardEvent } from 'react';
import { sliderKeys } from './sliderKeys';

interface Press {
  key: string;
  shiftKey?: boolean;
  ctrlKey?: boolean;
}

/** What a key makes of a value, and whether it was taken from the page. */
function press(slider: { value: number; low: number; high: number; round?: boolean }, event: Press) {
  let value: number | undefined;
  let taken = false;
  const keys = sliderKeys('Aim', '12 degrees', {
    ...slider,
    onValue: (next) => {
      value = next;
    },
  });
  keys.onKeyDown({
    shiftKey: false,
    ctrlKey: false,
    metaKey: false,
    altKey: false,
    ...event,
    preventDefault: () => {
      taken = true;
    },
    stopPropagation: () => {},
  } as unknown as KeyboardEvent);
  return { value, taken };
}

describe('parts: keys of a handle', () => {
  const tilt = { value: 38.4, low: 0, high: 90 };
  const aim = { value: 355, low: 0, high: 360, round: true };
  it('steps to whole numbers by one, and by ten with Shift or by page', () => {
    expect(press(tilt, { key: 'ArrowUp' })).deep.equal({ value: 39, taken: true });
    expect(press(tilt, { key: ',' })).deep.equal({ value: 37, taken: true });
    expect(press(tilt, { key: 'ArrowLeft', shiftKey: true }).value).equal(28);
    expect(press(tilt, { key: 'PageUp', shiftKey: true }).value).equal(48);
    expect(press(tilt, { key: '>', shiftKey: true }).value).equal(48);
  });
  it('stops at an end, or comes in at the other one', () => {
    expect(press({ ...tilt, value: 88 }, { key: 'PageUp' }).value).equal(90);
    expect(press({ ...tilt, value: 0 }, { key: 'ArrowDown' }).value).equal(0);
    expect(press(aim, { key: 'PageUp' }).value).equal(5);
    expect(press({ ...aim, value: 0 }, { key: 'ArrowLeft' }).value).equal(359);
    expect(press(aim, { key: 'Home' }).value).equal(0);
    expect(press(tilt, { key: 'End' }).value).equal(90);
  });
  it('leaves other keys, and keys of the browser, alone', () => {
    expect(press(tilt, { key: 'a' })).deep.equal({ value: undefined, taken: false });
    expect(press(tilt, { key: 'ArrowUp', ctrlKey: true })).deep.equal({ value: undefined, taken: false });
  });
});
