import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { serve } from '@hono/node-server';
import { createApp } from './app';
import { MigrationFailed, openDatabase, prepareDatabase } from './db/database';
import { listenForJobs } from './db/listener';
import { upgradeJobs } from './db/upgrade';
import { logLine } from './failure';
import { closeParser } from './import/parseFile';
import { pages } from './pages';
import { seedDemo } from './seed';

/** Reads the world, opens pool and port, and closes both when told to. */
async function main(): Promise<void> {
  const root = process.env.NORTH_PANE_ROOT ?? process.cwd();
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; start North Pane with: npm start');
  const port = Number(process.env.PORT ?? 4170);

  const database = openDatabase(url);
  const { fresh } = await prepareDatabase(database, join(root, 'server/migrations'));
  if (fresh && process.env.NORTH_PANE_EMPTY !== '1') {
    const names = await seedDemo(database, join(root, 'demo'));
    console.log(`  demo on the shelf: ${names.join(', ')}`);
  }

  const { unreadable } = await upgradeJobs(database);
  if (unreadable > 0) console.log(`  ${unreadable} ${unreadable === 1 ? 'job' : 'jobs'} on the shelf cannot be read`);

  const listener = listenForJobs(url);
  const app = createApp({
    database,
    listener,
    report: (error) => console.error(logLine(error)),
    weather: weatherService(port),
    now: () => new Date(),
  });
  const web = join(root, 'web/dist');
  if (existsSync(web)) app.route('/', pages(web));

  const server = serve({ fetch: app.fetch, port, hostname: '127.0.0.1' }, () => {
    console.log(`North Pane is open at http://localhost:${port}`);
    process.send?.('open');
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is taken by another program. Start on another one: PORT=${port + 1} npm start`
        : error.message,
    );
    process.exit(1);
  });

  let closing = false;
  const close = () => {
    if (closing) return;
    closing = true;
    void closeParser();
    void listener.close();
    server.close(() => database.close().then(() => process.exit(0)));
    // Browsers keep connections open; what is under way has two seconds.
    setTimeout(() => process.exit(0), 2000).unref();
  };
  process.on('SIGINT', close);
  process.on('SIGTERM', close);
  process.on('disconnect', close);
}

/** The weather service in NORTH_PANE_WEATHER, or the stand-in at our own address. Throws on an address that is none. */
function weatherService(port: number) {
  const given = process.env.NORTH_PANE_WEATHER;
  const address = given || `http://127.0.0.1:${port}/standins/weather`;
  if (!URL.canParse(address) || !/^https?:/.test(address))
    throw new Error(`NORTH_PANE_WEATHER is “${given}”; it must be an address that begins with http:// or https://`);
  return { address, standIn: !given, fetch: (url: string, init: RequestInit) => fetch(url, init) };
}

main().catch((error: unknown) => {
  if (error instanceof MigrationFailed)
    console.error(
      `The database could not be brought up to date: ${error.message}\nNothing was changed in it. Go back to the version of North Pane that wrote it, or start on an empty database: DATABASE_URL=… npm start`,
    );
  else console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
