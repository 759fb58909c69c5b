import { expect } from 'chai';
import {
  choose,
  documentNow,
  field,
  find,
  leaveStation,
  openStation,
  pageText,
  press,
  refusal,
  rest,
  screen,
  soon,
  textIn,
  type,
} from '../../shell/station.fixture';
import { useJob } from '../../state/job';

const alert = () => textIn(screen.getByRole('alert'));

describe('web: Place, what stands about it', () => {
  after(leaveStation);
  /** Cells of the month-by-hour table that something takes sun from. */
  const taken = () => document.querySelectorAll('g[data-taken]').length;

  it('loses sun to a row in front, as far as it stands, and gets it back', async () => {
    const user = await openStation('place');
    expect(taken()).equal(0);
    await press(user, 'A row stands in front');
    await type(user, field('Row in front, foot to foot'), '1.2');
    const near = taken();
    expect(near).above(3);
    await type(user, field('Row in front, foot to foot'), '6');
    expect(taken()).below(near);
    await press(user, 'No row in front');
    expect(taken()).equal(0);
    expect(documentNow().site.standing.front).equal(undefined);
  });
  it('takes mains that were measured, and refuses a coldest that is above the warmest', async () => {
    const user = await openStation('place');
    await press(user, 'I measured the mains');
    await type(user, field('Mains, coldest'), '39');
    expect(alert()).include('The coldest is not above the warmest.');
    await type(user, field('Mains, coldest'), '6');
    expect(screen.queryByRole('alert')).equal(null);
    await press(user, /^Mains water/);
    expect(pageText()).include('measured by you; lag by Burch and Christensen (2007)');
  });
  it('aims the pane by a compass, with the declination of the map', async () => {
    const user = await openStation('place');
    await type(user, field('By your map, ° east'), '10');
    await type(user, field('Bearing of the pane, °'), '190');
    expect(documentNow().site.standing.aim).equal(200);
    expect(pageText()).match(/Facing 20° west of south/);
    await type(user, field('Bearing of the pane, °'), 'north-ish');
    expect(alert()).not.equal('');
    expect(documentNow().site.standing.aim).equal(200);
  });
  it('turns by keys at its handles, each press one undo', async () => {
    const user = await openStation('place');
    const aim = () => find('[role="slider"]', 'Aim of the pane');
    const tilt = () => find('[role="slider"]', 'Tilt of the pane');
    const before = documentNow().site.standing.aim;
    aim().focus();
    await user.keyboard('{ArrowRight}{Shift>}{ArrowRight}{/Shift}');
    await rest();
    expect(documentNow().site.standing.aim).equal(before + 11);
    tilt().focus();
    await user.keyboard('{PageUp}');
    await rest();
    expect(tilt().getAttribute('aria-valuenow')).equal('55');
    useJob.getState().undo();
    await rest();
    expect(tilt().getAttribute('aria-valuenow')).equal('45');
    expect(documentNow().site.standing.aim).equal(before + 11);
  });
  it('takes a tilt as rise over run, and none beyond upright', async () => {
    const user = await openStation('place');
    await type(user, field('Tilt, ° or 6/12'), '12/12');
    expect(Object.values(documentNow().site.standing.tilts)[0]?.tilt).closeTo(45, 1e-6);
    await type(user, field('Tilt, ° or 6/12'), '120');
    expect(alert()).include('Tilt is 0° to 90°: it stands upright.');
  });
  it('says when the clock can hardly be that of the longitude', async () => {
    const user = await openStation('place');
    await type(user, field('Latitude, longitude'), '40.9 S, 172.9 E');
    await choose('Time zone', 'Europe/London');
    expect(pageText()).include('the clock here should be near UTC+12');
    await choose('Time zone', 'Pacific/Auckland');
    expect(pageText()).not.include('the clock here should be near');
  });
});

describe('web: Place, its weather', () => {
  after(leaveStation);

  it('can be twelve monthly means of the builder’s, where an impossible one is refused', async () => {
    const user = await openStation('place');
    await press(user, 'Twelve means of your own');
    const july = await soon(() => field('sun on the flat, a day, July'));
    await type(user, july, '99');
    expect(alert()).include('at most 500 W/m²');
    await type(user, field('sun on the flat, a day, July'), '6.5');
    await press(user, 'Use these');
    expect(documentNow().site.climate).include({ kind: 'months' });
    await soon(() => expect(pageText()).include('twelve monthly means of your own'));
  });
  it('is one of the broad climates, and back by one undo', async () => {
    await openStation('place');
    await choose('Weather', 'Desert: hardly any rain, hot summers');
    expect(documentNow().site.climate).deep.equal({ kind: 'broad', type: 'desert' });
    await soon(() => expect(pageText()).include('“Desert”'));
    useJob.getState().undo();
    await rest();
    await soon(() => expect(pageText()).not.include('“Desert”'));
  });
  it('of the next days says when no service answers, and is asked again', async () => {
    let asked = 0;
    const answers = {
      '/outlook': () => {
        asked += 1;
        return refusal(502, 'The weather service at weather.invalid does not answer.');
      },
    };
    const user = await openStation('place', undefined, { answers });
    await soon(() => expect(alert()).include('does not answer'));
    const before = asked;
    await press(user, 'Ask again');
    expect(asked).above(before);
  });
});
