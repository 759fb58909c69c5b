import { expect } from 'chai';
import { gapOf, leftOut, materialClass, planShop, type Shop, wasteShare } from '.';

const shop: Shop = {
  sold: [{ id: 'b24', item: 'planed-90x19', length: 2.4, price: 10 }],
  onHand: [],
  prices: {},
  kerfs: { tube: 0, timber: 0.003, sheet: 0.003 },
  spares: { consumables: 0 },
};
const board = (length: number, count: number) => ({
  id: 'p/rail',
  name: 'Rail',
  item: 'planed-90x19',
  count,
  operations: [],
  mass: 1,
  kind: 'length' as const,
  stuff: 'timber' as const,
  length,
});
const sheet = (width: number, height: number, turn: boolean) => ({
  id: 'p/back',
  name: 'Back',
  item: 'ply-9',
  count: 2,
  operations: [],
  mass: 4,
  kind: 'sheet' as const,
  width,
  height,
  turn,
});
const ply = { id: 'ply', item: 'ply-9', width: 1.2, height: 2.4, count: 1 };
const first = (parts: Parameters<typeof planShop>[0], own: Partial<Shop> = {}) => {
  const [material] = planShop(parts, [], { ...shop, ...own }).materials;
  if (!material) throw new Error('nothing is cut');
  return material;
};

describe('shop: what is told of a plan', () => {
  it('says whether a piece is too large for everything or there is too little', () => {
    expect(leftOut(first([board(3, 2)]))).deep.equal([{ id: 'p/rail', count: 2, why: 'too large' }]);
    const shed = [{ id: 'shed', item: 'planed-90x19', length: 2.4, count: 1 }];
    const scarce = first([board(2, 3)], { onHand: shed, without: ['b24'] });
    expect(leftOut(scarce)).deep.equal([{ id: 'p/rail', count: 2, why: 'too few' }]);
    expect(leftOut(first([board(2, 3)]))).deep.equal([]);
  });
  it('says so of sheets, which may be turned or not', () => {
    const own = {
      onHand: [ply],
      sold: [{ ...ply, id: 'listed', price: 9 }].map(({ count: _, ...one }) => one),
      without: ['listed'],
    };
    expect(leftOut(first([sheet(2.3, 1.1, true)], own))).deep.equal([{ id: 'p/back', count: 1, why: 'too few' }]);
    expect(leftOut(first([sheet(2.3, 1.1, false)], own))).deep.equal([{ id: 'p/back', count: 2, why: 'too large' }]);
  });
  it('saws plastic pipe, and parts metal tube without loss', () => {
    const tube = (item: string) => ({ ...board(1.5, 2), item, stuff: 'tube' as const });
    const sold = ['pvc-110x4.2', 'en-1057-15x1'].map((item) => ({ id: `${item}@3000`, item, length: 3, price: 10 }));
    const kerfs = { tube: 0, timber: 0.003, sheet: 0.003 };
    const bars = (item: string, own = {}) =>
      (
        first([tube(item)], { sold, kerfs: { ...kerfs, ...own } }) as { plan: { bars: { count: number }[] } }
      ).plan.bars.reduce((sum, { count }) => sum + count, 0);
    // Two of 1.5 m come out of 3 m where nothing is lost between them; 3 mm of saw and the second is short.
    expect(bars('en-1057-15x1')).equal(1);
    expect(bars('pvc-110x4.2')).equal(2);
    expect(bars('pvc-110x4.2', { plastic: 0 })).equal(1);
    expect(materialClass(first([tube('pvc-110x4.2')], { sold }))).equal('plastic');
  });
  it('tells the share left over, and what the stuff is', () => {
    const rails = first([board(1.8, 2)]);
    expect(wasteShare(rails)).closeTo(0.25, 1e-9);
    expect([materialClass(rails), materialClass(first([sheet(1, 1, true)]))]).deep.equal(['timber', 'sheet']);
    expect(wasteShare(first([board(3, 1)]))).equal(0);
  });
  it('tells by how much a plan may stand above the least, of the least', () => {
    expect(gapOf({ cost: 110, proof: { status: 'gap', bound: 100 } })).closeTo(0.1, 1e-12);
    expect(gapOf({ cost: 110, proof: { status: 'proved', bound: 110 } })).equal(0);
    expect(gapOf({ cost: 110, proof: { status: 'gap', bound: 0 } })).equal(undefined);
  });
});
