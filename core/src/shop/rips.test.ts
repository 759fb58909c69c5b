import { expect } from 'chai';
import * as fc from 'fast-check';
import { type Part, planRips } from '.';

type LengthPart = Part & { kind: 'length' };
const piece = (
  id: string,
  length: number,
  count: number,
  width: number,
  thickness = 0.019,
  item = 'planed-115x19',
): LengthPart => ({
  id,
  name: id,
  item,
  kind: 'length',
  stuff: 'timber',
  length,
  count,
  section: { width, thickness },
  operations: [],
  mass: 1,
});

describe('shop: ripping', () => {
  it('takes four cleats of 20 off one blank of 115: 4 × 20 and three kerfs of 3 are 89 (worked by hand)', () => {
    const { pieces, rips } = planRips([piece('cleat', 0.107, 4, 0.02)], 0.003);
    expect(pieces).deep.equal([{ id: 'cleat', length: 0.107, count: 1 }]);
    expect(rips).deep.equal([{ part: 'cleat', length: 0.107, count: 1, gives: [{ part: 'cleat', count: 4 }] }]);
  });
  it('lets short pieces ride on what is left beside a long one', () => {
    // A rail of 78 leaves 115 − 78 − 3 = 34: a strip of 20, and nine cleats of 107 end to end on 1 086 of it. All four ride along.
    const { pieces, rips } = planRips([piece('rail', 1.086, 3, 0.078), piece('cleat', 0.107, 4, 0.02)], 0.003);
    expect(pieces).deep.equal([{ id: 'rail', length: 1.086, count: 3 }]);
    expect(rips).deep.equal([
      {
        part: 'rail',
        length: 1.086,
        count: 1,
        gives: [
          { part: 'rail', count: 1 },
          { part: 'cleat', count: 4 },
        ],
      },
    ]);
  });
  it('rips thin pieces on top of each other: two battens of 36 by 18 out of 45 by 45', () => {
    const { pieces } = planRips([piece('batten', 1.8, 6, 0.036, 0.018, 'planed-45x45')], 0.003);
    expect(pieces).deep.equal([{ id: 'batten', length: 1.8, count: 3 }]);
  });
  it('leaves what is as sold, and what is not to be shared, alone', () => {
    const side: LengthPart = { ...piece('side', 2, 2, 0.1) };
    const { section: _, ...whole } = side;
    expect(planRips([whole], 0.003)).deep.equal({ pieces: [{ id: 'side', length: 2, count: 2 }], rips: [] });
    const alone = planRips([piece('cleat', 0.107, 4, 0.02)], 0.003, new Set(['cleat']));
    expect(alone).deep.equal({ pieces: [{ id: 'cleat', length: 0.107, count: 4 }], rips: [] });
  });
  it('makes every piece once, on no blank more than it holds, whatever is asked', () => {
    const any = fc.array(
      fc.record({
        length: fc.integer({ min: 50, max: 1500 }),
        count: fc.integer({ min: 1, max: 9 }),
        width: fc.integer({ min: 8, max: 115 }),
        thickness: fc.constantFrom(6, 9, 19),
      }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(any, fc.constantFrom(0, 0.0024, 0.003), (wanted, kerf) => {
        const parts = wanted.map(({ length, count, width, thickness }, index) =>
          piece(`p${index}`, length / 1000, count, width / 1000, thickness / 1000),
        );
        const { pieces, rips } = planRips(parts, kerf);
        const made = new Map<string, number>();
        const add = (id: string, count: number) => made.set(id, (made.get(id) ?? 0) + count);
        for (const { count, gives } of rips) for (const one of gives) add(one.part, count * one.count);
        // Blanks that give a single piece are no rips worth a word; they make what is left.
        const told = new Map<string, number>();
        for (const { part, count } of rips) told.set(part, (told.get(part) ?? 0) + count);
        for (const { id, count } of pieces) add(id, count - (told.get(id) ?? 0));
        for (const { id, count } of parts) expect(made.get(id) ?? 0, id).equal(count);
        for (const { length, gives } of rips) {
          // What comes out of a blank takes no more of its section than it has, kerfs left out.
          const volume = gives.reduce((sum, { part, count }) => {
            const one = parts.find(({ id }) => id === part);
            return sum + count * (one?.length ?? 0) * (one?.section?.width ?? 0) * (one?.section?.thickness ?? 0);
          }, 0);
          expect(volume).at.most(length * 0.115 * 0.019 + 1e-12);
          for (const { part } of gives) expect(parts.find(({ id }) => id === part)?.length).at.most(length + 1e-9);
        }
      }),
    );
  });
});
