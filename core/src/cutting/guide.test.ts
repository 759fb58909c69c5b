import { expect } from 'chai';
import { defaultJob, type Job, pathSteps, withValueAt } from '../document';
import { jobShop, openJob } from '../job';
import { guideForUnpriced } from './guide';

const job = defaultJob('harp');
const planOf = (one: Job) => jobShop(openJob(one)).plan;

describe('job: guide prices for what has none', () => {
  it('are nothing where everything has its price', () => {
    expect(guideForUnpriced(job, planOf(job))).deep.equal([]);
  });
  it('fill what is missing and leave the builder’s own as they are', () => {
    const { cap: _, ...prices } = job.shop.prices;
    const bare: Job = {
      ...job,
      shop: {
        ...job.shop,
        prices: { ...prices, union: 99 },
        sold: Object.fromEntries(Object.entries(job.shop.sold).filter(([, { item }]) => item !== 'planed-115x19')),
      },
    };
    expect(new Set(planOf(bare).unpriced).size).equal(2);
    const filled = guideForUnpriced(bare, planOf(bare)).reduce(
      (one, { path, value }) => withValueAt(one, pathSteps(path), value),
      bare,
    );
    expect(planOf(filled).unpriced).deep.equal([]);
    expect(filled.shop.prices.union).equal(99);
    expect(filled.shop.prices.cap).equal(job.shop.prices.cap);
    expect(filled.shop.sold).deep.equal(job.shop.sold);
  });
  it('leave alone what the guide knows nothing of', () => {
    const plan = planOf(job);
    const odd = {
      ...plan,
      buy: [{ id: 'x', name: 'x', quantity: 1, unit: 'each' as const, rule: '', priceField: ['prices', 'moonstone'] }],
    };
    expect(guideForUnpriced(job, odd)).deep.equal([]);
  });
});
