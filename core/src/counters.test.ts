import { expect } from 'chai';
import { defaultJob, familyIds } from './document';
import { jobShop, openJob } from './job';
import { buyByCounter, counterOf, packsOf } from './shop';

const line = (key: string, quantity: number, unit: 'each' | 'm' | 'kg' | 'L' = 'each') => ({
  id: `panel-a/${key}`,
  name: key,
  quantity,
  unit,
  rule: 'as drawn',
  priceField: ['prices', key],
});

describe('shop: the buy list by counter', () => {
  it('has every line at one counter, in the order in which shops are walked', () => {
    for (const family of familyIds)
      for (const units of ['metric', 'imperial'] as const) {
        const { plan } = jobShop(openJob(defaultJob(family, { units })));
        const groups = buyByCounter(plan.buy);
        expect(groups.flatMap(({ lines }) => lines).length).equal(plan.buy.length);
        expect(new Set(groups.map(({ counter }) => counter)).size).equal(groups.length);
        for (const { lines } of groups) expect(lines.length).above(0);
      }
  });
  it('finds copper at the plumber’s, boards at the yard, sheet copper with the metal and screws in the drawers', () => {
    const { plan } = jobShop(openJob(defaultJob('harp')));
    const at = (name: RegExp) => plan.buy.filter((one) => name.test(one.name)).map(counterOf);
    expect(new Set(at(/^15 × 0.7 copper$/))).deep.equal(new Set(['plumber’s counter']));
    expect(new Set(at(/planed board/))).deep.equal(new Set(['timber yard']));
    expect(new Set(at(/copper sheet/))).deep.equal(new Set(['metal']));
    expect(new Set(at(/^Stainless screws/))).deep.equal(new Set(['screws and fittings']));
    expect(new Set(at(/^Pane,/))).deep.equal(new Set(['glazier']));
    expect(counterOf({ ...line('paint', 1, 'L'), have: true })).equal('shed and scrap');
  });
  it('sells in whole packs: 143 screws are two boxes, a drop of flux is a tin (by hand)', () => {
    expect(packsOf(line('screw', 143), 'metric')).equal('2 boxes of 100');
    expect(packsOf(line('screw', 100), 'metric')).equal('1 box of 100');
    expect(packsOf(line('flux', 0.02, 'kg'), 'metric')).equal('1 tin of 100 g');
    expect(packsOf(line('silicone', 0.61, 'L'), 'metric')).equal('3 cartridges of 300 mL');
    expect(packsOf(line('paint', 1, 'L'), 'imperial')).equal('2 quarts');
    expect(packsOf(line('gasket', 16, 'm'), 'imperial')).equal('2 50 ft rolls');
    expect(packsOf(line('union', 2), 'metric')).equal(undefined);
  });
});
