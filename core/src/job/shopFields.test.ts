import { expect } from 'chai';
import { defaultJob, type Job, parseJob, pathSteps, withValueAt } from '../document';
import { untouchedShop } from '../shoplog';
import { jobShop } from './cutList';
import { openJob } from './open';

const job = defaultJob('harp');
const lock = {
  id: 'cut-1',
  item: 'planed-115x19',
  stock: 'planed-115x19@2400',
  price: 26,
  onHand: false,
  length: 2.4,
  pieces: [{ part: 'panel-a/rail', length: 1 }],
};

/** What is wrong, as path and words. */
function problems(path: string, value: unknown): string {
  const parsed = parseJob(withValueAt<unknown>(job, pathSteps(path), value));
  return parsed.ok ? '' : parsed.errors.map((one) => `${one.path}: ${one.message}`).join('; ');
}

describe('job: what was settled of the shop, in the document', () => {
  const bad: [what: string, path: string, value: unknown, words: RegExp][] = [
    [
      'a kerf as wide as a finger',
      'shop.kerfs.timber',
      0.02,
      /shop\.kerfs\.timber: Saw cut of boards is 0\smm \(0″\) to 10\smm \(3\/8″\): no saw is as thick/,
    ],
    ['a kerf below zero', 'shop.kerfs.tube', -0.001, /Saw cut of tube is 0.* to 10\smm/],
    ['a trim as long as a hand', 'shop.trims', { tube: 0.2 }, /shop\.trims\.tube: Trim of tube is 0.* to 100\smm/],
    ['a trim of something else', 'shop.trims', { glass: 0.01 }, /shop\.trims/],
    ['an offcut to keep that no bar has', 'shop.keep', 6, /shop\.keep: .* to 5.000\smm/],
    [
      'a bar laid out with nothing on it',
      'decisions.overrules',
      { 'bar-1': { item: 'x', stock: 'y', pieces: [] } },
      /overrules/,
    ],
    ['a length on hand that has no size', 'shop.onHand', { 'shed-1': { item: 'x', count: 1 } }, /onHand/],
    ['half a length on hand', 'shop.onHand', { 'shed-1': { item: 'x', count: 0.5, length: 2 } }, /onHand/],
    ['a length for sale below zero', 'shop.sold', { a: { item: 'x', price: -1, length: 2 } }, /a price is not below 0/],
    ['a thing that is half had', 'shop.have', { solder: 'half' }, /have/],
    ['a tie without a word', 'decisions.ties', { 'panel-a/rail': '' }, /ties/],
  ];
  for (const [what, path, value, words] of bad)
    it(`refuses ${what}`, () => {
      expect(problems(path, value)).match(words);
    });

  it('takes all of them, and gives them back through JSON to the letter', () => {
    const full = [
      ['shop.trims', { timber: 0.005 }],
      ['shop.keep', 0.4],
      ['shop.without', { 'planed-115x19@3600': true }],
      ['shop.have', { solder: true, 'tool/torch': true }],
      ['shop.onHand', { 'shed-1': { item: 'planed-115x19', count: 2, length: 0.8 } }],
      [
        'decisions.overrules',
        { 'bar-1': { item: 'planed-115x19', stock: 'planed-115x19@2400', pieces: ['panel-a/rail'] } },
      ],
      ['decisions.ties', { 'panel-a/rail': 'grain' }],
    ] as const;
    const document = full.reduce<Job>((one, [path, value]) => withValueAt(one, pathSteps(path), value), job);
    const parsed = parseJob(JSON.parse(JSON.stringify(document)));
    expect(parsed.ok && parsed.job).deep.equal(document);
  });
  it('costs the same without any of them as before there were any', () => {
    const bare = { ...job, shop: { ...job.shop }, decisions: {} };
    expect(jobShop(openJob(bare)).plan.cost).equal(jobShop(openJob(job)).plan.cost);
  });
  it('plans on where a lock or an overrule names what is no more', () => {
    const odd = withValueAt(job, ['decisions', 'overrules'], {
      'bar-1': { item: 'planed-115x19', stock: 'gone', pieces: ['panel-z/rail'] },
    });
    const { plan } = jobShop(openJob(odd, { ...untouchedShop, cuts: [{ ...lock, item: 'moonstone', stock: 'none' }] }));
    expect(plan.cost).closeTo(jobShop(openJob(job)).plan.cost + lock.price, 1e-9);
    const timber = plan.materials.find(({ item }) => item === 'planed-115x19');
    expect(timber?.kind === 'length' && timber.decided.released).deep.equal(['panel-z/rail']);
  });
});
