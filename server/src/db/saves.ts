import { createHash, randomUUID } from 'node:crypto';
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
import { and, eq, sql } from 'drizzle-orm';
import { isDuplicate } from '../failure';
import type { Database } from './database';
import { jobChannel } from './events';
import { isJobId } from './jobs';
import { jobs, saves } from './schema';
import { refreshCard } from './summaries';

/** A document as it stands, with the digest of the saves that made it. */
interface Standing {
  version: number;
  stamp: string;
  document: Job;
}

type SaveResult =
  | (Standing & { kind: 'saved'; merged: boolean })
  | (Standing & { kind: 'conflict'; conflicts: Conflict[] })
  /** The sender began from a version that this database never had: it was put back to an older copy since. */
  | (Standing & { kind: 'parted' })
  | { kind: 'refused'; errors: { path: string; message: string }[] }
  | { kind: 'unknown' };

/** What a sender last had of a job. */
export interface Base {
  version: number;
  /** Digest of the saves that made that version; left out by a sender that does not know it. */
  stamp?: string | undefined;
  /** Of the job that was meant: another one of the same name takes nothing. */
  key?: string | undefined;
}

/**
 * Whether a job goes on from what its sender last had. It does not where the database was put back to an older copy: then that version is
 * still to come, or was made by other saves.
 */
export async function continues({ orm }: Pick<Database, 'orm'>, id: string, now: Base, had: Base): Promise<boolean> {
  if (had.version > now.version) return false;
  if (had.stamp === undefined) return true;
  if (had.version === now.version) return had.stamp === now.stamp;
  const [made] = await orm
    .select({ stamp: sql<string>`coalesce(${saves.stamp}, ${saves.id})` })
    .from(saves)
    .where(and(eq(saves.jobId, id), eq(saves.version, had.version)));
  // What was saved before versions were written down is taken on trust.
  return made === undefined || made.stamp === had.stamp;
}

/**
 * Applies changes to a job. When somebody else saved since `base`, each field that is still as the sender saw it is set;
 * one field that is not makes the whole save a conflict and nothing is written. A save that was taken in already, its answer lost, is
 * answered again and not applied twice, however long ago that was.
 *
 * @param base what the sender last had
 * @param save id that the sender has given it
 */
export async function saveChanges(
  database: Database,
  id: string,
  base: Base,
  changes: Change[],
  save?: string,
): Promise<SaveResult> {
  const { orm } = database;
  // No lock is held while the document is judged: if somebody else saved meanwhile, theirs is read and the changes applied to it.
  for (;;) {
    const [row] = isJobId(id)
      ? await orm
          .select({
            key: jobs.key,
            version: jobs.version,
            stamp: jobs.stamp,
            document: jobs.document,
            taken: saves.taken,
          })
          .from(jobs)
          .leftJoin(saves, and(eq(saves.jobId, jobs.id), eq(saves.id, save ?? '')))
          .where(eq(jobs.id, id))
      : [];
    if (!row || (base.key !== undefined && base.key !== row.key)) return { kind: 'unknown' };
    const current = parsedAt(database, id, row);
    if (!current.ok) return { kind: 'refused', errors: current.errors };
    const standing: Standing = { version: row.version, stamp: row.stamp, document: current.job };
    if (row.taken) return { kind: 'saved', ...standing, merged: row.version !== base.version + 1 };
    // Whoever sent it has heard, or will hear, that it was turned away: a late copy is not taken in behind his back.
    if (row.taken === false) return { kind: 'conflict', ...standing, conflicts: [] };
    if (!(await continues(database, id, row, base))) return { kind: 'parted', ...standing };
    const judged = judge(current.job, changes);
    if (!judged.ok) {
      await turnAway(database, id, save);
      return judged.conflicts
        ? { kind: 'conflict', ...standing, conflicts: judged.conflicts }
        : { kind: 'refused', errors: judged.errors };
    }
    const version = row.version + 1;
    const made = save ?? randomUUID();
    const stamp = stampAfter(row.stamp, made);
    const written = await writeSave(database, { id, from: row, document: judged.job, save: made, stamp }).catch(
      (error: unknown) => {
        // The same save was answered at this very moment: its answer is read.
        if (isDuplicate(error)) return false;
        throw error;
      },
    );
    if (!written) continue;
    rememberParsed(database, id, version, judged.job);
    refreshCard(database, id);
    return { kind: 'saved', version, stamp, document: judged.job, merged: row.version !== base.version };
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

/** The stamp of a version by the one before it and the save that made it: the same save after other ones has another. */
function stampAfter(before: string, save: string): string {
  return createHash('sha256').update(`${before} ${save}`).digest('base64url').slice(0, 24);
}

/** Remembers that a save was answered with a conflict or a refusal: a copy of it that comes later has the same answer. */
async function turnAway({ orm }: Database, id: string, save: string | undefined): Promise<void> {
  if (save === undefined) return;
  await orm.execute(sql`
    insert into ${saves} (job_id, id, taken) select id, ${save}, false from ${jobs} where id = ${id} on conflict do nothing`);
}

/**
 * Writes a document over the version that it was made from, with the save that made it, and tells who listens: one statement. False where
 * that version is past, or the save has been answered meanwhile.
 */
async function writeSave(
  { orm }: Database,
  { id, from, document, save, stamp }: { id: string; from: Base; document: Job; save: string; stamp: string },
): Promise<boolean> {
  const { rowCount } = await orm.execute(sql`
    with written as (
      update ${jobs} set document = ${JSON.stringify(document)}::jsonb, version = ${from.version + 1}, stamp = ${stamp}, updated_at = now()
      where id = ${id} and stamp = ${from.stamp} and version = ${from.version}
        and not exists (select from ${saves} where job_id = ${id} and ${saves.id} = ${save})
      returning id, version
    ), told as (select pg_notify(${jobChannel}, id) from written),
    remembered as (
      insert into ${saves} (job_id, id, taken, version, stamp) select id, ${save}, true, version, ${stamp} from written returning job_id
    ) select remembered.job_id from remembered, told`);
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
