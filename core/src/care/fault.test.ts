import { expect } from 'chai';
import { errorWords, isProgramFault } from '.';

function recurse(depth: number): number {
  return recurse(depth + 1) + 1;
}

function thrownBy(work: () => unknown): unknown {
  try {
    work();
  } catch (error) {
    return error;
  }
  throw new Error('nothing was thrown');
}

describe('care: faults of the program', () => {
  const faults: [what: string, work: () => unknown][] = [
    ['a field of nothing', () => (undefined as unknown as { a: number }).a],
    ['a call of what is no function', () => (3 as unknown as () => void)()],
    ['a recursion without an end', () => recurse(0)],
    ['JSON that is none', () => JSON.parse('{')],
    [
      'something thrown that is no error',
      () => {
        throw 'words';
      },
    ],
  ];
  for (const [what, work] of faults)
    it(`are distinguished from what a design cannot do: ${what}`, () => {
      const error = thrownBy(work);
      expect(isProgramFault(error)).equal(true);
      // What the program says of itself is no builder's word.
      expect(errorWords(error))
        .match(/fault here/)
        .and.not.match(/undefined|function|JSON|stack/);
    });
  it('what is out of range says so in its own words', () => {
    const error = new RangeError('the flow is below zero');
    expect(isProgramFault(error)).equal(false);
    expect(errorWords(error)).equal('the flow is below zero');
  });
});
