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
import { foldEvents, type ShopEvent } from '@north-pane/core/shoplog';
import { and, desc, eq, isNotNull, isNull, lt, or, sql } from 'drizzle-orm';
import type { Database } from './database';
import { announce, appendEvents, jobChannel } from './events';
import { builds, type CardSummary, jobs, revisions } from './schema';
import { cardOf, refreshCard } from './summaries';

/** Whether an id can be one at all: what else comes in an address is asked of no database. */
export function isJobId(id: string): boolean {
  return /^[a-z0-9-]{1,80}$/.test(id);
}

/** A job as the shelf shows it. */
export interface Card {
  id: string;
  version: number;
  updatedAt: Date;
  putAway: boolean;
  summary: CardSummary | null;
}

/** Cards on one page of the shelf. */
const shelfPage = 60;

/**
 * A page of the shelf, or of what was put away from it, the last worked on first.
 *
 * @param before the card that the page begins after
 */
export async function listJobs(
  { orm }: Database,
  query: { putAway: boolean; before?: { updatedAt: Date; id: string } | undefined },
): Promise<{ cards: Card[]; more: boolean }> {
  const { before } = query;
  const rows = await orm
    .select({
      id: jobs.id,
      version: jobs.version,
      updatedAt: jobs.updatedAt,
      putAwayAt: jobs.putAwayAt,
      summary: jobs.summary,
      // Renamed a moment ago, a job has its new name before its new card.
      name: sql<string | null>`${jobs.document} ->> 'name'`,
    })
    .from(jobs)
    .where(
      and(
        query.putAway ? isNotNull(jobs.putAwayAt) : isNull(jobs.putAwayAt),
        before &&
          or(lt(jobs.updatedAt, before.updatedAt), and(eq(jobs.updatedAt, before.updatedAt), lt(jobs.id, before.id))),
      ),
    )
    .orderBy(desc(jobs.updatedAt), desc(jobs.id))
    .limit(shelfPage + 1);
  return {
    cards: rows.slice(0, shelfPage).map(({ putAwayAt, name, summary, ...card }) => ({
      ...card,
      putAway: putAwayAt !== null,
      summary: summary && { ...summary, name: name ?? summary.name },
    })),
    more: rows.length > shelfPage,
  };
}

/** A job's time zone, for those who need no more of it; undefined when there is no such job. */
export async function findJobZone({ orm }: Database, id: string): Promise<string | undefined> {
  if (!isJobId(id)) return undefined;
  const [found] = await orm
    .select({ zone: sql<string>`${jobs.document} #>> '{site,zone}'` })
    .from(jobs)
    .where(eq(jobs.id, id));
  return found && (found.zone ?? 'UTC');
}

/** A stored job read anew; one that cannot be read has the reasons and what stands there. */
export type FoundJob =
  | { kind: 'job'; id: string; version: number; document: Job }
  | { kind: 'unreadable'; id: string; version: number; raw: unknown; errors: { path: string; message: string }[] };

export async function findJob({ orm }: Pick<Database, 'orm'>, id: string): Promise<FoundJob | undefined> {
  if (!isJobId(id)) return undefined;
  const [row] = await orm.select().from(jobs).where(eq(jobs.id, id));
  if (!row) return undefined;
  const parsed = parseJob(row.document);
  const { version } = row;
  return parsed.ok
    ? { kind: 'job', id, version, document: parsed.job }
    : { kind: 'unreadable', id, version, raw: row.document, errors: parsed.errors };
}

/** Letters, digits and dashes of a name, for the address bar. */
export function slugOf(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 48);
  return plain || 'job';
}

/** Puts a new job on the shelf under a free id made from its name, with what has been done of it. */
export async function createJob({ orm }: Database, document: Job, events: readonly ShopEvent[] = []) {
  const slug = slugOf(document.name);
  const summary = cardOf(document, 1, foldEvents(events));
  return orm.transaction(async (tx) => {
    for (let attempt = 1; ; attempt += 1) {
      const id = attempt === 1 ? slug : `${slug}-${attempt}`;
      const [made] = await tx
        .insert(jobs)
        .values({ id, document, version: 1, summary })
        .onConflictDoNothing()
        .returning({ id: jobs.id, version: jobs.version });
      if (!made) continue;
      await appendEvents(tx, id, events);
      return { ...made, document };
    }
  });
}

export type SaveResult =
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
    const merge = merged(current.job, changes);
    if ('message' in merge) return { kind: 'refused', errors: [merge] };
    if (!merge.ok) {
      await turnAway(database, id, save);
      return { kind: 'conflict', version: row.version, document: current.job, conflicts: merge.conflicts };
    }
    const parsed = parseJob(merge.document);
    if (!parsed.ok) {
      await turnAway(database, id, save);
      return { kind: 'refused', errors: parsed.errors };
    }
    // Whatever a schema leaves out or puts right was not stored as it was sent: said, and nothing kept.
    const lost = changes.find(({ path, after }) => !same(valueAtPath(parsed.job, path), trimmed(after)));
    if (lost)
      return {
        kind: 'refused',
        errors: [{ path: lost.path.join('.'), message: 'this field would not be kept as it was sent' }],
      };
    const version = row.version + 1;
    const written = await writeSave(database, { id, from: row.version, document: parsed.job, save });
    if (!written) continue;
    rememberParsed(database, id, version, parsed.job);
    refreshCard(database, id);
    return { kind: 'saved', version, document: parsed.job, merged: row.version !== base };
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

/** Remembers that a save was answered with a conflict or a refusal: a copy of it that comes later has the same answer. */
async function turnAway({ orm }: Database, id: string, save: string | undefined): Promise<void> {
  if (save === undefined) return;
  const entry = turnedAway(save);
  await orm.execute(sql`
    update ${jobs} set saves = (saves || ${entry}::text)[greatest(1, cardinality(saves) + 2 - ${savesKept}::int):]
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
        saves = case when ${save ?? null}::text is null then saves
          else (saves || ${save ?? null}::text)[greatest(1, cardinality(saves) + 2 - ${savesKept}::int):] end
      where id = ${id} and version = ${from} and not (${turnedAway(save ?? '')} = any(saves)) returning id
    ) select pg_notify(${jobChannel}, id) from saved`);
  return (rowCount ?? 0) > 0;
}

/** A value as it is stored: names without the blanks round them. */
function trimmed(value: unknown): unknown {
  return typeof value === 'string' ? value.trim() : value;
}

/** The changes laid over a document, or what is wrong with the first path that leads nowhere. */
function merged(document: Job, changes: Change[]) {
  try {
    return mergeChanges(document, changes);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { path: '', message: error.message };
  }
}

/** Puts a job away from the shelf, or back on it. False when there is no such job. */
export async function putAway({ orm }: Database, id: string, away: boolean): Promise<boolean> {
  if (!isJobId(id)) return false;
  const { rowCount } = await orm
    .update(jobs)
    .set({ putAwayAt: away ? new Date() : null })
    .where(eq(jobs.id, id));
  return (rowCount ?? 0) > 0;
}

/** Deletes a job with all that belongs to it, for good; only by its name, so that nobody does it by a slip of the hand. */
export async function deleteJob(
  { orm }: Database,
  id: string,
  name: string,
): Promise<'deleted' | 'unknown' | 'other name'> {
  if (!isJobId(id)) return 'unknown';
  return orm.transaction(async (tx) => {
    const [found] = await tx.select({ document: jobs.document }).from(jobs).where(eq(jobs.id, id)).for('update');
    if (!found) return 'unknown';
    if (nameIn(found.document) !== name.trim()) return 'other name';
    await tx.delete(jobs).where(eq(jobs.id, id));
    await announce(tx, id);
    return 'deleted';
  });
}

/** The name in a stored document, whether it can be read or not. */
export function nameIn(document: unknown): string {
  const name = valueAtPath(document, ['name']);
  return typeof name === 'string' && name.trim() !== '' ? name.trim().slice(0, 120) : 'without a name';
}

/** A job beside another with the same design, and nothing done of it yet. */
export async function copyJob(database: Database, document: Job, name: string) {
  return createJob(database, { ...document, name, asBuilt: {} });
}

export interface RevisionLine {
  id: number;
  number: number;
  note: string;
  keptAt: Date;
}

/** Every kept revision of a job, the newest first, without the documents. */
export async function listRevisions({ orm }: Database, jobId: string): Promise<RevisionLine[]> {
  if (!isJobId(jobId)) return [];
  return orm
    .select({ id: revisions.id, number: revisions.number, note: revisions.note, keptAt: revisions.keptAt })
    .from(revisions)
    .where(eq(revisions.jobId, jobId))
    .orderBy(desc(revisions.number));
}

/** One kept revision with its document, read anew; undefined when there is none of that number. */
export async function findRevision(
  { orm }: Database,
  jobId: string,
  number: number,
): Promise<(RevisionLine & { parsed: ParsedJob }) | undefined> {
  if (!isJobId(jobId)) return undefined;
  const [found] = await orm
    .select()
    .from(revisions)
    .where(and(eq(revisions.jobId, jobId), eq(revisions.number, number)));
  if (!found) return undefined;
  const { document, jobId: _, ...line } = found;
  return { ...line, parsed: parseJob(document) };
}

/**
 * Keeps the job as it stands, under the next number. Undefined when there is no such job; 'moved on' where it stands at another version
 * than the one that was meant.
 */
export async function keepRevision({ orm }: Database, jobId: string, note: string, version?: number) {
  if (!isJobId(jobId)) return undefined;
  return orm.transaction(async (tx) => {
    const [job] = await tx.select().from(jobs).where(eq(jobs.id, jobId)).for('update');
    if (!job) return undefined;
    if (version !== undefined && job.version !== version) return 'moved on' as const;
    const [last] = await tx
      .select({ number: revisions.number })
      .from(revisions)
      .where(eq(revisions.jobId, jobId))
      .orderBy(desc(revisions.number))
      .limit(1);
    const [kept] = await tx
      .insert(revisions)
      .values({ jobId, number: (last?.number ?? 0) + 1, note, document: job.document })
      .returning({ id: revisions.id, number: revisions.number });
    return kept;
  });
}

/** What was built when, the newest first, each with its design; one that cannot be read any more is left out. */
export async function listBuilds({ orm }: Database, jobId: string) {
  if (!isJobId(jobId)) return [];
  const rows = await orm
    .select({
      id: builds.id,
      revisionId: builds.revisionId,
      number: revisions.number,
      note: revisions.note,
      installedFrom: builds.installedFrom,
      document: revisions.document,
    })
    .from(builds)
    .innerJoin(revisions, eq(builds.revisionId, revisions.id))
    .where(eq(builds.jobId, jobId))
    .orderBy(desc(builds.installedFrom));
  return rows.flatMap(({ document, ...row }) => {
    const parsed = parseJob(document);
    return parsed.ok ? [{ ...row, document: parsed.job }] : [];
  });
}

export async function recordBuild({ orm }: Database, jobId: string, revisionId: number, installedFrom: Date) {
  const [made] = await orm.insert(builds).values({ jobId, revisionId, installedFrom }).returning();
  return made;
}

/** Takes a kept revision out for good; one that a build stands on stays until that is taken back. */
export async function removeRevision(
  { orm }: Database,
  jobId: string,
  number: number,
): Promise<'removed' | 'unknown' | 'built'> {
  if (!isJobId(jobId)) return 'unknown';
  return orm.transaction(async (tx) => {
    const [found] = await tx
      .select({ id: revisions.id })
      .from(revisions)
      .where(and(eq(revisions.jobId, jobId), eq(revisions.number, number)))
      .for('update');
    if (!found) return 'unknown';
    const [build] = await tx.select({ id: builds.id }).from(builds).where(eq(builds.revisionId, found.id)).limit(1);
    if (build) return 'built';
    await tx.delete(revisions).where(eq(revisions.id, found.id));
    return 'removed';
  });
}

/** Takes back that a revision was built. False when there is no such build. */
export async function removeBuild({ orm }: Database, jobId: string, id: number): Promise<boolean> {
  if (!isJobId(jobId)) return false;
  const gone = await orm
    .delete(builds)
    .where(and(eq(builds.jobId, jobId), eq(builds.id, id)))
    .returning();
  return gone.length > 0;
}
