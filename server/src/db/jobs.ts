import { type Job, type ParsedJob, parseJob } from '@north-pane/core/document';
import { foldEvents, type ShopEvent } from '@north-pane/core/shoplog';
import { and, desc, eq, isNotNull, isNull, lt, or, sql } from 'drizzle-orm';
import { againAfterOthers } from '../failure';
import type { Database } from './database';
import { announce, appendEvents } from './events';
import { builds, type CardSummary, jobs, revisions, saves } from './schema';
import { cardOf, nameIn, unreadableCard, withDocumentHash } from './summaries';

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
      // Another document than the card is of: changed a moment ago, or damaged where it lies.
      altered: sql<unknown>`case when (${jobs.summary} ->> 'hash') <> md5(${jobs.document}::text) then ${jobs.document} end`,
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
    cards: rows.slice(0, shelfPage).map(({ putAwayAt, name, summary, altered, ...card }) => {
      const parsed = altered ? parseJob(altered) : undefined;
      return {
        ...card,
        putAway: putAwayAt !== null,
        summary:
          parsed?.ok === false
            ? unreadableCard(altered, card.version, parsed.errors)
            : summary && { ...summary, name: name ?? summary.name },
      };
    }),
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
  | { kind: 'job'; id: string; key: string; version: number; stamp: string; document: Job }
  | { kind: 'unreadable'; id: string; version: number; raw: unknown; errors: { path: string; message: string }[] };

export async function findJob({ orm }: Pick<Database, 'orm'>, id: string): Promise<FoundJob | undefined> {
  if (!isJobId(id)) return undefined;
  const [row] = await orm.select().from(jobs).where(eq(jobs.id, id));
  if (!row) return undefined;
  const parsed = parseJob(row.document);
  const { key, version, stamp } = row;
  return parsed.ok
    ? { kind: 'job', id, key, version, stamp, document: parsed.job }
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
  const summary = withDocumentHash(cardOf(document, 1, foldEvents(events)), document);
  return orm.transaction(async (tx) => {
    for (let attempt = 1; ; attempt += 1) {
      const id = attempt === 1 ? slug : `${slug}-${attempt}`;
      const [made] = await tx
        .insert(jobs)
        .values({ id, document, version: 1, summary })
        .onConflictDoNothing()
        .returning({ id: jobs.id, version: jobs.version, stamp: jobs.stamp });
      if (!made) continue;
      await tx
        .insert(saves)
        .values({ jobId: id, id: made.stamp, taken: true, version: made.version, stamp: made.stamp });
      await appendEvents(tx, id, events);
      return { ...made, document };
    }
  });
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
  return againAfterOthers(() =>
    orm.transaction(async (tx) => {
      const [found] = await tx.select({ document: jobs.document }).from(jobs).where(eq(jobs.id, id)).for('update');
      if (!found) return 'unknown';
      if (nameIn(found.document) !== name.trim()) return 'other name';
      await tx.delete(jobs).where(eq(jobs.id, id));
      await announce(tx, id);
      return 'deleted';
    }),
  );
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
