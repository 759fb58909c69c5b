import { changesBetween, defaultJob, type Job, withValueAt } from '@north-pane/core/document';
import { expect } from 'chai';
import pg from 'pg';
import { createJob, findJob } from './db/jobs';
import { upgradeJobs } from './db/upgrade';
import { failureOf, logLine } from './failure';
import { type Bench, openBench, readingMapping } from './testing';
import { unkeepable } from './text';

const sensors = { thermometers: 'glass', flow: 'meter', sun: 'phone' };
const reading = { time: 1_770_000_000_000, inlet: 18, outlet: 24, air: 20, flow: 4e-5, sky: 'clear' };

describe('server: in trouble', () => {
  let bench: Bench;
  beforeEach(async () => {
    bench = await openBench();
    await createJob(bench.database, { ...defaultJob('harp'), name: 'Shed' });
  });
  afterEach(() => bench.close());
  const send = (path: string, body: unknown, method = 'POST', headers: Record<string, string> = {}) =>
    bench.request(path, {
      method,
      headers: { 'content-type': 'application/json', ...headers },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  /** Ends every connection of the bench's database from outside, as a restart of the database does. */
  const cutOff = async () => {
    const url = new URL(bench.url);
    const name = url.pathname.slice(1);
    url.pathname = '/postgres';
    const client = new pg.Client({ connectionString: url.href });
    await client.connect();
    await client.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [name]);
    await client.end();
  };

  it('outlives a connection that is lost while it is in use, and answers the next', async () => {
    const client = await bench.database.pool.connect();
    const slow = client.query('select pg_sleep(5)').then(
      () => 'slept',
      () => 'cut off',
    );
    await new Promise((resolve) => setTimeout(resolve, 100));
    await cutOff();
    expect(await slow).equal('cut off');
    client.release(true);
    expect((await bench.request('/api/jobs')).status).equal(200);
    expect((await bench.request('/api/health')).status).equal(200);
  });
  it('says that the database is silent, loses nothing acknowledged, and comes back by itself', async () => {
    const job = await findJob(bench.database, 'shed');
    const before = (job?.kind === 'job' ? job.document : undefined) as Job;
    const after = withValueAt(before, ['name'], 'Barn');
    expect((await send('/api/jobs/shed/changes', { base: 1, changes: changesBetween(before, after) })).status).equal(
      200,
    );
    const url = new URL(bench.url);
    const name = url.pathname.slice(1);
    const admin = new URL(bench.url);
    admin.pathname = '/postgres';
    const client = new pg.Client({ connectionString: admin.href });
    await client.connect();
    await client.query(`alter database ${name} allow_connections false`);
    await cutOff();
    const health = await bench.request('/api/health');
    expect(health.status).equal(503);
    expect(await health.json()).include({ ok: false });
    await client.query(`alter database ${name} allow_connections true`);
    await client.end();
    expect((await bench.request('/api/health')).status).equal(200);
    expect(await findJob(bench.database, 'shed')).nested.include({ 'document.name': 'Barn' });
  });
  it('tells a full disk, a lost database and a late one by their own codes, and everything else as a fault', () => {
    const coded = (code: string) => Object.assign(new Error('x'), { code });
    const rows: [error: unknown, status: number, words: RegExp][] = [
      [coded('53100'), 507, /disk .* full/],
      [new Error('Failed query: ...', { cause: coded('53100') }), 507, /disk .* full/],
      [coded('ECONNREFUSED'), 503, /does not answer/],
      [coded('57P01'), 503, /does not answer/],
      [coded('57014'), 503, /too long/],
      [coded('53300'), 503, /no room/],
      [new Error('Connection terminated unexpectedly'), 503, /does not answer/],
      [coded('42P01'), 500, /broke on the server/],
      ['a string', 500, /broke on the server/],
    ];
    for (const [error, status, words] of rows) {
      const failure = failureOf(error);
      expect(failure.status, String(error)).equal(status);
      expect(failure.message).match(words);
    }
  });
  it('writes no document into its log', () => {
    const secret = 'Somebody’s own shed';
    const error = new Error(`Failed query: insert into jobs\nparams: ${secret}`, {
      cause: Object.assign(new Error('relation "jobs" does not exist'), { code: '42P01' }),
    });
    const line = logLine(error);
    expect(line).match(/42P01: relation "jobs" does not exist/);
    expect(line).not.include(secret);
  });
  it('keeps one bad job from the shelf’s other jobs, and says why it is bad', async () => {
    await bench.database.pool.query(
      `insert into jobs (id, document, version) select 'torn', document #- '{heaters,panel-a,parameters}', 1 from jobs where id = 'shed'`,
    );
    expect(await upgradeJobs(bench.database)).deep.equal({ upgraded: 0, unreadable: 1 });
    const shelf = await bench.request('/api/jobs');
    expect(shelf.status).equal(200);
    const { jobs } = (await shelf.json()) as { jobs: { id: string; unreadable?: string; gain?: number }[] };
    expect(jobs).length(2);
    expect(jobs.find(({ id }) => id === 'torn')?.unreadable).match(/heaters\.panel-a\.parameters/);
    // It opens with its reason and can be saved out as it stands; a change of it is refused.
    const opened = await bench.request('/api/jobs/torn');
    expect(opened.status).equal(422);
    expect(((await opened.json()) as { message: string }).message).match(
      /cannot be read: heaters\.panel-a\.parameters/,
    );
    const raw = await bench.request('/api/jobs/torn/document.json');
    expect(raw.headers.get('content-disposition')).include('torn.json');
    expect(((await raw.json()) as { name: string }).name).equal('Shed');
    const change = { base: 1, changes: [{ path: ['name'], before: 'Shed', after: 'Barn' }] };
    expect((await send('/api/jobs/torn/changes', change)).status).equal(422);
    expect(jobs.find(({ id }) => id === 'shed')?.gain).above(1);
    expect((await bench.request('/api/jobs/torn/plan.svg')).status).equal(422);
  });

  const paths: [what: string, path: unknown[], after: unknown][] = [
    ['a place far beyond a list', ['site', 'horizon', 1_000_000_000], {}],
    ['a place a million beyond a list', ['site', 'horizon', 99_999, 'elevation'], {}],
    ['half a place', ['site', 'horizon', 0.5], {}],
    ['a place before a list', ['panels', -1], {}],
    ['the length of a list', ['panels', 'length'], 9e8],
    ['what a list is made of', ['panels', '__proto__'], {}],
    ['what a record is made of', ['site', '__proto__', 'polluted'], 1],
    ['its constructor', ['constructor', 'prototype', 'polluted'], 1],
  ];
  for (const [what, path, after] of paths)
    it(`refuses a change of ${what} in 130 bytes, at once, and stores nothing`, async () => {
      const began = Date.now();
      const answer = await send('/api/jobs/shed/changes', { base: 1, changes: [{ path, after }] });
      expect(answer.status).within(400, 422);
      expect(Date.now() - began).below(500);
      expect((await findJob(bench.database, 'shed'))?.version).equal(1);
      expect(({} as Record<string, unknown>).polluted).equal(undefined);
    });
  it('never says saved when nothing was stored: blanks round a name are, a field of its own making is not', async () => {
    const change = (path: unknown[], after: unknown) =>
      send('/api/jobs/shed/changes', { base: 1, changes: [{ path, before: 'Shed', after }] });
    expect((await change(['name'], '  Barn ')).status).equal(200);
    expect((await change(['colour'], 'red')).status).within(400, 422);
  });

  const texts = ['nul \0 in it', 'half \ud800 a pair'];
  for (const text of texts)
    it(`refuses text that no database keeps: ${JSON.stringify(text)}`, async () => {
      const bad: [path: string, body: unknown][] = [
        ['/api/jobs', { name: text, units: 'metric' }],
        ['/api/jobs', { document: { ...defaultJob('harp'), name: text } }],
        ['/api/jobs/shed/changes', { base: 1, changes: [{ path: ['name'], before: 'Shed', after: text }] }],
        ['/api/jobs/shed/changes', { base: 1, changes: [{ path: ['shop', 'prices', text], after: 3 }] }],
        ['/api/jobs/shed/revisions', { note: text }],
        [
          '/api/jobs/shed/readings/import',
          { text, mapping: { time: { column: 't', zone: 'utc' }, columns: {} }, source: 'x', sensors, keep: 'nothing' },
        ],
      ];
      for (const [path, body] of bad) {
        const answer = await send(path, body);
        expect(answer.status, path).within(400, 422);
        expect(((await answer.json()) as { message: string }).message, path).match(
          /cannot be kept|not a sound job|text file/,
        );
      }
      for (const id of ['%00', 'a%00b', '%ED%A0%80', 'x'.repeat(500)])
        for (const path of [
          `/api/jobs/${id}`,
          `/api/jobs/${id}/revisions`,
          `/api/jobs/${id}/builds`,
          `/api/jobs/${id}/readings`,
          `/api/jobs/${id}/plan.svg`,
        ])
          expect((await bench.request(path)).status, path).within(200, 422);
    });
  it('finds the bad sign anywhere in a value, by its path, in names of fields too', () => {
    expect(unkeepable({ a: [1, { b: 'fine' }], c: 'ok' })).equal(undefined);
    expect(unkeepable({ a: [1, { b: 'x\0' }] })).equal('a.1.b');
    expect(unkeepable({ 'x\0': 1 })).equal('a name');
    expect(unkeepable('\udc00')).equal('');
  });
  it('answers with a 4xx to too many changes, ids beyond their range and dates that are none', async () => {
    const many = Array.from({ length: 2001 }, () => ({ path: ['name'], before: 'Shed', after: 'Barn' }));
    const rows: [path: string, body: unknown][] = [
      ['/api/jobs/shed/changes', { base: 1, changes: many }],
      ['/api/jobs/shed/changes', { base: 9e15, changes: [{ path: ['colour'], after: 1 }] }],
      ['/api/jobs/shed/builds', { revisionId: 2 ** 31, installedFrom: '2026-05-01T12:00:00Z' }],
      ['/api/jobs/shed/builds', { revisionId: 1, installedFrom: '2026-02-30T12:00:00Z' }],
      ['/api/jobs/shed/builds', { revisionId: 1, installedFrom: '9999-01-01T12:00:00Z' }],
      ['/api/jobs/shed/readings', { reading: { ...reading, time: 9e15 }, sensors }],
    ];
    for (const [path, body] of rows)
      expect((await send(path, body)).status, JSON.stringify(body).slice(0, 80)).within(400, 422);
    for (const weather of ['99999999999999999999', '0', '-1', 'x'])
      expect((await bench.request(`/api/jobs/shed/weather/${weather}`)).status).equal(404);
  });
  it('says which methods an address takes', async () => {
    const answer = await send('/api/jobs/shed/changes', undefined, 'GET');
    expect(answer.status).equal(405);
    expect(answer.headers.get('allow')).equal('POST');
    const shelf = await send('/api/jobs', {}, 'DELETE');
    expect(shelf.headers.get('allow')?.split(', ').sort()).deep.equal(['GET', 'POST']);
    expect((await bench.request('/api/nothing/here')).status).equal(404);
  });
  it('works out nothing for a page of another site', async () => {
    for (const site of ['cross-site', 'same-site'])
      expect((await bench.request('/api/jobs', { headers: { 'sec-fetch-site': site } })).status).equal(403);
    for (const site of ['same-origin', 'none'])
      expect((await bench.request('/api/jobs', { headers: { 'sec-fetch-site': site } })).status).equal(200);
  });
  it('keeps what each reading was taken with, whatever the next one is', async () => {
    expect((await send('/api/jobs/shed/readings', { reading, sensors })).status).equal(201);
    const better = { ...sensors, thermometers: 'matched pair' };
    expect(
      (await send('/api/jobs/shed/readings', { reading: { ...reading, time: reading.time + 6e5 }, sensors: better }))
        .status,
    ).equal(201);
    const found = (await (await bench.request('/api/jobs/shed/readings')).json()) as {
      name: string;
      sensors: object;
      count: number;
      readings: { sensors?: object }[];
    }[];
    expect(found).length(1);
    const [hand] = found;
    expect(hand?.count).equal(2);
    expect(hand?.readings.map((one) => one.sensors ?? hand.sensors)).deep.equal([sensors, better]);
    // The same moment with other instruments is another reading, and refused.
    expect((await send('/api/jobs/shed/readings', { reading, sensors: better })).status).equal(409);
    // The very same again is known.
    expect(await (await send('/api/jobs/shed/readings', { reading, sensors })).json()).include({ added: 0, known: 1 });
  });
  it('tells how far a file is, line by line, and ends without a trace when its sender goes', async () => {
    const start = Date.UTC(2026, 0, 1);
    const lines = Array.from(
      { length: 20_000 },
      (_, minute) => `${new Date(start + minute * 60_000).toISOString().slice(0, 16)},18,24,20,2.4,900`,
    );
    const body = {
      text: ['time,in,out,air,flow,sun', ...lines].join('\n'),
      mapping: readingMapping,
      source: 'logger',
      sensors,
      keep: 'good rows',
    };
    const streamed = { accept: 'application/x-ndjson' };
    const cut = await send('/api/jobs/shed/readings/import', body, 'POST', streamed);
    const reader = cut.body?.getReader();
    await reader?.read();
    await reader?.cancel();
    const count = async () => Number((await bench.database.pool.query('select count(*) from readings')).rows[0].count);
    await new Promise((resolve) => setTimeout(resolve, 1500));
    expect(await count()).equal(0);
    const whole = await send('/api/jobs/shed/readings/import', body, 'POST', streamed);
    const told = (await whole.text())
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line));
    expect(told.at(-1).report).include({ kept: true, added: 20_000 });
    const percents = told.flatMap(({ percent }) => percent ?? []);
    expect(percents.length).above(3);
    expect(percents).deep.equal([...percents].sort((a, b) => a - b));
    expect(await count()).equal(100_000);
  });
});
