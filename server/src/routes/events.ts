import { longestMessage, mostEventsSent, sortEvents } from '@north-pane/core/shoplog';
import { Hono } from 'hono';
import * as z from 'zod';
import type { Database } from '../db/database';
import { eventsAfter, jobStands, logContinues, markedStands, recordEvents } from '../db/events';
import { findJob, isJobId } from '../db/jobs';
import { refreshCard } from '../db/summaries';
import { limitBody } from '../security';
import { asked, body, noJob, olderCopy } from './answers';

const key = z.uuid().optional();
/** The mark of the log up to a number, as it was told. */
const mark = z.string().max(200).optional();
const eventsBody = z.strictObject({
  events: z.array(z.unknown()).min(1).max(mostEventsSent),
  key,
  after: z.int().min(0).optional(),
  mark,
});
const afterQuery = z.strictObject({
  after: z.coerce.number().int().min(0).optional(),
  mark,
  key,
});

/** The log of the shop: what was done, sent in and read on; and where a job stands. */
export function eventRoutes(database: Database) {
  return new Hono()
    .post('/:id/events', limitBody(longestMessage), body(eventsBody), async (context) => {
      const id = context.req.param('id');
      const { events, key, after, mark } = context.req.valid('json');
      const { taken, refused } = sortEvents(events);
      if (after !== undefined && isJobId(id) && !(await logContinues(database, id, after, mark))) {
        const job = await findJob(database, id);
        if (job?.kind === 'job' && (key === undefined || key === job.key))
          return context.json({ ...olderCopy, version: job.version, stamp: job.stamp, document: job.document }, 409);
      }
      const result = isJobId(id) ? await recordEvents(database, id, taken, key) : undefined;
      if (!result) return context.json(noJob(id), 404);
      if (result.added > 0) refreshCard(database, id);
      return context.json({ ...result, refused }, 200);
    })
    .get('/:id/events', asked(afterQuery), async (context) => {
      const id = context.req.param('id');
      const { after = 0, mark, key } = context.req.valid('query');
      const now = isJobId(id) ? await jobStands(database, id) : undefined;
      if (!now || (key !== undefined && key !== now.key)) return context.json(noJob(id), 404);
      const parted = !(await logContinues(database, id, after, mark));
      if (parted) return context.json({ events: [], seq: 0, more: false, parted }, 200);
      return context.json({ ...(await eventsAfter(database, id, after)), parted }, 200);
    })
    .get('/:id/stands', async (context) => {
      const id = context.req.param('id');
      const now = isJobId(id) ? await markedStands(database, id) : undefined;
      return now ? context.json(now, 200) : context.json(noJob(id), 404);
    });
}
