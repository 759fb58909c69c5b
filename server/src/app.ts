import { issueWords } from '@north-pane/core/care';
import { Hono } from 'hono';
import { compress } from 'hono/compress';
import { HTTPException } from 'hono/http-exception';
import * as z from 'zod';
import { type Database, isAnswering } from './db/database';
import type { Listener } from './db/listener';
import { failureOf } from './failure';
import { outlookFrom } from './outlook';
import { eventRoutes } from './routes/events';
import { jobRoutes } from './routes/jobs';
import { readingRoutes } from './routes/readings';
import { streamRoute } from './routes/stream';
import { weatherRoutes } from './routes/weather';
import { headers, knownCallers } from './security';
import { standInWeather } from './standins/weather';

export interface Dependencies {
  database: Database;
  /** Hears what has changed, on this server and on others. */
  listener: Listener;
  /** Where troubles are told that no caller can mend. */
  report(error: unknown): void;
  /** The weather service to ask, and how. */
  weather: Parameters<typeof outlookFrom>[0];
  now(): Date;
}

// What a schema does not say in words of its own is said in a builder's.
z.config({ customError: issueWords });

/** The application without a port or a pool of its own. */
export function createApp({ database, listener, report, weather, now }: Dependencies) {
  const app = new Hono()
    // Scripts, styles and readings shrink to a third or less. What is told line by line as it happens is left as it is.
    .use(compress({ threshold: 1024 }))
    .use(headers)
    .use(knownCallers)
    .get('/api/health', async (context) => {
      if (await isAnswering(database)) return context.json({ ok: true, database: 'answers' }, 200);
      return context.json({ ok: false, database: 'silent', message: 'The database does not answer just now.' }, 503);
    })
    .route('/api/jobs', jobRoutes(database))
    .route('/api/jobs', eventRoutes(database))
    .route('/api/stream', streamRoute(database, listener))
    .route('/api/jobs', readingRoutes(database, report))
    .route('/api/jobs', weatherRoutes(database, outlookFrom(weather)));
  app.route('/standins/weather', standInWeather(now));
  app.all('/api/*', (context) => {
    // An address that is there for another method says which.
    const allowed = methodsAt(app.routes, context.req.path);
    if (allowed.length === 0) return context.json({ message: 'There is nothing at this address.' }, 404);
    context.header('allow', allowed.join(', '));
    return context.json({ message: `This address takes ${allowed.join(', ')} and not ${context.req.method}.` }, 405);
  });
  app.onError((error, context) => {
    if (error instanceof HTTPException)
      return context.json({ message: error.message || 'The request could not be read.' }, error.status);
    const { status, message } = failureOf(error);
    // What the database cannot do just now is told to the caller and not to the log: it would be told a hundred times.
    if (status === 500) report(error);
    return context.json({ message }, status);
  });
  return app;
}

/** Methods of the routes whose pattern fits a path. */
function methodsAt(routes: readonly { method: string; path: string }[], path: string): string[] {
  const parts = path.split('/');
  const fits = (pattern: string) => {
    const steps = pattern.split('/');
    return steps.length === parts.length && steps.every((step, index) => step.startsWith(':') || step === parts[index]);
  };
  return [
    ...new Set(routes.filter(({ method, path: one }) => method !== 'ALL' && fits(one)).map(({ method }) => method)),
  ];
}

export type App = ReturnType<typeof createApp>;
