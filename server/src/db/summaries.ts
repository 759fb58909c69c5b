import { type Job, parseJob, valueAtPath } from '@north-pane/core/document';
import { blankSummary, jobSummary } from '@north-pane/core/figures';
import type { ShopState } from '@north-pane/core/shoplog';
import { and, eq, sql } from 'drizzle-orm';
import type { Database } from './database';
import { announce, shopStateOf } from './events';
import { type CardSummary, jobs } from './schema';

export function cardOf(document: Job, version: number, state?: ShopState): CardSummary {
  return { ...jobSummary(document, state), of: version };
}

/** Letters of a reason that a card has at most. */
const longestReason = 300;

/** The card of a job that cannot be read, with the first reason. */
export function unreadableCard(
  document: unknown,
  version: number,
  [first]: readonly { path: string; message: string }[],
): CardSummary {
  const reason = `${first?.path ?? ''}: ${first?.message ?? ''}`.slice(0, longestReason);
  return { ...blankSummary(nameIn(document), reason), of: version };
}

/** The name in a stored document, whether it can be read or not. */
export function nameIn(document: unknown): string {
  const name = valueAtPath(document, ['name']);
  return typeof name === 'string' && name.trim() !== '' ? name.trim().slice(0, 120) : 'without a name';
}

/** ms that a job rests before its card is worked out anew: a hand that goes on setting things waits for none of it. */
const rest = 2000;

/** Jobs whose cards wait, by database. */
const waiting = new WeakMap<Database, Map<string, NodeJS.Timeout>>();

/**
 * Has the card of a job worked out anew, once it has come to rest: nobody who saves waits for it. Where the process ends before, the card
 * is of an older version than the job, and the next start finds it.
 */
export function refreshCard(database: Database, id: string): void {
  const timers = waiting.get(database) ?? new Map<string, NodeJS.Timeout>();
  waiting.set(database, timers);
  clearTimeout(timers.get(id));
  const work = () => {
    timers.delete(id);
    // A database that has gone away meanwhile: the next start finds the card.
    writeCard(database, id).catch(() => {});
  };
  timers.set(id, setTimeout(work, rest).unref());
}

/** Works out the card of a job as it stands and writes it, unless the job has moved on meanwhile: then its next card is on its way. */
export async function writeCard(database: Database, id: string): Promise<void> {
  const { orm } = database;
  const [row] = await orm.select({ version: jobs.version, document: jobs.document }).from(jobs).where(eq(jobs.id, id));
  const parsed = parseJob(row?.document);
  if (!row || !parsed.ok) return;
  const summary = cardOf(parsed.job, row.version, await shopStateOf(database, id));
  const { rowCount } = await orm
    .update(jobs)
    .set({ summary: withDocumentHash(summary) })
    .where(and(eq(jobs.id, id), eq(jobs.version, row.version)));
  // Shelves that are looked at show it.
  if (rowCount) await announce(orm, id);
}

/**
 * A card with a hash of the document that it is of, as the row has it: a document that is damaged where it lies is noticed by it.
 *
 * @param document what is about to be written; left out, what the row has
 */
export function withDocumentHash(summary: CardSummary, document?: Job) {
  const stored = document ? sql`${JSON.stringify(document)}::jsonb` : jobs.document;
  return sql<CardSummary>`${JSON.stringify(summary)}::jsonb || jsonb_build_object('hash', md5(${stored}::text))`;
}
