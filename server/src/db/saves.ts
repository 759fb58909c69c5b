import {
  type Change,
  type Conflict,
  type Job,
  mergeChanges,
  type ParsedJob,
  parseJob,
  same,
  valueAtPath,
} from '@north-pane/core/document';
import { eq, sql } from 'drizzle-orm';
import type { Database } from './database';
import { jobChannel } from './events';
import { isJobId } from './jobs';
import { jobs } from './schema';
import { refreshCard } from './summaries';

type SaveResult =
  | { kind: 'saved'; version: number; document: Job; merged: boolean }
  | { kind: 'conflict'; version: number; document: Job; conflicts: Conflict[] }
  | { kind: 'refused'; errors: { path: string; message: string }[] }
  | { kind: 'unknown' };

/** Ids of saves that a job remembers. */
const savesKept = 200;

/**
 * Lays changes over a job. When somebody else saved since `base`, each field that is still as the sender saw it is set;
 * one field that is not makes the whole save a conflict and nothing is written. A save that was taken in already, its answer lost, is
 * answered again and not laid on twice.
 *
 * @param save id that the sender has given it
 */
export async function saveChanges(
  database: Database,
  id: string,
  base: number,
  changes: Change[],
  save?: string,
): Promise<SaveResult> {
  const { orm } = database;
  // No lock is held while the document is judged: if somebody else saved meanwhile, theirs is read and the changes laid over it.
  for (;;) {
    const [row] = isJobId(id)
      ? await orm
          .select({
            version: jobs.version,
            document: jobs.document,
            done: sql<boolean>`${save ?? ''} = any(${jobs.saves})`,
            turnedAway: sql<boolean>`${turnedAway(save ?? '')} = any(${jobs.saves})`,
          })
          .from(jobs)
          .where(eq(jobs.id, id))
      : [];
    if (!row) return { kind: 'unknown' };
    const current = parsedAt(database, id, row);
    if (!current.ok) return { kind: 'refused', errors: current.errors };
    if (row.done)
      return { kind: 'saved', version: row.version, document: current.job, merged: row.version !== base + 1 };
    // Whoever sent it has heard, or will hear, that it was turned away: a late copy is not taken in behind his back.
    if (row.turnedAway) return { kind: 'conflict', version: row.version, document: current.job, conflicts: [] };
    const judged = judge(current.job, changes);
    if (!judged.ok) {
      await turnAway(database, id, save);
      return judged.conflicts
        ? { kind: 'conflict', version: row.version, document: current.job, conflicts: judged.conflicts }
        : { kind: 'refused', errors: judged.errors };
    }
    const version = row.version + 1;
    const written = await writeSave(database, { id, from: row.version, document: judged.job, save });
    if (!written) continue;
    rememberParsed(database, id, version, judged.job);
    refreshCard(database, id);
    return { kind: 'saved', version, document: judged.job, merged: row.version !== base };
  }
}

/** Documents as they were read last, by job: the one that stands is read again by every save. */
const readLast = new WeakMap<Database, Map<string, { version: number; job: Job }>>();
/** Jobs of which that is kept. */
const mostRead = 200;

function rememberParsed(database: Database, id: string, version: number, job: Job): void {
  const known = readLast.get(database) ?? new Map<string, { version: number; job: Job }>();
  readLast.set(database, known);
  known.delete(id);
  known.set(id, { version, job });
  const [oldest] = known.keys();
  if (known.size > mostRead && oldest !== undefined) known.delete(oldest);
}

/** A stored document read anew, or as it was read at that version before. */
function parsedAt(database: Database, id: string, row: { version: number; document: unknown }): ParsedJob {
  const known = readLast.get(database)?.get(id);
  // A job of that name may have been deleted and begun again at the same version.
  if (known?.version === row.version && same(known.job, row.document)) return { ok: true, job: known.job };
  return parseJob(row.document);
}

/** How a save that was turned away stands among those that were taken in. */
function turnedAway(save: string): string {
  return `!${save}`;
}

/** The ids of saves that a job remembers, with one more. */
function withSave(entry: string) {
  return sql`(saves || ${entry}::text)[greatest(1, cardinality(saves) + 2 - ${savesKept}::int):]`;
}

/** Remembers that a save was answered with a conflict or a refusal: a copy of it that comes later has the same answer. */
async function turnAway({ orm }: Database, id: string, save: string | undefined): Promise<void> {
  if (save === undefined) return;
  const entry = turnedAway(save);
  await orm.execute(sql`
    update ${jobs} set saves = ${withSave(entry)}
    where id = ${id} and not (${entry} = any(saves))`);
}

/** Writes a document over the version that it was made from, and tells who listens: one statement. False where that version is past. */
async function writeSave(
  { orm }: Database,
  { id, from, document, save }: { id: string; from: number; document: Job; save: string | undefined },
): Promise<boolean> {
  const { rowCount } = await orm.execute(sql`
    with saved as (
      update ${jobs} set document = ${JSON.stringify(document)}::jsonb, version = ${from + 1}, updated_at = now(),
        saves = ${save === undefined ? sql`saves` : withSave(save)}
      where id = ${id} and version = ${from} and not (${turnedAway(save ?? '')} = any(saves)) returning id
    ) select pg_notify(${jobChannel}, id) from saved`);
  return (rowCount ?? 0) > 0;
}

/** A value as it is stored: names without the blanks round them. */
function trimmed(value: unknown): unknown {
  return typeof value === 'string' ? value.trim() : value;
}

type Judged =
  | { ok: true; job: Job }
  | { ok: false; conflicts?: undefined; errors: { path: string; message: string }[] }
  | { ok: false; conflicts: Conflict[] };

/** The changes laid over a document, or why they are not: another hand's fields, a path that leads nowhere, no sound job. */
function judge(document: Job, changes: readonly Change[]): Judged {
  const refused = (path: string, message: string): Judged => ({ ok: false, errors: [{ path, message }] });
  let merge: ReturnType<typeof mergeChanges>;
  try {
    merge = mergeChanges(document, changes);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return refused('', error.message);
  }
  if (!merge.ok) return { ok: false, conflicts: merge.conflicts };
  const parsed = parseJob(merge.document);
  if (!parsed.ok) return { ok: false, errors: parsed.errors };
  // Whatever a schema leaves out or puts right was not stored as it was sent: said, and nothing kept.
  const lost = changes.find(({ path, after }) => !same(valueAtPath(parsed.job, path), trimmed(after)));
  return lost
    ? refused(lost.path.join('.'), 'this field would not be kept as it was sent')
    : { ok: true, job: parsed.job };
}
