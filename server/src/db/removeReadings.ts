import { sql } from 'drizzle-orm';
import type { Database } from './database';

/**
 * Takes readings of a name out for good: those between two moments, both among them, or all, and then the name with them.
 *
 * @returns how many moments were taken out
 */
export async function removeReadings(
  { orm }: Database,
  query: { jobId: string; source: string; between?: { from: Date; to: Date } },
): Promise<number> {
  const { jobId, source, between } = query;
  return orm.transaction(async (tx) => {
    const span = between
      ? sql`and r.time between ${between.from.toISOString()}::timestamptz and ${between.to.toISOString()}::timestamptz`
      : sql``;
    const gone = await tx.execute<{ n: number }>(sql`
      with gone as (
        delete from readings r using channels c, sources s
        where r.channel_id = c.id and c.source_id = s.id and s.job_id = ${jobId} and s.name = ${source} ${span}
        returning r.time
      ) select count(distinct time)::int as n from gone`);
    // A set of instruments that nothing was read with any more is no source.
    await tx.execute(sql`
      delete from sources s where s.job_id = ${jobId} and s.name = ${source}
      and not exists (select from channels c join readings r on r.channel_id = c.id where c.source_id = s.id)`);
    return gone.rows[0]?.n ?? 0;
  });
}
