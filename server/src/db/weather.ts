import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { deflate, inflate } from 'node:zlib';
import { valueAtPath } from '@north-pane/core/document';
import { decodeSeries } from '@north-pane/core/sky';
import { and, asc, eq } from 'drizzle-orm';
import type { Database } from './database';
import { jobs, weather } from './schema';

const pack = promisify(deflate);
const unpack = promisify(inflate);

const summary = {
  id: weather.id,
  name: weather.name,
  start: weather.start,
  step: weather.step,
  length: weather.length,
  quantities: weather.quantities,
  addedAt: weather.addedAt,
};

export async function listWeather({ orm }: Database, jobId: string) {
  return orm.select(summary).from(weather).where(eq(weather.jobId, jobId)).orderBy(asc(weather.id));
}

/** Keeps a series that core has written as bytes. Throws BrokenSeries on bytes that are none; then nothing is kept. */
export async function keepWeather(
  { orm }: Database,
  query: { jobId: string; name: string; bytes: Uint8Array },
): Promise<{ id: number; known: boolean }> {
  const { start, step, length, columns } = decodeSeries(query.bytes);
  const hash = createHash('sha256').update(query.bytes).digest('hex');
  const series = await pack(query.bytes);
  const [made] = await orm
    .insert(weather)
    .values({
      jobId: query.jobId,
      name: query.name,
      hash,
      start: new Date(start),
      step,
      length,
      quantities: Object.keys(columns),
      series,
    })
    .onConflictDoNothing()
    .returning({ id: weather.id });
  if (made) return { id: made.id, known: false };
  const [known] = await orm
    .select({ id: weather.id })
    .from(weather)
    .where(and(eq(weather.jobId, query.jobId), eq(weather.hash, hash)));
  if (!known) throw new Error('a series that was there a moment ago is gone');
  return { id: known.id, known: true };
}

/** The bytes of a series as they were sent; undefined when the job has none by that id. */
export async function weatherBytes({ orm }: Database, jobId: string, id: number): Promise<Buffer | undefined> {
  const [found] = await orm
    .select({ series: weather.series })
    .from(weather)
    .where(and(eq(weather.jobId, jobId), eq(weather.id, id)));
  return found ? unpack(found.series) : undefined;
}

/** Takes a series away unless the job as it stands is worked out with it. */
export async function dropWeather(
  { orm }: Database,
  jobId: string,
  id: number,
): Promise<'gone' | 'in use' | 'unknown'> {
  return orm.transaction(async (tx) => {
    const [job] = await tx.select().from(jobs).where(eq(jobs.id, jobId)).for('update');
    const climate = valueAtPath(job?.document, ['site', 'climate']) as
      | { kind?: unknown; weather?: unknown }
      | undefined;
    if (climate?.kind === 'file' && climate.weather === id) return 'in use';
    const dropped = await tx
      .delete(weather)
      .where(and(eq(weather.jobId, jobId), eq(weather.id, id)))
      .returning({ id: weather.id });
    return dropped.length > 0 ? 'gone' : 'unknown';
  });
}
