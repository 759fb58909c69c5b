import { defaultJob } from '@north-pane/core/document';
import type { ReadingMapping } from '@north-pane/core/proof';
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
  radio,
  region,
  rest,
  screen,
  soon,
  textIn,
  type,
  type User,
} from '../../shell/station.fixture';
import { Desk, loggerFile, readingsOf } from './desk.fixture';

const dialog = () => screen.getByRole('dialog');
const alert = () => textIn(screen.getByRole('alert'));

/** Chooses a file in the dialog that takes files in. */
async function choosesFile(user: User, name: string, content: string | Uint8Array<ArrayBuffer>): Promise<void> {
  const held = await soon(() => field('CSV from a logger or a spreadsheet'));
  await user.upload(held, new File([content], name, { type: 'text/csv' }));
  await rest();
}

/** Opens Prove and takes a file in, up to what is told of it. */
async function takesIn(desk: Desk, name: string, content: string, user?: User): Promise<User> {
  const hands = user ?? (await openStation('prove', defaultJob('harp'), { answers: desk.answers() }));
  await press(hands, 'Import file');
  await choosesFile(hands, name, content);
  await press(hands, 'Look through it');
  return hands;
}

/** Which column was said to be what when a file was looked through last. */
function lastMapping(desk: Desk): ReadingMapping {
  const last = desk.asked.findLast(({ path }) => path.endsWith('import'));
  if (!last) throw new Error('no file was looked through');
  return (last.body as { mapping: ReadingMapping }).mapping;
}

describe('web: Prove, a file taken in', () => {
  after(leaveStation);

  it('is looked through first, and kept when its good rows are', async () => {
    const desk = new Desk();
    const user = await takesIn(desk, 'good.csv', loggerFile(6.7));
    await soon(() => expect(textIn(dialog())).include('12 readings can be kept. Nothing is kept yet.'));
    expect(desk.sources).deep.equal([]);
    await press(user, 'Save the 12 good rows');
    await soon(() => expect(textIn(dialog())).include('12 readings kept.'));
    await press(user, 'Done');
    await soon(() => expect(textIn(screen.getByTestId('verdict'))).include('It does what it should'));
    expect(desk.sources.map(({ name, count }) => [name, count])).deep.equal([['good', 12]]);
    expect(desk.sources[0]?.sensors).include({ flow: 'meter', sun: 'pyranometer' });
  });
  it('is passed over where it is known value for value, and refused where it differs', async () => {
    const desk = new Desk();
    const user = await takesIn(desk, 'logger.csv', loggerFile(6));
    await press(user, 'Save the 12 good rows');
    await press(user, 'Done');
    await takesIn(desk, 'logger.csv', loggerFile(6, 14), user);
    await soon(() => expect(textIn(dialog())).include('12 stand here already, value for value'));
    await press(user, 'Save the 2 good rows');
    await soon(() => expect(textIn(dialog())).include('2 readings kept.'));
    await press(user, 'Done');
    await takesIn(desk, 'logger.csv', loggerFile(5), user);
    await soon(() => expect(textIn(dialog())).include('12 have a time at which other values stand already'));
    expect(() => button(/good rows?$/, dialog())).throw('no');
    expect(desk.sources[0]?.count).equal(14);
  });
  it('leaves nothing behind when it is cancelled after the look', async () => {
    const desk = new Desk();
    const user = await takesIn(desk, 'maybe.csv', loggerFile(6));
    await press(user, 'Cancel, keep nothing');
    expect(screen.queryByRole('dialog')).equal(null);
    expect(desk.sources).deep.equal([]);
    expect(pageText()).include('Nothing measured yet.');
  });
  it('names the lines that cannot be read, and keeps the others', async () => {
    const desk = new Desk();
    const broken = loggerFile(6).replace('2026-06-21 11:10', 'a quarter past');
    const user = await takesIn(desk, 'broken.csv', broken);
    await soon(() => expect(textIn(dialog())).match(/line 4/));
    expect(textIn(dialog())).include('11 readings can be kept');
    await press(user, 'Save the 11 good rows');
    expect(desk.sources[0]?.count).equal(11);
  });
  it('has its columns set by hand, with units, clock and order of dates', async () => {
    const desk = new Desk();
    const user = await openStation('prove', defaultJob('harp'), { answers: desk.answers() });
    await press(user, 'Import file');
    await choosesFile(user, 'bare.csv', loggerFile(6).replace(/^.*\n/, 'when,a,b,c,d,e\n'));
    for (const [column, heading] of [
      ['water in', 'a'],
      ['water out', 'b'],
      ['air', 'c'],
      ['sun on the pane', 'd'],
      ['flow', 'e'],
    ] as const)
      await choose(column, heading, dialog());
    await choose('unit of water in', '°F', dialog());
    await press(user, 'Look through it');
    await soon(() => expect(textIn(dialog())).include('readings can be kept'));
    // 18 °F is ice: the unit is put right, what was found is forgotten, and the file is looked through again.
    await choose('unit of water in', '°C', dialog());
    expect(textIn(dialog())).not.include('can be kept');
    await choose('clock of the times', 'UTC', dialog());
    await choose('Decimals', '1,050 is 1.05', dialog());
    await press(user, 'Look through it');
    expect(lastMapping(desk)).deep.include({
      time: { column: 'when', zone: 'utc' },
      decimal: 'comma',
    });
    await choose('wind', 'e', dialog());
    await choose('wind', 'not in the file', dialog());
    await press(user, 'Look through it');
    expect(Object.keys(lastMapping(desk).columns)).not.include('wind');
  });
  it('is told apart from what is too large, no text, or no table', async () => {
    const user = await openStation('prove');
    await press(user, 'Import file');
    const huge = new Uint8Array(21 * 1024 * 1024).fill(97);
    for (const [name, content, words] of [
      ['huge.csv', huge, 'huge.csv is 21 MB; at most 20 MB'],
      ['picture.csv', new Uint8Array([80, 75, 3, 4, 0, 0, 0, 1, 44, 10]), 'picture.csv is no text file'],
      ['prose.csv', 'It was a fine day.\nThe water was hot.\n', 'has no columns that can be told apart'],
    ] as const) {
      await choosesFile(user, name, content);
      await soon(() => expect(alert(), name).include(words));
      expect(() => button('Look through it'), name).throw('no');
    }
  });
  it('says what the server refuses, and can be looked through again', async () => {
    const desk = new Desk();
    const user = await takesIn(desk, 'goats.csv', 'time,goat,milk\n2026-02-09 10:00,Bess,2.4\n');
    await soon(() => expect(alert()).include('Say which columns hold: inlet, outlet, air, flow.'));
    await choosesFile(user, 'good.csv', loggerFile(6));
    expect(screen.queryByRole('alert')).equal(null);
    await press(user, 'Look through it');
    await soon(() => expect(textIn(dialog())).include('12 readings can be kept'));
  });
});

describe('web: Prove, readings looked through', () => {
  after(leaveStation);
  const open = async () => {
    const desk = new Desk().lay('logger', readingsOf(loggerFile(6.7)));
    const user = await openStation('prove', defaultJob('harp'), { answers: desk.answers() });
    await soon(() => screen.getByTestId('verdict'));
    await press(user, 'Look through them');
    await soon(() => find('table', /Readings, logger/));
    return { desk, user };
  };
  const rows = () => [...find('table', /Readings, logger/).querySelectorAll('tbody tr')];

  it('stand with the newest first, are turned round, and found by a part of their time', async () => {
    const { user } = await open();
    expect(rows().length).equal(12);
    expect(textIn(rows()[0] as Element)).include('11:55');
    await press(user, 'when', dialog());
    await soon(() => expect(textIn(rows()[0] as Element)).include('11:00'));
    await user.type(field('Find a day or a sky'), '11:3');
    await rest();
    expect(rows().map((row) => textIn(row).slice(0, 16))).deep.equal(['2026-06-21 11:30', '2026-06-21 11:35']);
  });
  it('are taken out one by one, on a second press', async () => {
    const { desk, user } = await open();
    const row = find('tr', /11:10/);
    await press(user, /^Take out: reading of/, row);
    expect(textIn(find('tr', /11:10/))).include('For good?');
    await press(user, 'Leave it', find('tr', /11:10/));
    expect(desk.sources[0]?.count).equal(12);
    await press(user, /^Take out: reading of/, find('tr', /11:10/));
    await press(user, 'Take out for good', find('tr', /11:10/));
    await soon(() => expect(rows().length).equal(11));
    const asked = desk.asked.find(({ method }) => method === 'DELETE');
    expect(asked?.query.get('from')).equal(asked?.query.get('to')).not.equal(null);
  });
  it('are taken out all at once, which empties the station', async () => {
    const { desk, user } = await open();
    await press(user, 'Take all out: logger');
    expect(textIn(dialog())).include('12 readings would be gone.');
    await press(user, 'Take all out for good');
    await soon(() => expect(pageText()).include('Nothing measured yet.'));
    expect(desk.sources).deep.equal([]);
  });
});

describe('web: Prove, tests by hand', () => {
  after(leaveStation);
  const kept = () => documentNow().asBuilt['/heaters/panel-a/known'] as { value: object } | undefined;

  it('lay a bond over what was built and not over what is drawn, and are taken off again', async () => {
    const user = await openStation('prove');
    await press(user, 'Test by hand');
    const keep = () => button('Lay it over the design as built') as HTMLButtonElement;
    await soon(() => expect(keep().disabled).equal(true));
    for (const [label, value] of [
      ['tube, 1', '50'],
      ['plate beside it, 1', '55'],
      ['room, 1', '20'],
    ] as const)
      await type(user, field(label), value);
    expect(textIn(dialog())).include('The tube must be at least as warm as the plate');
    expect(keep().disabled).equal(true);
    await type(user, field('tube, 1'), '58.2');
    await type(user, field('plate beside it, 1'), '54.1');
    expect(textIn(dialog())).match(/Bond of tube and plate: \d+\.\d W\/mK/);
    await press(user, 'Lay it over the design as built');
    expect(screen.queryByRole('dialog')).equal(null);
    expect(kept()?.value).nested.include({ 'bond.kind': 'measured' });
    expect(documentNow().heaters['panel-a']).not.have.property('known');
    expect(textIn(region('Tested by hand'))).match(/Bond of tube and plate: \d+ W\/mK/);
    await press(user, 'Take off: Bond of tube and plate');
    expect(kept()).equal(undefined);
    expect(pageText()).include('Nothing yet. A bond, a pane or a plate');
  });
  it('ask what the bond stood in, and find another value for it', async () => {
    const user = await openStation('prove');
    await press(user, 'Test by hand');
    await soon(() => field('tube, 1'));
    for (const [label, value] of [
      ['tube, 1', '58.2'],
      ['plate beside it, 1', '54.1'],
      ['room, 1', '20'],
    ] as const)
      await type(user, field(label), value);
    const found = () => Number(/Bond of tube and plate: ([\d.]+)/.exec(textIn(dialog()))?.[1]);
    const insulated = found();
    await user.click(radio('open to the room'));
    await rest();
    // A back that loses heat too draws more through the bond: the same step of temperature means a better one.
    expect(found()).above(insulated);
  });
  it('keep what was typed when they are left, until it is laid over', async () => {
    const user = await openStation('prove');
    await press(user, 'Test by hand');
    await soon(() => field('tube, 1'));
    await type(user, field('tube, 1'), '51');
    await press(user, 'Leave it');
    await press(user, 'Test by hand');
    await soon(() => expect((field('tube, 1') as HTMLInputElement).value).match(/^51/));
  });
  it('are offered by what the heater has', async () => {
    const user = await openStation('prove', defaultJob('spiral'));
    await press(user, 'Test by hand');
    await soon(() => dialog());
    expect(textIn(dialog())).not.include('Bond of tube and plate');
  });
});
