import { defaultJob } from '@north-pane/core/document';
import { standardChoice } from '@north-pane/core/families';
import { expect } from 'chai';
import { paperFonts } from './fonts';
import { Complaint, run } from './run';

const harp = defaultJob('harp');
/** The same harp in bent metal, on a roof. */
const bent = {
  ...harp,
  heaters: {
    'panel-a': {
      ...harp.heaters['panel-a'],
      box: standardChoice('box', 'folded-edge', 'metric'),
      mount: { kind: 'roof-standoff', parameters: {} },
    },
  },
};

const files: Record<string, string> = {
  'bent.json': JSON.stringify(bent),
  'job.json': JSON.stringify(defaultJob('harp')),
  'tanks.json': JSON.stringify(defaultJob('batch-box')),
  'tanks.csv': [
    'time,cold end °C,hot end °C,air °C,sun W/m²,flow L/min',
    '2026-06-09 09:00,18,19,20,600,0',
    '2026-06-09 12:00,27,29,22,900,0',
    '2026-06-09 12:05,14,28.5,22,900,8',
    '2026-06-09 12:10,14,28,22,900,8',
  ].join('\n'),
  'broken.json': '{"format":',
  'wrong.json': JSON.stringify({ ...defaultJob('harp'), units: 'cubits' }),
  'readings.csv': [
    'time,water in °C,water out °C,air °C,sun W/m²,flow L/min',
    '2026-06-09 12:00,18,23.5,20,900,2.6',
    '2026-06-09 12:05,warm,23.5,20,900,2.6',
  ].join('\n'),
};
const world = {
  read(path: string): string {
    const text = files[path];
    if (text === undefined) throw new Complaint(`${path}: cannot be read (ENOENT)`);
    return text;
  },
  now: () => new Date('2026-05-01T12:00:00Z'),
  fonts: paperFonts,
};
const np = async (line: string) => {
  const answer = await run(line.split(' '), world);
  return typeof answer === 'string' ? answer : Buffer.from(answer).toString('latin1');
};
const json = async (line: string) => JSON.parse(await np(line));

const refused = async (line: string, words: RegExp) => {
  let thrown: unknown;
  try {
    await np(line);
  } catch (error) {
    thrown = error;
  }
  expect(thrown).instanceOf(Complaint);
  expect((thrown as Complaint).message).match(words);
};

describe('np', () => {
  it('gives figures, bands, parts, cuts and cautions as JSON', async () => {
    expect((await json('figures job.json')).apertureArea).closeTo(2.157, 0.001);
    expect((await json('bands job.json --seed 2')).gain).keys('low', 'likely', 'high');
    expect((await json('bands job.json --make home-made')).gain.likely).below(
      (await json('bands job.json')).gain.likely,
    );
    expect((await json('parts job.json')).map((part: { id: string }) => part.id)).include('panel-a/header-cold');
    expect((await json('cuts job.json')).materials[0].plan.bars.length).above(0);
    expect(await np('cuts job.json --format csv')).match(/^\ufeffpart,name,/);
    expect(await json('cautions job.json')).deep.equal([]);
  });
  it('says what overheats, what a still panel does and how it shares its water', async () => {
    expect((await json('overheats job.json'))[0]).include.keys(
      'panel',
      'name',
      'place',
      'sees',
      'high',
      'limit',
      'margin',
    );
    expect((await json('still job.json'))[0]).include({ panel: 'panel-a' });
    expect((await json('still job.json'))[0].boils).within(600, 7200);
    expect((await json('water job.json'))[0].riserFlow).within(1, 3);
  });
  it('lines up every kind at the place of a job, with reasons, and settles what builders argue about', async () => {
    const { kinds, arguments: settled } = await json('pick job.json');
    expect(kinds.length).above(8);
    for (const one of kinds) {
      expect(one.year.likely, one.family).within(0, one.needed);
      expect([...one.for, ...one.against].join(' '), one.family).not.match(/⟦|NaN/);
    }
    expect(settled.map(({ id }: { id: string }) => id)).include('glazed');
  });
  it('gives each heater its characteristic, and prints it as a report', async () => {
    const [first] = await json('characteristic job.json');
    expect(first).include({ panel: 'panel-a', kind: 'flow-through', oneWay: false });
    expect(first.iso.eta0b).within(0.68, 0.8);
    expect(first.residual.worst).below(0.02);
    expect((await np('print job.json --kind report')).slice(0, 5)).equal('%PDF-');
  });
  it('runs a store through its days, and holds its warm-ups and draws against it', async () => {
    const [tanks] = await json('day tanks.json --month 6');
    expect(tanks.panel).equal('panel-a');
    expect(tanks.days).keys('clear', 'average', 'bad');
    const share = tanks.days.clear.readouts.find(({ id }: { id: string }) => id === 'share');
    expect(share.label).match(/°C$/);
    await refused('day tanks.json --month 13', /“13” is none/);
    await refused('day job.json', /none of them holds its own store/);
    const { verdict, draws, readings } = await json('compare tanks.json --readings tanks.csv');
    expect(verdict.of).equal('rise');
    expect(readings).length(1);
    expect(draws).length(1);
    expect(draws[0].volume).closeTo(0.08, 1e-9);
  });
  it('draws', async () => {
    expect(await np('draw job.json --view section --format svg')).match(/^<svg/);
    expect(await np('draw job.json --units imperial')).include('1/2″');
  });
  it('draws bent metal laid flat where there is any, and names the views where there is none', async () => {
    expect(await np('draw bent.json --view bent')).include('left, right mirrored');
    expect(await np('draw bent.json --view side')).include('roof, 45°');
    await refused('draw job.json --view bent', /plan, section, detail, side$/);
  });
  it('lists the steps in order, their words in the habit that is asked for', async () => {
    const steps = await json('steps bent.json');
    const ids = steps.map(({ id }: { id: string }) => id);
    expect(ids[0]).equal('panel-a/step/cut');
    expect(ids[ids.length - 1]).equal('panel-a/step/carry');
    expect(ids.indexOf('panel-a/step/stand')).below(ids.indexOf('panel-a/step/carry'));
    const words = async (line: string) => JSON.stringify(await json(line));
    expect(await words('steps bent.json'))
      .match(/\d\smm/)
      .not.match(/[⟦⟧]/);
    expect(await words('steps bent.json --units imperial'))
      .match(/\d″/)
      .not.match(/\d\smm/);
  });
  it('writes the work on a part in the habit of the job, bend lines in metres', async () => {
    const parts = (await json('parts bent.json')) as {
      id: string;
      operations: string[];
      bends?: { positions: number[] };
    }[];
    const low = parts.find(({ id }) => id === 'panel-a/edge-low');
    expect(low?.bends?.positions).length(2);
    for (const { operations } of parts) expect(operations.join()).not.match(/[⟦⟧]/);
    expect(parts.find(({ id }) => id === 'panel-a/rail')?.operations.join()).match(/rip to \d+\smm wide/);
  });
  it('proves its cuts, and lays them out for other programs', async () => {
    const quick = await json('cuts job.json');
    const proved = await json('cuts job.json --proved yes');
    expect(proved.cost).at.most(quick.cost + 1e-9);
    expect(await np('cuts job.json --format dxf')).match(/SECTION[\s\S]*EOF/);
    expect(await np('cuts job.json --format svg --material ply-9')).include('9 mm plywood, laid out');
  });
  it('finds sizes that save stock', async () => {
    const points = await json('waste job.json --dimension pitch');
    expect(points[0]).property('saves').above(0);
    expect(points[0].words).match(/of stock/);
  });
  it('says what each screw of a roof must hold', async () => {
    const found = await (await json('cautions bent.json')).find(
      ({ code }: { code: string }) => code === 'fixings-pull',
    );
    expect(found.words.headline).match(/each coach screw into the rafters holds \d+\skg/);
  });
  it('says what the place gives', async () => {
    const place = await json('place job.json');
    expect(place.words).match(/best fixed pane/);
    expect(place.weather.words).match(/guessed from the latitude/);
    expect(place.onPane).length(12);
    expect(place.study.best.year.tilt).within(25, 50);
    expect(place.mains.every((value: number) => value > 0 && value < 30)).equal(true);
  });
  it('compares readings and names the lines it refused', async () => {
    const answer = await json('compare job.json --readings readings.csv');
    expect(answer.readings).length(1);
    expect(answer.refused).deep.equal([{ line: 3, reason: 'inlet “warm” is not a number' }]);
    // One reading alone: nobody knows whether it had settled.
    expect(answer.verdict).include({ judgement: 'cannot tell', reason: 'unsettled' });
  });
  const complaints: [line: string, words: RegExp][] = [
    ['', /np </],
    ['fly job.json', /“fly” is no verb/],
    ['figures', /which job/],
    ['figures gone.json', /gone\.json: cannot be read/],
    ['figures broken.json', /not JSON/],
    ['figures wrong.json', /units: /],
    ['figures job.json --seed', /no option with a value/],
    ['bands job.json --make sloppy', /--make: “sloppy” is none/],
    ['draw job.json --view inside', /--view: “inside”/],
    ['draw job.json --format wax', /--format: “wax”/],
    ['print job.json --kind novel', /--kind: “novel”/],
    ['print job.json --paper vellum', /--paper: “vellum”/],
    ['waste job.json', /--dimension: “”.*pitch/],
    ['compare job.json', /--readings: name a CSV/],
  ];
  for (const [line, words] of complaints)
    it(`complains in one line about “${line}”`, async () => {
      await refused(line, words);
    });
});
