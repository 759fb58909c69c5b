import { defaultJob } from '@north-pane/core/document';
import type { Reading, Sensors } from '@north-pane/core/proof';
import { expect } from 'chai';
import pg from 'pg';
import { createJob } from './db/jobs';
import { sourcesWithReadings, writeReadings } from './db/readings';
import { type Bench, emptyDatabase, freePort, openBench, readingMapping, startServer } from './testing';

const sensors: Sensors = { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' };
const head = 'time,in,out,air,flow,sun';

/** A file of so many minutes. */
function file(rows: number, out = 24): string {
  const start = Date.UTC(2026, 0, 1);
  const lines = Array.from({ length: rows }, (_, minute) => {
    const time = new Date(start + minute * 60_000).toISOString().slice(0, 16).replace('T', ' ');
    return `${time},18,${out},20,2.4,900`;
  });
  return [head, ...lines].join('\n');
}

describe('server: readings', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
    await createJob(bench.database, { ...defaultJob('harp'), name: 'Shed' });
  });
  after(async () => {
    expect(bench.troubles).deep.equal([]);
    await bench.close();
  });
  const send = async (text: string, keep: 'nothing' | 'good rows', source = 'logger') => {
    const answer = await bench.client.api.jobs[':id'].readings.import.$post({
      param: { id: 'shed' },
      json: { text, mapping: readingMapping, source, sensors, keep },
    });
    return {
      status: answer.status as number,
      body: (await answer.json()) as {
        added: number;
        known: number;
        message: string;
        refused: { count: number; lines: unknown[] };
        differing: { count: number };
      },
    };
  };
  const count = async (source: string) => {
    const found = await (await bench.client.api.jobs[':id'].readings.$get({ param: { id: 'shed' }, query: {} })).json();
    return (found as { name: string; count: number }[]).find((one) => one.name === source)?.count ?? 0;
  };
  const one: Reading = {
    time: Date.UTC(2026, 1, 9),
    inlet: 18,
    outlet: 24,
    air: 20,
    flow: 4e-5,
    sky: 'thin cloud',
    wind: 1.5,
  };
  const post = (reading: object) =>
    bench.request('/api/jobs/shed/readings', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ reading, sensors }),
    });

  it('gives them page by page, the newest first to come, each once', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Page by page' });
    const all = Array.from({ length: 7 }, (_, hour): Reading => ({ ...one, time: one.time + hour * 3_600_000 }));
    await writeReadings(bench.database, { jobId: id, source: 'shed', sensors, readings: all, dryRun: false });
    const page = async (before?: number) =>
      (await sourcesWithReadings(bench.database, id, 3, before))[0]?.readings ?? [];
    const newest = await page();
    const older = await page(newest[0]?.time);
    const oldest = await page(older[0]?.time);
    expect([...oldest, ...older, ...newest]).deep.equal(all);
    expect(await page(oldest[0]?.time)).deep.equal([]);
    const asked = await bench.request(`/api/jobs/${id}/readings?before=${all[2]?.time}`);
    expect(((await asked.json()) as { readings: Reading[]; count: number }[])[0]).deep.include({ count: 7 });
    expect((await bench.request(`/api/jobs/${id}/readings?before=yesterday`)).status).equal(422);
  });
  it('knows how many there are without counting them, also of a file, of one taken out and of what was there before', async () => {
    const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Counted' });
    const all = Array.from({ length: 50 }, (_, hour): Reading => ({ ...one, time: one.time + hour * 3_600_000 }));
    const write = (list: Reading[]) =>
      writeReadings(bench.database, { jobId: id, source: 'shed', sensors, readings: list, dryRun: false });
    const told = async () => (await sourcesWithReadings(bench.database, id, 3))[0]?.count;
    await write(all.slice(0, 30));
    await write(all);
    expect(await told()).equal(50);
    const from = all[10]?.time;
    await bench.request(`/api/jobs/${id}/readings?source=shed&from=${from}&to=${all[14]?.time}`, { method: 'DELETE' });
    expect(await told()).equal(45);
    const { rows } = await bench.database.pool.query(
      `select count(*)::int n from readings join channels c on c.id = channel_id join sources s on s.id = c.source_id
       where s.job_id = $1 and c.quantity = 'inlet'`,
      [id],
    );
    expect(rows[0].n).equal(45);
  });
  it('keeps one by hand, word for the sky and all, and gives it back', async () => {
    expect((await post(one)).status).equal(201);
    const found = (await (
      await bench.client.api.jobs[':id'].readings.$get({ param: { id: 'shed' }, query: {} })
    ).json()) as {
      readings: Reading[];
    }[];
    expect(found[0]?.readings).deep.equal([one]);
    expect((await post({ ...one, outlet: 25 })).status).equal(409);
  });
  it('refuses one that cannot be true, or says nothing of the sun', async () => {
    for (const change of [{ outlet: 900 }, { sky: undefined }, { flow: -1 }, { inlet: 'warm' }]) {
      const answer = await post({ ...one, time: one.time + 1000, ...change });
      expect(answer.status, JSON.stringify(change)).equal(422);
    }
  });
  it('looks through a file and keeps nothing, then keeps the good rows', async () => {
    const text = `${file(20)}\n2026-01-02 00:00,warm,24,20,2.4,900`;
    const look = await send(text, 'nothing', 'dry');
    expect(look.body).deep.include({ added: 20, known: 0 });
    expect(look.body.refused).deep.equal({ count: 1, lines: [{ line: 22, reason: 'inlet “warm” is not a number' }] });
    expect(await count('dry')).equal(0);
    expect((await send(text, 'good rows', 'dry')).body.added).equal(20);
    expect(await count('dry')).equal(20);
  });
  it('passes over the same rows again and refuses other values at the same times', async () => {
    await send(file(30), 'good rows', 'again');
    expect((await send(file(40), 'good rows', 'again')).body).deep.include({ added: 10, known: 30 });
    const other = await send(file(50, 25), 'good rows', 'again');
    expect(other.body).deep.include({ added: 10, known: 0 });
    expect(other.body.differing.count).equal(40);
    expect(await count('again')).equal(50);
  });
  it('refuses a row that measured other things at a time that is known', async () => {
    const reading: Reading = { time: 0, inlet: 18, outlet: 24, air: 20, flow: 4e-5, irradiance: 900 };
    const write = (change: Partial<Reading>) =>
      writeReadings(bench.database, {
        jobId: 'shed',
        source: 'more',
        sensors,
        readings: [{ ...reading, ...change }],
        dryRun: false,
      });
    await write({});
    expect((await write({ wind: 2 })).differing).deep.equal([0]);
  });
  it('says what is wrong with a file as a whole', async () => {
    expect(await send('a,b\n1,2', 'nothing')).deep.include({ status: 422 });
    expect((await send('a,b\n1,2', 'nothing')).body.message).match(/no column “time”/);
  });
  it('takes a year of minutes in one go', async () => {
    const { body } = await send(file(60_000), 'good rows', 'large');
    expect(body.added).equal(60_000);
  }).timeout(60_000);
});

/** A port that nobody listens on. */

describe('server: killed in the middle', () => {
  it('has all rows of an import or none after it', async () => {
    const { url, drop } = await emptyDatabase();
    const port = await freePort();
    const start = () => startServer(url, port);
    const call = (path: string, json: unknown) =>
      fetch(`http://127.0.0.1:${port}${path}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(json),
      });
    const counted = async () => {
      const client = new pg.Client({ connectionString: url });
      await client.connect();
      const { rows } = await client.query('select count(*)::int as n from readings');
      await client.end();
      return rows[0].n as number;
    };
    const rows = 40_000;
    const seen = new Set<string>();
    let before = 0;
    let child = await start();
    await call('/api/jobs', { name: 'Shed', family: 'harp', units: 'metric' });
    // Several moments, so that one falls among the copying at least; whatever is there must be whole files.
    for (const wait of [60, 400, 900, 1500]) {
      const under = call('/api/jobs/shed/readings/import', {
        text: file(rows),
        mapping: readingMapping,
        source: `after ${wait}`,
        sensors,
        keep: 'good rows',
      }).catch(() => undefined);
      await new Promise((resolve) => setTimeout(resolve, wait));
      child.removeAllListeners('exit');
      child.kill('SIGKILL');
      await under;
      // The database ends the broken session by itself; wait until no import is under way.
      await new Promise((resolve) => setTimeout(resolve, 700));
      child = await start();
      const now = await counted();
      expect((now - before) % (rows * 5), `after ${wait} ms`).equal(0);
      seen.add(now > before ? 'all' : 'none');
      before = now;
    }
    expect([...seen]).include('none');
    child.removeAllListeners('exit');
    child.kill('SIGTERM');
    await new Promise((resolve) => child.once('exit', resolve));
    await drop();
  }).timeout(90_000);
});
