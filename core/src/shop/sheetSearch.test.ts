import { expect } from 'chai';
import * as fc from 'fast-check';
import { trials } from '../quantity/trials.fixture';
import { cutOrder, NotGuillotine, planSheets, planSheetsFast, type SheetPlan, type SheetQuery, sheetOffcuts } from '.';
import { workClock } from './work.fixture';

/** What any plan of sheets must hold to, whoever made it. */
function valid(plan: SheetPlan, query: SheetQuery): void {
  const made = new Map<string, number>();
  let cost = 0;
  for (const sheet of plan.sheets) {
    cost += query.stock.find(({ id }) => id === sheet.stock)?.price ?? Number.NaN;
    for (const one of sheet.placed) {
      made.set(one.id, (made.get(one.id) ?? 0) + 1);
      const piece = query.pieces.find(({ id }) => id === one.id);
      if (!piece) throw new Error(one.id);
      const [w, h] = one.turned ? [one.height, one.width] : [one.width, one.height];
      expect([w, h]).deep.equal([piece.width, piece.height]);
      if (!piece.turn) expect(one.turned).equal(false);
      expect(one.x + one.width).at.most(sheet.width + 1e-6);
      expect(one.y + one.height).at.most(sheet.height + 1e-6);
      for (const other of sheet.placed) {
        if (other === one) continue;
        const apart =
          one.x + one.width + query.kerf <= other.x + 1e-6 ||
          other.x + other.width + query.kerf <= one.x + 1e-6 ||
          one.y + one.height + query.kerf <= other.y + 1e-6 ||
          other.y + other.height + query.kerf <= one.y + 1e-6;
        expect(apart, `${one.id} and ${other.id}`).equal(true);
      }
    }
    // A run of cuts edge to edge must part them all; pieces, rests and dust make up the sheet.
    const rests = sheetOffcuts(sheet, query.kerf).reduce((sum, { width, height }) => sum + width * height, 0);
    const pieces = sheet.placed.reduce((sum, { width, height }) => sum + width * height, 0);
    const dust = cutOrder(sheet, query.kerf).reduce(
      (sum, { direction, room }) => sum + query.kerf * (direction === 'along' ? room.height : room.width),
      0,
    );
    expect(rests + pieces).at.most(sheet.width * sheet.height + 1e-6);
    expect(rests + pieces + dust).at.least(sheet.width * sheet.height - 1e-6);
  }
  expect(plan.cost).closeTo(cost, 1e-9);
  expect(plan.bound).at.most(plan.cost + 1e-9);
  for (const { id, count } of query.pieces) {
    const out = plan.unplaced.filter((one) => one.id === id).reduce((sum, one) => sum + one.count, 0);
    expect((made.get(id) ?? 0) + out, id).equal(count);
  }
}

const job = fc.record({
  pieces: fc
    .array(
      fc.record({
        width: fc.integer({ min: 100, max: 1300 }),
        height: fc.integer({ min: 100, max: 1500 }),
        count: fc.integer({ min: 1, max: 3 }),
        turn: fc.boolean(),
      }),
      { minLength: 1, maxLength: 5 },
    )
    .map((list) =>
      list.map(({ width, height, ...rest }, index) => ({
        id: `p${index}`,
        width: width / 1000,
        height: height / 1000,
        ...rest,
      })),
    ),
  stock: fc.constantFrom(
    [{ id: 'a', width: 1.22, height: 2.44, price: 40 }],
    [
      { id: 'a', width: 1.22, height: 2.44, price: 40 },
      { id: 'b', width: 0.61, height: 1.22, price: 13 },
      { id: 'shed', width: 0.9, height: 0.7, price: 0, available: 1 },
    ],
  ),
  kerf: fc.constantFrom(0, 0.003),
});

describe('shop: sheets', () => {
  it('are planned soundly by both planners, and the searching one is never dearer', async () => {
    await fc.assert(
      fc.asyncProperty(job, async (query) => {
        const fast = planSheetsFast(query);
        valid(fast, query);
        const best = await planSheets(query, { tries: 60, clock: workClock() });
        valid(best, query);
        if (fast.unplaced.length === 0) expect(best.cost).at.most(fast.cost + 1e-9);
      }),
      { numRuns: trials(100, 400) },
    );
  });
  it('finds the sheet that the quick planner misses (worked by hand)', async () => {
    // A row of 0.6 + 0.4 over two rows of 0.5 + 0.5: 1 × 1.2 is filled, and no cut is lost.
    const query = {
      pieces: [
        { id: 'a', width: 0.6, height: 0.4, count: 2, turn: true },
        { id: 'b', width: 0.4, height: 0.8, count: 1, turn: true },
        { id: 'c', width: 0.5, height: 0.4, count: 2, turn: true },
      ],
      stock: [{ id: 's', width: 1, height: 1.2, price: 20 }],
      kerf: 0,
    };
    const plan = await planSheets(query, { clock: workClock() });
    valid(plan, query);
    expect([plan.cost, plan.proof.status]).deep.equal([20, 'proved']);
    expect(plan.waste).closeTo(0, 1e-9);
  });
  it('says that nothing is cheaper only where the area says so, kerf and all', async () => {
    const piece = { id: 'a', width: 0.6, height: 0.6, count: 4, turn: true };
    const stock = [{ id: 's', width: 1.2, height: 1.2, price: 10 }];
    const dry = await planSheets({ pieces: [piece], stock, kerf: 0 }, { clock: workClock() });
    expect([dry.cost, dry.bound, dry.proof.status]).deep.equal([10, 10, 'proved']);
    // A piece that may turn but fits one way only is as good as one that may not.
    const long = { id: 'l', width: 1.1, height: 0.7, count: 2, turn: true };
    const flat = [{ id: 's', width: 1.2, height: 0.9, price: 10 }];
    const pair = await planSheets({ pieces: [long], stock: flat, kerf: 0 }, { clock: workClock() });
    expect([pair.cost, pair.proof.status]).deep.equal([20, 'proved']);
    // With a saw no two of them come out of one sheet: the bound knows.
    const sawn = await planSheets({ pieces: [piece], stock, kerf: 0.003 }, { clock: workClock() });
    expect([sawn.cost, sawn.bound, sawn.proof.status]).deep.equal([40, 40, 'proved']);
  });
  it('lays thousands of pieces soundly, one good sheet again and again, and as few as laying each would take', async () => {
    const query = {
      pieces: [
        { id: 'strip', width: 0.089, height: 1.882, count: 3456, turn: true },
        { id: 'cover', width: 0.3, height: 0.4, count: 700, turn: false },
      ],
      stock: [
        { id: 'a', width: 1, height: 2, price: 124 },
        { id: 'shed', width: 0.5, height: 2, price: 0, available: 3 },
      ],
      kerf: 0.003,
    };
    // Thousands of pieces a look: ten of them are enough.
    const plan = await planSheets(query, { clock: workClock(200) });
    valid(plan, query);
    expect(plan.unplaced).deep.equal([]);
    expect(plan.sheets.filter(({ stock }) => stock === 'shed').length).equal(3);
    expect(plan.cost / plan.bound).below(1.25);
  });
  it('cuts the longest cut first, and each from the part that is left', () => {
    const placed = [
      { id: 'a', x: 0, y: 0, width: 0.5, height: 1, turned: false },
      { id: 'b', x: 0.503, y: 0, width: 0.4, height: 0.3, turned: false },
    ];
    expect(cutOrder({ width: 1, height: 2, placed }, 0.003).map(({ direction, at }) => [direction, at])).deep.equal([
      ['along', 0.5],
      ['across', 1],
      ['across', 0.3],
      ['along', 0.4],
    ]);
  });
  it('takes a sliver thinner than the saw off an edge', () => {
    const placed = [{ id: 'a', x: 0.001, y: 0, width: 0.5, height: 1, turned: false }];
    expect(cutOrder({ width: 1, height: 1, placed }, 0.003).map(({ direction, at }) => [direction, at])).deep.include([
      'along',
      0,
    ]);
  });
  it('refuses a pinwheel, which no run of cuts edge to edge can make', () => {
    const placed = [
      { id: 'a', x: 0, y: 0, width: 2, height: 1, turned: false },
      { id: 'b', x: 2, y: 0, width: 1, height: 2, turned: false },
      { id: 'c', x: 1, y: 2, width: 2, height: 1, turned: false },
      { id: 'd', x: 0, y: 1, width: 1, height: 2, turned: false },
      { id: 'e', x: 1, y: 1, width: 1, height: 1, turned: false },
    ];
    expect(() => cutOrder({ width: 3, height: 3, placed }, 0)).throw(NotGuillotine);
  });
});
