import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import {
  button,
  choose,
  documentNow,
  field,
  find,
  leaveStation,
  openStation,
  pageText,
  press,
  region,
  screen,
  shopOf,
  soon,
  textIn,
  type,
} from '../../shell/station.fixture';

const table = (name: string) => find('table, [role="table"]', name);
/** A field of a table by the beginning of its label. */
const price = (name: RegExp) => field(name) as HTMLInputElement;

describe('web: Cut', () => {
  after(leaveStation);

  it('plans without what the shop has not, and says so in the document', async () => {
    const user = await openStation('cut');
    await press(user, /The shop has 15 × 0\.7 copper, 5 000/);
    expect(textIn(region('15 × 0.7 copper'))).match(/12 of 3 000 mm/);
    expect(Object.keys(documentNow().shop.without ?? {})).length(1);
  });
  it('refuses a kerf that no saw has, and takes that of another saw', async () => {
    const user = await openStation('cut');
    const kerf = () => {
      const [, boards] = [...region('Saw').querySelectorAll('label')].filter((one) => textIn(one).trim() === 'takes');
      return document.getElementById(boards?.htmlFor ?? '') as HTMLInputElement;
    };
    await type(user, kerf(), '20 mm');
    expect(textIn(region('Saw'))).include('Saw cut of boards is 0');
    await user.type(kerf(), '{Escape}');
    await choose('Boards cut with', 'hand saw', region('Saw'));
    expect(kerf().value).equal('1.5 mm');
  });
  it('takes what lies in the shed first', async () => {
    const user = await openStation('cut');
    await type(user, field('length', region('In your shed')), '4 m');
    expect(textIn(table('Buy'))).include('on hand');
    expect(Object.values(documentNow().shop.onHand ?? {})).length(1);
  });
  it('weighs something else that is sold, and plans with it', async () => {
    const user = await openStation('cut');
    await press(user, 'Something else?', region('At the shop'));
    await press(user, 'Take it');
    expect(() => region('15 × 0.7 copper')).throw(/no section/);
  });
  it('keeps the row of a mistyped price, which is mended there', async () => {
    const user = await openStation('cut');
    const first = await soon(() => price(/^Price of 15 × 0\.7 copper/));
    const before = first.value;
    const label = textIn(document.querySelector(`label[for="${first.id}"]`) ?? document.body).trim();
    await type(user, first, '99999');
    expect(textIn(table('Buy'))).include('not taken at this price');
    await type(user, await soon(() => field(label)), before);
    expect(textIn(table('Buy'))).not.include('not taken at this price');
  });
  it('refuses a price that is none at its field, and sums one that is', async () => {
    const user = await openStation('cut');
    const caps = () => price(/^Price of End caps for the headers/);
    await type(user, await soon(caps), 'cheap');
    expect(textIn(screen.getByRole('alert'))).include('A number is missing here.');
    await type(user, caps(), '10');
    expect(textIn(find('tr', /End caps/))).include('20.00');
  });
  it('ticks pieces off, up to the one that is pressed, and takes the last one off again', async () => {
    const user = await openStation('cut');
    await press(user, 'Riser 3 of 12');
    expect(shopOf().made).deep.equal({ 'panel-a/riser': 3 });
    await press(user, 'Riser 3 of 12');
    expect(shopOf().made['panel-a/riser']).equal(2);
  });
  it('locks a bar as cut: its pieces are made, and the lock can be taken off', async () => {
    const user = await openStation('cut');
    await press(user, /^Lock as cut: 28 × 0\.9 copper, bar 1/);
    expect(shopOf().cuts).length(1);
    expect(Object.values(shopOf().made).reduce((sum, count) => sum + count, 0)).above(0);
    expect(pageText()).match(/cut/);
  });
  it('says what a miscut means, and refuses what is no length', async () => {
    const user = await openStation('cut');
    await press(user, /^I cut it at.*/);
    const at = () =>
      [...document.querySelectorAll<HTMLInputElement>('article input')].find((one) => one.type === 'text');
    const entry = at();
    if (!entry) throw new Error('nowhere to say at what it was cut');
    await type(user, entry, 'short');
    expect(textIn(screen.getByRole('alert'))).match(/number/);
  });
  it('has a card for every piece, in order of its size on the list', async () => {
    await openStation('cut', defaultJob('batch-box', { units: 'imperial' }));
    const names = [...document.querySelectorAll('article')].map((one) => one.getAttribute('aria-label') ?? '');
    expect(names.length).above(5);
    expect(new Set(names).size).equal(names.length);
    expect(button(/Print, files/)).not.equal(undefined);
  });
});
