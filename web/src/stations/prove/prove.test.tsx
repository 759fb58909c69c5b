import { beginJob, defaultJob, type Job } from '@north-pane/core/document';
import type { Sensors } from '@north-pane/core/proof';
import { fireEvent } from '@testing-library/react';
import { expect } from 'chai';
import {
  button,
  choose,
  documentNow,
  field,
  leaveStation,
  openStation,
  pageText,
  press,
  radio,
  refusal,
  region,
  rest,
  screen,
  soon,
  textIn,
  type,
  type User,
} from '../../shell/station.fixture';
import { useJob } from '../../state/job';
import { Desk, loggerFile, readingsOf } from './desk.fixture';

const verdict = () => textIn(screen.getByTestId('verdict'));

/** Stands the clock at a moment for as long as something runs. */
async function at<T>(moment: string, work: () => Promise<T>): Promise<T> {
  const own = Date.now;
  Date.now = () => new Date(moment).getTime();
  try {
    const done = await work();
    // Forms look at what was filled a moment later.
    await rest();
    return done;
  } finally {
    Date.now = own;
  }
}

/** Types a reading and taps a clear sky. */
async function fill(user: User, [inlet, outlet, air, flow]: readonly [string, string, string, string]): Promise<void> {
  for (const [label, value] of [
    ['Water in', inlet],
    ['Water out', outlet],
    ['Air', air],
    ['Flow, or 9 L in 3:51', flow],
  ] as const)
    await type(user, field(label), value);
  await user.click(radio('clear'));
  await rest();
}

describe('web: Prove, a reading by hand', () => {
  after(leaveStation);

  it('says how to take a first reading, by what kind of heater it is', async () => {
    await openStation('prove');
    expect(pageText()).include('time a bucket, tap the sky').include('Nothing measured yet.');
    await openStation('prove', defaultJob('batch-box'));
    expect(pageText()).include('taps shut and lid open');
    expect(() => field('Hot end')).not.throw();
    expect(() => field('Water out')).throw();
  });
  it('says what is still to be said, refuses what is no number, and sends what was read with its instruments', async () => {
    const desk = new Desk();
    const user = await openStation('prove', defaultJob('harp'), { answers: desk.answers() });
    const keep = () => button('Save this reading') as HTMLButtonElement;
    await type(user, field('Air'), '64F');
    await type(user, field('Flow, or 9 L in 3:51'), '9 L in 3:30');
    await type(user, field('Water in'), '18');
    await type(user, field('Water out'), 'boiling');
    expect(textIn(screen.getByRole('alert'))).include('A number is missing here.');
    await type(user, field('Water out'), '400');
    expect(textIn(screen.getByRole('alert'))).include('Water out is not believable here.');
    expect(keep().disabled).equal(true);
    await type(user, field('Water out'), '19');
    expect(pageText()).include('Still to say: the sky.');
    await user.click(radio('clear'));
    await rest();
    expect(keep().disabled).equal(false);
    await at('2027-06-21T11:30:00Z', () => user.click(keep()));
    const sent = desk.asked.find(({ method }) => method === 'POST')?.body as { reading: object; sensors: object };
    expect(sent.sensors).include({ thermometers: 'two digital', flow: 'marked bucket', sun: 'words' });
    expect(sent.reading).include({ inlet: 18, outlet: 19, sky: 'clear' });
    expect((sent.reading as { air: number }).air).closeTo(17.78, 0.01);
    expect((sent.reading as { flow: number }).flow).closeTo(0.009 / 210, 1e-9);
    await soon(() => expect(pageText()).include('1 reading'));
    // Next time air and flow stand there already; water and sky do not.
    expect((field('Air') as HTMLInputElement).value).match(/^17\.8/);
    expect((field('Flow, or 9 L in 3:51') as HTMLInputElement).value).match(/^2\.57/);
    expect((field('Water in') as HTMLInputElement).value).equal('');
    expect(radio('clear').checked).equal(false);
  });
  it('asks about what can hardly have been before it is kept', async () => {
    // Nothing is known of the night of a job that nobody has placed.
    const where = { latitude: 52.3, longitude: -1.9 };
    const job = beginJob('harp', { units: 'metric', name: 'By night', where });
    const desk = new Desk(job);
    const user = await openStation('prove', job, { answers: desk.answers() });
    const posted = () => desk.asked.filter(({ method }) => method === 'POST').length;
    await fill(user, ['12', '19', '2', '2.4']);
    const keepAtNight = async () => {
      await at('2027-12-21T00:30:00Z', () => user.click(button('Save this reading')));
    };
    await keepAtNight();
    expect(textIn(screen.getByRole('dialog'))).include('It is night');
    await press(user, 'Mend it first');
    expect(posted()).equal(0);
    expect((field('Water out') as HTMLInputElement).value).match(/^19/);
    await keepAtNight();
    await press(user, 'Keep it all the same');
    expect(posted()).equal(1);
    await soon(() => expect(pageText()).include('1 reading'));
  });
  it('keeps what was typed when the server does not take it, and says why', async () => {
    const answers = {
      '/readings': ({ method }: { method: string }) =>
        method === 'POST' ? refusal(503, 'The database does not answer just now.') : [],
    };
    const user = await openStation('prove', defaultJob('harp'), { answers });
    await fill(user, ['18', '23', '20', '2.5']);
    await at('2027-06-21T11:30:00Z', () => user.click(button('Save this reading')));
    await soon(() => expect(textIn(screen.getByRole('alert'))).include('does not answer just now'));
    expect((field('Water out') as HTMLInputElement).value).match(/^23/);
  });
  it('finds what is half filled again when the station is opened anew', async () => {
    const user = await openStation('prove');
    await type(user, field('Water in'), '21.5');
    await user.click(radio('thin cloud'));
    await rest();
    const kept = window.sessionStorage.getItem('north-pane-desk shed reading');
    expect(JSON.parse(kept ?? '{}')).include({ inlet: 21.5, sky: 'thin cloud' });
  });
  it('takes two readings of water that stands for one rise', async () => {
    const desk = new Desk(defaultJob('batch-box'));
    const morning = new Date('2027-06-21T09:00:00Z').getTime();
    desk.lay('by hand', [{ time: morning, inlet: 15, outlet: 15.5, air: 15, flow: 0, sky: 'clear' }], {
      thermometers: 'two digital',
      flow: 'marked bucket',
      sun: 'words',
    });
    const user = await openStation('prove', defaultJob('batch-box'), { answers: desk.answers() });
    await soon(() => expect(verdict()).match(/no warm-up to judge/));
    await type(user, field('Cold end'), '23');
    await type(user, field('Hot end'), '24');
    await user.click(radio('clear'));
    await rest();
    await at('2027-06-21T12:00:00Z', () => user.click(button('Save this reading')));
    if (screen.queryByRole('dialog')) await press(user, 'Keep it all the same');
    await soon(() => expect(pageText()).include('2 readings'));
    expect(verdict()).match(/of rise/);
  });
});

describe('web: Prove, readings of another time', () => {
  after(leaveStation);
  const when = (text: string) => fireEvent.change(field('Date and time (empty: now)'), { target: { value: text } });
  const read = (desk: Desk) =>
    desk.sources.flatMap(({ readings }) => readings.map(({ time, outlet }) => [new Date(time).toISOString(), outlet]));

  it('are kept at their own moment, several in a row, and said to be kept', async () => {
    const desk = new Desk();
    const user = await openStation('prove', defaultJob('harp'), { answers: desk.answers() });
    for (const [moment, warm] of [
      ['2026-06-20T12:00', '24'],
      ['2026-06-20T12:30', '25'],
      ['2026-06-21T11:45', '26'],
    ] as const) {
      await fill(user, ['18', warm, '20', '2.5']);
      when(moment);
      await rest();
      await press(user, 'Save this reading');
      await soon(() => expect(pageText()).include(`Kept: ${moment.replace('T', ' ')}`));
    }
    expect(read(desk)).deep.equal([
      ['2026-06-20T12:00:00.000Z', 24],
      ['2026-06-20T12:30:00.000Z', 25],
      ['2026-06-21T11:45:00.000Z', 26],
    ]);
  });
  it('are refused where they have not been yet', async () => {
    const desk = new Desk();
    const user = await openStation('prove', defaultJob('harp'), { answers: desk.answers() });
    await fill(user, ['18', '24', '20', '2.5']);
    when('2199-06-20T12:00');
    await rest();
    await press(user, 'Save this reading');
    expect(textIn(screen.getByRole('alert'))).include('A date and a time that have been.');
    expect(desk.sources).deep.equal([]);
  });
  it('are mended: the other goes once the mended one is kept, and nothing goes where that is refused', async () => {
    const at = Date.parse('2026-06-20T12:00:00Z');
    const words: Sensors = { thermometers: 'two digital', flow: 'marked bucket', sun: 'words' };
    const desk = new Desk().lay(
      'by hand',
      [{ time: at, inlet: 18, outlet: 42, air: 20, flow: 4e-5, sky: 'clear' }],
      words,
    );
    const user = await openStation('prove', defaultJob('harp'), { answers: desk.answers() });
    await soon(() => button(/^Correct:/));
    await user.click(button(/^Correct:/));
    await rest();
    expect((field('Water out') as HTMLInputElement).value).match(/^42/);
    await type(user, field('Water out'), '24');
    await press(user, 'Save the correction');
    await soon(() => expect(desk.sources.flatMap(({ readings }) => readings)).length(1));
    expect(read(desk)).deep.equal([['2026-06-20T12:00:00.001Z', 24]]);
  });
});

describe('web: Prove, the verdict', () => {
  after(leaveStation);
  const logged = (rise: number, built: Job | null = defaultJob('harp')) =>
    new Desk(built).lay('logger', readingsOf(loggerFile(rise)));

  it('tells a panel that does what was drawn from one that does not', async () => {
    await openStation('prove', defaultJob('harp'), { answers: logged(6.7).answers() });
    await soon(() => expect(verdict()).include('It does what it should'));
    expect(verdict()).include('steady stretches');
    await openStation('prove', defaultJob('harp'), { answers: logged(3.1).answers() });
    await soon(() => expect(verdict()).include('Colder than the panel should be'));
    await openStation('prove', defaultJob('harp'), { answers: logged(12).answers() });
    await soon(() => expect(verdict()).match(/[Hh]otter/));
  });
  it('judges the source that is chosen, and says what it was taken with', async () => {
    const desk = logged(6.7).lay('morning', readingsOf(loggerFile(3.1)).slice(0, 11), {
      thermometers: 'glass',
      flow: 'weighed bucket',
      sun: 'phone' as never,
    });
    await openStation('prove', defaultJob('harp'), { answers: desk.answers() });
    // The one with most readings comes first.
    await soon(() => expect(verdict()).include('It does what it should'));
    await choose('From', 'morning, 11');
    await soon(() => expect(pageText()).include('Thermometers: glass.'));
  });
  it('shows one day at a time, the one with most steady readings first', async () => {
    const twoDays = [
      ...readingsOf(loggerFile(6.7)),
      ...readingsOf(loggerFile(6.6))
        .slice(0, 5)
        .map((one) => ({ ...one, time: one.time + 86_400_000 })),
    ];
    await openStation('prove', defaultJob('harp'), { answers: new Desk().lay('logger', twoDays).answers() });
    await soon(() => expect(pageText()).include('through 21 June 2026'));
    await choose('Day', '22 June 2026');
    await soon(() => expect(pageText()).include('through 22 June 2026'));
    expect(JSON.parse(window.sessionStorage.getItem('north-pane-desk shed day') ?? '""')).equal('2026-06-22');
  });
  it('says the same in feet and Fahrenheit', async () => {
    const job = defaultJob('harp', { units: 'imperial' });
    await openStation('prove', job, { answers: logged(6.7, job).answers() });
    await soon(() => expect(verdict()).match(/12\.1 °F/));
  });
  it('reads older pages when they are asked for, and judges all that was read', async () => {
    const all = readingsOf(loggerFile(6.7, 24));
    const pages = [all.slice(12), all.slice(0, 12)];
    const asked: (string | null)[] = [];
    const answers = {
      '/readings': ({ query }: { query: URLSearchParams }) => {
        const before = query.get('before');
        asked.push(before);
        const readings = pages[before === null ? 0 : 1];
        return [
          {
            id: 1,
            name: 'logger',
            sensors: { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' },
            count: 24,
            readings,
          },
        ];
      },
    };
    const user = await openStation('prove', defaultJob('harp'), { answers });
    await soon(() => expect(pageText()).include('Only the newest 12 are shown and judged.'));
    await press(user, 'Read older ones');
    await soon(() => expect(pageText()).not.include('Only the newest'));
    expect(asked).deep.equal([null, String(all[12]?.time)]);
  });
  it('says when what was measured cannot be fetched', async () => {
    const answers = { '/readings': () => refusal(500, 'Something broke on the server.') };
    await openStation('prove', defaultJob('harp'), { answers });
    await soon(() => expect(textIn(screen.getByRole('alert'))).include('Something broke'));
    expect(pageText()).not.include('Nothing measured yet.');
  });
  it('stays with what was built when the drawing moves on', async () => {
    const drawn = defaultJob('harp');
    const build = {
      id: 1,
      revisionId: 1,
      number: 3,
      note: 'as built',
      installedFrom: '2026-05-01T12:00:00Z',
      takenBack: null,
      document: drawn,
    };
    const desk = logged(6.7);
    await openStation('prove', drawn, { answers: desk.answers({ '/builds': [build] }) });
    await soon(() => expect(verdict()).include('It does what it should'));
    const before = verdict();
    expect(textIn(region('Compared with'))).include('Revision 3, built 1 May 2026: as built.');
    for (let less = 0; less < 4; less += 1)
      useJob.getState().change('heaters.panel-a.parameters.riserCount', 11 - less);
    await rest();
    expect(documentNow().heaters['panel-a']?.parameters.riserCount).equal(8);
    await soon(() => expect(verdict()).equal(before));
  });
  it('is given on no heater that nobody said was built; what was measured is kept and shown', async () => {
    const desk = logged(3.1, null);
    const user = await openStation('prove', defaultJob('harp'), { answers: desk.answers() });
    await soon(() => expect(verdict()).include('Is this what you built?'));
    expect(verdict()).not.match(/should|Colder/);
    expect(textIn(region('Compared with'))).include('Nobody has said what was built');
    expect(pageText()).include('12 readings');
    await at('2027-06-21T11:30:00Z', async () => {
      await fill(user, ['18', '19', '20', '2.5']);
      // The headline is shown without a judgement.
      await soon(() => expect(pageText()).include('No verdict yet.'));
      expect(pageText()).not.match(/One reading alone|than the panel should be/);
    });
  });
  it('notes that it was built as drawn now: saved first, then a revision, then from when it stands', async () => {
    const told: string[] = [];
    const desk = logged(6.7, null);
    const user = await openStation('prove', defaultJob('harp'), {
      answers: desk.answers({
        '/revisions': ({ method, body }: { method: string; body: { version: number; note: string } }) => {
          if (method === 'POST') told.push(`revision of ${body.version}: ${body.note}`);
          return method === 'POST' ? { id: 7, number: 1 } : [];
        },
        '/builds': ({ method, body }: { method: string; body: { revisionId: number; installedFrom: string } }) => {
          if (method === 'POST') told.push(`build of ${body.revisionId} from ${body.installedFrom}`);
          return [];
        },
      }),
    });
    await soon(() => expect(verdict()).not.equal(''));
    await press(user, 'I built this design');
    const [first] = readingsOf(loggerFile(6.7));
    await soon(() =>
      expect(told).deep.equal([
        'revision of 1: as built',
        `build of 7 from ${new Date(first?.time ?? 0).toISOString()}`,
      ]),
    );
  });
});
