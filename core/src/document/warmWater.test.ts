import { expect } from 'chai';
import { isWarmWater, warmWaterWords } from './warmWater';

describe('document: warm water', () => {
  it('is from that of a cold lake to that which does not boil, ends and all', () => {
    expect([9.9, 10, 42, 95, 95.1, Number.NaN].map(isWarmWater)).deep.equal([false, true, true, true, false, false]);
  });
  it('says its ends in the units of who asks', () => {
    const said = (['metric', 'imperial'] as const).map((habit) => warmWaterWords(habit).replaceAll('\u00a0', ' '));
    expect(said).deep.equal(['Warm water is 10 °C to 95 °C.', 'Warm water is 50 °F to 203 °F.']);
  });
});
