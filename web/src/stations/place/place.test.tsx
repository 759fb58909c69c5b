import { expect } from 'chai';
import {
  documentNow,
  field,
  find,
  leaveStation,
  openStation,
  pageText,
  press,
  rest,
  screen,
  textIn,
  type,
} from '../../shell/station.fixture';
import { useJob } from '../../state/job';

describe('web: Place', () => {
  after(leaveStation);
  const alert = () => textIn(screen.getByRole('alert'));

  it('takes a site in any common form, and refuses a wrong one where it is wrong', async () => {
    const user = await openStation('place');
    const where = () => field('Latitude, longitude') as HTMLInputElement;
    for (const [wrong, words] of [
      ['95 N, 10 E', 'A latitude goes to 90°.'],
      ['40 N', 'Write latitude and longitude'],
      ['-40.9 S, 172.9 E', 'sign or a letter'],
    ] as const) {
      await type(user, where(), wrong);
      expect(alert(), wrong).include(words);
    }
    await type(user, where(), '40°54′S 172°54′E');
    expect(screen.queryByRole('alert')).equal(null);
    expect(where().value).match(/40\.900°\sS, 172\.900°\sE/);
    expect(documentNow().site).deep.include({ latitude: -40.9, longitude: 172.9 });
    expect(pageText()).include('Facing north at 41°');
  });
  it('takes a skyline as pairs, and names a broken pair by its line', async () => {
    const user = await openStation('place');
    const text = () => field('Azimuth and elevation in degrees, a line a point');
    await user.clear(text());
    await user.type(text(), '90 12\n180 high');
    await user.tab();
    await rest();
    expect(alert()).include('Line 2');
    await user.clear(text());
    await user.type(text(), 'azimuth; elevation\n90; 12,5\n180; 3\n');
    await user.tab();
    await rest();
    expect(documentNow().site.horizon).deep.equal([
      { azimuth: 90, elevation: 12.5 },
      { azimuth: 180, elevation: 3 },
    ]);
    await press(user, 'Open it all round');
    expect(documentNow().site.horizon).deep.equal([]);
  });
  it('stands the pane by a school, compares it with the roof, and gives months that matter a best of their own', async () => {
    const user = await openStation('place');
    await press(user, /^Stand it so: Latitude and 12/);
    const tilt = Object.values(documentNow().site.standing.tilts)[0]?.tilt ?? 0;
    expect(tilt).closeTo(Math.abs(documentNow().site.latitude) + 12, 0.51);
    await press(user, 'Compare with the roof');
    await type(user, field('Roof pitch, ° or 6/12'), '4/12');
    expect(textIn(find('tr', /As the roof lies/))).include('18°');
    for (const month of ['November', 'December', 'January'])
      await press(user, month, find('[role="group"], fieldset', 'Months that matter most'));
    expect(textIn(screen.getByTestId('chosen-best'))).match(/For Nov to Jan the best is \d\d°/);
  });
  it('turns by what is typed, and one undo turns it back', async () => {
    const user = await openStation('place');
    const before = documentNow().site.standing.aim;
    await type(user, field('Aim, ° from north'), '200');
    expect(documentNow().site.standing.aim).equal(200);
    useJob.getState().undo();
    await rest();
    expect(documentNow().site.standing.aim).equal(before);
    await type(user, field('Aim, ° from north'), 'east');
    expect(alert()).not.equal('');
    expect(documentNow().site.standing.aim).equal(before);
  });
  it('says that the stand-in for the weather is one', async () => {
    await openStation('place');
    expect(pageText()).include('Made up: no weather service is set');
  });
});
