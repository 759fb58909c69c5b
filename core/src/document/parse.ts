import type * as z from 'zod';
import { asBuilt } from './asBuilt';
import { type Job, jobFormat, jobSchema, jobVersion } from './schema';

export type ParsedJob = { ok: true; job: Job } | { ok: false; errors: { path: string; message: string }[] };

/** Steps from one version of the document to the next, by the version they start from. None yet: 1 is the first. */
const migrations: Readonly<Record<number, (document: Record<string, unknown>) => Record<string, unknown>>> = {};

/**
 * Reads a job document from anything: migrates old versions, checks everything, names every field that is wrong.
 *
 * @returns the job, or errors with a dotted path (`panels.0.parameters.pitch`) and what to do
 */
export function parseJob(input: unknown): ParsedJob {
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
  while (version < jobVersion) {
    const step = migrations[version];
    if (!step)
      return { ok: false, errors: [{ path: 'version', message: `no way from version ${version} to ${jobVersion}` }] };
    document = step(document);
    version += 1;
  }
  const parsed = jobSchema.safeParse(document);
  if (!parsed.success) return { ok: false, errors: issuesOf(parsed.error) };
  const trouble = builtTrouble(parsed.data);
  return trouble ? { ok: false, errors: [trouble] } : { ok: true, job: parsed.data };
}

function issuesOf(error: z.ZodError): { path: string; message: string }[] {
  return error.issues.map((issue) => ({ path: issue.path.map(String).join('.'), message: issue.message }));
}

/** What is wrong with the design once what was measured is laid over it. */
function builtTrouble(job: Job): { path: string; message: string } | undefined {
  if (job.asBuilt.length === 0) return undefined;
  const words = (why: string) => ({ path: 'asBuilt', message: `laid over the design it makes no job: ${why}` });
  try {
    const built = jobSchema.safeParse(asBuilt(job));
    if (built.success) return undefined;
    const [first] = issuesOf(built.error);
    return words(`${first?.path ?? ''} ${first?.message ?? ''}`.trim());
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return words(error.message);
  }
}
