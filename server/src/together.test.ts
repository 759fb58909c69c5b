import { changesBetween, defaultJob, type Job, withValueAt } from '@north-pane/core/document';
import type { Reading, Sensors } from '@north-pane/core/proof';
import { expect } from 'chai';
import { createJob, findJob, keepRevision, listRevisions, slugOf } from './db/jobs';
import { sourcesWithReadings, writeOne, writeReadings } from './db/readings';
import { saveChanges } from './db/saves';
import { type Bench, openBench } from './testing';

const sensors: Sensors = { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' };
const reading = (minute: number, change: Partial<Reading> = {}): Reading => ({
  time: Date.UTC(2026, 1, 9) + minute * 60_000,
  inlet: 18,
  outlet: 24,
  air: 20,
  flow: 4e-5,
  irradiance: 900,
  ...change,
});

describe('server: many at once', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
  });
  after(() => bench.close());
  const job = async (name: string) => createJob(bench.database, { ...defaultJob('harp'), name });

  it('gives every job of one name an address of its own', async () => {
    const made = await Promise.all(Array.from({ length: 6 }, () => job('Twins')));
    expect(new Set(made.map((one) => one.id)).size).equal(6);
  });
  it('merges ten windows that each change another field, and counts ten versions', async () => {
    const { id, document } = await job('Ten windows');
    const fields: [(string | number)[], unknown][] = [
      [['heaters', 'panel-a', 'parameters', 'pitch'], 0.08],
      [['heaters', 'panel-a', 'parameters', 'entry'], 0.006],
      [['heaters', 'panel-a', 'parameters', 'stub'], 0.06],
      [['heaters', 'panel-a', 'count'], 2],
      [['site', 'latitude'], 44],
      [['site', 'standing', 'aim'], 170],
      [['name'], 'Renamed'],
      [['loop', 'specificFlow'], 0.015],
      [['need', 'target'], 50],
      [['currency'], 'kr'],
    ];
    const saves = await Promise.all(
      fields.map(([path, value]) =>
        saveChanges(bench.database, id, { version: 1 }, changesBetween(document, withValueAt(document, path, value))),
      ),
    );
    expect(saves.map((save) => save.kind)).deep.equal(fields.map(() => 'saved'));
    const after = await findJob(bench.database, id);
    const wanted = fields.reduce((next: Job, [path, value]) => withValueAt(next, path, value), document);
    expect(after?.kind === 'job' && after.document).deep.equal(wanted);
    expect(after?.version).equal(11);
  });
  it('lets one of two windows have the same field, and asks the other', async () => {
    const { id, document } = await job('One field');
    const save = (value: number) =>
      saveChanges(
        bench.database,
        id,
        { version: 1 },
        changesBetween(document, withValueAt(document, ['heaters', 'panel-a', 'parameters', 'pitch'], value)),
      );
    const kinds = (await Promise.all([save(0.08), save(0.07)])).map((one) => one.kind).sort();
    expect(kinds).deep.equal(['conflict', 'saved']);
  });
  it('numbers revisions without a gap', async () => {
    const { id } = await job('Kept often');
    await Promise.all(Array.from({ length: 5 }, (_, index) => keepRevision(bench.database, id, `note ${index}`)));
    const kept = await listRevisions(bench.database, id);
    expect(kept.map((one) => one.number)).deep.equal([5, 4, 3, 2, 1]);
    expect(await keepRevision(bench.database, 'nowhere', '')).equal(undefined);
  });
  it('writes the same readings from two sides once', async () => {
    const { id } = await job('Two loggers');
    const write = () =>
      writeReadings(bench.database, {
        jobId: id,
        source: 'shed',
        sensors,
        readings: Array.from({ length: 50 }, (_, minute) => reading(minute)),
        dryRun: false,
      });
    const results = await Promise.allSettled([write(), write()]);
    const added = results.reduce((sum, one) => sum + (one.status === 'fulfilled' ? one.value.added : 0), 0);
    expect(added).equal(50);
    // Whoever came second is told that they stand, and not that something broke.
    expect(results.map(({ status }) => status)).deep.equal(['fulfilled', 'fulfilled']);
    expect((await sourcesWithReadings(bench.database, id, 1))[0]?.count).equal(50);
  });
  it('keeps one of several readings by hand at the same moment, whole, and tells the others', async () => {
    const { id } = await job('Many hands');
    const batch = { jobId: id, source: 'by hand', sensors };
    // The source and its channels are made first by one of them; each moment is then fought for anew.
    for (let minute = 0; minute < 20; minute += 1) {
      const all = [reading(minute), reading(minute, { wind: 2 }), reading(minute, { outlet: 25, sky: 'clear' })];
      const reports = await Promise.all(all.map((one) => writeOne(bench.database, batch, one)));
      const won = reports.findIndex((report) => report?.added === 1);
      expect(
        reports.map((report) => report?.added),
        `minute ${minute}`,
      ).have.members([1, 0, 0]);
      reports.forEach((report, index) => {
        if (index !== won) expect(report?.differing).deep.equal([all[index]?.time]);
      });
      const [kept] = await sourcesWithReadings(bench.database, id, 1);
      expect(kept?.readings[0], `minute ${minute}`).deep.equal(all[won]);
    }
    const same = await Promise.all([1, 2, 3].map(() => writeOne(bench.database, batch, reading(99))));
    expect(same.map((report) => [report?.added, report?.known])).have.deep.members([
      [1, 0],
      [0, 1],
      [0, 1],
    ]);
    expect(await writeOne(bench.database, { ...batch, jobId: 'nowhere' }, reading(0))).equal(undefined);
  });
  it('keeps sources of one job apart, and gives the newest in order', async () => {
    const { id } = await job('Two sources');
    for (const source of ['roof', 'hand'])
      await writeReadings(bench.database, {
        jobId: id,
        source,
        sensors,
        readings: [2, 0, 1].map((minute) => reading(minute)),
        dryRun: false,
      });
    const found = await sourcesWithReadings(bench.database, id, 2);
    expect(found.map((one) => [one.name, one.count])).deep.equal([
      ['hand', 3],
      ['roof', 3],
    ]);
    expect(found[0]?.readings.map((one) => one.time)).deep.equal([reading(1).time, reading(2).time]);
  });
});

describe('server: addresses from names', () => {
  const rows: [name: string, slug: string][] = [
    ['Gannet Reach showers', 'gannet-reach-showers'],
    ['  --  ', 'job'],
    ['Ærø & Ø', 'r'],
    ['Crème brûlée', 'creme-brulee'],
    ['a/b\\c?d', 'a-b-c-d'],
    ['x'.repeat(90), 'x'.repeat(48)],
  ];
  for (const [name, slug] of rows) it(`makes ${slug} of ${name.slice(0, 20)}`, () => expect(slugOf(name)).equal(slug));
});
