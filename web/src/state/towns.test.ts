import { expect } from 'chai';
import { findTowns } from './towns';

const first = async (text: string) => (await findTowns(text))[0];

describe('web: towns', () => {
  it('are found by the beginning of their name, the largest first, with the clock that they keep', async () => {
    const paris = await first('pari');
    expect(paris).include({ name: 'Paris', zone: 'Europe/Paris' });
    expect(paris?.latitude).closeTo(48.87, 0.05);
    expect(paris?.longitude).closeTo(2.33, 0.05);
    const people = (await findTowns('sa')).map((one) => one.people);
    expect([...people].sort((a, b) => b - a)).deep.equal(people);
    expect(people.length).equal(6);
  });
  it('of just that name come before longer ones that are larger', async () => {
    expect((await first('York'))?.name).equal('York');
  });
  it('are told apart by what they lie in, after a comma', async () => {
    expect((await first('Wellington, New Zealand'))?.zone).equal('Pacific/Auckland');
    expect((await first('Perth, Australia'))?.latitude).below(-31);
    for (const one of await findTowns('Perth, Australia')) expect(one.of).include('Australia');
  });
  it('are found without the marks of their letters, and whatever the case', async () => {
    expect((await first('ZURICH'))?.zone).equal('Europe/Zurich');
    expect((await first('zürich'))?.zone).equal('Europe/Zurich');
  });
  for (const text of ['', 'x', '52.3 N, 1.9 W', 'Xqzzy', ',,', '12'])
    it(`are none for “${text}”`, async () => expect(await findTowns(text)).deep.equal([]));
  it('all lie on the earth, in a zone that a clock knows', async () => {
    for (const letters of ['san', 'new', 'al', 'be', 'ka'])
      for (const { latitude, longitude, zone, name } of await findTowns(letters, 500)) {
        expect(Math.abs(latitude), name).below(90);
        expect(Math.abs(longitude), name).most(180);
        expect(() => new Intl.DateTimeFormat('en', { timeZone: zone }), zone).not.throw();
      }
  });
});
