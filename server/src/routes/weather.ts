import { zValidator } from '@hono/zod-validator';
import { BrokenSeries } from '@north-pane/core/sky';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Database } from '../db/database';
import { findJob } from '../db/jobs';
import { dropWeather, keepWeather, listWeather, weatherBytes } from '../db/weather';
import { type Outlook, type OutlookService, ServiceSilent } from '../outlook';
import { limitBody } from '../security';
import { fieldErrors, noJob, serial } from './answers';

const seriesForm = z.object({
  name: z.string().trim().min(1, 'Name the weather.').max(120, 'A name has at most 120 characters.'),
  series: z.instanceof(File, { message: 'The series is missing.' }),
});

const noWeather = (id: string) => ({ message: `This job has no weather “${id}”.` });

export function weatherRoutes(database: Database, outlook: OutlookService) {
  return new Hono()
    .get('/:id/weather', async (context) => {
      const id = context.req.param('id');
      if (!(await findJob(database, id))) return context.json(noJob(id), 404);
      const all = await listWeather(database, id);
      return context.json(
        all.map((one) => ({ ...one, start: one.start.toISOString(), addedAt: one.addedAt.toISOString() })),
        200,
      );
    })
    .post(
      '/:id/weather',
      limitBody(10),
      zValidator('form', seriesForm, (result, context) =>
        result.success ? undefined : context.json(fieldErrors(result.error), 422),
      ),
      async (context) => {
        const id = context.req.param('id');
        if (!(await findJob(database, id))) return context.json(noJob(id), 404);
        const { name, series } = context.req.valid('form');
        try {
          const kept = await keepWeather(database, {
            jobId: id,
            name,
            bytes: new Uint8Array(await series.arrayBuffer()),
          });
          return context.json(kept, 201);
        } catch (error) {
          if (!(error instanceof BrokenSeries)) throw error;
          return context.json(
            { message: `What came is no weather (${error.reason}). Nothing was kept; send the file once more.` },
            422,
          );
        }
      },
    )
    .get('/:id/weather/:weather', async (context) => {
      const { id, weather } = context.req.param();
      const number = serial.safeParse(weather);
      const bytes = number.success ? await weatherBytes(database, id, number.data) : undefined;
      if (!bytes) return context.json(noWeather(weather), 404);
      // A series never changes under its id.
      return context.body(new Uint8Array(bytes), 200, {
        'content-type': 'application/octet-stream',
        'cache-control': 'private, max-age=31536000, immutable',
      });
    })
    .delete('/:id/weather/:weather', async (context) => {
      const { id, weather } = context.req.param();
      const number = serial.safeParse(weather);
      const outcome = number.success ? await dropWeather(database, id, number.data) : 'unknown';
      if (outcome === 'unknown') return context.json(noWeather(weather), 404);
      if (outcome === 'in use')
        return context.json({ message: 'The job is worked out with this weather. Choose another one first.' }, 409);
      return context.json({ gone: true }, 200);
    })
    .get('/:id/outlook', async (context) => {
      const id = context.req.param('id');
      const job = await findJob(database, id);
      if (job?.kind !== 'job') return context.json(noJob(id), 404);
      try {
        const { latitude, longitude, elevation } = job.document.site;
        const found: Outlook = await outlook({ latitude, longitude, elevation });
        return context.json(found, 200);
      } catch (error) {
        if (!(error instanceof ServiceSilent)) throw error;
        return context.json({ message: error.message }, 502);
      }
    });
}
