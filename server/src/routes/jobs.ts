import {
  beginJob,
  familyIds,
  isWarmWater,
  type Job,
  needSchema,
  readDocument,
  setFields,
  siteSchema,
  warmWaterWords,
} from '@north-pane/core/document';
import { writeSvg } from '@north-pane/core/draw';
import { blankSummary } from '@north-pane/core/figures';
import { frostMatters, nightMinima, poolNeed } from '@north-pane/core/forecasting';
import { openJob } from '@north-pane/core/job';
import { readingEra } from '@north-pane/core/proof';
import { broadClimateIds } from '@north-pane/core/sky';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Database } from '../db/database';
import { logContinues } from '../db/events';
import {
  copyJob,
  createJob,
  deleteJob,
  findJob,
  findRevision,
  keepRevision,
  listBuilds,
  listJobs,
  listRevisions,
  putAway,
  recordBuild,
  removeBuild,
  removeRevision,
} from '../db/jobs';
import { continues, saveChanges } from '../db/saves';
import { limitBody } from '../security';
import { asked, body, noJob, olderCopy, serial } from './answers';

/** A step of a path: a name, or a place in a list. */
const step = z.union([z.string().max(120), z.int().min(0).max(100_000)]);
const path = z.array(step).min(1).max(12);
const changesBody = z.strictObject({
  base: z.int().min(1),
  /** Id of the save that made that version, and the key of the job that is meant: where they are not the server's, nothing is applied. */
  stamp: z.string().max(200).optional(),
  key: z.uuid().optional(),
  /** Made by the sender: sent twice, it is applied once. */
  save: z.string().min(1).max(60).optional(),
  changes: z
    .array(z.strictObject({ path, before: z.unknown().optional(), after: z.unknown().optional() }))
    .min(1)
    .max(2000),
});
const newJobBody = z.union([
  z.strictObject({
    name: z.string().trim().min(1, 'Give the job a name.').max(120, 'A name has at most 120 characters.'),
    /** Left out where the kind is not picked yet: an example stands in its place. */
    family: z.enum(familyIds as [string, ...string[]]).optional(),
    units: z.enum(['metric', 'imperial']),
    currency: z.string().trim().min(1, 'Say what money is called.').max(4, 'Money has at most 4 letters.').optional(),
    /** The place itself, or a climate like its own on one half of the earth. */
    where: z
      .union([
        z.strictObject({
          ...siteSchema.pick({ latitude: true, longitude: true }).shape,
          zone: z.string().max(64).optional(),
        }),
        z.strictObject({ climate: z.enum(broadClimateIds), half: z.enum(['north', 'south']) }),
      ])
      .optional(),
    /** What the water is for; whether it freezes is told by the place. */
    need: z
      .strictObject({
        ...needSchema.pick({ kind: true, drinking: true, pool: true }).shape,
        // What is begun is asked for in earnest: some water, and warm.
        volumePerDay: needSchema.shape.volumePerDay.gt(0, 'Say how much water a day.'),
        target: needSchema.shape.target.refine(isWarmWater, warmWaterWords('metric')),
      })
      .optional(),
  }),
  z.strictObject({ document: z.unknown() }),
]);
/** A new job; where its need was asked for, frost follows from its place. */
function begun({ family, ...wanted }: Exclude<z.infer<typeof newJobBody>, { document: unknown }>): Job {
  const example = beginJob(family ?? familyIds[0] ?? '', wanted);
  const job: Job = family ? example : { ...example, decisions: { ...example.decisions, unpicked: true } };
  if (!wanted.need) return job;
  const needed = { ...job, need: { ...job.need, frost: frostMatters(nightMinima(job.site)) } };
  const { pool } = wanted.need;
  return pool ? setFields(needed, poolNeed(needed, pool)).document : needed;
}

/** A revision is kept of the version that was looked at. */
const noteBody = z.strictObject({ note: z.string().trim().max(200), version: z.int().min(1).optional() });
const jobName = z.string().trim().min(1, 'Give the job a name.').max(120, 'A name has at most 120 characters.');
const awayBody = z.strictObject({ away: z.boolean() });
const deleteBody = z.strictObject({ name: z.string().max(200) });
/** What the caller last had of a job: whether the server's goes on from it is told. */
const hadQuery = z.strictObject({
  key: z.uuid().optional(),
  version: z.coerce.number().int().min(1).max(2_147_483_647).optional(),
  stamp: z.string().max(200).optional(),
  seq: z.coerce.number().int().min(0).optional(),
  mark: z.string().max(200).optional(),
});
const shelfQuery = z.strictObject({
  away: z.enum(['yes', 'no']).optional(),
  before: z.iso
    .datetime()
    .refine((text) => Date.parse(text) > 0, 'a time since 1970')
    .optional(),
  beforeId: z.string().max(80).optional(),
});
/** A copy of the job as it stands, or of one of its revisions. */
const copyBody = z.strictObject({ name: jobName, revision: z.int().min(1).max(2_147_483_647).optional() });
const buildBody = z.strictObject({
  revisionId: z.int().min(1).max(2_147_483_647),
  installedFrom: z.iso
    .datetime('a time is written like 2026-05-01T12:00:00Z')
    .refine((text) => Date.parse(text) >= readingEra.from && Date.parse(text) < readingEra.to, {
      message: 'a build is between 1990 and 2100',
    }),
});

function unreadable(errors: readonly { path: string; message: string }[]) {
  const [first] = errors;
  return {
    message: `This job cannot be read: ${first?.path ?? ''} ${first?.message ?? ''}. What stands there can be saved out from the shelf.`,
    errors,
  };
}

/** A kept revision as something to copy. */
async function revisionOf(database: Database, id: string, number: number) {
  const found = await findRevision(database, id, number);
  if (!found) return undefined;
  const { parsed } = found;
  return parsed.ok
    ? { kind: 'job' as const, document: parsed.job }
    : { kind: 'unreadable' as const, errors: parsed.errors };
}

/** A job document is some tens of kilobytes. */
const small = limitBody(2);

/** The plan of a job's first panel without words or sizes; nothing where it cannot be drawn. */
function planOf(document: Job): string | undefined {
  try {
    const [panel] = openJob(document).panels;
    return (
      panel && writeSvg({ ...panel.design.drawings.plan.draw(), dimensions: [], labels: [] }, { habit: document.units })
    );
  } catch {
    // Why is told on the shelf, beside the job.
    return undefined;
  }
}

export function jobRoutes(database: Database) {
  return new Hono()
    .get('/', asked(shelfQuery), async (context) => {
      const { away, before, beforeId } = context.req.valid('query');
      const { cards, more } = await listJobs(database, {
        putAway: away === 'yes',
        before: before && beforeId ? { updatedAt: new Date(before), id: beforeId } : undefined,
      });
      return context.json(
        {
          jobs: cards.map(({ id, version, updatedAt, putAway: away, summary }) => ({
            id,
            version,
            updatedAt: updatedAt.toISOString(),
            putAway: away,
            ...(summary ?? blankSummary('not looked at yet')),
          })),
          more,
        },
        200,
      );
    })
    .post('/', small, body(newJobBody), async (context) => {
      const wanted = context.req.valid('json');
      const document = 'document' in wanted ? wanted.document : begun(wanted);
      const parsed = readDocument(document);
      if (!parsed.ok)
        return context.json({ message: 'This is not a job that can be opened.', errors: parsed.errors }, 422);
      const made = await createJob(database, parsed.job, parsed.events);
      return context.json({ id: made.id, version: made.version }, 201);
    })
    .get('/:id', asked(hadQuery), async (context) => {
      const id = context.req.param('id');
      const job = await findJob(database, id);
      const { version, stamp: had, seq, mark, key: wanted } = context.req.valid('query');
      if (!job || (wanted !== undefined && job.kind === 'job' && wanted !== job.key))
        return context.json(noJob(id), 404);
      if (job.kind === 'unreadable') return context.json(unreadable(job.errors), 422);
      const { key, stamp, document } = job;
      const same = version === undefined || (await continues(database, id, job, { version, stamp: had }));
      const parted = !(same && (seq === undefined || (await logContinues(database, id, seq, mark))));
      return context.json({ id, key, version: job.version, stamp, document, parted }, 200);
    })
    .get('/:id/document.json', async (context) => {
      const id = context.req.param('id');
      const job = await findJob(database, id);
      if (!job) return context.json(noJob(id), 404);
      context.header('content-type', 'application/json; charset=utf-8');
      context.header('content-disposition', `attachment; filename="${id}.json"`);
      return context.body(JSON.stringify(job.kind === 'job' ? job.document : job.raw, null, 2));
    })
    .get('/:id/plan.svg', async (context) => {
      const id = context.req.param('id');
      const job = await findJob(database, id);
      if (!job) return context.json(noJob(id), 404);
      const svg = job.kind === 'job' ? planOf(job.document) : undefined;
      if (svg === undefined) return context.json({ message: 'This job cannot be drawn.' }, 422);
      context.header('content-type', 'image/svg+xml');
      return context.body(svg);
    })
    .post('/:id/copies', small, body(copyBody), async (context) => {
      const id = context.req.param('id');
      const { name, revision } = context.req.valid('json');
      const source = revision === undefined ? await findJob(database, id) : await revisionOf(database, id, revision);
      if (!source) return context.json(noJob(id), 404);
      if (source.kind === 'unreadable') return context.json(unreadable(source.errors), 422);
      const made = await copyJob(database, source.document, name);
      return context.json({ id: made.id, version: made.version }, 201);
    })
    .post('/:id/away', small, body(awayBody), async (context) => {
      const id = context.req.param('id');
      const { away } = context.req.valid('json');
      return (await putAway(database, id, away)) ? context.json({ away }, 200) : context.json(noJob(id), 404);
    })
    .delete('/:id', small, body(deleteBody), async (context) => {
      const id = context.req.param('id');
      const result = await deleteJob(database, id, context.req.valid('json').name);
      if (result === 'unknown') return context.json(noJob(id), 404);
      if (result === 'other name') return context.json({ message: 'That is not its name. Nothing was deleted.' }, 409);
      return context.json({ deleted: 1 }, 200);
    })
    .post('/:id/changes', small, body(changesBody), async (context) => {
      const id = context.req.param('id');
      const { base, stamp, key, changes, save } = context.req.valid('json');
      const result = await saveChanges(database, id, { version: base, stamp, key }, changes, save);
      switch (result.kind) {
        case 'unknown':
          return context.json(noJob(id), 404);
        case 'refused':
          return context.json(
            { message: 'The change does not make a sound job; nothing was saved.', errors: result.errors },
            422,
          );
        case 'conflict': {
          const { kind: _, ...rest } = result;
          return context.json({ message: 'Somebody else changed the same fields.', ...rest }, 409);
        }
        case 'parted': {
          const { kind: _, ...rest } = result;
          return context.json({ ...olderCopy, ...rest }, 409);
        }
        case 'saved': {
          const { kind: _, ...rest } = result;
          return context.json(rest, 200);
        }
        default:
          return result satisfies never;
      }
    })
    .get('/:id/revisions', async (context) => {
      const kept = await listRevisions(database, context.req.param('id'));
      return context.json(kept.map((line) => ({ ...line, keptAt: line.keptAt.toISOString() })));
    })
    .get('/:id/revisions/:number', async (context) => {
      const { id, number } = context.req.param();
      const wanted = serial.safeParse(number);
      const found = wanted.success ? await findRevision(database, id, wanted.data) : undefined;
      if (!found) return context.json({ message: 'There is no such revision here any more.' }, 404);
      const { parsed, keptAt, ...line } = found;
      if (!parsed.ok) return context.json(unreadable(parsed.errors), 422);
      return context.json({ ...line, keptAt: keptAt.toISOString(), document: parsed.job }, 200);
    })
    .post('/:id/revisions', small, body(noteBody), async (context) => {
      const id = context.req.param('id');
      const { note, version } = context.req.valid('json');
      const kept = await keepRevision(database, id, note, version);
      if (!kept) return context.json(noJob(id), 404);
      if (kept === 'moved on')
        return context.json({ message: 'The job has moved on meanwhile. Look at it, and keep it again.' }, 409);
      return context.json({ id: kept.id, number: kept.number }, 201);
    })
    .delete('/:id/revisions/:number', async (context) => {
      const { id, number } = context.req.param();
      const wanted = serial.safeParse(number);
      const result = wanted.success ? await removeRevision(database, id, wanted.data) : 'unknown';
      if (result === 'unknown') return context.json({ message: 'There is no such revision here any more.' }, 404);
      if (result === 'built')
        return context.json({ message: 'That revision was built: take the build back first.' }, 409);
      return context.json({ removed: 1 }, 200);
    })
    .delete('/:id/builds/:build', async (context) => {
      const { id, build } = context.req.param();
      const wanted = serial.safeParse(build);
      const gone = wanted.success && (await removeBuild(database, id, wanted.data));
      return gone ? context.json({ removed: 1 }, 200) : context.json({ message: 'That is taken back already.' }, 404);
    })
    .get('/:id/builds', async (context) => {
      const found = await listBuilds(database, context.req.param('id'));
      return context.json(found.map((build) => ({ ...build, installedFrom: build.installedFrom.toISOString() })));
    })
    .post('/:id/builds', small, body(buildBody), async (context) => {
      const id = context.req.param('id');
      const { revisionId, installedFrom } = context.req.valid('json');
      const kept = await listRevisions(database, id);
      if (!kept.some((revision) => revision.id === revisionId))
        return context.json({ message: 'That revision does not belong to this job.' }, 422);
      const made = await recordBuild(database, id, revisionId, new Date(installedFrom));
      return context.json({ id: made?.id }, 201);
    });
}
