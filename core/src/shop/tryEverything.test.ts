import { expect } from 'chai';
import * as fc from 'fast-check';
import { trials } from '../quantity/trials.fixture';
import type { LengthQuery } from './bars';
import { planLengths } from './exact';
import { planLengthsFast } from './lengths';
import { loadSolver } from './solver';
import { workClock } from './work.fixture';

const stock = [
  { id: 'a', length: 2.4, price: 11 },
  { id: 'b', length: 3.6, price: 16 },
];

/** A solver that must not be asked. */
const none = async () => {
  throw new Error('the solver was asked');
};

describe('shop: a few pieces are planned by trying everything', () => {
  it('proves the cheapest plan without the solver', async () => {
    // Three of 1.2 out of one 3.6, and two of 1.1 with it would need another bar whatever is done.
    const query: LengthQuery = {
      pieces: [
        { id: 'long', length: 1.19, count: 3 },
        { id: 'short', length: 1.1, count: 2 },
      ],
      stock,
      kerf: 0.003,
    };
    const plan = await planLengths(query, { solver: none });
    expect(plan.cost).equal(27);
    expect(plan.proof).deep.equal({ status: 'proved', bound: 27 });
    expect(plan.unplaced).deep.equal([]);
  });
  it('takes the fewest set-ups of those that cost the same', async () => {
    // Four and four on bars of 2.4: two of each alike, rather than each bar another way.
    const query: LengthQuery = {
      pieces: [
        { id: 'x', length: 1.3, count: 4 },
        { id: 'y', length: 1.05, count: 4 },
      ],
      stock: [{ id: 'a', length: 2.4, price: 11 }],
      kerf: 0.003,
    };
    const plan = await planLengths(query, { solver: none });
    expect(plan.cost).equal(44);
    expect(plan.bars.length).equal(1);
    expect(plan.bars[0]?.count).equal(4);
  });
  it('is never dearer than the quick plan, and as cheap as the integer program, on any few pieces', async () => {
    const solver = await loadSolver();
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.integer({ min: 200, max: 2000 }), fc.integer({ min: 1, max: 4 })), {
          minLength: 1,
          maxLength: 4,
        }),
        async (sizes) => {
          const pieces = sizes.map(([length, count], index) => ({ id: `p${index}`, length: length / 1000, count }));
          const query = { pieces, stock, kerf: 0.003 };
          const plan = await planLengths(query, { solver: none }).catch((error: Error) => error);
          // What the quick planner proves by itself, and what is too much to try, is not asked here.
          if (plan instanceof Error) throw plan;
          expect(plan.cost).at.most(planLengthsFast(query).cost + 1e-9);
          expect(plan.proof).deep.include({ status: 'proved', bound: plan.cost });
          // A bar that is few sends it to the integer program: the same pieces, the same cost.
          const few = { ...query, stock: stock.map((one) => ({ ...one, available: 99 })) };
          const solved = await planLengths(few, {
            solver: async () => (model, _, gap) => solver(model, 3600, gap),
            clock: workClock(),
          });
          expect(solved.cost).closeTo(plan.cost, 1e-6);
        },
      ),
      { numRuns: trials(25, 300) },
    );
  });
});
