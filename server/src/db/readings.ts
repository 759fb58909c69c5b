import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { columnNames, type Reading, type Sensors, skyWords } from '@north-pane/core';
import { and, count, eq, max, min, sql } from 'drizzle-orm';
import type { PoolClient } from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import type { Database } from './database';
import { channels, readings, sources } from './schema';

/** What is kept of a reading, by channel: the measured columns, and the sky said in words. */
const quantities = [...columnNames, 'sky'] as const;
type Quantity = (typeof quantities)[number];

function stored(reading: Reading, quantity: Quantity): number | undefined {
  if (quantity !== 'sky') return reading[quantity];
  return reading.sky === undefined ? undefined : skyWords.indexOf(reading.sky);
}

export interface SourceSummary {
  id: number;
  name: string;
  sensors: Sensors;
  count: number;
  first: Date | null;
  last: Date | null;
}

export async function listSources({ orm }: Database, jobId: string): Promise<SourceSummary[]> {
  return orm
    .select({
      id: sources.id,
      name: sources.name,
      sensors: sources.sensors,
      count: count(readings.time),
      first: min(readings.time),
      last: max(readings.time),
    })
    .from(sources)
    .leftJoin(channels, and(eq(channels.sourceId, sources.id), eq(channels.quantity, 'inlet')))
    .leftJoin(readings, eq(readings.channelId, channels.id))
    .where(eq(sources.jobId, jobId))
    .groupBy(sources.id)
    .orderBy(sources.name);
}

/** Readings of one source, the newest `limit` of them, in order of time. */
export async function sourceReadings({ orm }: Database, sourceId: number, limit: number): Promise<Reading[]> {
  const rows = await orm.execute<{ time: Date } & Record<Quantity, number | null>>(sql`
    select * from (
      select ${readings.time} as time, ${sql.join(
        quantities.map(
          (name) =>
            sql`max(${readings.value}) filter (where ${channels.quantity} = ${name}) as ${sql.identifier(name)}`,
        ),
        sql`, `,
      )}
      from ${readings} join ${channels} on ${channels.id} = ${readings.channelId}
      where ${channels.sourceId} = ${sourceId}
      group by ${readings.time} order by ${readings.time} desc limit ${limit}
    ) newest order by time`);
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

/**
 * Writes readings in one transaction, by COPY into a temporary table and one insert from there. A time that already has
 * other values is refused and told; with `dryRun` nothing is kept at all.
 */
export async function writeReadings(
  database: Database,
  query: { jobId: string; source: string; sensors: Sensors; readings: readonly Reading[]; dryRun: boolean },
): Promise<WriteReport> {
  const client = await database.pool.connect();
  try {
    await client.query('begin');
    const channelIds = await ensureChannels(client, query);
    await client.query(
      'create temporary table incoming (channel_id integer, time timestamptz, value double precision) on commit drop',
    );
    await pipeline(
      Readable.from(copyLines(query.readings, channelIds)),
      client.query(copyFrom('copy incoming from stdin')),
    );
    // Without it the planner takes a large temporary table for a small one.
    await client.query('analyze incoming');
    const differing = await client.query<{ time: Date }>(`
      select distinct i.time from incoming i join readings r using (channel_id, time)
      where r.value is distinct from i.value
      union
      -- The same moment read before with fewer or more instruments is another reading too.
      select distinct i.time from incoming i
      join channels c on c.id = i.channel_id
      join channels inlet on inlet.source_id = c.source_id and inlet.quantity = 'inlet'
      join readings known on known.channel_id = inlet.id and known.time = i.time
      left join readings r on r.channel_id = i.channel_id and r.time = i.time
      where r.time is null
      order by 1`);
    await client.query('create temporary table refused on commit drop as select unnest($1::timestamptz[]) as time', [
      differing.rows.map((row) => row.time),
    ]);
    const fresh = `from incoming i left join readings r using (channel_id, time)
      where r.time is null and i.time not in (select time from refused)`;
    const added = await client.query<{ n: number }>(`select count(distinct i.time)::int as n ${fresh}`);
    if (!query.dryRun)
      await client.query(
        `insert into readings (channel_id, time, value) select i.channel_id, i.time, i.value ${fresh}`,
      );
    await client.query(query.dryRun ? 'rollback' : 'commit');
    const refused = differing.rows.length;
    const count = added.rows[0]?.n ?? 0;
    return {
      added: count,
      known: query.readings.length - count - refused,
      differing: differing.rows.map((row) => row.time.getTime()),
    };
  } catch (error) {
    await client.query('rollback').catch(() => {});
    throw error;
  } finally {
    client.release();
  }
}

async function ensureChannels(
  client: PoolClient,
  query: { jobId: string; source: string; sensors: Sensors },
): Promise<Map<Quantity, number>> {
  const source = await client.query<{ id: number }>(
    `insert into sources (job_id, name, sensors) values ($1, $2, $3)
     on conflict (job_id, name) do update set sensors = excluded.sensors returning id`,
    [query.jobId, query.source, JSON.stringify(query.sensors)],
  );
  const sourceId = source.rows[0]?.id;
  const made = await client.query<{ id: number; quantity: Quantity }>(
    `insert into channels (source_id, quantity) select $1, unnest($2::text[])
     on conflict (source_id, quantity) do update set quantity = excluded.quantity returning id, quantity`,
    [sourceId, quantities],
  );
  return new Map(made.rows.map((row) => [row.quantity, row.id]));
}

function* copyLines(list: readonly Reading[], channelIds: ReadonlyMap<Quantity, number>): Generator<string> {
  for (const reading of list) {
    const time = new Date(reading.time).toISOString();
    let lines = '';
    for (const [quantity, id] of channelIds) {
      const value = stored(reading, quantity);
      if (value !== undefined) lines += `${id}\t${time}\t${value}\n`;
    }
    yield lines;
  }
}
