import { jobVersion, readDocument } from '@north-pane/core/document';
import { and, asc, eq, gt, isNull, or, sql } from 'drizzle-orm';
import type { Database } from './database';
import { appendEvents, shopStateOf } from './events';
import { jobs } from './schema';
import { cardOf, unreadableCard, withDocumentHash } from './summaries';

const page = 50;

/**
 * Brings stored jobs to the version of this program, once at its start: documents of an earlier version are written anew, with what
 * they tell of the shop as events, and a card for the shelf. One that cannot be read stays as it is and gets a card that says so.
 *
 * @returns how many were written anew, and how many cannot be read
 */
export async function upgradeJobs(database: Database): Promise<{ upgraded: number; unreadable: number }> {
  const { orm } = database;
  const counts = { upgraded: 0, unreadable: 0 };
  for (let after = ''; ; ) {
    const rows = await orm
      .select({ id: jobs.id, version: jobs.version, document: jobs.document })
      .from(jobs)
      .where(
        and(
          gt(jobs.id, after),
          or(
            isNull(jobs.summary),
            sql`(${jobs.summary} ->> 'hash') is distinct from md5(${jobs.document}::text)`,
            sql`(${jobs.summary} ->> 'of') is distinct from ${jobs.version}::text`,
            sql`${jobs.document} ->> 'version' is distinct from ${String(jobVersion)}`,
          ),
        ),
      )
      .orderBy(asc(jobs.id))
      .limit(page);
    for (const row of rows) {
      const parsed = readDocument(row.document);
      if (!parsed.ok) {
        counts.unreadable += 1;
        const summary = unreadableCard(row.document, row.version, parsed.errors);
        await orm
          .update(jobs)
          .set({ summary: withDocumentHash(summary) })
          .where(and(eq(jobs.id, row.id), eq(jobs.version, row.version)));
        continue;
      }
      counts.upgraded += 1;
      await orm.transaction(async (tx) => {
        const { rowCount } = await tx
          .update(jobs)
          .set({ document: parsed.job })
          .where(and(eq(jobs.id, row.id), eq(jobs.version, row.version)));
        // Somebody else was there first: theirs has been read anew already.
        if (!rowCount) return;
        await appendEvents(tx, row.id, parsed.events);
        const summary = cardOf(parsed.job, row.version, await shopStateOf({ orm: tx }, row.id));
        await tx
          .update(jobs)
          .set({ summary: withDocumentHash(summary) })
          .where(eq(jobs.id, row.id));
      });
    }
    const last = rows[rows.length - 1];
    if (!last || rows.length < page) return counts;
    after = last.id;
  }
}
