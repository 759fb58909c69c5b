import { defaultJob, type Job } from '@north-pane/core/document';
import type { Reading, Sensors } from '@north-pane/core/proof';
import { expect } from 'chai';
import { createJob } from './db/jobs';
import { writeReadings } from './db/readings';
import { type Bench, openBench } from './testing';

const sensors: Sensors = { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' };
const other: Sensors = { ...sensors, thermometers: 'glass' };
const start = Date.UTC(2026, 1, 9, 10);
const minutes = (count: number, from = start): Reading[] =>
  Array.from({ length: count }, (_, minute) => ({
    time: from + minute * 60_000,
    inlet: 18,
    outlet: 24,
    air: 20,
    flow: 4e-5,
    irradiance: 900,
  }));

describe('server: what was kept is taken back', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
    for (const name of ['Shed', 'Barn']) await createJob(bench.database, { ...defaultJob('harp'), name });
  });
  after(async () => {
    expect(bench.troubles).deep.equal([]);
    await bench.close();
  });
  const write = (source: string, readings: Reading[], taken = sensors, jobId = 'shed') =>
    writeReadings(bench.database, { jobId, source, sensors: taken, readings, dryRun: false });
  const sources = async (id = 'shed') =>
    (await (await bench.client.api.jobs[':id'].readings.$get({ param: { id }, query: {} })).json()) as {
      name: string;
      count: number;
      readings: Reading[];
    }[];
  const counts = async (id?: string) => Object.fromEntries((await sources(id)).map(({ name, count }) => [name, count]));
  const remove = async (path: string) => {
    const answer = await bench.request(path, { method: 'DELETE' });
    return { status: answer.status, body: (await answer.json()) as { removed?: number; message?: string } };
  };
  const readings = (source: string, from?: number, to?: number) =>
    remove(
      `/api/jobs/shed/readings?source=${encodeURIComponent(source)}${from === undefined ? '' : `&from=${from}`}${to === undefined ? '' : `&to=${to}`}`,
    );

  it('one reading, by its moment, and no other', async () => {
    await write('by hand', minutes(5));
    const at = start + 2 * 60_000;
    expect(await readings('by hand', at, at)).deep.equal({ status: 200, body: { removed: 1 } });
    const [left] = await sources();
    expect(left?.readings.map(({ time }) => (time - start) / 60_000)).deep.equal([0, 1, 3, 4]);
    expect((await readings('by hand', at, at)).status).equal(404);
    // The moment is free again.
    expect((await write('by hand', [{ ...minutes(3)[2], inlet: 19 } as Reading])).added).equal(1);
  });
  it('a span of them, whatever they were taken with', async () => {
    await write('logger', minutes(10));
    await write('logger', minutes(10, start + 3_600_000), other);
    expect((await readings('logger', start + 5 * 60_000, start + 3_600_000 + 4 * 60_000)).body.removed).equal(10);
    expect((await counts()).logger).equal(10);
  });
  it('all of a name, and the name with it; other names and other jobs stay', async () => {
    await write('logger', minutes(4), sensors, 'barn');
    const before = await counts();
    expect((await readings('logger')).body.removed).equal(before.logger);
    expect(await counts()).deep.equal({ 'by hand': before['by hand'] });
    expect(await counts('barn')).deep.equal({ logger: 4 });
    expect((await readings('logger')).status).equal(404);
  });
  const bad: [what: string, path: string, status: number][] = [
    ['no name', '/api/jobs/shed/readings', 422],
    ['an empty name', '/api/jobs/shed/readings?source=%20', 422],
    ['half of a span', '/api/jobs/shed/readings?source=by%20hand&from=0', 422],
    ['a moment that is none', '/api/jobs/shed/readings?source=by%20hand&from=x&to=y', 422],
    ['a name that is none', '/api/jobs/shed/readings?source=%00', 422],
    ['another job', '/api/jobs/nobody/readings?source=by%20hand', 404],
    ['a name with a quote in it', `/api/jobs/shed/readings?source=${encodeURIComponent("x' or 'a'='a")}`, 404],
  ];
  for (const [what, path, status] of bad)
    it(`nothing for ${what}`, async () => {
      const before = await counts();
      const answer = await remove(path);
      expect(answer.status).equal(status);
      expect(answer.body.message ?? '').not.equal('');
      expect(await counts()).deep.equal(before);
    });

  const keep = async (id = 'shed') =>
    (await (await bench.client.api.jobs[':id'].revisions.$post({ param: { id }, json: { note: '' } })).json()) as {
      id: number;
      number: number;
    };
  const numbers = async (id = 'shed') =>
    (await (await bench.client.api.jobs[':id'].revisions.$get({ param: { id } })).json()).map(({ number }) => number);
  it('a revision that nobody built, and not one that stands', async () => {
    const [first, second] = [await keep(), await keep()];
    const built = (await (
      await bench.client.api.jobs[':id'].builds.$post({
        param: { id: 'shed' },
        json: { revisionId: first.id, installedFrom: '2026-05-01T12:00:00Z' },
      })
    ).json()) as { id: number };
    const refused = await remove(`/api/jobs/shed/revisions/${first.number}`);
    expect(refused.status).equal(409);
    expect(refused.body.message).match(/take the build back first/);
    expect((await remove(`/api/jobs/shed/revisions/${second.number}`)).status).equal(200);
    expect(await numbers()).deep.equal([first.number]);
    // Another job's build is not to be had by this one's address.
    expect((await remove(`/api/jobs/barn/builds/${built.id}`)).status).equal(404);
    expect((await remove(`/api/jobs/shed/builds/${built.id}`)).status).equal(200);
    expect((await remove(`/api/jobs/shed/builds/${built.id}`)).status).equal(404);
    expect((await remove(`/api/jobs/shed/revisions/${first.number}`)).status).equal(200);
    expect(await numbers()).deep.equal([]);
  });
  for (const number of ['0', '-1', '1.5', 'x', '99999999999', '1%27'])
    it(`nothing for revision and build ${number}`, async () => {
      expect((await remove(`/api/jobs/shed/revisions/${number}`)).status).equal(404);
      expect((await remove(`/api/jobs/shed/builds/${number}`)).status).equal(404);
    });
});

describe('server: a job is begun at its place', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
  });
  after(() => bench.close());
  const begin = async (more: object) => {
    const answer = await bench.request('/api/jobs', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Placed', family: 'harp', units: 'metric', ...more }),
    });
    const { id = '' } = (await answer.json()) as { id?: string };
    if (answer.status !== 201) return { status: answer.status };
    const found = await bench.client.api.jobs[':id'].$get({ param: { id }, query: {} });
    return { status: 201, job: ((await found.json()) as unknown as { document: Job }).document };
  };

  it('named, in its money', async () => {
    const { job } = await begin({
      where: { latitude: -40.9, longitude: 172.9, zone: 'Pacific/Auckland' },
      currency: 'NZ$',
    });
    expect(job?.site).include({ latitude: -40.9, longitude: 172.9, zone: 'Pacific/Auckland' });
    expect(job?.site.standing.aim).equal(0);
    expect(job?.currency).equal('NZ$');
  });
  it('somewhere like it, and known for that', async () => {
    const { job } = await begin({ where: { climate: 'highland', half: 'south' } });
    expect(job?.site).deep.include({ unnamed: true, climate: { kind: 'broad', type: 'highland' } });
    expect(job?.site.latitude).below(0);
  });
  for (const where of [
    { latitude: 91, longitude: 0 },
    { latitude: 0 },
    { climate: 'tropical', half: 'north' },
    { climate: 'highland' },
    'here',
  ])
    it(`not at ${JSON.stringify(where)}`, async () => expect((await begin({ where })).status).equal(422));
  it('not in money without a name, or with a long one', async () => {
    for (const currency of ['', '   ', 'florin']) expect((await begin({ currency })).status).equal(422);
  });
});

describe('server: answers go compressed', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
    await createJob(bench.database, { ...defaultJob('harp'), name: 'Large' });
  });
  after(() => bench.close());

  it('to whoever takes that, and whole to whoever does not', async () => {
    const get = (accept?: string) =>
      bench.request('/api/jobs/large', accept ? { headers: { 'accept-encoding': accept } } : {});
    const packed = await get('gzip');
    expect(packed.headers.get('content-encoding')).equal('gzip');
    const bytes = await packed.arrayBuffer();
    const plain = await (await get()).text();
    expect(bytes.byteLength).below(plain.length / 2);
    const text = await new Response(new Response(bytes).body?.pipeThrough(new DecompressionStream('gzip'))).text();
    expect(text).equal(plain);
  });
  it('but not the lines of an import that are told as they happen', async () => {
    const answer = await bench.request('/api/jobs/large/readings/import', {
      method: 'POST',
      headers: { 'content-type': 'application/json', accept: 'application/x-ndjson', 'accept-encoding': 'gzip' },
      body: JSON.stringify({
        text: 'time,in,out,air,flow,sun\n2026-01-01 12:00,18,24,20,2.4,900',
        mapping: { time: { column: 'time', zone: 'utc' }, columns: {} },
        source: 'x',
        sensors,
        keep: 'nothing',
      }),
    });
    expect(answer.headers.get('content-encoding')).equal(null);
    await answer.text();
  });
});
