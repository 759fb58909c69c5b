import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { columnNames, type Reading, type Sensors, skyWords } from '@north-pane/core/proof';
import { eq, sql } from 'drizzle-orm';
import type { PoolClient } from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { againAfterOthers } from '../failure';
import type { Database } from './database';
import { channels, readings, sources } from './schema';

/** What is kept of a reading, by channel: the measured columns, and the sky said in words. */
const quantities = [...columnNames, 'sky'] as const;
type Quantity = (typeof quantities)[number];

function stored(reading: Reading, quantity: Quantity): number | undefined {
  if (quantity !== 'sky') return reading[quantity];
  return reading.sky === undefined ? undefined : skyWords.indexOf(reading.sky);
}

/** Readings of one name, whatever they were taken with. */
export interface SourceWithReadings {
  id: number;
  name: string;
  /** What most of them were taken with; others carry their own. */
  sensors: Sensors;
  count: number;
  /** The newest of them, in order of time. */
  readings: Reading[];
}

/**
 * Every source of a job by its name, with the newest `limit` readings of each.
 *
 * @param before ms since 1970: the page ends there, for those who read on backward
 */
export async function sourcesWithReadings(
  database: Database,
  jobId: string,
  limit: number,
  before?: number,
): Promise<SourceWithReadings[]> {
  const rows = await database.orm
    .select({ id: sources.id, name: sources.name, sensors: sources.sensors, count: sources.count })
    .from(sources)
    .where(eq(sources.jobId, jobId))
    .orderBy(sources.name, sources.id);
  const byName = new Map<string, typeof rows>();
  for (const row of rows) byName.set(row.name, [...(byName.get(row.name) ?? []), row]);
  return Promise.all(
    [...byName].map(async ([name, sets]): Promise<SourceWithReadings> => {
      const main = sets.reduce((most, one) => (one.count > most.count ? one : most));
      const parts = await Promise.all(
        sets.map(async (one) => {
          const list = await sourceReadings(database, one.id, limit, before);
          return one === main ? list : list.map((reading): Reading => ({ ...reading, sensors: one.sensors }));
        }),
      );
      const all = parts.flat().sort((a, b) => a.time - b.time);
      return {
        id: Math.min(...sets.map((one) => one.id)),
        name,
        sensors: main.sensors,
        count: sets.reduce((sum, one) => sum + one.count, 0),
        readings: all.slice(-limit),
      };
    }),
  );
}

/** Readings of one source, the newest `limit` of them, in order of time: no more of its history is read than the page. */
async function sourceReadings({ orm }: Database, sourceId: number, limit: number, before?: number): Promise<Reading[]> {
  const until = before === undefined ? sql`` : sql` and ${readings.time} < ${new Date(before)}`;
  const rows = await orm.execute<{ time: Date } & Record<Quantity, number | null>>(sql`
    with page as (
      select ${readings.time} as time from ${readings}
      where ${readings.channelId} = (
        select ${channels.id} from ${channels} where ${channels.sourceId} = ${sourceId} and ${channels.quantity} = 'inlet'
      )${until}
      order by ${readings.time} desc limit ${limit}
    )
    select ${readings.time} as time, ${sql.join(
      quantities.map(
        (name) => sql`max(${readings.value}) filter (where ${channels.quantity} = ${name}) as ${sql.identifier(name)}`,
      ),
      sql`, `,
    )}
    from ${channels} join ${readings} on ${channels.id} = ${readings.channelId}
    where ${channels.sourceId} = ${sourceId} and ${readings.time} >= (select min(time) from page)${until}
    group by ${readings.time} order by ${readings.time}`);
  return rows.rows.flatMap((row): Reading[] => {
    const { inlet, outlet, air, flow, irradiance, wind } = row;
    if (inlet === null || outlet === null || air === null || flow === null) return [];
    const sky = row.sky === null ? undefined : skyWords[row.sky];
    return [
      {
        time: new Date(row.time).getTime(),
        inlet,
        outlet,
        air,
        flow,
        ...(irradiance === null ? {} : { irradiance }),
        ...(wind === null ? {} : { wind }),
        ...(sky === undefined ? {} : { sky }),
      },
    ];
  });
}

export interface WriteReport {
  /** Readings that are new. */
  added: number;
  /** Readings that stood there already, value for value. */
  known: number;
  /** Times at which something else stands already; nothing of those readings is written. */
  differing: number[];
}

/** What is written, and where it belongs. */
interface Batch {
  jobId: string;
  source: string;
  sensors: Sensors;
  readings: readonly Reading[];
}

/** Somebody asked that a write be ended: nothing of it is kept. */
export class WriteStopped extends Error {
  constructor() {
    super('stopped; nothing was kept');
    this.name = 'WriteStopped';
  }
}

/**
 * Keeps one reading, without the tables that a file of them needs. A moment at which other values stand is refused; the same
 * reading again is known. Undefined when there is no such job.
 */
export async function writeOne(
  { pool }: Database,
  batch: Omit<Batch, 'readings'>,
  reading: Reading,
): Promise<WriteReport | undefined> {
  const values = quantities.flatMap((quantity) => {
    const value = stored(reading, quantity);
    return value === undefined ? [] : [{ quantity, value }];
  });
  const query = [
    batch.jobId,
    batch.source,
    JSON.stringify(batch.sensors),
    new Date(reading.time),
    values.map(({ quantity }) => quantity),
    values.map(({ value }) => value),
  ];
  const put = () => againAfterOthers(async () => (await pool.query<OneWritten>(oneStatement, query)).rows[0]);
  let result = await put();
  if (!result?.job) return undefined;
  if (result.channels < quantities.length) {
    await channelsOf(pool, batch);
    result = await put();
  }
  if (result?.written === values.length) return { added: 1, known: 0, differing: [] };
  const standing = result?.standing ?? [];
  const same =
    standing.every(({ own }) => own) &&
    quantities.every((name) => stored(reading, name) === standing.find(({ quantity }) => quantity === name)?.value);
  return same ? { added: 0, known: 1, differing: [] } : { added: 0, known: 0, differing: [reading.time] };
}

/** What one reading came to. */
interface OneWritten {
  /** Whether there is such a job. */
  job: boolean;
  /** Of the source with these instruments. */
  channels: number;
  written: number;
  /** What stood at that moment under that name; `own` where with the same instruments. */
  standing: { quantity: Quantity; value: number; own: boolean }[] | null;
}

/** All in one statement: fifty people with a thermometer each wait for one another's round trips otherwise. */
const oneStatement = `
  with own as (
    select c.id, c.quantity from sources s join channels c on c.source_id = s.id
    where s.job_id = $1 and s.name = $2 and s.sensors = $3
  ), standing as (
    select c.quantity, r.value, s.sensors = $3 as own
    from sources s join channels c on c.source_id = s.id join readings r on r.channel_id = c.id and r.time = $4
    where s.job_id = $1 and s.name = $2
  ), put as (
    insert into readings (channel_id, time, value)
    select own.id, $4, v.value from own join unnest($5::text[], $6::float8[]) as v (quantity, value) using (quantity)
    where not exists (select from standing)
    returning 1
  )
  select exists (select from jobs where id = $1) as job, (select count(*)::int from own) as channels, (select count(*)::int from put) as written,
    (select json_agg(standing) from standing) as standing`;

/**
 * Writes readings in one transaction, by COPY. Where nothing of that name stands in their span of time they go straight in; else into
 * a temporary table, and one insert from there: a time that already has other values is refused and told. With `dryRun` nothing is
 * kept at all. Throws WriteStopped.
 *
 * @param options.onProgress told now and then how much has gone, 0 to 1
 * @param options.signal ends it: the transaction is rolled back
 */
export async function writeReadings(
  database: Database,
  query: Batch & { dryRun: boolean },
  options: WriteOptions = {},
): Promise<WriteReport> {
  return againAfterOthers(() => writeOnce(database, query, options));
}

interface WriteOptions {
  onProgress?(share: number): void;
  signal?: AbortSignal;
}

async function writeOnce(
  database: Database,
  query: Batch & { dryRun: boolean },
  options: WriteOptions,
): Promise<WriteReport> {
  const { signal, onProgress } = options;
  const client = await database.pool.connect();
  let broken = false;
  try {
    await client.query('begin');
    // A file of a year takes longer than a single statement may otherwise.
    await client.query('set local statement_timeout = 0');
    const ids = await channelsOf(client, query);
    const span = spanOf(query.readings);
    const standing = await client.query<{ any: boolean }>(
      `select exists (
         select 1 from sources s join channels c on c.source_id = s.id and c.quantity = 'inlet'
         join readings r on r.channel_id = c.id and r.time between $3 and $4
         where s.job_id = $1 and s.name = $2) as any`,
      [query.jobId, query.source, span.from, span.to],
    );
    const copy = (into: string) =>
      pipeline(
        Readable.from(copyLines(query.readings, ids, { onProgress, signal })),
        client.query(copyFrom(`copy ${into} from stdin`)),
        signal ? { signal } : {},
      );
    if (!standing.rows[0]?.any) {
      if (!query.dryRun) await copy('readings');
      await client.query(query.dryRun ? 'rollback' : 'commit');
      return { added: query.readings.length, known: 0, differing: [] };
    }
    await client.query(
      'create temporary table incoming (channel_id integer, time timestamptz, value double precision) on commit drop',
    );
    await copy('incoming');
    const report = await mergeIncoming(client, query, ids);
    await client.query(query.dryRun ? 'rollback' : 'commit');
    return report;
  } catch (error) {
    // A COPY that was cut off leaves its connection in the middle of it.
    broken = true;
    if (signal?.aborted) throw new WriteStopped();
    throw error;
  } finally {
    if (broken) client.release(true);
    else client.release();
  }
}

/** Lays what came in beside what stands, and adds what is new; see `writeReadings`. */
async function mergeIncoming(
  client: PoolClient,
  query: Batch & { dryRun: boolean },
  ids: ReadonlyMap<Quantity, number>,
): Promise<WriteReport> {
  // Without it the planner takes a large temporary table for a small one.
  await client.query('analyze incoming');
  const own = [...ids.values()];
  const differing = await client.query<{ time: Date }>(
    `select distinct i.time from incoming i join readings r using (channel_id, time)
     where r.value is distinct from i.value
     union
     -- The same moment read before with fewer or more instruments is another reading too.
     select distinct i.time from incoming i
     join readings known on known.channel_id = $2 and known.time = i.time
     left join readings r on r.channel_id = i.channel_id and r.time = i.time
     where r.time is null
     union
     -- And so is the same moment under the same name with instruments of another kind.
     select distinct i.time from incoming i
     join sources s on s.job_id = $3 and s.name = $4
     join channels c on c.source_id = s.id and c.quantity = 'inlet' and c.id <> all ($1::int[])
     join readings known on known.channel_id = c.id and known.time = i.time
     order by 1`,
    [own, ids.get('inlet'), query.jobId, query.source],
  );
  await client.query('create temporary table refused on commit drop as select unnest($1::timestamptz[]) as time', [
    differing.rows.map((row) => row.time),
  ]);
  const fresh = `from incoming i left join readings r using (channel_id, time)
    where r.time is null and i.time not in (select time from refused)`;
  const added = await client.query<{ n: number }>(`select count(distinct i.time)::int as n ${fresh}`);
  if (!query.dryRun)
    await client.query(`insert into readings (channel_id, time, value) select i.channel_id, i.time, i.value ${fresh}`);
  const refused = differing.rows.length;
  const count = added.rows[0]?.n ?? 0;
  return {
    added: count,
    known: query.readings.length - count - refused,
    differing: differing.rows.map((row) => row.time.getTime()),
  };
}

function spanOf(list: readonly Reading[]): { from: Date; to: Date } {
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const { time } of list) {
    if (time < from) from = time;
    if (time > to) to = time;
  }
  return list.length === 0 ? { from: new Date(0), to: new Date(0) } : { from: new Date(from), to: new Date(to) };
}

/** Channels of a source with its instruments, made where they are not there yet. */
async function channelsOf(
  client: Pick<PoolClient, 'query'>,
  batch: Omit<Batch, 'readings'>,
): Promise<Map<Quantity, number>> {
  const { jobId, source, sensors } = batch;
  const known = await client.query<{ id: number; quantity: Quantity }>(
    `select c.id, c.quantity from sources s join channels c on c.source_id = s.id
     where s.job_id = $1 and s.name = $2 and s.sensors = $3`,
    [jobId, source, JSON.stringify(sensors)],
  );
  if (known.rows.length === quantities.length) return new Map(known.rows.map((row) => [row.quantity, row.id]));
  const made = await client.query<{ id: number }>(
    `insert into sources (job_id, name, sensors) values ($1, $2, $3)
     on conflict (job_id, name, sensors) do update set name = excluded.name returning id`,
    [jobId, source, JSON.stringify(sensors)],
  );
  const rows = await client.query<{ id: number; quantity: Quantity }>(
    `insert into channels (source_id, quantity) select $1, unnest($2::text[])
     on conflict (source_id, quantity) do update set quantity = excluded.quantity returning id, quantity`,
    [made.rows[0]?.id, quantities],
  );
  return new Map(rows.rows.map((row) => [row.quantity, row.id]));
}

/** Readings written in one piece of text: long enough to go fast, short enough that nobody waits for it. */
const slice = 500;

async function* copyLines(
  list: readonly Reading[],
  ids: ReadonlyMap<Quantity, number>,
  { onProgress, signal }: { onProgress?: ((share: number) => void) | undefined; signal?: AbortSignal | undefined },
): AsyncGenerator<string> {
  for (let start = 0; start < list.length; start += slice) {
    if (signal?.aborted) throw new WriteStopped();
    let lines = '';
    for (const reading of list.slice(start, start + slice)) {
      const time = new Date(reading.time).toISOString();
      for (const [quantity, id] of ids) {
        const value = stored(reading, quantity);
        if (value !== undefined) lines += `${id}\t${time}\t${value}\n`;
      }
    }
    onProgress?.(start / list.length);
    yield lines;
    // Others have their turn between two slices.
    await new Promise((resolve) => setImmediate(resolve));
  }
}
