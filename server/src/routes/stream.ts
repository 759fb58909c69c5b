import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { Database } from '../db/database';
import { markedStands } from '../db/events';
import type { Listener } from '../db/listener';

/** ms between signs of life on a line that has nothing to say: proxies cut one that is silent. */
const heartbeat = 20_000;

/**
 * One line for a whole browser: where every job stands that has changed, as it changes. `missed` says that nobody knows what changed
 * before, at its opening and after a gap: who hears it asks where its own jobs stand.
 */
export function streamRoute(database: Database, listener: Listener) {
  return new Hono().get('/', (context) =>
    streamSSE(context, async (stream) => {
      const changed = new Set<string>();
      let wake = () => {};
      let missed = true;
      const stop = listener.onAny(
        (job) => {
          changed.add(job);
          wake();
        },
        () => {
          missed = true;
          wake();
        },
      );
      stream.onAbort(() => {
        stop();
        wake();
      });
      try {
        while (!stream.aborted) {
          if (missed) {
            missed = false;
            await stream.writeSSE({ event: 'missed', data: '' });
          }
          const [id] = changed;
          if (id === undefined) {
            await new Promise<void>((resolve) => {
              const timer = setTimeout(resolve, heartbeat);
              wake = () => {
                clearTimeout(timer);
                resolve();
              };
            });
            if (changed.size === 0 && !missed && !stream.aborted) await stream.writeSSE({ event: 'quiet', data: '' });
            continue;
          }
          changed.delete(id);
          const now = await markedStands(database, id);
          await stream.writeSSE(
            now
              ? { event: 'stands', data: JSON.stringify({ id, ...now }) }
              : { event: 'gone', data: JSON.stringify({ id }) },
          );
        }
      } finally {
        stop();
      }
    }),
  );
}
