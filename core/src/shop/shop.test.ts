import { expect } from 'chai';
import * as fc from 'fast-check';
import { trials } from '../quantity/trials.fixture';
import {
  guidePrices,
  type LengthQuery,
  planLengths,
  planLengthsFast,
  planSheets,
  planSheetsFast,
  planShop,
  writeCsv,
} from '.';

/** Checks a plan without trusting it: every piece once, no bar overfull, the money adds up. */
function checkLengths(query: LengthQuery): void {
  const plan = planLengthsFast(query);
  const made = new Map<string, number>();
  let cost = 0;
  for (const bar of plan.bars) {
    const stock = query.stock.find((one) => one.id === bar.stock);
    if (!stock) throw new Error(`no stock ${bar.stock}`);
    const used = bar.pieces.reduce((sum, piece) => sum + piece.length, 0) + query.kerf * (bar.pieces.length - 1);
    expect(used).at.most(stock.length - 2 * (query.trim ?? 0) + 1e-6);
    cost += bar.count * stock.price;
    for (const piece of bar.pieces) made.set(piece.id, (made.get(piece.id) ?? 0) + bar.count);
  }
  for (const stock of query.stock)
    if (stock.available !== undefined) {
      const used = plan.bars.filter((bar) => bar.stock === stock.id).reduce((sum, bar) => sum + bar.count, 0);
      expect(used).at.most(stock.available);
    }
  for (const piece of query.pieces) {
    const missing = plan.unplaced.find((one) => one.id === piece.id)?.count ?? 0;
    expect((made.get(piece.id) ?? 0) + missing).equal(piece.count);
  }
  expect(plan.cost).closeTo(cost, 1e-6);
  if (plan.unplaced.length === 0) expect(plan.proof.bound).at.most(plan.cost + 1e-6);
}

describe('shop: lengths', () => {
  it('cuts two risers from five metres and says so, kerf counted', async () => {
    const stock = [{ id: '5 m', length: 5, price: 50 }];
    const plan = await planLengths({ pieces: [{ id: 'riser', length: 1.884, count: 10 }], stock, kerf: 0.003 });
    expect(plan.bars).deep.equal([
      {
        stock: '5 m',
        count: 5,
        pieces: [
          { id: 'riser', length: 1.884 },
          { id: 'riser', length: 1.884 },
        ],
        offcut: plan.bars[0]?.offcut,
      },
    ]);
    expect(plan.bars[0]?.offcut).closeTo(5 - 2 * 1.887, 1e-9);
    expect(plan.cost).equal(250);
  });
  it('proves three halves need a bar each when kerf spoils the pair', () => {
    const stock = [{ id: 'bar', length: 2, price: 7 }];
    const pieces = [{ id: 'half', length: 1, count: 3 }];
    expect(planLengthsFast({ pieces, stock, kerf: 0 })).include({ cost: 14 });
    const sawn = planLengthsFast({ pieces, stock, kerf: 0.003 });
    expect(sawn.cost).equal(21);
    expect(sawn.proof).deep.equal({ status: 'proved', bound: 21 });
  });
  it('uses what is on hand first and the short length where it will do', () => {
    const stock = [
      { id: 'offcut', length: 1.2, price: 0, available: 1 },
      { id: 'short', length: 2, price: 10 },
      { id: 'long', length: 4, price: 19 },
    ];
    const plan = planLengthsFast({ pieces: [{ id: 'rail', length: 1, count: 2 }], stock, kerf: 0 });
    expect(plan.bars.map((bar) => bar.stock).sort()).deep.equal(['offcut', 'short']);
  });
  it('names the piece that no bar can hold', () => {
    const plan = planLengthsFast({
      pieces: [{ id: 'mast', length: 7, count: 2 }],
      stock: [{ id: 'bar', length: 5, price: 1 }],
      kerf: 0,
    });
    expect(plan.unplaced).deep.equal([{ id: 'mast', length: 7, count: 2 }]);
    expect(plan.bars).deep.equal([]);
  });
  it('refuses a length of zero', () => {
    expect(() => planLengthsFast({ pieces: [{ id: 'a', length: 0, count: 1 }], stock: [], kerf: 0 })).throw(RangeError);
  });
  it('makes sound plans for thousands of random jobs', () => {
    const length = fc.integer({ min: 50, max: 4000 }).map((mm) => mm / 1000);
    fc.assert(
      fc.property(
        fc.array(fc.record({ length, count: fc.integer({ min: 0, max: 8 }) }), { minLength: 1, maxLength: 6 }),
        fc.array(
          fc.record({
            length: fc.integer({ min: 500, max: 6000 }).map((mm) => mm / 1000),
            price: fc.integer({ min: 1, max: 100 }),
            available: fc.option(fc.integer({ min: 0, max: 4 }), { nil: undefined }),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        fc.constantFrom(0, 0.001, 0.003),
        fc.constantFrom(0, 0.01),
        (pieces, stock, kerf, trim) => {
          checkLengths({
            pieces: pieces.map((piece, index) => ({ ...piece, id: `piece ${index}` })),
            stock: stock.map(({ available, ...one }, index) => ({
              ...one,
              id: `stock ${index}`,
              ...(available === undefined ? {} : { available }),
            })),
            kerf,
            trim,
          });
        },
      ),
      { numRuns: trials(300, 1500) },
    );
  });
  it('is within one bar of the optimum of small single-length jobs, by a slow obvious search', () => {
    const least = (lengths: number[], bar: number): number => {
      let best = lengths.length;
      const rooms: number[] = [];
      const place = (index: number): void => {
        if (rooms.length >= best) return;
        const length = lengths[index];
        if (length === undefined) {
          best = rooms.length;
          return;
        }
        for (let room = 0; room < rooms.length; room += 1)
          if ((rooms[room] ?? 0) >= length) {
            rooms[room] = (rooms[room] ?? 0) - length;
            place(index + 1);
            rooms[room] = (rooms[room] ?? 0) + length;
          }
        rooms.push(bar - length);
        place(index + 1);
        rooms.pop();
      };
      place(0);
      return best;
    };
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 10, max: 60 }), { minLength: 1, maxLength: 8 }), (sizes) => {
        const pieces = sizes.map((length, index) => ({ id: `${index}`, length, count: 1 }));
        const plan = planLengthsFast({ pieces, stock: [{ id: 'bar', length: 60, price: 1 }], kerf: 0 });
        const optimum = least(sizes, 60);
        expect(plan.cost).within(optimum, optimum + 1);
        expect(plan.proof.bound).at.most(optimum);
      }),
      { numRuns: 150 },
    );
  });
});

describe('shop: sheets', () => {
  it('lays a back on its sheet and four bays side by side', async () => {
    const stock = [{ id: 'ply', width: 1.2, height: 2.4, price: 40 }];
    const back = await planSheets({
      pieces: [{ id: 'back', width: 2, height: 1.1, count: 1, turn: true }],
      stock,
      kerf: 0.003,
    });
    expect(back.sheets).length(1);
    expect(back.sheets[0]?.placed[0]).include({ id: 'back', turned: true });
    expect(back.waste).closeTo(2.88 - 2.2, 1e-9);
    const bays = await planSheets({
      pieces: [{ id: 'bay', width: 0.48, height: 1.09, count: 4, turn: true }],
      stock,
      kerf: 0,
    });
    expect(bays.sheets).length(1);
  });
  it('keeps the grain: a long piece that may not turn is not laid crosswise', () => {
    const stock = [{ id: 'ply', width: 1.2, height: 2.4, price: 40 }];
    const plan = planSheetsFast({
      pieces: [{ id: 'door', width: 2, height: 1, count: 1, turn: false }],
      stock,
      kerf: 0,
    });
    expect(plan.unplaced.map((piece) => piece.id)).deep.equal(['door']);
  });
  it('never overlaps, leaves the sheet, or loses a piece, and every layout parts by saw cuts', () => {
    const side = fc.integer({ min: 100, max: 1300 }).map((mm) => mm / 1000);
    fc.assert(
      fc.property(
        fc.array(fc.record({ width: side, height: side, count: fc.integer({ min: 1, max: 4 }), turn: fc.boolean() }), {
          minLength: 1,
          maxLength: 5,
        }),
        (wanted) => {
          const pieces = wanted.map((piece, index) => ({ ...piece, id: `${index}` }));
          const stock = [{ id: 'sheet', width: 1.2, height: 2.4, price: 40 }];
          const plan = planSheetsFast({ pieces, stock, kerf: 0.003 });
          const placed = plan.sheets.flatMap((sheet) => sheet.placed);
          for (const piece of pieces) {
            const missing = plan.unplaced.find((one) => one.id === piece.id)?.count ?? 0;
            expect(placed.filter((one) => one.id === piece.id).length + missing).equal(piece.count);
          }
          for (const sheet of plan.sheets) {
            for (const one of sheet.placed) {
              expect(one.x + one.width).at.most(sheet.width + 1e-6);
              expect(one.y + one.height).at.most(sheet.height + 1e-6);
            }
            expect(parts(sheet.placed)).equal(true);
          }
          expect(plan.bound).at.most(plan.cost + 1e-6);
        },
      ),
      { numRuns: 200 },
    );
  });
});

type Rect = { x: number; y: number; width: number; height: number };
/** Whether rectangles can be parted by cuts that each go edge to edge. */
function parts(rects: readonly Rect[]): boolean {
  if (rects.length <= 1) return true;
  for (const [start, size] of [['x', 'width'] as const, ['y', 'height'] as const])
    for (const edge of rects.map((rect) => rect[start] + rect[size])) {
      const first = rects.filter((rect) => rect[start] + rect[size] <= edge + 1e-6);
      const second = rects.filter((rect) => rect[start] >= edge - 1e-6);
      if (first.length > 0 && second.length > 0 && first.length + second.length === rects.length)
        return parts(first) && parts(second);
    }
  return false;
}

describe('shop: buying', () => {
  const shop = {
    ...guidePrices('metric'),
    onHand: [],
    kerfs: { tube: 0, timber: 0.003, sheet: 0.003 },
    spares: { consumables: 0.1 },
  };
  const riser = {
    id: 'panel-a/riser',
    name: 'Riser',
    item: 'en-1057-15x0.7',
    count: 4,
    operations: [],
    mass: 0.5,
    kind: 'length' as const,
    stuff: 'tube' as const,
    length: 1.884,
  };
  const cap = {
    id: 'caps',
    name: 'End caps',
    quantity: 2,
    unit: 'each' as const,
    priceKey: 'cap',
    rule: 'one a closed end',
    mass: 0.1,
  };
  it('adds up bars and bought things', () => {
    const plan = planShop([riser], [cap], shop);
    const bars = plan.buy.find((line) => line.id.startsWith('en-1057-15x0.7@5000'));
    expect(bars?.quantity).equal(2);
    expect(plan.cost).closeTo((bars?.price ?? 0) + 7, 1e-9);
    expect(plan.unpriced).deep.equal([]);
  });
  it('says what has no price rather than counting it as free', () => {
    const plan = planShop([riser], [{ ...cap, priceKey: 'unheard of' }], { ...shop, sold: [] });
    expect(plan.unpriced).deep.equal(['15 × 0.7 copper', 'End caps']);
    expect(plan.cost).equal(0);
  });
  it('writes CSV that no spreadsheet runs', () => {
    expect(writeCsv([['=1+1', 'a,b', -3]])).equal(`\ufeff'=1+1,"a,b",-3\r\n`);
  });
});
