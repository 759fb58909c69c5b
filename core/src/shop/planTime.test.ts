import { expect } from 'chai';
import { evenly } from '../quantity';
import { planLengths } from './exact';
import { planLengthsFast } from './lengths';
import { loadSolver } from './solver';

describe('shop: the time of the planner that proves', () => {
  it('keeps its time, on a clock that is counted: nothing is begun once it is up', async () => {
    // Every look at the clock is ten milliseconds, so that the time is up after a known number of looks whatever the machine.
    for (const seconds of [0.05, 0.2, 1]) {
      let now = 0;
      const asked: number[] = [];
      const solver = await loadSolver();
      const draw = evenly(7);
      const pieces = Array.from({ length: 120 }, (_, index) => ({
        id: `p${index}`,
        length: 0.2 + Math.round(draw() * 1700) / 1000,
        count: 1 + (index % 3),
      }));
      const query = {
        pieces,
        stock: [
          { id: 'a', length: 2.4, price: 11 },
          { id: 'b', length: 4.8, price: 21.5 },
        ],
        kerf: 0.003,
      };
      const plan = await planLengths(query, {
        seconds,
        clock: () => {
          now += 10;
          return now;
        },
        solver: async () => (model, limit, gap) => {
          asked.push(limit);
          return solver(model, limit, gap);
        },
      });
      expect(now, 'looks at the clock after the time is up').below(1000 * seconds + 400);
      for (const limit of asked) expect(limit).at.most(seconds);
      expect(plan.bars.reduce((sum, bar) => sum + bar.count * bar.pieces.length, 0)).equal(
        pieces.reduce((sum, { count }) => sum + count, 0),
      );
    }
  });
  it('plans hundreds of different lengths part by part: every piece once, never dearer than at once', async () => {
    let now = 0;
    const draw = evenly(3);
    const pieces = Array.from({ length: 400 }, (_, index) => ({
      id: `p${index}`,
      length: 0.2 + Math.round(draw() * 17000) / 10000,
      count: 1,
    }));
    const query = {
      pieces,
      stock: [
        { id: 'a', length: 2.4, price: 11 },
        { id: 'b', length: 3.6, price: 16.1 },
      ],
      kerf: 0.002,
    };
    const told: number[] = [];
    const plan = await planLengths(query, {
      seconds: 1,
      clock: () => {
        now += 5;
        return now;
      },
      onProgress: ({ cost }) => told.push(cost),
    });
    const fast = planLengthsFast(query);
    expect(plan.cost).at.most(fast.cost + 1e-9);
    expect(plan.proof.bound).at.most(plan.cost + 1e-9);
    for (const [index, cost] of told.entries()) if (index > 0) expect(cost).below((told[index - 1] ?? 0) + 1e-9);
    const placed = plan.bars.flatMap((bar) =>
      Array.from({ length: bar.count }, () => bar.pieces.map(({ id }) => id)).flat(),
    );
    expect([...placed].sort()).deep.equal(pieces.map(({ id }) => id).sort());
    for (const bar of plan.bars) {
      const used = bar.pieces.reduce((sum, { length }) => sum + length + query.kerf, 0) - query.kerf;
      expect(used).at.most((query.stock.find(({ id }) => id === bar.stock)?.length ?? 0) + 1e-7);
    }
  });
});
