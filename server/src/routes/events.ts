import { longestMessage, mostEventsSent, sortEvents } from '@north-pane/core/shoplog';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Database } from '../db/database';
import { eventsAfter, jobStands, logContinues, recordEvents } from '../db/events';
import { isJobId } from '../db/jobs';
import { refreshCard } from '../db/summaries';
import { limitBody } from '../security';
import { asked, body, noJob } from './answers';

const key = z.uuid().optional();
const eventsBody = z.strictObject({ events: z.array(z.unknown()).min(1).max(mostEventsSent), key });
const afterQuery = z.strictObject({
  after: z.coerce.number().int().min(0).optional(),
  /** Id of the event that had that number, where the reader knows it. */
  last: z.string().max(200).optional(),
  key,
});

/** The log of the shop: what was done, sent in and read on; and where a job stands. */
export function eventRoutes(database: Database) {
  return new Hono()
    .post('/:id/events', limitBody(longestMessage), body(eventsBody), async (context) => {
      const id = context.req.param('id');
      const { events, key } = context.req.valid('json');
      const { taken, refused } = sortEvents(events);
      const result = isJobId(id) ? await recordEvents(database, id, taken, key) : undefined;
      if (!result) return context.json(noJob(id), 404);
      if (result.added > 0) refreshCard(database, id);
      return context.json({ ...result, refused }, 200);
    })
    .get('/:id/events', asked(afterQuery), async (context) => {
      const id = context.req.param('id');
      const { after = 0, last, key } = context.req.valid('query');
      const now = isJobId(id) ? await jobStands(database, id) : undefined;
      if (!now || (key !== undefined && key !== now.key)) return context.json(noJob(id), 404);
      const parted = !(await logContinues(database, id, after, last));
      if (parted) return context.json({ events: [], seq: 0, more: false, parted }, 200);
      return context.json({ ...(await eventsAfter(database, id, after)), parted }, 200);
    })
    .get('/:id/stands', async (context) => {
      const id = context.req.param('id');
      const now = isJobId(id) ? await jobStands(database, id) : undefined;
      return now ? context.json(now, 200) : context.json(noJob(id), 404);
    });
}
