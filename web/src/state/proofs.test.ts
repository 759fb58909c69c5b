import { defaultJob, withValueAt } from '@north-pane/core/document';
import { patient } from '@north-pane/core/fixtures/work';
import { jobShop, openJob, shopNow } from '@north-pane/core/job';
import { isProved, proofKey, proveMaterial } from '@north-pane/core/shop';
import { expect } from 'chai';
import { provingItems, withProofs } from './proofs';

/** A harp whose boards the quick planner cannot prove. */
const job = withValueAt(defaultJob('harp'), ['shop', 'sold'], {
  ...Object.fromEntries(
    Object.entries(defaultJob('harp').shop.sold).filter(([, { item }]) => item !== 'planed-115x19'),
  ),
  a: { item: 'planed-115x19', length: 2.4, price: 11 },
  b: { item: 'planed-115x19', length: 3, price: 13.5 },
  c: { item: 'planed-115x19', length: 4.8, price: 21.5 },
});
const { plan, purchases, parts } = jobShop(openJob(job));

describe('state: proofs', () => {
  it('stand in the place of the quick plan once they land, and the sum follows', async () => {
    const boards = plan.materials.find(({ item }) => item === 'planed-115x19');
    if (!boards) throw new Error('a harp has boards');
    expect(isProved(boards)).equal(false);
    const proof = await proveMaterial(boards, await patient());
    expect(isProved(proof)).equal(true);
    const proved = withProofs(plan, new Map([[proofKey(boards), proof]]), purchases, shopNow(openJob(job)));
    expect(proved.cost).closeTo(plan.cost + proof.plan.cost - boards.plan.cost, 1e-9);
    expect(proved.materials.find(({ item }) => item === 'planed-115x19')?.parts).equal(boards.parts);
  });
  it('are on the way for what is neither proved nor finished, and for nothing else', () => {
    const boards = plan.materials.find(({ item }) => item === 'planed-115x19');
    if (!boards) throw new Error('a harp has boards');
    expect(provingItems(plan, new Set()).has(boards.item)).equal(true);
    expect(provingItems(plan, new Set([proofKey(boards)])).has(boards.item)).equal(false);
    for (const { item } of plan.materials.filter(isProved))
      expect(provingItems(plan, new Set()).has(item)).equal(false);
  });
  it('of another design stand in no place', () => {
    const stale = new Map(plan.materials.map((material) => ['of something else', material]));
    expect(withProofs(plan, stale, purchases, shopNow(openJob(job)))).equal(plan);
  });
  it('have a key that hangs on pieces, stock and saw, and not on names', () => {
    const [first] = plan.materials;
    if (!first) throw new Error('nothing is cut');
    const renamed = { ...first, name: 'another name', parts: parts.map((part) => ({ ...part, name: 'x' })) };
    expect(proofKey(renamed)).equal(proofKey(first));
    const kerf = withValueAt(job, ['shop', 'kerfs'], { tube: 0.001, timber: 0.001, sheet: 0.001 });
    const other = jobShop(openJob(kerf)).plan.materials.find(({ item }) => item === first.item);
    expect(other && proofKey(other)).not.equal(proofKey(first));
  });
});
