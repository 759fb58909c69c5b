import {
  type Change,
  type Conflict,
  type Job,
  mergeChanges,
  parseJob,
  same,
  valueAtPath,
} from '@north-pane/core/document';
import { and, desc, eq, sql } from 'drizzle-orm';
import type { Database } from './database';
import { builds, jobs, revisions } from './schema';

export async function listJobs({ orm }: Database) {
  return orm.select().from(jobs).orderBy(desc(jobs.updatedAt));
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

/** Whether an id can be one at all: what else comes in an address is asked of no database. */
function isJobId(id: string): boolean {
  return /^[a-z0-9-]{1,80}$/.test(id);
}

export async function findJob({ orm }: Database, id: string) {
  if (!isJobId(id)) return undefined;
  const [found] = await orm.select().from(jobs).where(eq(jobs.id, id));
  return found;
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

/** Puts a new job on the shelf under a free id made from its name. */
export async function createJob({ orm }: Database, document: Job) {
  const slug = slugOf(document.name);
  return orm.transaction(async (tx) => {
    for (let attempt = 1; ; attempt += 1) {
      const id = attempt === 1 ? slug : `${slug}-${attempt}`;
      const [made] = await tx.insert(jobs).values({ id, document, version: 1 }).onConflictDoNothing().returning();
      if (made) return made;
    }
  });
}

export type SaveResult =
  | { kind: 'saved'; version: number; document: Job; merged: boolean }
  | { kind: 'conflict'; version: number; document: Job; conflicts: Conflict[] }
  | { kind: 'refused'; errors: { path: string; message: string }[] }
  | { kind: 'unknown' };

/**
 * Lays changes over a job. When somebody else saved since `base`, each field that is still as the sender saw it is set;
 * one field that is not makes the whole save a conflict and nothing is written.
 */
export async function saveChanges({ orm }: Database, id: string, base: number, changes: Change[]): Promise<SaveResult> {
  // No lock is held while the document is judged: if somebody else saved meanwhile, theirs is read and the changes laid over it.
  for (;;) {
    const [current] = isJobId(id) ? await orm.select().from(jobs).where(eq(jobs.id, id)) : [];
    if (!current) return { kind: 'unknown' };
    const merge = merged(current.document, changes);
    if ('message' in merge) return { kind: 'refused', errors: [merge] };
    if (!merge.ok)
      return { kind: 'conflict', version: current.version, document: current.document, conflicts: merge.conflicts };
    const parsed = parseJob(merge.document);
    if (!parsed.ok) return { kind: 'refused', errors: parsed.errors };
    // Whatever a schema leaves out or puts right was not stored as it was sent: said, and nothing kept.
    const lost = changes.find(({ path, after }) => !same(valueAtPath(parsed.job, path), trimmed(after)));
    if (lost)
      return {
        kind: 'refused',
        errors: [{ path: lost.path.join('.'), message: 'this field would not be kept as it was sent' }],
      };
    const version = current.version + 1;
    const { rowCount } = await orm
      .update(jobs)
      .set({ document: parsed.job, version, updatedAt: new Date() })
      .where(and(eq(jobs.id, id), eq(jobs.version, current.version)));
    if (rowCount) return { kind: 'saved', version, document: parsed.job, merged: current.version !== base };
  }
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

export async function listRevisions({ orm }: Database, jobId: string) {
  if (!isJobId(jobId)) return [];
  return orm.select().from(revisions).where(eq(revisions.jobId, jobId)).orderBy(desc(revisions.number));
}

/** Keeps the job as it stands, under the next number. Undefined when there is no such job. */
export async function keepRevision({ orm }: Database, jobId: string, note: string) {
  if (!isJobId(jobId)) return undefined;
  return orm.transaction(async (tx) => {
    const [job] = await tx.select().from(jobs).where(eq(jobs.id, jobId)).for('update');
    if (!job) return undefined;
    const [last] = await tx
      .select({ number: revisions.number })
      .from(revisions)
      .where(eq(revisions.jobId, jobId))
      .orderBy(desc(revisions.number))
      .limit(1);
    const [kept] = await tx
      .insert(revisions)
      .values({ jobId, number: (last?.number ?? 0) + 1, note, document: job.document })
      .returning();
    return kept;
  });
}

export async function listBuilds({ orm }: Database, jobId: string) {
  if (!isJobId(jobId)) return [];
  return orm
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
