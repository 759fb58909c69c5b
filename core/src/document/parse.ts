import type * as z from 'zod';
import { issueWords } from '../care';
import { parseEvents, type ShopEvent } from '../shoplog';
import { asBuilt } from './asBuilt';
import { fromVersion1 } from './fromVersion1';
import { type Job, jobFormat, jobSchema, jobVersion } from './schema';

export type ParsedJob = { ok: true; job: Job } | { ok: false; errors: { path: string; message: string }[] };

/** A document with what else stood in it. */
export type ReadDocument =
  | {
      ok: true;
      job: Job;
      /** Version that it was read from. */
      from: number;
      /** What a document of version 1 tells of the shop; later ones tell nothing of it. */
      events: ShopEvent[];
    }
  | { ok: false; errors: { path: string; message: string }[] };

interface Migrated {
  document: Record<string, unknown>;
  events?: unknown[];
}

/** Steps from one version of the document to the next, by the version they start from. */
const migrations: Readonly<Record<number, (document: Record<string, unknown>) => Migrated>> = { 1: fromVersion1 };

/**
 * Reads a job document from anything: migrates old versions, checks everything, names every field that is wrong.
 *
 * @returns the job, or errors with a dotted path (`heaters.panel-a.parameters.pitch`) and what to do
 */
export function parseJob(input: unknown): ParsedJob {
  const read = readDocument(input);
  return read.ok ? { ok: true, job: read.job } : read;
}

/** Reads a document as `parseJob` does, and tells what an earlier version of it knew of the shop. */
export function readDocument(input: unknown): ReadDocument {
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    return { ok: false, errors: [{ path: '', message: 'a job is an object' }] };
  let document = input as Record<string, unknown>;
  if (document.format !== jobFormat)
    return {
      ok: false,
      errors: [{ path: 'format', message: `this is not a North Pane job (format must be “${jobFormat}”)` }],
    };
  let version = document.version;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return { ok: false, errors: [{ path: 'version', message: 'the version must be a whole number from 1' }] };
  if (version > jobVersion)
    return {
      ok: false,
      errors: [
        {
          path: 'version',
          message: `this job was written by a newer North Pane (version ${version}; this one reads up to ${jobVersion})`,
        },
      ],
    };
  const from = version;
  const events: unknown[] = [];
  while (version < jobVersion) {
    const step = migrations[version];
    if (!step)
      return { ok: false, errors: [{ path: 'version', message: `no way from version ${version} to ${jobVersion}` }] };
    const migrated = migrate(step, document);
    if (!migrated)
      return {
        ok: false,
        errors: [{ path: '', message: `this is no document of version ${version} as it should be` }],
      };
    document = migrated.document;
    events.push(...(migrated.events ?? []));
    version += 1;
  }
  const parsed = jobSchema.safeParse(document, { error: issueWords });
  if (!parsed.success) return { ok: false, errors: issuesOf(parsed.error) };
  const trouble = builtTrouble(parsed.data);
  if (trouble) return { ok: false, errors: [trouble] };
  const told = parseEvents(events);
  if (!told.ok)
    return { ok: false, errors: told.errors.map(({ path, message }) => ({ path: `decisions.${path}`, message })) };
  return { ok: true, job: parsed.data, from, events: told.events };
}

/** A document a version on; undefined where it is not even shaped like one of its version. */
function migrate(
  step: (document: Record<string, unknown>) => Migrated,
  document: Record<string, unknown>,
): Migrated | undefined {
  try {
    return step(document);
  } catch (error) {
    if (error instanceof TypeError) return undefined;
    throw error;
  }
}

function issuesOf(error: z.ZodError): { path: string; message: string }[] {
  return error.issues.map((issue) => ({ path: issue.path.map(String).join('.'), message: issue.message }));
}

/** What is wrong with the design once what was measured is laid over it. */
function builtTrouble(job: Job): { path: string; message: string } | undefined {
  if (Object.keys(job.asBuilt).length === 0) return undefined;
  const words = (why: string) => ({ path: 'asBuilt', message: `laid over the design it makes no job: ${why}` });
  try {
    const built = jobSchema.safeParse(asBuilt(job), { error: issueWords });
    if (built.success) return undefined;
    const [first] = issuesOf(built.error);
    return words(`${first?.path ?? ''} ${first?.message ?? ''}`.trim());
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return words(error.message);
  }
}
