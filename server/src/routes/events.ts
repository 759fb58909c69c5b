import { parseEvents } from '@north-pane/core/shoplog';
import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import * as z from 'zod';
import type { Database } from '../db/database';
import { eventsAfter, jobStands, mostEvents, recordEvents } from '../db/events';
import { isJobId } from '../db/jobs';
import type { Listener } from '../db/listener';
import { limitBody } from '../security';
import { asked, body, noJob } from './answers';

const eventsBody = z.strictObject({ events: z.array(z.unknown()).min(1).max(mostEvents) });
const afterQuery = z.strictObject({ after: z.coerce.number().int().min(0).optional() });

/** ms between signs of life on a line that has nothing to say: proxies cut one that is silent. */
const heartbeat = 20_000;

/** The log of the shop: what was done, sent in and read on; and the line on which other hands are heard. */
export function eventRoutes(database: Database, listener: Listener) {
  return new Hono()
    .post('/:id/events', limitBody(2), body(eventsBody), async (context) => {
      const id = context.req.param('id');
      const parsed = parseEvents(context.req.valid('json').events);
      if (!parsed.ok)
        return context.json(
          { message: 'These are no events of a shop; nothing was kept.', errors: parsed.errors },
          422,
        );
      const result = isJobId(id) ? await recordEvents(database, id, parsed.events) : undefined;
      return result ? context.json(result, 200) : context.json(noJob(id), 404);
    })
    .get('/:id/events', asked(afterQuery), async (context) => {
      const id = context.req.param('id');
      if (!isJobId(id) || !(await jobStands(database, id))) return context.json(noJob(id), 404);
      return context.json(await eventsAfter(database, id, context.req.valid('query').after ?? 0), 200);
    })
    .get('/:id/stream', async (context) => {
      const id = context.req.param('id');
      if (!isJobId(id) || !(await jobStands(database, id))) return context.json(noJob(id), 404);
      return streamSSE(context, async (stream) => {
        let wake = () => {};
        let stirred = true;
        const stop = listener.on(id, () => {
          stirred = true;
          wake();
        });
        stream.onAbort(() => {
          stop();
          wake();
        });
        try {
          while (!stream.aborted) {
            if (stirred) {
              stirred = false;
              const now = await jobStands(database, id);
              await stream.writeSSE({ event: now ? 'stands' : 'gone', data: JSON.stringify(now ?? {}) });
              if (!now) return;
            } else await stream.writeSSE({ event: 'quiet', data: '' });
            if (stirred) continue;
            await new Promise<void>((resolve) => {
              const timer = setTimeout(resolve, heartbeat);
              wake = () => {
                clearTimeout(timer);
                resolve();
              };
            });
          }
        } finally {
          stop();
        }
      });
    });
}
