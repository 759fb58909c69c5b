import { mappingSchema, type ReadFile, sensorsSchema, skyWords } from '@north-pane/core/proof';
import { Hono } from 'hono';
import { stream } from 'hono/streaming';
import * as z from 'zod';
import type { Database } from '../db/database';
import { findJobZone } from '../db/jobs';
import { sourcesWithReadings, type WriteReport, writeOne, writeReadings } from '../db/readings';
import { removeReadings } from '../db/removeReadings';
import { failureOf } from '../failure';
import { parseFile } from '../import/parseFile';
import { limitBody } from '../security';
import { asked, body, noJob } from './answers';

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
/** ms since 1970, as an address writes it. */
const moment = z.coerce.number().int().min(0).max(4e12);
/** A page of readings: those before a moment, the newest of them first to come. */
const pageQuery = z.strictObject({ before: moment.optional() });
/** Which readings are meant: all of a name, or those between two moments. */
const meant = z
  .strictObject({ source, from: moment.optional(), to: moment.optional() })
  .refine(({ from, to }) => (from === undefined) === (to === undefined), {
    message: 'Give both moments, or none for all of them.',
    path: ['to'],
  });
const oneBody = z.strictObject({ reading: readingSchema, sensors: sensorsSchema });
const importBody = z.strictObject({
  text: z.string(),
  mapping: mappingSchema,
  source,
  sensors: sensorsSchema,
  /** Look only, or keep the rows that can be read. */
  keep: z.enum(['nothing', 'good rows']),
});

/** What is answered once a file has been looked through. */
function reportOf(file: ReadFile, report: WriteReport, kept: boolean) {
  return {
    kept,
    added: report.added,
    known: report.known,
    doubtful: file.doubtful,
    differing: { count: report.differing.length, times: report.differing.slice(0, toldLines) },
    refused: { count: file.refused.length, lines: file.refused.slice(0, toldLines) },
  };
}

export function readingRoutes(database: Database, report: (error: unknown) => void) {
  return new Hono()
    .get('/:id/readings', asked(pageQuery), async (context) => {
      const id = context.req.param('id');
      if (!(await findJobZone(database, id))) return context.json(noJob(id), 404);
      return context.json(
        await sourcesWithReadings(database, id, readingLimit, context.req.valid('query').before),
        200,
      );
    })
    .post('/:id/readings', limitBody(1), body(oneBody), async (context) => {
      const id = context.req.param('id');
      const { reading, sensors } = context.req.valid('json');
      const report = await writeOne(database, { jobId: id, source: 'by hand', sensors }, reading);
      if (!report) return context.json(noJob(id), 404);
      if (report.differing.length > 0)
        return context.json({ message: 'Another reading was kept at this very moment. Take it again.' }, 409);
      return context.json(report, 201);
    })
    .delete('/:id/readings', asked(meant), async (context) => {
      const id = context.req.param('id');
      if (!(await findJobZone(database, id))) return context.json(noJob(id), 404);
      const { source: name, from, to } = context.req.valid('query');
      const between =
        from === undefined || to === undefined ? {} : { between: { from: new Date(from), to: new Date(to) } };
      const removed = await removeReadings(database, { jobId: id, source: name, ...between });
      if (removed === 0) return context.json({ message: 'There is no such reading here any more.' }, 404);
      return context.json({ removed }, 200);
    })
    .post('/:id/readings/import', limitBody(25), body(importBody), async (context) => {
      const id = context.req.param('id');
      const zone = await findJobZone(database, id);
      if (!zone) return context.json(noJob(id), 404);
      const { text, mapping, source: name, sensors, keep } = context.req.valid('json');
      const kept = keep === 'good rows';
      const write = (file: ReadFile, options: Parameters<typeof writeReadings>[2]) =>
        writeReadings(database, { jobId: id, source: name, sensors, readings: file.readings, dryRun: !kept }, options);
      if (!context.req.header('accept')?.includes('application/x-ndjson')) {
        const file = await parseFile({ text, mapping, zone });
        if (file.trouble) return context.json({ message: file.trouble }, 422);
        return context.json(reportOf(file, await write(file, {}), kept), 200);
      }
      // A line of JSON for each step of the way, the report or the refusal last. Whoever goes away has stopped it.
      context.header('content-type', 'application/x-ndjson');
      return stream(context, async (out) => {
        const stop = new AbortController();
        out.onAbort(() => stop.abort());
        const { signal } = stop;
        const tell = (line: object) => void out.write(`${JSON.stringify(line)}\n`);
        const progress = (from: number, to: number) => {
          let told = -1;
          return (share: number) => {
            const percent = Math.round(100 * (from + (to - from) * share));
            if (percent !== told) tell({ percent });
            told = percent;
          };
        };
        try {
          const file = await parseFile({ text, mapping, zone }, { onProgress: progress(0, 0.4), signal });
          if (file.trouble) {
            tell({ message: file.trouble, status: 422 });
            return;
          }
          const written = await write(file, { onProgress: progress(0.4, 1), signal });
          tell({ report: reportOf(file, written, kept) });
        } catch (error) {
          if (signal.aborted) return;
          const { status, message } = failureOf(error);
          if (status === 500) report(error);
          tell({ message, status });
        }
      });
    });
}
