import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import { createJob } from './db/jobs';
import { isTooDeep } from './jsonDepth';
import { type Bench, openBench } from './testing';

describe('server: what is sent to do harm', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
    await createJob(bench.database, { ...defaultJob('harp'), name: 'Shed' });
  });
  after(async () => {
    expect(bench.troubles).deep.equal([]);
    await bench.close();
  });
  const send = (path: string, text: string, method = 'POST') =>
    bench.request(path, { method, body: text, headers: { 'content-type': 'application/json' } });
  const json = { 'content-type': 'application/json' };

  const deep = '['.repeat(100_000);
  for (const [what, path, text] of [
    ['brackets alone', '/api/jobs', deep],
    ['a document of brackets', '/api/jobs', `{"document":${deep}${']'.repeat(100_000)}}`],
    [
      'a value of brackets',
      '/api/jobs/shed/changes',
      `{"base":1,"changes":[{"path":["name"],"after":${deep}${']'.repeat(100_000)}}]}`,
    ],
    ['an event of brackets', '/api/jobs/shed/events', `{"events":[${deep}${']'.repeat(100_000)}]}`],
    ['objects in objects', '/api/jobs', `${'{"a":'.repeat(40_000)}1${'}'.repeat(40_000)}`],
  ] as const)
    it(`refuses ${what}, 200 kB deep, and goes on`, async () => {
      const answer = await send(path, text);
      expect(answer.status).equal(422);
      expect((await bench.request('/api/jobs/shed')).status).equal(200);
    });
  it('takes brackets that stand in a text, and quotation marks that are escaped there', () => {
    const text = `${'['.repeat(500)}"\\\\${'{'.repeat(500)}`;
    expect(isTooDeep(JSON.stringify({ note: text, list: [[1]] }))).equal(false);
    expect(isTooDeep(JSON.stringify({ note: '\\' }) + '['.repeat(65))).equal(true);
  });

  for (const path of [
    '/api/jobs/shed/weather/99999999999',
    '/api/jobs/shed/weather/2147483648',
    '/api/jobs/shed/weather/1e3',
    '/api/jobs/shed/weather/-1',
    '/api/jobs/shed/revisions/99999999999',
  ])
    it(`knows nothing at ${path}`, async () => {
      expect((await bench.request(path)).status).equal(404);
      expect((await bench.request(path, { method: 'DELETE' })).status).equal(404);
    });
  it('refuses years that no database keeps', async () => {
    for (const before of ['0000-01-01T00:00:00Z', '0000-12-31T23:59:59.999Z'])
      expect((await bench.request(`/api/jobs?before=${before}&beforeId=x`)).status, before).equal(422);
    const event = { kind: 'step', step: 's', done: true, id: 'x', at: '0000-01-01T00:00:00Z', device: 'd' };
    const answer = await send('/api/jobs/shed/events', JSON.stringify({ events: [event] }));
    expect(((await answer.json()) as { refused: { path: string }[] }).refused.map(({ path }) => path)).deep.equal([
      'at',
    ]);
    const build = JSON.stringify({ revisionId: 1, installedFrom: '0000-01-01T00:00:00Z' });
    expect((await send('/api/jobs/shed/builds', build)).status).equal(422);
    const reading = { time: -62_200_000_000_000, inlet: 18, outlet: 24, air: 20, flow: 4e-5, sky: 'clear' };
    const sensors = { thermometers: 'glass', flow: 'meter', sun: 'phone' };
    expect((await send('/api/jobs/shed/readings', JSON.stringify({ reading, sensors }))).status).equal(422);
  });
  it('a job that is deleted while it is written to answers 404 or takes it, and breaks over nothing', async () => {
    for (let round = 0; round < 6; round += 1) {
      const { id } = await createJob(bench.database, { ...defaultJob('harp'), name: 'Gone' });
      const event = { kind: 'step', step: 's', done: true, id: 'x', at: '2026-05-01T10:00:00Z', device: 'd' };
      const change = { path: ['currency'], before: defaultJob('harp').currency, after: 'kr' };
      const reading = { time: 1_770_000_000_000, inlet: 18, outlet: 24, air: 20, flow: 4e-5, sky: 'clear' };
      const sensors = { thermometers: 'glass', flow: 'meter', sun: 'phone' };
      const answers = await Promise.all([
        send(`/api/jobs/${id}/events`, JSON.stringify({ events: [event] })),
        send(`/api/jobs/${id}/changes`, JSON.stringify({ base: 1, save: 'a', changes: [change] })),
        send(`/api/jobs/${id}`, JSON.stringify({ name: 'Gone' }), 'DELETE'),
        send(`/api/jobs/${id}/revisions`, JSON.stringify({ note: 'now' })),
        send(`/api/jobs/${id}/readings`, JSON.stringify({ reading, sensors })),
        send(`/api/jobs/${id}/changes`, JSON.stringify({ base: 1, save: 'b', changes: [{ ...change, before: 'x' }] })),
        send(`/api/jobs/${id}/copies`, JSON.stringify({ name: 'Copy' })),
      ]);
      for (const answer of answers) expect(answer.status, answer.url).below(500);
    }
  });
  it('reads a file of nothing but commas in bounded memory, while others are answered', async () => {
    const before = process.memoryUsage().rss;
    const text = ','.repeat(24_000_000);
    const mapping = { time: { column: 'time', zone: 'utc' }, columns: {} };
    const sensors = { thermometers: 'glass', flow: 'meter', sun: 'phone' };
    const asking = bench.request('/api/jobs/shed/readings/import', {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ text, mapping, source: 'commas', sensors, keep: 'nothing' }),
    });
    let answered = 0;
    let over = false;
    const others = (async () => {
      while (!over) {
        if ((await bench.request('/api/jobs/shed/stands')).status === 200) answered += 1;
        await new Promise((next) => setTimeout(next, 5));
      }
    })();
    const answer = await asking;
    over = true;
    await others;
    expect(answer.status).equal(422);
    expect(answered).above(2);
    expect(process.memoryUsage().rss - before).below(900_000_000);
  });
});
