import { expect } from 'chai';
import {
  documentNow,
  field,
  find,
  leaveStation,
  openStation,
  pageText,
  press,
  region,
  rest,
  screen,
  soon,
  textIn,
  type,
} from '../../shell/station.fixture';
import { useJob } from '../../state/job';

describe('web: Pick', () => {
  after(leaveStation);

  it('settles what builders argue about by number, and tells every kind at the place', async () => {
    await openStation('pick');
    expect(textIn(region('Rules of thumb compared'))).include('kWh a year');
    for (const kind of [/Harp/, /Serpentine/, /Lattice/, /Batch box/, /Trough/]) expect(pageText()).match(kind);
  });
  it('refuses what cannot be on hand, and a day’s water that is no number', async () => {
    const user = await openStation('pick');
    await press(user, 'I have something');
    await type(user, field('How many'), 'half');
    expect(textIn(screen.getAllByRole('alert')[0] as Element)).not.equal('');
    await type(user, field('How many'), '2.5');
    expect(pageText()).include('A whole number, 1 to 999.');
    await press(user, 'Cancel');
    const before = documentNow();
    await type(user, field('A day'), 'lots');
    expect(textIn(screen.getByRole('alert'))).not.equal('');
    expect(documentNow()).equal(before);
  });
  it('takes another need, and says so in its sentence', async () => {
    const user = await openStation('pick');
    const sentence = () => textIn(screen.getByTestId('pick-sentence'));
    const before = sentence();
    await type(user, field('A day'), '300 L');
    expect(documentNow().need.volumePerDay).closeTo(0.3, 1e-9);
    expect(sentence()).not.equal(before);
  });
  it('is worked out again when the shop has something no more: boards that are not to be had move the money', async () => {
    await openStation('pick');
    const row = () => textIn(find('tr', /^.?Harp/));
    const change = async (path: string, value: unknown) => {
      expect(useJob.getState().change(path, value).ok, path).equal(true);
      await rest();
    };
    const before = row();
    const boards = Object.keys(documentNow().shop.sold).filter((id) => id.startsWith('planed-'));
    expect(boards.length).above(0);
    await change('shop.without', Object.fromEntries(boards.map((id) => [id, true])));
    await soon(() => expect(row()).not.equal(before));
  });
});
