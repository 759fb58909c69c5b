import { foldEvents, parseEvents, type ShopEvent, type ShopState } from '@north-pane/core/shoplog';
import { and, asc, desc, eq, gt, lte, sql } from 'drizzle-orm';
import { againAfterOthers } from '../failure';
import type { Database, Transaction } from './database';
import { events, jobs } from './schema';

/** Events that one answer has at most. */
export const eventsPerPage = 2000;

/**
 * Adds events to the log of a job, one after the other for each job, so that nobody who reads on from a number misses one with a
 * smaller. An id that is there already adds nothing.
 *
 * @returns how many are new
 */
export async function appendEvents(tx: Transaction, jobId: string, list: readonly ShopEvent[]): Promise<number> {
  if (list.length === 0) return 0;
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`events ${jobId}`}))`);
  const added = await tx
    .insert(events)
    .values(
      list.map((event) => ({
        jobId,
        id: event.id,
        at: new Date(event.at),
        device: event.device,
        kind: event.kind,
        body: event,
      })),
    )
    .onConflictDoNothing()
    .returning({ id: events.id });
  return added.length;
}

/** What is read with: the pool, or a transaction that is under way. */
type Reader = { orm: Pick<Database['orm'], 'select'> };

/** The log of a job from after a number on, in the order in which it came in. */
export async function eventsAfter(
  { orm }: Reader,
  jobId: string,
  after: number,
): Promise<{ events: ShopEvent[]; seq: number; mark?: string; more: boolean }> {
  const rows = await orm
    .select({ seq: events.seq, id: events.id, body: events.body })
    .from(events)
    .where(and(eq(events.jobId, jobId), gt(events.seq, after)))
    .orderBy(asc(events.seq))
    .limit(eventsPerPage);
  const end = rows[rows.length - 1];
  return {
    // One that cannot be read, of another version of the program, is passed over and stands in its row as it came.
    events: rows.flatMap(({ body }) => {
      const parsed = parseEvents([body]);
      return parsed.ok ? parsed.events : [];
    }),
    seq: end?.seq ?? after,
    ...(end ? { mark: await markAt({ orm }, jobId, end.seq) } : {}),
    more: rows.length === eventsPerPage,
  };
}

/** How a job stands in the shop, by its whole log. */
export async function shopStateOf(database: Reader, jobId: string): Promise<ShopState> {
  const all: ShopEvent[] = [];
  for (let after = 0; ; ) {
    const page = await eventsAfter(database, jobId, after);
    all.push(...page.events);
    if (!page.more) return foldEvents(all);
    after = page.seq;
  }
}

/** Where changes of a job are told. */
export const jobChannel = 'north_pane_job';

/** Tells every server that shares the database that something of a job has changed; heard when the transaction is through. */
export async function announce(tx: Pick<Transaction, 'execute'>, jobId: string): Promise<void> {
  await tx.execute(sql`select pg_notify(${jobChannel}, ${jobId})`);
}

/**
 * Adds to a job's log, and tells the others; undefined where there is no such job. Says how many were new, and how far the log goes now.
 *
 * @param key of the job that they were done for: a new job of the same name takes none of them
 */
export async function recordEvents({ orm }: Database, jobId: string, list: readonly ShopEvent[], key?: string) {
  return againAfterOthers(() =>
    orm.transaction(async (tx): Promise<{ added: number; seq: number } | undefined> => {
      // Held, so that it is not deleted meanwhile.
      const [job] = await tx.select({ key: jobs.key }).from(jobs).where(eq(jobs.id, jobId)).for('key share');
      if (!job || (key !== undefined && key !== job.key)) return undefined;
      const added = await appendEvents(tx, jobId, list);
      if (added > 0) await announce(tx, jobId);
      return { added, seq: await lastSeq({ orm: tx }, jobId) };
    }),
  );
}

/** Where a job stands: which one it is, at which version, and how far its log goes. */
export interface JobStands {
  key: string;
  version: number;
  stamp: string;
  seq: number;
}

/** Undefined when there is no such job. */
export async function jobStands({ orm }: Reader, id: string): Promise<JobStands | undefined> {
  const [job] = await orm
    .select({ key: jobs.key, version: jobs.version, stamp: jobs.stamp })
    .from(jobs)
    .where(eq(jobs.id, id));
  if (!job) return undefined;
  return { ...job, seq: await lastSeq({ orm }, id) };
}

/** Where a job stands, with the mark of its log. */
export async function markedStands(reader: Reader, id: string): Promise<(JobStands & { mark: string }) | undefined> {
  const now = await jobStands(reader, id);
  return now && { ...now, mark: await markAt(reader, id, now.seq) };
}

/** How far the log of a job goes; 0 where nothing was done yet. */
async function lastSeq({ orm }: Reader, jobId: string): Promise<number> {
  const [last] = await orm
    .select({ seq: events.seq })
    .from(events)
    .where(eq(events.jobId, jobId))
    .orderBy(desc(events.seq))
    .limit(1);
  return last?.seq ?? 0;
}

/** A mark of all events of a job up to a number: another log that goes as far has another one. */
async function markAt({ orm }: Reader, jobId: string, seq: number): Promise<string> {
  const [found] = await orm
    .select({ mark: sql<string | null>`md5(string_agg(${events.id}, ' ' order by ${events.seq}))` })
    .from(events)
    .where(and(eq(events.jobId, jobId), lte(events.seq, seq)));
  return found?.mark ?? '';
}

/**
 * Whether the log of a job goes on from what a reader has heard of it. It does not where the database was put back to an older copy: then
 * the number that was heard last is still to come, or other events stand before it.
 */
export async function logContinues(reader: Reader, jobId: string, seq: number, mark?: string): Promise<boolean> {
  if (seq === 0) return true;
  const [found] = await reader.orm
    .select({ id: events.id })
    .from(events)
    .where(and(eq(events.jobId, jobId), eq(events.seq, seq)));
  return found !== undefined && (mark === undefined || (await markAt(reader, jobId, seq)) === mark);
}
