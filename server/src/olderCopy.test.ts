import { changesBetween, defaultJob, type Job } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { expect } from 'chai';
import { eventsAfter } from './db/events';
import { createJob } from './db/jobs';
import { saveChanges } from './db/saves';
import { type Bench, openBench } from './testing';

const made = (id: string, count = 1): ShopEvent => ({
  kind: 'made',
  part: 'panel-a/riser',
  count,
  id,
  at: '2026-05-01T10:00:00.000Z',
  device: 'phone',
});

describe('server: which job, and which copy of it', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
  });
  after(() => bench.close());
  const send = (path: string, body: unknown, method = 'POST') =>
    bench.request(path, { method, body: JSON.stringify(body), headers: { 'content-type': 'application/json' } });
  type Had = { key: string; version: number; stamp: string; document: Job; parted: boolean };
  const fetchJob = async (id: string, query = '') =>
    (await (await bench.request(`/api/jobs/${id}${query}`)).json()) as Had;
  const rename = (document: Job, name: string) => changesBetween(document, { ...document, name });

  it('a new job of a deleted one’s name takes nothing that was meant for that one', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Twice' });
    const first = await fetchJob(id);
    await send(`/api/jobs/${id}`, { name: 'Twice' }, 'DELETE');
    expect((await createJob(bench.database, { ...defaultJob('harp'), name: 'Twice' })).id).equal(id);
    const second = await fetchJob(id);
    expect(second.key).not.equal(first.key);
    const { key } = first;
    const change = { base: 1, save: 'old', key, changes: rename(first.document, 'Ghost') };
    expect((await send(`/api/jobs/${id}/changes`, change)).status).equal(404);
    expect((await send(`/api/jobs/${id}/events`, { events: [made('ghost')], key })).status).equal(404);
    expect((await bench.request(`/api/jobs/${id}?key=${key}`)).status).equal(404);
    expect((await bench.request(`/api/jobs/${id}/events?key=${key}`)).status).equal(404);
    expect((await fetchJob(id)).document.name).equal('Twice');
    expect((await eventsAfter(bench.database, id, 0)).events).deep.equal([]);
  });
  it('notices that it was put back to an older copy, though others have saved as often since', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Copied' });
    const { document, stamp } = await fetchJob(id);
    await bench.database.pool.query('create table kept_jobs as select * from jobs');
    await bench.database.pool.query('create table kept_saves as select * from saves');
    const ahead = await saveChanges(bench.database, id, { version: 1, stamp }, rename(document, 'Ahead'), 'ahead');
    if (ahead.kind !== 'saved') throw new Error('not saved');
    // Put back: the document and what was remembered of its saves are as they were.
    await bench.database.pool.query(
      `update jobs set document = k.document, version = k.version, stamp = k.stamp from kept_jobs k where k.id = jobs.id;
       delete from saves where job_id = '${id}'; insert into saves select * from kept_saves where job_id = '${id}'`,
    );
    const had = `?version=2&stamp=${ahead.stamp}`;
    expect(await fetchJob(id, had)).include({ version: 1, parted: true });
    const other = await saveChanges(bench.database, id, { version: 1, stamp }, rename(document, 'Other'), 'other');
    expect(other).include({ kind: 'saved', version: 2 });
    expect((await fetchJob(id, had)).parted).equal(true);
    if (other.kind !== 'saved') throw new Error('not saved');
    expect((await fetchJob(id, `?version=2&stamp=${other.stamp}`)).parted).equal(false);
    expect((await fetchJob(id, `?version=1&stamp=${stamp}`)).parted).equal(false);
    const late = { base: 2, stamp: ahead.stamp, save: 'late', changes: rename(ahead.document, 'Late') };
    const answer = await send(`/api/jobs/${id}/changes`, late);
    expect(answer.status).equal(409);
    expect((await answer.json()) as Had).include({ parted: true, version: 2, stamp: other.stamp });
    expect((await fetchJob(id)).document.name).equal('Other');
  });
  it('notices it also where the same save makes a version of the same number, after another one', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Again' });
    const { document, stamp } = await fetchJob(id);
    const priced = (price: string) => changesBetween(document, { ...document, currency: price });
    const save = (changes: ReturnType<typeof rename>, name: string) =>
      saveChanges(bench.database, id, { version: 1, stamp }, changes, name);
    await save(rename(document, 'First'), 'first');
    const before = await save(priced('€'), 'money');
    await bench.database.pool.query(`update jobs set document = $2, version = 1, stamp = $3 where id = $1`, [
      id,
      JSON.stringify(document),
      stamp,
    ]);
    await bench.database.pool.query(`delete from saves where job_id = $1 and version > 1`, [id]);
    await save(rename(document, 'Second'), 'second');
    const after = await save(priced('€'), 'money');
    if (before.kind !== 'saved' || after.kind !== 'saved') throw new Error('not saved');
    expect(after.version).equal(before.version);
    expect((await fetchJob(id, `?version=${before.version}&stamp=${before.stamp}`)).parted).equal(true);
    expect((await fetchJob(id, `?version=${after.version}&stamp=${after.stamp}`)).parted).equal(false);
  });
  it('notices a log that is not the one that was heard', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Logged' }, [
      made('one'),
      made('two'),
    ]);
    const { seq, mark } = await eventsAfter(bench.database, id, 0);
    const parted = async (query: string) =>
      ((await (await bench.request(`/api/jobs/${id}/events?${query}`)).json()) as { parted: boolean }).parted;
    expect(await parted(`after=${seq}&mark=${mark}`)).equal(false);
    expect(await parted(`after=${seq + 7}`)).equal(true);
    // The same event at the same place, and another one before it.
    await bench.database.pool.query(`update events set id = 'other' where job_id = $1 and id = 'one'`, [id]);
    expect(await parted(`after=${seq}&mark=${mark}`)).equal(true);
    expect((await fetchJob(id, `?version=1&seq=${seq}&mark=${mark}`)).parted).equal(true);
  });
  it('answers a save again after a thousand others', async () => {
    const { id, document } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Long ago' });
    await saveChanges(bench.database, id, { version: 1 }, rename(document, 'First'), 'first');
    await bench.database.pool.query(
      `insert into saves (job_id, id, taken, version) select '${id}', 's' || n, true, n from generate_series(3, 1003) n;
       update jobs set version = 1003, stamp = 's1003' where id = '${id}'`,
    );
    const again = await saveChanges(bench.database, id, { version: 1 }, rename(document, 'First'), 'first');
    expect(again).include({ kind: 'saved', version: 1003 });
  });
  it('one save that comes twice at the same moment is applied once', async () => {
    const { id, document } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Twins' });
    const answers = await Promise.all(
      Array.from({ length: 8 }, () =>
        saveChanges(bench.database, id, { version: 1 }, rename(document, 'Twin'), 'twin'),
      ),
    );
    expect(answers.map(({ kind }) => kind)).deep.equal(answers.map(() => 'saved'));
    expect((await fetchJob(id)).version).equal(2);
  });
});
