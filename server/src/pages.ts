import { serveStatic } from '@hono/node-server/serve-static';
import { stationIds } from '@north-pane/core/stations';
import { Hono } from 'hono';

/** Addresses that the page has something for: the shelf, a job, a job at a station. */
const known = new RegExp(`^/(jobs/[^/]+(/(${stationIds.join('|')}))?/?)?$`);

/** The built web: assets by their own names for ever, every other address the one page, which finds its place itself. */
export function pages(folder: string) {
  return (
    new Hono()
      .use('/assets/*', async (context, next) => {
        await next();
        if (context.res.ok) context.header('cache-control', 'public, max-age=31536000, immutable');
      })
      // Compressed when they were built.
      .use('/assets/*', serveStatic({ root: folder, precompressed: true }))
      .get('/assets/*', (context) => context.text('There is no such file.', 404))
      // The page names the assets of this build: an old copy of it would ask for some that are gone.
      .use('*', async (context, next) => {
        await next();
        if (context.res.headers.get('content-type')?.startsWith('text/html'))
          context.header('cache-control', 'no-cache');
      })
      .use('*', serveStatic({ root: folder }))
      // An address that leads nowhere gets the page too, which says so and shows the way back, and says so to machines as well.
      .use('*', async (context, next) => {
        await next();
        if (!known.test(context.req.path) && context.res.ok)
          context.res = new Response(context.res.body, { status: 404, headers: context.res.headers });
      })
      .get('*', serveStatic({ root: folder, path: 'index.html' }))
  );
}
