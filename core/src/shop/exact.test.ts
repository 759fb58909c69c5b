import { expect } from 'chai';
import * as fc from 'fast-check';
import { trials } from '../quantity/trials.fixture';
import { type LengthPlan, type LengthQuery, planLengths, planLengthsFast, type Solver } from '.';
import { fillings, worthiest } from './patterns';
import { patientSolver, workClock } from './work.fixture';

/** What any plan must hold to, whoever made it. */
function valid(plan: LengthPlan, query: LengthQuery): void {
  const { kerf, trim = 0 } = query;
  const made = new Map<string, number>();
  const used = new Map<string, number>();
  let cost = 0;
  for (const bar of plan.bars) {
    const stock = query.stock.find(({ id }) => id === bar.stock);
    if (!stock) throw new Error(`no stock ${bar.stock}`);
    const lengths = bar.pieces.reduce((sum, { length }) => sum + length, 0);
    const cuts = Math.max(0, bar.pieces.length - 1);
    expect(lengths + cuts * kerf, bar.stock).at.most(stock.length - 2 * trim + 1e-6);
    expect(bar.pieces.length).above(0);
    cost += bar.count * stock.price;
    used.set(bar.stock, (used.get(bar.stock) ?? 0) + bar.count);
    for (const { id, length } of bar.pieces) {
      made.set(id, (made.get(id) ?? 0) + bar.count);
      expect(length).closeTo(query.pieces.find((piece) => piece.id === id)?.length ?? 0, 1e-6);
    }
  }
  for (const { id, available } of query.stock)
    if (available !== undefined) expect(used.get(id) ?? 0, id).at.most(available);
  for (const { id, count } of query.pieces) {
    const out = plan.unplaced.filter((piece) => piece.id === id).reduce((sum, piece) => sum + piece.count, 0);
    expect((made.get(id) ?? 0) + out, id).equal(count);
  }
  expect(plan.cost).closeTo(cost, 1e-6);
  expect(plan.cost).at.least(plan.proof.bound - 1e-6);
}

/** The least cost by trying every way to lay every piece: slow, and right. */
function bruteForce({ pieces, stock, kerf, trim = 0 }: LengthQuery): number {
  const all = pieces.flatMap(({ length, count }) => Array.from({ length: count }, () => length)).sort((a, b) => b - a);
  let best = Number.POSITIVE_INFINITY;
  const bars: { left: number; price: number }[] = [];
  const taken = new Map<string, number>();
  const visit = (index: number, cost: number): void => {
    if (cost >= best - 1e-9) return;
    const piece = all[index];
    if (piece === undefined) {
      best = cost;
      return;
    }
    const seen = new Set<number>();
    for (const bar of bars) {
      const key = Math.round(bar.left * 1e7);
      if (bar.left < piece + kerf - 1e-7 || seen.has(key)) continue;
      seen.add(key);
      bar.left -= piece + kerf;
      visit(index + 1, cost);
      bar.left += piece + kerf;
    }
    for (const { id, length, price, available = Number.POSITIVE_INFINITY } of stock) {
      const room = length - 2 * trim;
      if (room < piece - 1e-7 || (taken.get(id) ?? 0) >= available) continue;
      taken.set(id, (taken.get(id) ?? 0) + 1);
      bars.push({ left: room - piece, price });
      visit(index + 1, cost + price);
      bars.pop();
      taken.set(id, (taken.get(id) ?? 1) - 1);
    }
  };
  visit(0, 0);
  return best;
}

const small = fc.record({
  pieces: fc
    .array(fc.record({ length: fc.integer({ min: 200, max: 1900 }), count: fc.integer({ min: 1, max: 2 }) }), {
      minLength: 1,
      maxLength: 4,
    })
    .map((list) => list.map(({ length, count }, index) => ({ id: `p${index}`, length: length / 1000, count }))),
  stock: fc.constantFrom(
    [{ id: 'a', length: 2.4, price: 10 }],
    [
      { id: 'a', length: 2.4, price: 10 },
      { id: 'b', length: 3.6, price: 14 },
    ],
    [
      { id: 'a', length: 2, price: 9.5 },
      { id: 'b', length: 3, price: 13 },
      { id: 'c', length: 4.8, price: 22.5 },
    ],
  ),
  kerf: fc.constantFrom(0, 0.003),
});

const anyJob = fc
  .record({
    pieces: fc
      .array(
        fc.record({
          length: fc.double({ min: 0.05, max: 3.5, noNaN: true }),
          count: fc.integer({ min: 0, max: 12 }),
        }),
        { maxLength: 12 },
      )
      .map((list) => list.map((piece, index) => ({ id: `p${index}`, ...piece }))),
    stock: fc.array(
      fc.record({
        length: fc.double({ min: 0.5, max: 5, noNaN: true }),
        price: fc.double({ min: 0, max: 60, noNaN: true }),
        available: fc.option(fc.integer({ min: 0, max: 6 }), { nil: undefined }),
      }),
      { maxLength: 4 },
    ),
    kerf: fc.constantFrom(0, 0.002, 0.004),
    trim: fc.constantFrom(0, 0.01),
  })
  .map(({ stock, ...rest }) => ({
    ...rest,
    stock: stock.map(({ available, ...one }, index) => ({
      id: `s${index}`,
      ...one,
      ...(available === undefined ? {} : { available }),
    })),
  }));

describe('shop: lengths planned exactly', () => {
  let solver: Solver;
  before(async () => {
    solver = await patientSolver();
  });
  const plan = (query: LengthQuery, seconds = 2) =>
    planLengths(query, { solver: async () => solver, seconds, clock: workClock() });

  it('finds what the fast planner misses (worked by hand)', async () => {
    // Bars of 10: 6 + 4, 5 + 5, 5 + 3 + 2 twice... 6, 4, 5, 5, 5, 3, 2 are 30 in all: three bars and no more.
    const pieces = [6, 4, 5, 5, 5, 3, 2].map((length, index) => ({ id: `p${index}`, length, count: 1 }));
    const query = { pieces, stock: [{ id: 'bar', length: 10, price: 7 }], kerf: 0 };
    const best = await plan(query);
    expect(best.cost).equal(21);
    expect(best.proof).deep.equal({ status: 'proved', bound: 21 });
    expect(best.waste).closeTo(0, 1e-9);
  });
  it('is as cheap as trying everything, on small jobs, and says that it is proved', async () => {
    await fc.assert(
      fc.asyncProperty(small, async (query) => {
        const best = await plan(query);
        valid(best, query);
        expect(best.cost).closeTo(bruteForce(query), 1e-6);
        expect(best.proof.status).equal('proved');
      }),
      { numRuns: trials(25, 60) },
    );
  });
  it('is as cheap as trying everything where some lengths are few and ends are squared', async () => {
    const few = small.chain((query) =>
      fc.record({
        query: fc.constant(query),
        trim: fc.constantFrom(0, 0.01),
        shed: fc.array(
          fc.record({ length: fc.integer({ min: 500, max: 2300 }), available: fc.integer({ min: 1, max: 2 }) }),
          {
            maxLength: 2,
          },
        ),
      }),
    );
    await fc.assert(
      fc.asyncProperty(few, async ({ query, trim, shed }) => {
        const whole = {
          ...query,
          trim,
          stock: [
            ...query.stock,
            ...shed.map(({ length, available }, index) => ({
              id: `h${index}`,
              length: length / 1000,
              price: 0,
              available,
            })),
          ],
        };
        const best = await plan(whole);
        valid(best, whole);
        if (best.unplaced.length > 0) return;
        expect(best.cost).closeTo(bruteForce(whole), 1e-6);
        expect(best.proof.status).equal('proved');
      }),
      { numRuns: trials(25, 60) },
    );
  });
  it('leaves no piece out that any plan has room for, where every length is few', async () => {
    // Bars cut up without a rest: all of them are needed, and each piece has just one kind of place.
    const bar = fc.array(fc.integer({ min: 11, max: 47 }), { minLength: 2, maxLength: 4 });
    let rescued = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(bar, { minLength: 2, maxLength: 4 }), async (bars) => {
        const query = {
          pieces: bars.flat().map((length, index) => ({ id: `p${index}`, length, count: 1 })),
          stock: bars.map((cuts, index) => {
            const length = cuts.reduce((sum, one) => sum + one, 0);
            return { id: `s${index}`, length, price: length, available: 1 };
          }),
          kerf: 0,
        };
        if (planLengthsFast(query).unplaced.length > 0) rescued += 1;
        const best = await plan(query);
        valid(best, query);
        expect(best.unplaced).deep.equal([]);
        expect(best.waste).closeTo(0, 1e-6);
      }),
      { numRuns: 60, seed: 20261125 },
    );
    expect(rescued).above(0);
  });
  it('says what must stay out where too little is to be had', async () => {
    const query = {
      pieces: [{ id: 'p', length: 4, count: 3 }],
      stock: [{ id: 's', length: 9, price: 5, available: 1 }],
      kerf: 0,
    };
    const best = await plan(query);
    valid(best, query);
    expect(best.unplaced.map(({ count }) => count)).deep.equal([1]);
    expect(best.proof.status).equal('gap');
  });
  it('lays a thousand pieces that are all different, each somewhere', () => {
    const pieces = Array.from({ length: 1000 }, (_, index) => ({
      id: `p${index}`,
      length: 0.1 + ((index * 617) % 1999) / 1000,
      count: 1,
    }));
    const query = { pieces, stock: [{ id: 'bar', length: 4.8, price: 21.5 }], kerf: 0.003 };
    const fast = planLengthsFast(query);
    valid(fast, query);
    expect(fast.unplaced).deep.equal([]);
  });
  it('is sound on thousands of jobs, planned at once', () => {
    fc.assert(
      fc.property(anyJob, (query) => valid(planLengthsFast(query), query)),
      { numRuns: trials(600, 3000) },
    );
  });
  it('is sound on any job: no bar overfull with its kerfs, every piece there, the bound below, never dearer than the fast one', async () => {
    await fc.assert(
      fc.asyncProperty(anyJob, async (query) => {
        const fast = planLengthsFast(query);
        valid(fast, query);
        const best = await plan(query, 0.3);
        valid(best, query);
        expect(best.cost).at.most(fast.cost + 1e-6);
      }),
      { numRuns: trials(25, 60) },
    );
  });
  it('uses what is on hand before it buys, and no more of it than there is', async () => {
    const query = {
      pieces: [{ id: 'p', length: 0.9, count: 5 }],
      stock: [
        { id: 'shed', length: 1, price: 0, available: 2 },
        { id: 'shop', length: 3, price: 12 },
      ],
      kerf: 0.003,
    };
    const best = await plan(query);
    valid(best, query);
    expect(best.cost).equal(12);
    expect(best.bars.find(({ stock }) => stock === 'shed')?.count).equal(2);
  });
  it('cuts with few set-ups among plans that cost the same', async () => {
    // Eight of 0.7 and eight of 0.5 on bars of 2.4: alike bars of two and two waste nothing and are one set-up.
    const query = {
      pieces: [
        { id: 'a', length: 0.7, count: 8 },
        { id: 'b', length: 0.5, count: 8 },
      ],
      stock: [{ id: 'bar', length: 2.4, price: 10 }],
      kerf: 0,
    };
    const best = await plan(query);
    expect(best.cost).equal(40);
    expect(best.bars.length).equal(1);
  });
  it('tells the fast plan at once', async () => {
    const told: number[] = [];
    const query = {
      pieces: [{ id: 'p', length: 0.9, count: 7 }],
      stock: [{ id: 's', length: 2.4, price: 10 }],
      kerf: 0,
    };
    await planLengths(query, {
      solver: async () => solver,
      clock: workClock(),
      onProgress: ({ cost }) => told.push(cost),
    });
    expect(told).deep.equal([planLengthsFast(query).cost]);
  });
  it('proves a triplet instance at its known optimum: three pieces fill each bar exactly', async () => {
    // After Falkenauer's recipe (1996): bars of 1000, triplets that sum to it, so n/3 bars and not one fewer.
    const seeds = fc.sample(fc.tuple(fc.integer({ min: 380, max: 490 }), fc.integer({ min: 250, max: 0x7fffffff })), {
      numRuns: 12,
      seed: 20261125,
    });
    const pieces = seeds.flatMap(([first, other], index) => {
      const rest = 1000 - first;
      const second = 250 + (other % Math.max(1, Math.floor(rest / 2) - 250));
      return [first, second, rest - second].map((length, place) => ({
        id: `t${index}-${place}`,
        length: length / 1000,
        count: 1,
      }));
    });
    const best = await plan({ pieces, stock: [{ id: 'bar', length: 1, price: 1 }], kerf: 0 }, 4);
    expect(best.cost).equal(12);
    expect(best.proof.status).equal('proved');
  });
  it('comes within a bar of the bound on the uniform class: 120 pieces of 20 to 100 on bars of 150', async () => {
    // After Falkenauer's recipe (1996, recalled): sizes drawn evenly; the area bound is known to be met or missed by one.
    for (const seed of [1, 2, 3]) {
      const sizes = fc.sample(fc.integer({ min: 20, max: 100 }), { numRuns: 120, seed });
      const pieces = sizes.map((size, index) => ({ id: `u${index}`, length: size / 100, count: 1 }));
      const query = { pieces, stock: [{ id: 'bar', length: 1.5, price: 1 }], kerf: 0 };
      const best = await plan(query, 3);
      valid(best, query);
      const area = Math.ceil(sizes.reduce((sum, size) => sum + size, 0) / 150);
      expect(best.proof.bound).at.least(area - 1e-9);
      expect(best.cost - best.proof.bound).at.most(1 + 1e-9);
    }
  });
  it('leaves one long offcut rather than two short ones, at the same cost', async () => {
    // Two bars are needed for three of 0.8 and two of 0.3 on 2: the short ones go where the room is least.
    const query = {
      pieces: [
        { id: 'a', length: 0.8, count: 3 },
        { id: 'b', length: 0.3, count: 1 },
      ],
      stock: [{ id: 'bar', length: 2, price: 10 }],
      kerf: 0,
    };
    const best = await plan(query);
    expect(best.cost).equal(20);
    expect(Math.max(...best.bars.map(({ offcut }) => offcut))).closeTo(1.2, 1e-9);
  });
});

describe('shop: fillings of a bar', () => {
  it('are all of those that nothing more goes into (worked by hand)', () => {
    // 5 and 3 on 10: 5 + 5, 5 + 3, 3 + 3 + 3.
    const wanted = [
      { size: 5, count: 9 },
      { size: 3, count: 9 },
    ];
    expect(fillings(wanted, 10, 100)).deep.equal([
      [2, 0],
      [1, 1],
      [0, 3],
    ]);
    expect(fillings(wanted, 10, 2)).equal(undefined);
  });
  it('hold the worthiest one', () => {
    const wanted = fc.array(
      fc.record({ size: fc.integer({ min: 1, max: 9 }), count: fc.integer({ min: 1, max: 4 }) }),
      { minLength: 1, maxLength: 5 },
    );
    fc.assert(
      fc.property(
        wanted,
        fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 5, maxLength: 5 }),
        (lengths, worths) => {
          const ways = fillings(lengths, 12, 100_000) ?? [];
          const best = Math.max(
            0,
            ...ways.map((take) => take.reduce((sum, count, place) => sum + count * (worths[place] ?? 0), 0)),
          );
          const found = worthiest(lengths, worths, 12);
          expect(found.whole).equal(true);
          expect(found.worth).closeTo(best, 1e-9);
        },
      ),
    );
  });
});
