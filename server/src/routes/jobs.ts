import { beginJob, familyIds, type Job, parseJob } from '@north-pane/core/document';
import { writeSvg } from '@north-pane/core/draw';
import { jobSummary } from '@north-pane/core/figures';
import { openJob } from '@north-pane/core/job';
import { readingEra } from '@north-pane/core/proof';
import { broadClimateIds } from '@north-pane/core/sky';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Database } from '../db/database';
import {
  createJob,
  findJob,
  keepRevision,
  listBuilds,
  listJobs,
  listRevisions,
  recordBuild,
  removeBuild,
  removeRevision,
  saveChanges,
} from '../db/jobs';
import { limitBody } from '../security';
import { body, noJob } from './answers';

/** A step of a path: a name, or a place in a list. */
const step = z.union([z.string().max(120), z.int().min(0).max(100_000)]);
const path = z.array(step).min(1).max(12);
const changesBody = z.strictObject({
  base: z.int().min(1),
  changes: z
    .array(z.strictObject({ path, before: z.unknown().optional(), after: z.unknown().optional() }))
    .min(1)
    .max(500),
});
const newJobBody = z.union([
  z.strictObject({
    name: z.string().trim().min(1, 'Give the job a name.').max(120, 'A name has at most 120 characters.'),
    family: z.enum(familyIds as [string, ...string[]]).default(familyIds[0] ?? ''),
    units: z.enum(['metric', 'imperial']),
    currency: z.string().trim().min(1, 'Say what money is called.').max(4, 'Money has at most 4 letters.').optional(),
    /** The place itself, or a climate like its own on one half of the earth. */
    where: z
      .union([
        z.strictObject({
          latitude: z.number().min(-90).max(90),
          longitude: z.number().min(-180).max(180),
          zone: z.string().max(64).optional(),
        }),
        z.strictObject({ climate: z.enum(broadClimateIds), half: z.enum(['north', 'south']) }),
      ])
      .optional(),
  }),
  z.strictObject({ document: z.unknown() }),
]);
const noteBody = z.strictObject({ note: z.string().trim().max(200) });
/** Serial numbers of the database. */
const serial = z.int().min(1).max(2_147_483_647);
const buildBody = z.strictObject({
  revisionId: serial,
  installedFrom: z.iso
    .datetime('a time is written like 2026-05-01T12:00:00Z')
    .refine((text) => Date.parse(text) >= readingEra.from && Date.parse(text) < readingEra.to, {
      message: 'a build is between 1990 and 2100',
    }),
});

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
    .get('/', async (context) => {
      const all = await listJobs(database);
      return context.json(
        all.map((job) => ({
          id: job.id,
          version: job.version,
          updatedAt: job.updatedAt.toISOString(),
          ...jobSummary(job.document),
        })),
      );
    })
    .post('/', small, body(newJobBody), async (context) => {
      const asked = context.req.valid('json');
      const document = 'document' in asked ? asked.document : beginJob(asked.family, asked);
      const parsed = parseJob(document);
      if (!parsed.ok)
        return context.json({ message: 'This is not a job that can be opened.', errors: parsed.errors }, 422);
      const made = await createJob(database, parsed.job);
      return context.json({ id: made.id, version: made.version }, 201);
    })
    .get('/:id', async (context) => {
      const id = context.req.param('id');
      const job = await findJob(database, id);
      if (!job) return context.json(noJob(id), 404);
      return context.json({ id, version: job.version, document: job.document }, 200);
    })
    .get('/:id/plan.svg', async (context) => {
      const id = context.req.param('id');
      const job = await findJob(database, id);
      if (!job) return context.json(noJob(id), 404);
      const svg = planOf(job.document);
      if (svg === undefined) return context.json({ message: 'This job cannot be drawn.' }, 422);
      context.header('content-type', 'image/svg+xml');
      return context.body(svg);
    })
    .post('/:id/changes', small, body(changesBody), async (context) => {
      const id = context.req.param('id');
      const { base, changes } = context.req.valid('json');
      const result = await saveChanges(database, id, base, changes);
      switch (result.kind) {
        case 'unknown':
          return context.json(noJob(id), 404);
        case 'refused':
          return context.json(
            { message: 'The change does not make a sound job; nothing was saved.', errors: result.errors },
            422,
          );
        case 'conflict': {
          const { version, document, conflicts } = result;
          return context.json({ message: 'Somebody else changed the same fields.', version, document, conflicts }, 409);
        }
        case 'saved':
          return context.json({ version: result.version, document: result.document, merged: result.merged }, 200);
        default:
          return result satisfies never;
      }
    })
    .get('/:id/revisions', async (context) => {
      const kept = await listRevisions(database, context.req.param('id'));
      return context.json(
        kept.map(({ id, number, note, keptAt, document }) => ({
          id,
          number,
          note,
          keptAt: keptAt.toISOString(),
          document,
        })),
      );
    })
    .post('/:id/revisions', small, body(noteBody), async (context) => {
      const id = context.req.param('id');
      const kept = await keepRevision(database, id, context.req.valid('json').note);
      if (!kept) return context.json(noJob(id), 404);
      return context.json({ id: kept.id, number: kept.number }, 201);
    })
    .delete('/:id/revisions/:number', async (context) => {
      const { id, number } = context.req.param();
      const wanted = serial.safeParse(Number(number));
      const result = wanted.success ? await removeRevision(database, id, wanted.data) : 'unknown';
      if (result === 'unknown') return context.json({ message: 'There is no such revision here any more.' }, 404);
      if (result === 'built')
        return context.json({ message: 'That revision was built: take the build back first.' }, 409);
      return context.json({ removed: 1 }, 200);
    })
    .delete('/:id/builds/:build', async (context) => {
      const { id, build } = context.req.param();
      const wanted = serial.safeParse(Number(build));
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
