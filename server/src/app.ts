import { Hono } from 'hono';
import { HTTPException } from 'hono/http-exception';
import type { Database } from './db/database';
import { outlookFrom } from './outlook';
import { jobRoutes } from './routes/jobs';
import { readingRoutes } from './routes/readings';
import { weatherRoutes } from './routes/weather';
import { headers, knownCallers } from './security';
import { standInWeather } from './standins/weather';

export interface Dependencies {
  database: Database;
  /** Where troubles are told that no caller can mend. */
  report(error: unknown): void;
  /** The weather service to ask, and how. */
  weather: Parameters<typeof outlookFrom>[0];
  now(): Date;
}

/** The application without a port or a pool of its own. */
export function createApp({ database, report, weather, now }: Dependencies) {
  const app = new Hono()
    .use(headers)
    .use(knownCallers)
    .get('/api/health', (context) => context.json({ ok: true }))
    .route('/api/jobs', jobRoutes(database))
    .route('/api/jobs', readingRoutes(database))
    .route('/api/jobs', weatherRoutes(database, outlookFrom(weather)));
  app.route('/standins/weather', standInWeather(now));
  app.all('/api/*', (context) => context.json({ message: 'There is nothing at this address.' }, 404));
  app.onError((error, context) => {
    if (error instanceof HTTPException)
      return context.json({ message: error.message || 'The request could not be read.' }, error.status);
    report(error);
    return context.json(
      { message: 'Something broke on the server. What you have here is not lost; try once more.' },
      500,
    );
  });
  return app;
}

export type App = ReturnType<typeof createApp>;
