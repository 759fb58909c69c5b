import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { changesBetween, defaultJob, type Job, withValueAt } from '@north-pane/core/document';
import { longestEvent, mostEventsSent, type ShopEvent } from '@north-pane/core/shoplog';
import { expect } from 'chai';
import { eventsAfter, eventsPerPage, recordEvents, shopStateOf } from './db/events';
import { createJob, findJob, keepRevision, listJobs } from './db/jobs';
import { saveChanges } from './db/saves';
import { upgradeJobs } from './db/upgrade';
import { type Bench, openBench } from './testing';

const made = (id: string, count = 1): ShopEvent => ({
  kind: 'made',
  part: 'panel-a/riser',
  count,
  id,
  at: '2026-05-01T10:00:00.000Z',
  device: 'phone',
});

describe('server: the log of the shop', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
    await createJob(bench.database, { ...defaultJob('harp'), name: 'Shed' });
  });
  after(() => bench.close());
  const send = (path: string, body: unknown, method = 'POST') =>
    bench.request(path, { method, body: JSON.stringify(body), headers: { 'content-type': 'application/json' } });

  it('takes events once, however often they are sent, and gives them in the order in which they came', async () => {
    const list = [made('a'), made('b'), made('c')];
    expect(await (await send('/api/jobs/shed/events', { events: list })).json()).deep.equal({
      added: 3,
      seq: 3,
      refused: [],
    });
    expect(await (await send('/api/jobs/shed/events', { events: [...list, made('d')] })).json()).deep.equal({
      added: 1,
      seq: 7,
      refused: [],
    });
    const page = (await (await bench.request('/api/jobs/shed/events')).json()) as { events: ShopEvent[]; seq: number };
    expect(page.events.map(({ id }) => id)).deep.equal(['a', 'b', 'c', 'd']);
    const later = await (await bench.request(`/api/jobs/shed/events?after=${page.seq}`)).json();
    expect(later).deep.equal({ events: [], seq: page.seq, more: false, parted: false });
    expect((await shopStateOf(bench.database, 'shed')).made).deep.equal({ 'panel-a/riser': 4 });
  });
  it('never changes an event that is there', async () => {
    await send('/api/jobs/shed/events', { events: [made('a', 50)] });
    expect((await shopStateOf(bench.database, 'shed')).made).deep.equal({ 'panel-a/riser': 4 });
  });
  it('names each event that is none, and keeps all the others; a job that is not there keeps none', async () => {
    const many = Array.from({ length: mostEventsSent - 2 }, (_, index) => made(`many-${index}`));
    const events = [made('good'), { ...made('burnt'), kind: 'burnt' }, ...many];
    const answer = await send('/api/jobs/shed/events', { events });
    expect(answer.status).equal(200);
    const { added, refused } = (await answer.json()) as { added: number; refused: { id: string; path: string }[] };
    expect(added).equal(mostEventsSent - 1);
    expect(refused.map(({ id, path }) => [id, path])).deep.equal([['burnt', 'kind']]);
    const tooMany = Array.from({ length: mostEventsSent + 1 }, () => made('x'));
    expect((await send('/api/jobs/shed/events', { events: tooMany })).status).equal(422);
    expect((await send('/api/jobs/nowhere/events', { events: [made('x')] })).status).equal(404);
    expect((await bench.request('/api/jobs/nowhere/events')).status).equal(404);
    expect((await bench.request('/api/jobs/shed/events?after=-1')).status).equal(422);
  });
  it('takes the longest message that a device may send', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Long message' });
    const pieces = Array.from({ length: 500 }, (_, index) => ({
      part: `${index}`.padEnd(160, 'p'),
      length: 1.2345678,
    }));
    const bar = {
      kind: 'bar-cut',
      item: 'tube',
      stock: 's',
      price: 0,
      onHand: true,
      length: 6,
      pieces,
      makes: {},
      rests: [],
    };
    const stamp = { id: 'bar', at: '2026-05-01T10:00:00.000Z', device: 'phone' };
    expect(JSON.stringify({ ...bar, ...stamp }).length).below(longestEvent);
    const answer = await send(`/api/jobs/${id}/events`, { events: [{ ...bar, ...stamp }] });
    expect(await answer.json()).deep.include({ added: 1, refused: [] });
  });
  it('keeps what twenty hands at twenty saws send at once: nobody who reads on misses one', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Twenty saws' });
    const heard: string[] = [];
    let seq = 0;
    let sending = true;
    const read = async () => {
      while (sending || heard.length < 200) {
        const page = await eventsAfter(bench.database, id, seq);
        heard.push(...page.events.map((event) => event.id));
        seq = page.seq;
      }
    };
    const reading = read();
    await Promise.all(
      Array.from({ length: 20 }, async (_, hand) => {
        for (let piece = 0; piece < 10; piece += 1) await recordEvents(bench.database, id, [made(`${hand}-${piece}`)]);
      }),
    );
    sending = false;
    await reading;
    expect(heard).length(200);
    expect(new Set(heard).size).equal(200);
  });
  it('is read in pages', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Long log' });
    const all = Array.from({ length: eventsPerPage + 5 }, (_, index) => made(`e${index}`));
    for (let start = 0; start < all.length; start += 1000)
      await recordEvents(bench.database, id, all.slice(start, start + 1000));
    const first = await eventsAfter(bench.database, id, 0);
    expect([first.events.length, first.more]).deep.equal([eventsPerPage, true]);
    const second = await eventsAfter(bench.database, id, first.seq);
    expect([second.events.length, second.more]).deep.equal([5, false]);
    expect((await shopStateOf(bench.database, id)).made['panel-a/riser']).equal(eventsPerPage + 5);
  });
  it('tells who listens which job has changed, and that one is gone, on one line for all of them', async () => {
    const listening = await bench.request('/api/stream');
    expect(listening.headers.get('content-type')).match(/event-stream/);
    const reader = (listening.body as ReadableStream<Uint8Array>).getReader();
    let text = '';
    const until = async (words: RegExp) => {
      while (!words.test(text)) {
        const { done, value } = await reader.read();
        if (done) throw new Error(`ended after ${text}`);
        text += new TextDecoder().decode(value);
      }
    };
    // Whoever opens it is told that nobody knows what was missed.
    await until(/event: missed/);
    await send('/api/jobs/shed/events', { events: [made('elsewhere')] });
    await until(/event: stands\ndata: \{"id":"shed"/);
    const { id, document } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Listened to' });
    await recordEvents(bench.database, id, [made('heard')]);
    await until(/"id":"listened-to","key":"[-0-9a-f]{36}","version":1,"stamp":"[-0-9a-f]{36}","seq":[1-9]/);
    await saveChanges(bench.database, id, { version: 1 }, changesBetween(document, { ...document, name: 'Renamed' }));
    await until(/"id":"listened-to".*"version":2/);
    const stands = (await (await bench.request(`/api/jobs/${id}/stands`)).json()) as { version: number };
    expect(stands.version).equal(2);
    await send(`/api/jobs/${id}`, { name: 'Renamed' }, 'DELETE');
    await until(/event: gone\ndata: \{"id":"listened-to"\}/);
    expect((await bench.request(`/api/jobs/${id}/stands`)).status).equal(404);
    await reader.cancel();
  });
});

describe('server: a save that is sent again', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
  });
  after(() => bench.close());

  it('is answered again and laid on once, also when another hand has moved on', async () => {
    const { id, document } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Lost answer' });
    const change = (value: number, from: Job) =>
      changesBetween(from, withValueAt(from, ['heaters', 'panel-a', 'parameters', 'pitch'], value));
    const first = await saveChanges(bench.database, id, { version: 1 }, change(0.08, document), 'mine');
    expect(first).include({ kind: 'saved', version: 2 });
    if (first.kind !== 'saved') throw new Error('not saved');
    await saveChanges(bench.database, id, { version: 2 }, change(0.07, first.document), 'theirs');
    const again = await saveChanges(bench.database, id, { version: 1 }, change(0.08, document), 'mine');
    expect(again).include({ kind: 'saved', version: 3 });
    expect(await findJob(bench.database, id)).nested.include({ 'document.heaters.panel-a.parameters.pitch': 0.07 });
  });
  it('is turned away again once it was, though it would go by then: its sender was told', async () => {
    const { id, document } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Turned away' });
    const path = ['heaters', 'panel-a', 'parameters', 'pitch'];
    const change = (value: number, from: Job) => changesBetween(from, withValueAt(from, path, value));
    const theirs = await saveChanges(bench.database, id, { version: 1 }, change(0.07, document), 'theirs');
    if (theirs.kind !== 'saved') throw new Error('not saved');
    expect(await saveChanges(bench.database, id, { version: 1 }, change(0.08, document), 'mine')).include({
      kind: 'conflict',
    });
    // The other hand takes theirs back, so that a late copy of mine would go.
    await saveChanges(bench.database, id, { version: 2 }, changesBetween(theirs.document, document), 'back');
    expect(await saveChanges(bench.database, id, { version: 1 }, change(0.08, document), 'mine')).include({
      kind: 'conflict',
      version: 3,
    });
    expect(await saveChanges(bench.database, id, { version: 3 }, change(0.08, document), 'anew')).include({
      kind: 'saved',
      version: 4,
    });
  });
  it('a revision is kept only of the version that was looked at', async () => {
    const { id, document } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Looked at' });
    await saveChanges(bench.database, id, { version: 1 }, changesBetween(document, { ...document, name: 'Moved on' }));
    expect(await keepRevision(bench.database, id, '', 1)).equal('moved on');
    expect(await keepRevision(bench.database, id, '', 2)).include({ number: 1 });
  });
});

describe('server: the shelf', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
  });
  after(() => bench.close());
  const send = (path: string, body: unknown, method = 'POST') =>
    bench.request(path, { method, body: JSON.stringify(body), headers: { 'content-type': 'application/json' } });
  const shelf = async (query = '') =>
    (await (await bench.request(`/api/jobs${query}`)).json()) as {
      jobs: { id: string; name: string; gain?: number; updatedAt: string; putAway: boolean }[];
      more: boolean;
    };
  const stored = (file: string) =>
    readFileSync(join(import.meta.dirname, '../../pinned/documents/version-1', file), 'utf8');

  it('copies a job without what was done of it, and branches one from a revision', async () => {
    const { id, document } = await createJob(bench.database, { ...defaultJob('harp'), name: 'First' }, [made('x')]);
    await keepRevision(bench.database, id, 'before');
    await saveChanges(bench.database, id, { version: 1 }, changesBetween(document, { ...document, currency: 'kr' }));
    const copy = (await (await send(`/api/jobs/${id}/copies`, { name: 'Second' })).json()) as { id: string };
    expect(await findJob(bench.database, copy.id)).nested.include({
      'document.currency': 'kr',
      'document.name': 'Second',
    });
    expect((await shopStateOf(bench.database, copy.id)).made).deep.equal({});
    const branch = (await (await send(`/api/jobs/${id}/copies`, { name: 'Third', revision: 1 })).json()) as {
      id: string;
    };
    expect(await findJob(bench.database, branch.id)).nested.include({ 'document.currency': '$' });
    expect((await send(`/api/jobs/${id}/copies`, { name: ' ' })).status).equal(422);
    expect((await send(`/api/jobs/${id}/copies`, { name: 'x', revision: 9 })).status).equal(404);
  });
  it('puts a job away and fetches it back; deletes it for good only by its name', async () => {
    expect((await send('/api/jobs/second/away', { away: true })).status).equal(200);
    expect((await shelf()).jobs.map(({ id }) => id)).not.include('second');
    expect((await shelf('?away=yes')).jobs.map(({ id, putAway }) => [id, putAway])).deep.equal([['second', true]]);
    await send('/api/jobs/second/away', { away: false });
    expect((await shelf()).jobs.map(({ id }) => id)).include('second');
    expect((await send('/api/jobs/second', { name: 'First' }, 'DELETE')).status).equal(409);
    expect((await send('/api/jobs/second', { name: 'Second' }, 'DELETE')).status).equal(200);
    expect((await bench.request('/api/jobs/second')).status).equal(404);
    expect((await send('/api/jobs/second', { name: 'Second' }, 'DELETE')).status).equal(404);
    expect((await send('/api/jobs/second/away', { away: true })).status).equal(404);
  });
  it('is read page by page, each job once', async () => {
    for (let index = 0; index < 70; index += 1)
      await createJob(bench.database, { ...defaultJob('lattice'), name: `Row ${index}` });
    const seen: string[] = [];
    let query = '';
    for (;;) {
      const { jobs, more } = await shelf(query);
      seen.push(...jobs.map(({ id }) => id));
      const last = jobs[jobs.length - 1];
      if (!more || !last) break;
      query = `?before=${last.updatedAt}&beforeId=${last.id}`;
    }
    expect(new Set(seen).size).equal(seen.length);
    expect(seen.filter((id) => id.startsWith('row-'))).length(70);
  });
  it('works nothing out: a card says what was written with the document', async () => {
    const newest = async () => (await listJobs(bench.database, { putAway: false })).cards[0];
    const before = await newest();
    await bench.database.pool.query(`update jobs set summary = jsonb_set(summary, '{gain}', '77') where id = $1`, [
      before?.id,
    ]);
    expect(before?.summary?.gain).not.equal(77);
    expect(await newest()).deep.include({ id: before?.id, version: before?.version });
    expect((await newest())?.summary?.gain).equal(77);
  });
  it('has a new card a moment after a save, its new name at once, and finds one that a crash left behind', async () => {
    const { id, document } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Carded' });
    const find = async () => (await listJobs(bench.database, { putAway: false })).cards.find((one) => one.id === id);
    const first = (await find())?.summary;
    const wider = withValueAt(document, ['heaters', 'panel-a', 'count'], 3);
    await saveChanges(bench.database, id, { version: 1 }, changesBetween(document, { ...wider, name: 'Renamed' }));
    expect((await find())?.summary).include({ name: 'Renamed', panels: 1, of: 1 });
    while ((await find())?.summary?.of !== 2) await new Promise((resolve) => setTimeout(resolve, 50));
    expect((await find())?.summary).include({ panels: 3 });
    expect((await find())?.summary?.apertureArea).closeTo(3 * (first?.apertureArea ?? 0), 1e-9);
    await bench.database.pool.query(`update jobs set version = 3 where id = $1`, [id]);
    expect((await upgradeJobs(bench.database)).upgraded).equal(1);
    expect((await find())?.summary?.of).equal(3);
  });
  it('has a new card a moment after something was done in the shop', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Cutting' });
    await bench.database.pool.query(`update jobs set summary = jsonb_set(summary, '{gain}', '77') where id = $1`, [id]);
    const gain = async () =>
      (await listJobs(bench.database, { putAway: false })).cards.find((one) => one.id === id)?.summary?.gain;
    expect(await gain()).equal(77);
    const answer = await bench.request(`/api/jobs/${id}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [made('a', 5)] }),
    });
    expect(answer.status).equal(200);
    while ((await gain()) === 77) await new Promise((next) => setTimeout(next, 50));
  });
  it('shows a row that was damaged where it lies as damaged, at once and after the next start', async () => {
    const ids = await Promise.all(
      ['Torn', 'Worn'].map(async (name) => (await createJob(bench.database, { ...defaultJob('harp'), name })).id),
    );
    await bench.database.pool.query(`update jobs set document = document - 'site' where id = any($1)`, [ids]);
    const cards = async () =>
      (await listJobs(bench.database, { putAway: false })).cards.filter(({ id }) => ids.includes(id));
    for (const { summary } of await cards()) expect(summary?.unreadable).match(/^site/);
    expect((await upgradeJobs(bench.database)).unreadable).equal(2);
    for (const { summary } of await cards()) expect(summary?.unreadable).match(/^site/);
  });
  it('stored jobs of version 1 are written anew once, with their shop as events, and readable before that too', async () => {
    const text = stored('busy-shop.json');
    await bench.database.pool.query(`insert into jobs (id, document, version) values ('old', $1, 7)`, [text]);
    await bench.database.pool.query(
      `insert into revisions (job_id, number, note, document) values ('old', 1, 'then', $1)`,
      [text],
    );
    expect(await findJob(bench.database, 'old')).nested.include({ kind: 'job', 'document.version': 2 });
    expect((await upgradeJobs(bench.database)).upgraded).equal(1);
    expect((await upgradeJobs(bench.database)).upgraded).equal(0);
    const raw = await bench.database.pool.query(
      `select document ->> 'version' as v, version from jobs where id = 'old'`,
    );
    expect(raw.rows[0]).deep.equal({ v: '2', version: 7 });
    const state = await shopStateOf(bench.database, 'old');
    expect(state.cuts).length(3);
    expect(Object.keys(state.steps)).deep.equal(['panel-a/step/drill']);
    const revision = await bench.request('/api/jobs/old/revisions/1');
    expect(((await revision.json()) as { document: Job }).document.version).equal(2);
  });
  it('a whole document of version 1 is taken in with its shop', async () => {
    const answer = await send('/api/jobs', { document: JSON.parse(stored('busy-shop.json')) });
    expect(answer.status).equal(201);
    const { id } = (await answer.json()) as { id: string };
    expect((await shopStateOf(bench.database, id)).cuts).length(3);
  });
});
