import { mappingSchema, readReadings, sensorsSchema, skyWords } from '@north-pane/core';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Database } from '../db/database';
import { findJob } from '../db/jobs';
import { listSources, sourceReadings, writeReadings } from '../db/readings';
import { limitBody } from '../security';
import { body, noJob } from './answers';

/** The newest readings that one look brings. */
export const readingLimit = 20_000;
/** Refused lines told by name; the rest by number. */
const toldLines = 200;

const between = (low: number, high: number, what: string) =>
  z
    .number(`${what} must be a number`)
    .min(low, `${what} is too low to be true`)
    .max(high, `${what} is too high to be true`);
const readingSchema = z
  .strictObject({
    time: z.int().min(0).max(4e12),
    inlet: between(-20, 150, 'water in'),
    outlet: between(-20, 200, 'water out'),
    air: between(-60, 60, 'air'),
    flow: between(0, 0.01, 'flow'),
    irradiance: between(-20, 1600, 'sun').optional(),
    sky: z.enum(skyWords).optional(),
    wind: between(0, 75, 'wind').optional(),
  })
  .refine((reading) => reading.irradiance !== undefined || reading.sky !== undefined, {
    message: 'Say how the sky is, or how strong the sun.',
    path: ['sky'],
  });
const source = z.string().trim().min(1, 'Name where the readings come from.').max(80);
const oneBody = z.strictObject({ reading: readingSchema, sensors: sensorsSchema });
const importBody = z.strictObject({
  text: z.string(),
  mapping: mappingSchema,
  source,
  sensors: sensorsSchema,
  /** Look only, or keep the rows that can be read. */
  keep: z.enum(['nothing', 'good rows']),
});

export function readingRoutes(database: Database) {
  return new Hono()
    .get('/:id/readings', async (context) => {
      const id = context.req.param('id');
      if (!(await findJob(database, id))) return context.json(noJob(id), 404);
      const found = await listSources(database, id);
      const withReadings = await Promise.all(
        found.map(async (one) => ({
          id: one.id,
          name: one.name,
          sensors: one.sensors,
          count: one.count,
          readings: await sourceReadings(database, one.id, readingLimit),
        })),
      );
      return context.json(withReadings, 200);
    })
    .post('/:id/readings', limitBody(1), body(oneBody), async (context) => {
      const id = context.req.param('id');
      if (!(await findJob(database, id))) return context.json(noJob(id), 404);
      const { reading, sensors } = context.req.valid('json');
      const report = await writeReadings(database, {
        jobId: id,
        source: 'by hand',
        sensors,
        readings: [reading],
        dryRun: false,
      });
      if (report.differing.length > 0)
        return context.json({ message: 'Another reading was kept at this very moment. Take it again.' }, 409);
      return context.json(report, 201);
    })
    .post('/:id/readings/import', limitBody(25), body(importBody), async (context) => {
      const id = context.req.param('id');
      const job = await findJob(database, id);
      if (!job) return context.json(noJob(id), 404);
      const { text, mapping, source: name, sensors, keep } = context.req.valid('json');
      const file = readReadings(text, mapping, job.document.site.zone);
      if (file.trouble) return context.json({ message: file.trouble }, 422);
      const report = await writeReadings(database, {
        jobId: id,
        source: name,
        sensors,
        readings: file.readings,
        dryRun: keep === 'nothing',
      });
      return context.json(
        {
          kept: keep === 'good rows',
          added: report.added,
          known: report.known,
          differing: { count: report.differing.length, times: report.differing.slice(0, toldLines) },
          refused: { count: file.refused.length, lines: file.refused.slice(0, toldLines) },
        },
        200,
      );
    });
}
