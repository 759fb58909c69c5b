import { once } from 'node:events';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import pg from 'pg';
import { from as copyFrom, to as copyTo } from 'pg-copy-streams';

const rows = 300_000;
const clients = 50;
const rounds = 40;
/** ms. */
const pause = 250;

const ms = (since) => performance.now() - since;
/** The value that so many of 100 stay below. */
const percentile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.floor((values.length - 1) * (share / 100))];

/** Sends JSON and throws where the answer is no good. */
async function send(url, body) {
  const answer = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${url}: ${answer.status} ${await answer.text()}`);
  return answer.json();
}

const sensors = { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' };

/** The same rows by COPY alone, out of memory into a table like that of the readings. @returns ms */
async function bareCopy(database) {
  const client = new pg.Client({ connectionString: database });
  await client.connect();
  try {
    const out = client.query(copyTo('copy readings to stdout'));
    const chunks = [];
    out.on('data', (chunk) => chunks.push(chunk));
    await once(out, 'end');
    await client.query('create table bare (like readings including all)');
    await client.query('alter table bare add foreign key (channel_id) references channels (id)');
    const started = performance.now();
    await pipeline(Readable.from(chunks), client.query(copyFrom('copy bare from stdin')));
    return ms(started);
  } finally {
    await client.end();
  }
}

/**
 * What the server takes: a large file of readings against a bare COPY of the same rows, how long others wait meanwhile, and
 * saves and readings by hand from many at once.
 *
 * @param {{ url: string, database: string }} query a running server and its database
 */
export async function serverTimes({ url, database }) {
  const job = async (name) => (await send(`${url}/api/jobs`, { name, family: 'harp', units: 'metric' })).id;
  const start = Date.UTC(2024, 0, 1);
  const lines = ['time,in,out,air,flow,sun'];
  for (let minute = 0; minute < rows; minute += 1) {
    const written = new Date(start + minute * 60_000).toISOString().slice(0, 16);
    lines.push(
      `${written},${18 + (minute % 40) / 10},${24 + (minute % 70) / 10},${20 + (minute % 9)},2.4,${minute % 1000}`,
    );
  }
  const large = await job('A large file');
  let done = false;
  const started = performance.now();
  const importing = send(`${url}/api/jobs/${large}/readings/import`, {
    text: lines.join('\n'),
    mapping: {
      time: { column: 'time', zone: 'utc' },
      columns: {
        inlet: { column: 'in', unit: '°C' },
        outlet: { column: 'out', unit: '°C' },
        air: { column: 'air', unit: '°C' },
        flow: { column: 'flow', unit: 'L/min' },
        irradiance: { column: 'sun', unit: 'W/m²' },
      },
    },
    source: 'logger',
    sensors,
    keep: 'good rows',
  }).then((report) => {
    done = true;
    if (report.added !== rows) throw new Error(`${report.added} of ${rows} readings were added`);
    return ms(started);
  });
  const waits = [];
  while (!done) {
    const asked = performance.now();
    await (await fetch(`${url}/api/jobs`)).arrayBuffer();
    waits.push(ms(asked));
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  const imported = await importing;
  const copied = await bareCopy(database);

  // One hand by himself: an edit of a 12-riser job, sent and answered.
  const alone = await job('Alone');
  const single = [];
  {
    let { version: base, document } = await (await fetch(`${url}/api/jobs/${alone}`)).json();
    let before = document.heaters['panel-a'].parameters.pitch;
    for (let round = 0; round < 40; round += 1) {
      const after = 0.1 + round / 1000;
      const sent = performance.now();
      const path = ['heaters', 'panel-a', 'parameters', 'pitch'];
      base = (
        await send(`${url}/api/jobs/${alone}/changes`, {
          base,
          save: `alone ${round}`,
          changes: [{ path, before, after }],
        })
      ).version;
      single.push(ms(sent));
      before = after;
    }
  }
  // Fifty hands at one job, each at a field of his own and at the log: not one error.
  const shared = await job('Shared');
  await Promise.all(
    Array.from({ length: clients }, async (_, client) => {
      for (let round = 0; round < 4; round += 1) {
        await send(`${url}/api/jobs/${shared}/changes`, {
          base: 1,
          save: `${client} ${round}`,
          changes: [{ path: ['shop', 'have', `tool/${client}-${round}`], after: true }],
        });
        const event = {
          kind: 'made',
          part: 'panel-a/riser',
          count: 1,
          device: `hand ${client}`,
          at: new Date(start).toISOString(),
        };
        await send(`${url}/api/jobs/${shared}/events`, { events: [{ ...event, id: `${client} ${round}` }] });
      }
    }),
  );
  const after = await (await fetch(`${url}/api/jobs/${shared}`)).json();
  const log = await (await fetch(`${url}/api/jobs/${shared}/events`)).json();
  if (Object.keys(after.document.shop.have).length !== 4 * clients || log.events.length !== 4 * clients)
    throw new Error('something of fifty hands is lost');

  const ids = [];
  for (let client = 0; client < clients; client += 1) ids.push(await job(`Client ${client}`));
  const saves = [];
  const byHand = [];
  await Promise.all(
    ids.map(async (id, client) => {
      let { version: base, document } = await (await fetch(`${url}/api/jobs/${id}`)).json();
      let before = document.heaters['panel-a'].parameters.pitch;
      for (let round = 0; round < rounds; round += 1) {
        const after = 0.1 + round / 1000;
        const saved = performance.now();
        const answer = await send(`${url}/api/jobs/${id}/changes`, {
          base,
          changes: [{ path: ['heaters', 'panel-a', 'parameters', 'pitch'], before, after }],
        });
        saves.push(ms(saved));
        base = answer.version;
        before = after;
        const reading = {
          time: start + (client * rounds + round) * 60_000,
          inlet: 18,
          outlet: 26,
          air: 20,
          flow: 4e-5,
          irradiance: 900,
        };
        const read = performance.now();
        await send(`${url}/api/jobs/${id}/readings`, { reading, sensors });
        byHand.push(ms(read));
        // Nobody changes a dimension more often; without a pause the time would be that of the queue, whatever its length.
        await new Promise((resolve) => setTimeout(resolve, pause));
      }
    }),
  );
  return {
    rows,
    clients,
    share: imported / copied,
    imported,
    wait: percentile(waits, 99),
    alone: percentile(single, 50),
    save: percentile(saves, 95),
    byHand: percentile(byHand, 95),
  };
}
