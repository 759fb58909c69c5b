import { broadMonths, decodeSeries, encodeSeries, syntheticYear, type WeatherSeries } from '@north-pane/core/sky';
import { expect } from 'chai';
import { forecastSchema } from './outlook';
import { type Bench, benchNow, openBench } from './testing';

const place = { latitude: -40.9, longitude: 172.9, elevation: 4 };
const year = syntheticYear(broadMonths('maritime', -40.9, 4), place, 2);

describe('server: weather', () => {
  let bench: Bench;
  let id: string;
  before(async () => {
    bench = await openBench();
    const made = await bench.client.api.jobs.$post({ json: { name: 'Windy', family: 'harp', units: 'metric' } });
    id = ((await made.json()) as { id: string }).id;
  });
  after(() => bench.close());
  const send = (name: string, series: WeatherSeries | Uint8Array<ArrayBuffer>, job = id) => {
    const form = new FormData();
    form.set('name', name);
    form.set('series', new File([series instanceof Uint8Array ? series : encodeSeries(series)], 'series'));
    return bench.request(`/api/jobs/${job}/weather`, { method: 'POST', body: form });
  };
  const list = async () => {
    const answer = await bench.client.api.jobs[':id'].weather.$get({ param: { id } });
    return (await answer.json()) as { id: number; name: string; length: number; step: number; start: string }[];
  };

  it('keeps a series and gives it back byte for byte', async () => {
    const answer = await send('mast', year);
    expect(answer.status).equal(201);
    const { id: kept, known } = (await answer.json()) as { id: number; known: boolean };
    expect(known).equal(false);
    expect((await list())[0]).include({ id: kept, name: 'mast', length: 8760, step: 3600 });
    const back = await bench.request(`/api/jobs/${id}/weather/${kept}`);
    const bytes = new Uint8Array(await back.arrayBuffer());
    expect(bytes).deep.equal(encodeSeries(year));
    expect(decodeSeries(bytes).start).equal(year.start);
  });
  it('knows the same series when it comes again', async () => {
    const [first] = await list();
    const again = (await (await send('mast, once more', year)).json()) as { id: number; known: boolean };
    expect(again).deep.equal({ id: first?.id, known: true });
    expect(await list()).length(1);
  });
  it('refuses what is no series, keeps nothing of it, and says what to do', async () => {
    const before = (await list()).length;
    for (const bytes of [new Uint8Array(0), new Uint8Array(500), encodeSeries(year).slice(0, 5000)]) {
      const answer = await send('broken', bytes);
      expect(answer.status).equal(422);
      expect(((await answer.json()) as { message: string }).message).match(/no weather .* Nothing was kept/);
    }
    expect((await send('', year)).status).equal(422);
    const bare = new FormData();
    bare.set('name', 'no series');
    expect((await bench.request(`/api/jobs/${id}/weather`, { method: 'POST', body: bare })).status).equal(422);
    expect((await send('lost', year, 'nowhere')).status).equal(404);
    const large = await send('large', new Uint8Array(11 * 1024 * 1024));
    expect(large.status).equal(413);
    expect((await list()).length).equal(before);
    expect(bench.troubles).deep.equal([]);
  });
  it('has none by strange numbers, nor one of another job', async () => {
    const [first] = await list();
    for (const strange of ['0', '-1', 'first', '99999', '1e9'])
      expect((await bench.request(`/api/jobs/${id}/weather/${strange}`)).status).equal(404);
    expect((await bench.request(`/api/jobs/elsewhere/weather/${first?.id}`)).status).equal(404);
    expect((await bench.request('/api/jobs/elsewhere/weather')).status).equal(404);
  });
  it('does not take away the weather that the job is worked out with', async () => {
    const [first] = await list();
    const climate = { kind: 'file', weather: first?.id, name: 'mast', months: broadMonths('maritime', -40.9, 4) };
    const job = (await (await bench.request(`/api/jobs/${id}`)).json()) as { version: number };
    const set = (before: unknown, after: unknown, base: number) =>
      bench.client.api.jobs[':id'].changes.$post({
        param: { id },
        json: { base, changes: [{ path: ['site', 'climate'], before, after }] },
      });
    expect((await set(null, climate, job.version)).status).equal(200);
    const drop = () => bench.request(`/api/jobs/${id}/weather/${first?.id}`, { method: 'DELETE' });
    const refused = await drop();
    expect(refused.status).equal(409);
    expect(((await refused.json()) as { message: string }).message).match(/Choose another one first/);
    expect((await set(climate, null, job.version + 1)).status).equal(200);
    expect((await drop()).status).equal(200);
    expect((await drop()).status).equal(404);
    expect(await list()).deep.equal([]);
  });
});

describe('server: the stand-in weather', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
  });
  after(() => bench.close());
  const ask = (query: string) => bench.request(`/standins/weather?${query}`);
  it('answers the next three days by the hour, the same for the same place, in the agreed form', async () => {
    const first = await (await ask('latitude=-40.9&longitude=172.9')).json();
    const { hours, made } = forecastSchema.parse(first);
    expect(hours).length(72);
    expect(made).equal(benchNow.toISOString());
    expect(hours[0]?.time).equal('2026-11-25T04:00:00.000Z');
    expect(await (await ask('latitude=-40.9&longitude=172.9')).json()).deep.equal(first);
    expect(await (await ask('latitude=40.9&longitude=172.9')).json()).not.deep.equal(first);
  });
  it('is dark by night and bright by day where the sun is', async () => {
    const { hours } = forecastSchema.parse(await (await ask('latitude=-40.9&longitude=172.9&hours=168')).json());
    for (const hour of hours) {
      const at = new Date(hour.time).getUTCHours();
      // Solar noon is at half past midnight UTC.
      if (at >= 10 && at <= 15) expect(hour.global).equal(0);
    }
    expect(Math.max(...hours.map((hour) => hour.global))).above(600);
  });
  it('refuses a place that is none', async () => {
    for (const query of ['', 'latitude=95&longitude=0', 'latitude=x&longitude=0', 'latitude=0&longitude=0&hours=9999'])
      expect((await ask(query)).status, query).equal(422);
  });
});

describe('server: what the weather will be', () => {
  const outlookWith = async (weather?: (url: string) => Promise<Response>) => {
    const bench = await openBench(
      weather ? { weather, address: 'https://weather.invalid/v1?key=abc', patience: 400 } : {},
    );
    const made = await bench.client.api.jobs.$post({ json: { name: 'Outlook', family: 'harp', units: 'metric' } });
    const { id } = (await made.json()) as { id: string };
    const answer = await bench.request(`/api/jobs/${id}/outlook`);
    const body = (await answer.json()) as {
      message?: string;
      standIn?: boolean;
      source?: string;
      hours?: { time: number }[];
    };
    const lost = await bench.request('/api/jobs/nowhere/outlook');
    expect(lost.status).equal(404);
    expect(bench.troubles).deep.equal([]);
    await bench.close();
    return { status: answer.status, body };
  };
  it('comes from the stand-in, which says that it is one', async () => {
    const { status, body } = await outlookWith();
    expect(status).equal(200);
    expect(body).include({ standIn: true, source: 'localhost:4170' });
    expect(body.hours?.[0]?.time).equal(Date.parse('2026-11-25T04:00:00Z'));
  });
  it('comes from a service of one’s own, asked with the place and what its address held already', async () => {
    const asked: string[] = [];
    const hours = Array.from({ length: 24 }, (_, hour) => ({
      time: new Date(benchNow.getTime() + hour * 3_600_000).toISOString(),
      global: 100,
      air: 10,
      wind: 2,
      rain: 0,
    }));
    const { body } = await outlookWith(async (url) => {
      asked.push(url);
      return Response.json({ made: benchNow.toISOString(), hours });
    });
    expect(body).include({ standIn: false, source: 'weather.invalid' });
    expect(asked[0]).equal('https://weather.invalid/v1?key=abc&latitude=45&longitude=0&elevation=100&hours=72');
  });
  const silent: [what: string, answer: () => Promise<Response>, words: RegExp][] = [
    ['does not answer', () => Promise.reject(new Error('no route')), /does not answer/],
    ['refuses', async () => new Response('no', { status: 403 }), /answered 403/],
    [
      'sends one elsewhere',
      async () => new Response(null, { status: 302, headers: { location: 'http://127.0.0.1/' } }),
      /sends elsewhere/,
    ],
    [
      'answers without an end',
      async () => new Response(new ReadableStream({ pull: (out) => out.enqueue(new Uint8Array(65_536)) })),
      /without an end/,
    ],
    [
      'begins and says no more',
      async () => new Response(new ReadableStream({ pull: () => new Promise(() => {}) })),
      /without an end/,
    ],
    ['sends brackets in brackets', async () => new Response('['.repeat(200_000)), /cannot be read/],
    ['sends no JSON', async () => new Response('<html>'), /cannot be read/],
    [
      'sends too little',
      async () => Response.json({ made: benchNow.toISOString(), hours: [] }),
      /cannot be read \(hours/,
    ],
    [
      'sends impossible sun',
      async () =>
        Response.json({
          made: benchNow.toISOString(),
          hours: Array.from({ length: 24 }, () => ({ time: benchNow.toISOString(), global: 9000, air: 1, wind: 1 })),
        }),
      /cannot be read \(hours\.0\.global/,
    ],
  ];
  for (const [what, answer, words] of silent)
    it(`says in words when the service ${what}, and never its key`, async () => {
      const { status, body } = await outlookWith(answer);
      expect(status).equal(502);
      expect(body.message).match(words);
      expect(body.message).not.include('abc');
    });
});
