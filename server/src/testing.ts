import { type ChildProcess, fork } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import type { ReadingMapping } from '@north-pane/core/proof';
import pg from 'pg';
import { createApp } from './app';
import { createClient } from './client';
import { type Database, openDatabase, prepareDatabase } from './db/database';
import { listenForJobs } from './db/listener';

export const migrations = join(import.meta.dirname, '../migrations');

/** The throw-away cluster that scripts/test.mjs has started. DATABASE_URL is not looked at: it may be somebody's data. */
function clusterUrl(): string {
  const url = process.env.NORTH_PANE_TEST_CLUSTER;
  if (!url) throw new Error('server tests need a throw-away cluster; run them with: npm test');
  return url;
}

/** A port that nobody has just now. */
export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** A server as a process of its own, on a database: open when it comes. */
export function startServer(url: string, port: number): Promise<ChildProcess> {
  const root = join(import.meta.dirname, '../..');
  return new Promise((resolve, reject) => {
    const child = fork(join(root, 'server/src/main.ts'), [], {
      cwd: root,
      execArgv: ['--import', 'tsx'],
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      env: { ...process.env, DATABASE_URL: url, PORT: String(port), NORTH_PANE_ROOT: root, NORTH_PANE_EMPTY: '1' },
    });
    child.once('message', () => resolve(child));
    child.once('exit', (code) => reject(new Error(`server ended with ${code}`)));
  });
}

let made = 0;

/** An empty database of its own on the throw-away cluster. */
export async function emptyDatabase(): Promise<{ url: string; drop(): Promise<void> }> {
  made += 1;
  const name = `test_${process.pid}_${made}`;
  const admin = async (statement: string) => {
    const client = new pg.Client({ connectionString: clusterUrl() });
    await client.connect();
    await client.query(statement);
    await client.end();
  };
  await admin(`create database ${name}`);
  const url = new URL(clusterUrl());
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => admin(`drop database ${name} with (force)`) };
}

/** Which column is what, in files of readings with the headings time, in, out, air, flow, sun. */
export const readingMapping: ReadingMapping = {
  time: { column: 'time', zone: 'utc' },
  columns: {
    inlet: { column: 'in', unit: '°C' },
    outlet: { column: 'out', unit: '°C' },
    air: { column: 'air', unit: '°C' },
    flow: { column: 'flow', unit: 'L/min' },
    irradiance: { column: 'sun', unit: 'W/m²' },
  },
};

export interface Bench {
  /** Of its own database. */
  url: string;
  database: Database;
  client: ReturnType<typeof createClient>;
  /** A raw request, for what the typed client would not send. */
  request(path: string, init?: RequestInit): Promise<Response>;
  troubles: unknown[];
  close(): Promise<void>;
}

/** The moment at which every test bench stands. */
export const benchNow = new Date('2026-11-25T04:30:00Z');

/** The application on a fresh database, called without a port; its stand-in weather too, unless another answers. */
export async function openBench(
  options: { weather?: (url: string) => Promise<Response>; address?: string; patience?: number } = {},
): Promise<Bench> {
  const { url, drop } = await emptyDatabase();
  const database = openDatabase(url);
  await prepareDatabase(database, migrations);
  const listener = listenForJobs(url);
  const troubles: unknown[] = [];
  const app = createApp({
    database,
    listener,
    report: (error) => troubles.push(error),
    weather: {
      address: options.address ?? 'http://localhost:4170/standins/weather',
      standIn: !options.weather,
      ...(options.patience === undefined ? {} : { patience: options.patience }),
      fetch: (url) => (options.weather ? options.weather(url) : request(url.slice('http://localhost:4170'.length))),
    },
    now: () => benchNow,
  });
  const request = async (path: string, init: RequestInit = {}) => {
    const headers = new Headers(init.headers);
    if (!headers.has('host')) headers.set('host', 'localhost:4170');
    return app.request(`http://localhost:4170${path}`, { ...init, headers });
  };
  const client = createClient('http://localhost:4170', (input, init) => request(new URL(String(input)).pathname, init));
  return {
    url,
    database,
    client,
    request,
    troubles,
    close: async () => {
      await listener.close();
      await database.close();
      await drop();
    },
  };
}
