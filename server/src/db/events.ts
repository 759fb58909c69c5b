import { foldEvents, parseEvents, type ShopEvent, type ShopState } from '@north-pane/core/shoplog';
import { and, asc, desc, eq, gt, sql } from 'drizzle-orm';
import type { Database, Transaction } from './database';
import { events, jobs } from './schema';

/** Events that one answer has at most. */
export const mostEvents = 2000;

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
): Promise<{ events: ShopEvent[]; seq: number; more: boolean }> {
  const rows = await orm
    .select({ seq: events.seq, body: events.body })
    .from(events)
    .where(and(eq(events.jobId, jobId), gt(events.seq, after)))
    .orderBy(asc(events.seq))
    .limit(mostEvents);
  return {
    // One that cannot be read, of another version of the program, is passed over and stands in its row as it came.
    events: rows.flatMap(({ body }) => {
      const parsed = parseEvents([body]);
      return parsed.ok ? parsed.events : [];
    }),
    seq: rows[rows.length - 1]?.seq ?? after,
    more: rows.length === mostEvents,
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

/** Adds to a job's log, and tells the others; false where there is no such job. */
export async function recordEvents({ orm }: Database, jobId: string, list: readonly ShopEvent[]) {
  return orm.transaction(async (tx): Promise<{ added: number } | undefined> => {
    const [job] = await tx.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId));
    if (!job) return undefined;
    const added = await appendEvents(tx, jobId, list);
    if (added > 0) await announce(tx, jobId);
    return { added };
  });
}

/** At which version a job stands, and how far its log goes; undefined when there is no such job. */
export async function jobStands({ orm }: Database, id: string): Promise<{ version: number; seq: number } | undefined> {
  const [job] = await orm.select({ version: jobs.version }).from(jobs).where(eq(jobs.id, id));
  if (!job) return undefined;
  const [last] = await orm
    .select({ seq: events.seq })
    .from(events)
    .where(eq(events.jobId, id))
    .orderBy(desc(events.seq))
    .limit(1);
  return { version: job.version, seq: last?.seq ?? 0 };
}
