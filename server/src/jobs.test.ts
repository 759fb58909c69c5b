import { changesBetween, defaultJob, type Job, pathSteps, withValueAt } from '@north-pane/core/document';
import { expect } from 'chai';
import { type Bench, openBench } from './testing';

describe('server: jobs', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
  });
  after(async () => {
    expect(bench.troubles).deep.equal([]);
    await bench.close();
  });
  const begin = async (name: string) => {
    const answer = await bench.client.api.jobs.$post({ json: { name, family: 'harp', units: 'metric' } });
    expect(answer.status).equal(201);
    return (await answer.json()) as { id: string; version: number };
  };
  const fetchJob = async (id: string) => {
    const answer = await bench.client.api.jobs[':id'].$get({ param: { id }, query: {} });
    return (await answer.json()) as unknown as { version: number; document: Job };
  };
  const save = (id: string, base: number, before: Job, after: Job) =>
    bench.client.api.jobs[':id'].changes.$post({
      param: { id },
      json: { base, changes: changesBetween(before, after) },
    });
  const set = (job: Job, path: string, value: unknown) => withValueAt(job, pathSteps(path), value);

  it('begins a job with its need; whether it freezes follows from the place', async () => {
    const need = { kind: 'washing', volumePerDay: 0.08, target: 50, drinking: true };
    const places = [
      { latitude: 52.3, longitude: -1.9 },
      { latitude: 8, longitude: 5 },
    ];
    const frost = await Promise.all(
      places.map(async (where, index) => {
        const made = await bench.request('/api/jobs', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ name: `Need ${index}`, units: 'metric', where, need }),
        });
        expect(made.status).equal(201);
        const { id } = (await made.json()) as { id: string };
        const read = (await (await bench.request(`/api/jobs/${id}`)).json()) as {
          document: { need: { frost: boolean } };
        };
        expect(read.document.need).include(need);
        return read.document.need.frost;
      }),
    );
    expect(frost).deep.equal([true, false]);
  });
  it('begins a job under an id from its name, and another beside it', async () => {
    expect((await begin('Wäsh-house  roof!')).id).equal('wash-house-roof');
    expect((await begin('Wash-house roof')).id).equal('wash-house-roof-2');
    expect((await begin('Wash-house roof')).id).equal('wash-house-roof-3');
    expect((await begin('屋根')).id).equal('job');
    const answer = await bench.request('/api/jobs');
    const { jobs: shelf } = (await answer.json()) as { jobs: { name: string; gain?: number }[] };
    expect(shelf.map((job) => job.name)).include('屋根');
    expect(shelf[0]?.gain).above(1);
  });
  it('refuses a job without a name, an unknown kind, and a document that is none', async () => {
    for (const json of [
      { name: ' ', family: 'harp', units: 'metric' },
      { name: 'x', family: 'kettle', units: 'metric' },
    ]) {
      const answer = await bench.request('/api/jobs', {
        method: 'POST',
        body: JSON.stringify(json),
        headers: { 'content-type': 'application/json' },
      });
      expect(answer.status).equal(422);
    }
    const answer = await bench.client.api.jobs.$post({ json: { document: { ...defaultJob('harp'), site: {} } } });
    expect(answer.status).equal(422);
    expect(JSON.stringify(await answer.json())).include('site.latitude');
  });
  it('takes in a whole document', async () => {
    const document = { ...defaultJob('harp', { units: 'imperial' }), name: 'Brought along' };
    const answer = await bench.client.api.jobs.$post({ json: { document } });
    expect(answer.status).equal(201);
    expect((await fetchJob('brought-along')).document).deep.equal(document);
  });
  it('says plainly that a job is not there', async () => {
    for (const path of ['/api/jobs/nowhere', '/api/jobs/nowhere/plan.svg', '/api/jobs/nowhere/readings']) {
      const answer = await bench.request(path);
      expect(answer.status).equal(404);
      expect(((await answer.json()) as { message: string }).message).equal('There is no job “nowhere” on this shelf.');
    }
    expect((await bench.request('/api/nothing')).status).equal(404);
  });
  it('saves a change and moves the version on', async () => {
    const { id, version } = await begin('Saving');
    const { document } = await fetchJob(id);
    const answer = await save(id, version, document, set(document, 'heaters.panel-a.parameters.pitch', 0.1));
    expect(answer.status).equal(200);
    expect(await answer.json()).include({ version: 2, merged: false });
    expect((await fetchJob(id)).document.heaters['panel-a']?.parameters.pitch).equal(0.1);
  });
  it('merges two windows that changed different fields', async () => {
    const { id, version } = await begin('Merging');
    const { document } = await fetchJob(id);
    await save(id, version, document, set(document, 'site.standing.aim', 200));
    const answer = await save(id, version, document, set(document, 'heaters.panel-a.parameters.pitch', 0.1));
    expect(await answer.json()).include({ version: 3, merged: true });
    const now = (await fetchJob(id)).document;
    expect([now.site.standing.aim, now.heaters['panel-a']?.parameters.pitch]).deep.equal([200, 0.1]);
  });
  it('asks when two windows changed the same field, and writes nothing', async () => {
    const { id, version } = await begin('Conflict');
    const { document } = await fetchJob(id);
    await save(id, version, document, set(document, 'heaters.panel-a.parameters.pitch', 0.08));
    const mine = set(set(document, 'heaters.panel-a.parameters.pitch', 0.1), 'name', 'Mine');
    const answer = await save(id, version, document, mine);
    expect(answer.status).equal(409);
    const told = (await answer.json()) as unknown as { version: number; conflicts: unknown[] };
    expect(told.conflicts).deep.equal([
      { path: ['heaters', 'panel-a', 'parameters', 'pitch'], yours: 0.1, theirs: 0.08 },
    ]);
    const now = await fetchJob(id);
    expect([now.version, now.document.name]).deep.equal([2, 'Conflict']);
  });
  it('refuses a change that does not make a sound job, by field', async () => {
    const { id, version } = await begin('Unsound');
    const { document } = await fetchJob(id);
    const answer = await save(id, version, document, set(document, 'heaters.panel-a.parameters.pitch', -0.1));
    expect(answer.status).equal(422);
    expect(JSON.stringify(await answer.json())).include('heaters.panel-a.parameters.pitch');
    expect((await fetchJob(id)).version).equal(1);
  });
  it('keeps revisions that later changes do not touch, and knows what was built', async () => {
    const { id, version } = await begin('Kept');
    const { document } = await fetchJob(id);
    const kept = (await (
      await bench.client.api.jobs[':id'].revisions.$post({ param: { id }, json: { note: 'first' } })
    ).json()) as { id: number; number: number };
    expect(kept.number).equal(1);
    await save(id, version, document, set(document, 'name', 'Changed'));
    const [revision] = await (await bench.client.api.jobs[':id'].revisions.$get({ param: { id } })).json();
    expect(revision).include({ number: 1, note: 'first' });
    expect(revision).not.have.property('document');
    const whole = await bench.request(`/api/jobs/${id}/revisions/1`);
    expect(((await whole.json()) as { document: Job }).document.name).equal('Kept');
    const installedFrom = '2026-02-01T00:00:00.000Z';
    expect(
      (await bench.client.api.jobs[':id'].builds.$post({ param: { id }, json: { revisionId: kept.id, installedFrom } }))
        .status,
    ).equal(201);
    const [build] = await (await bench.client.api.jobs[':id'].builds.$get({ param: { id } })).json();
    expect(build).include({ number: 1, installedFrom });
    const stranger = await bench.client.api.jobs[':id'].builds.$post({
      param: { id: 'merging' },
      json: { revisionId: kept.id, installedFrom },
    });
    expect(stranger.status).equal(422);
  });
  it('draws the plan for the shelf', async () => {
    const { id } = await begin('Drawn');
    const answer = await bench.request(`/api/jobs/${id}/plan.svg`);
    expect(answer.headers.get('content-type')).equal('image/svg+xml');
    expect(await answer.text()).match(/^<svg/);
  });
});

describe('server: who may call', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
  });
  after(() => bench.close());
  const post = (headers: Record<string, string>) =>
    bench.request('/api/jobs', {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...headers },
      body: JSON.stringify({ name: 'x', family: 'harp', units: 'metric' }),
    });
  it('answers loopback names only', async () => {
    expect((await bench.request('/api/jobs', { headers: { host: 'evil.example' } })).status).equal(403);
    for (const host of ['localhost:4170', '127.0.0.1:4170', '[::1]:4170'])
      expect((await bench.request('/api/jobs', { headers: { host } })).status, host).equal(200);
  });
  it('takes no write from another site, nor from another port here', async () => {
    for (const origin of ['http://evil.example', 'http://localhost:9999', 'null'])
      expect((await post({ origin })).status, origin).equal(403);
    expect((await post({ origin: 'http://localhost:4170' })).status).equal(201);
  });
  it('sends its security headers and lets WASM run', async () => {
    const { headers } = await bench.request('/api/health');
    expect(headers.get('content-security-policy'))
      .include("default-src 'self'")
      .include("'wasm-unsafe-eval'")
      .not.include("unsafe-eval' ");
    expect(headers.get('x-content-type-options')).equal('nosniff');
    expect(headers.get('x-frame-options')).equal('SAMEORIGIN');
  });
  it('refuses bodies over the limit and bodies that are no JSON', async () => {
    const large = await bench.request('/api/jobs', {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'content-length': String(3 * 1024 * 1024) },
      body: JSON.stringify({ name: 'x'.repeat(3 * 1024 * 1024) }),
    });
    expect(large.status).equal(413);
    const torn = await bench.request('/api/jobs', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"name":',
    });
    expect(torn.status).equal(400);
  });
});
