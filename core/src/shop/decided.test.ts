import { expect } from 'chai';
import * as fc from 'fast-check';
import { type Lock, planLengthsFast, planShop, type Shop } from '.';
import { type CutDecisions, decideLengths, nothingDecided } from './decided';

const shop: Shop = {
  sold: [
    { id: 'b24', item: 'planed-90x19', length: 2.4, price: 10 },
    { id: 'b36', item: 'planed-90x19', length: 3.6, price: 15 },
  ],
  onHand: [],
  prices: {},
  kerfs: { tube: 0, timber: 0.003, sheet: 0.003 },
  spares: { consumables: 0 },
};
const board = (id: string, length: number, count: number) => ({
  id,
  name: id,
  item: 'planed-90x19',
  count,
  operations: [],
  mass: 1,
  kind: 'length' as const,
  stuff: 'timber' as const,
  length,
});
const lock = (pieces: { part: string; length: number }[], id = 'cut-1'): Lock => ({
  id,
  item: 'planed-90x19',
  stock: 'b24',
  price: 10,
  onHand: false,
  length: 2.4,
  pieces,
});
const decide = (some: Partial<CutDecisions>): CutDecisions => ({ ...nothingDecided, ...some });

describe('shop: what the builder has settled', () => {
  const parts = [board('side', 1.1, 2), board('rail', 0.7, 2)];

  it('leaves a locked bar as it was cut and plans the rest round it', () => {
    const plan = planShop(parts, [], shop, decide({ locks: [lock([{ part: 'side', length: 1.1 }])] }));
    const [material] = plan.materials;
    if (material?.kind !== 'length') throw new Error('a board is cut to length');
    expect(material.plan.bars[0]).deep.include({ stock: 'b24', fixed: { by: 'lock', id: 'cut-1' } });
    const made = material.plan.bars.flatMap(({ pieces, count }) => pieces.flatMap(({ id }) => Array(count).fill(id)));
    expect(made.sort()).deep.equal(['rail', 'rail', 'side', 'side']);
    // One bar of 2.4 is cut; side and two rails, 2.506 with two kerfs, want one of 3.6.
    expect(plan.cost).equal(25);
    expect(material.misfits).deep.equal([]);
  });
  it('keeps a lock through a change of the design, and says what of it is now too short, too long or not wanted', () => {
    const locks = [
      lock([
        { part: 'side', length: 1.1 },
        { part: 'rail', length: 0.8 },
        { part: 'gone', length: 0.3 },
      ]),
    ];
    const longer = planShop([board('side', 1.15, 2), board('rail', 0.7, 1)], [], shop, decide({ locks }));
    const [material] = longer.materials;
    expect(material?.misfits).deep.equal([
      { part: 'side', fate: 'short', cut: 1.1, wanted: 1.15 },
      { part: 'rail', fate: 'long', cut: 0.8, wanted: 0.7 },
      { part: 'gone', fate: 'spare', cut: 0.3 },
    ]);
    if (material?.kind !== 'length') throw new Error('a board is cut to length');
    // Both sides must still be cut, the one rail is there and is only trimmed.
    const free = material.plan.bars.filter(({ fixed }) => !fixed).flatMap(({ pieces }) => pieces.map(({ id }) => id));
    expect(free).deep.equal(['side', 'side']);
  });
  it('goes on paying for a bar that is cut, also when nothing is made of its stuff any more', () => {
    const plan = planShop([], [], shop, decide({ locks: [lock([{ part: 'side', length: 1.1 }])] }));
    expect(plan.cost).equal(10);
    expect(plan.materials[0]?.misfits).deep.equal([{ part: 'side', fate: 'spare', cut: 1.1 }]);
  });
  it('pays what was paid, whatever the list says now', () => {
    const dear = { ...shop, sold: shop.sold.map((one) => ({ ...one, price: 99 })) };
    const plan = planShop(
      [board('side', 1.1, 1)],
      [],
      dear,
      decide({ locks: [lock([{ part: 'side', length: 1.1 }])] }),
    );
    expect(plan.cost).equal(10);
    expect(plan.buy.reduce((sum, { price = 0 }) => sum + price, 0)).equal(10);
  });
  it('lays out by hand what the builder says, and tells what the planner would have paid', () => {
    const overrules = [{ id: 'bar-1', item: 'planed-90x19', stock: 'b36', pieces: ['side'] }];
    const plan = planShop(parts, [], shop, decide({ overrules }));
    const [material] = plan.materials;
    if (material?.kind !== 'length') throw new Error('a board is cut to length');
    expect(material.plan.bars[0]?.pieces).deep.equal([{ id: 'side', length: 1.1 }]);
    expect(material.plan.cost).equal(30);
    expect(material.unruled?.cost).equal(20);
  });
  it('lets go what no longer fits on a bar laid out by hand, and what is wanted no more', () => {
    const query = {
      pieces: [{ id: 'side', length: 1.3, count: 2 }],
      stock: [{ id: 'b24', length: 2.4, price: 10 }],
      kerf: 0,
    };
    const decided = decideLengths(
      'x',
      query,
      decide({ overrules: [{ id: 'bar-1', item: 'x', stock: 'b24', pieces: ['side', 'side', 'gone'] }] }),
    );
    expect(decided.bars[0]?.pieces.length).equal(1);
    expect(decided.released).deep.equal(['side', 'gone']);
    expect(decided.query.pieces).deep.equal([{ id: 'side', length: 1.3, count: 1 }]);
  });
  it('lets a bar go that is to be had no more, with all that was on it', () => {
    const query = { pieces: [{ id: 'side', length: 1, count: 1 }], stock: [{ id: 'a', length: 2, price: 1 }], kerf: 0 };
    const overrules = [{ id: 'bar-1', item: 'x', stock: 'gone', pieces: ['side'] }];
    const decided = decideLengths('x', query, decide({ overrules }));
    expect([decided.bars.length, decided.released]).deep.equal([0, ['side']]);
    expect(decided.query.pieces[0]?.count).equal(1);
  });
  it('plans without a length that is not to be had just now', () => {
    const plan = planShop(parts, [], { ...shop, without: ['b36'] });
    const [material] = plan.materials;
    if (material?.kind !== 'length') throw new Error('a board is cut to length');
    expect(new Set(material.plan.bars.map(({ stock }) => stock))).deep.equal(new Set(['b24']));
  });
  it('cuts the ends square where the shop says so', () => {
    const one = [board('side', 1.198, 2)];
    expect(planShop(one, [], shop).cost).equal(10);
    expect(planShop(one, [], { ...shop, trims: { timber: 0.01 } }).cost).equal(15);
    expect(planShop(one, [], { ...shop, trims: { tube: 0.01 } }).cost).equal(10);
  });
});

describe('shop: pieces that share a bar', () => {
  const pair = (length: number, tie?: string) => [
    { id: 'left', length, count: 1, ...(tie ? { tie } : {}) },
    { id: 'right', length, count: 1, ...(tie ? { tie } : {}) },
  ];
  it('come off one bar though two would be cheaper', () => {
    const stock = [
      { id: 'a', length: 1.2, price: 4 },
      { id: 'b', length: 2.4, price: 11 },
    ];
    expect(planLengthsFast({ pieces: pair(1.1), stock, kerf: 0.003 }).cost).equal(8);
    const tied = planLengthsFast({ pieces: pair(1.1, 'grain'), stock, kerf: 0.003 });
    expect(tied.bars.map(({ pieces }) => pieces.map(({ id }) => id).sort())).deep.equal([['left', 'right']]);
    expect(tied.cost).equal(11);
    expect(tied.waste).closeTo(0.2, 1e-9);
  });
  it('are let go and named where no bar is long enough', () => {
    const plan = planLengthsFast({ pieces: pair(1.3, 'grain'), stock: [{ id: 'a', length: 2.4, price: 4 }], kerf: 0 });
    expect(plan.loose).deep.equal(['grain']);
    expect(plan.cost).equal(8);
    expect(plan.unplaced).deep.equal([]);
  });
  it('are never parted, on any job', () => {
    const job = fc.array(
      fc.record({
        length: fc.integer({ min: 100, max: 1100 }),
        count: fc.integer({ min: 1, max: 3 }),
        tie: fc.constantFrom(undefined, 'a', 'b'),
      }),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(job, (list) => {
        const pieces = list.map(({ length, count, tie }, index) => ({
          id: `p${index}`,
          length: length / 1000,
          count,
          ...(tie ? { tie } : {}),
        }));
        const plan = planLengthsFast({ pieces, stock: [{ id: 's', length: 6, price: 3 }], kerf: 0.002 });
        for (const tie of ['a', 'b']) {
          if (plan.loose?.includes(tie)) continue;
          const bound = new Set(pieces.filter((one) => one.tie === tie).map(({ id }) => id));
          const bars = plan.bars.filter((bar) => bar.pieces.some(({ id }) => bound.has(id)));
          expect(
            bars.reduce((sum, { count }) => sum + count, 0),
            tie,
          ).at.most(1);
        }
        const made = plan.bars.reduce((sum, bar) => sum + bar.count * bar.pieces.length, 0);
        expect(made).equal(pieces.reduce((sum, { count }) => sum + count, 0));
      }),
      { numRuns: 300 },
    );
  });
});
