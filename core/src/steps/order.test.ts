import { expect } from 'chai';
import * as fc from 'fast-check';
import { inOrder, StepsDoNotFollow } from './order';
import type { Step } from './step';

const step = (id: string, after: string[] = []): Step => ({
  id,
  name: id,
  does: ['do it'],
  parts: [],
  needs: [],
  checks: [],
  beware: [],
  after,
});

describe('steps in order', () => {
  it('puts each after what it waits for, and leaves the rest as it was given', () => {
    const given = [step('glaze', ['paint', 'box']), step('box'), step('paint'), step('carry', ['glaze'])];
    expect(inOrder(given).map(({ id }) => id)).deep.equal(['box', 'paint', 'glaze', 'carry']);
  });
  it('says which steps wait for each other, or for one that is not there', () => {
    expect(() => inOrder([step('a', ['b']), step('b', ['a']), step('c')])).throws(StepsDoNotFollow, /a, b$/);
    expect(() => inOrder([step('a', ['nowhere'])])).throws(StepsDoNotFollow);
  });
  it('keeps every step once and every wait, however they are given', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.nat(9), { maxLength: 4 }), { maxLength: 10 }), fc.nat(), (waits, turn) => {
        // A step waits only for earlier numbers, so there is an order; given round from anywhere.
        const made = waits.map((before, index) =>
          step(`${index}`, before.filter((other) => other < index).map(String)),
        );
        const from = made.length > 0 ? turn % made.length : 0;
        const given = [...made.slice(from), ...made.slice(0, from)];
        const places = new Map(inOrder(given).map(({ id }, place) => [id, place]));
        expect(places.size).equal(made.length);
        for (const { id, after } of made)
          for (const before of after) expect(places.get(before)).below(places.get(id) ?? -1);
      }),
    );
  });
});
