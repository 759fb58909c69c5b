import { resolve } from 'node:path';
import { sql } from 'drizzle-orm';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import * as schema from './schema';

export interface Database {
  orm: NodePgDatabase<typeof schema>;
  pool: pg.Pool;
  close(): Promise<void>;
}
export type Transaction = Parameters<Parameters<Database['orm']['transaction']>[0]>[0];

/** ms. No statement of an ordinary request takes as long; a file of readings lifts it for itself. */
const statementTimeout = 20_000;

export function openDatabase(url: string): Database {
  const pool = new pg.Pool({
    connectionString: url,
    max: 8,
    connectionTimeoutMillis: 5_000,
    statement_timeout: statementTimeout,
    idle_in_transaction_session_timeout: 60_000,
  });
  // A connection that the server drops while idle is reported here; the next query opens another.
  pool.on('error', () => {});
  // One that is in use reports it on itself, and an error that nobody hears ends the process: the query under way fails too, and
  // tells its caller.
  pool.on('connect', (client) => client.on('error', () => {}));
  return { orm: drizzle(pool, { schema }), pool, close: () => pool.end() };
}

/** Whether the database answers, within a second. */
export async function isAnswering({ pool }: Database): Promise<boolean> {
  const late = new Promise<false>((resolve) => setTimeout(() => resolve(false), 1000).unref());
  const asked = pool.query('select 1').then(
    () => true,
    () => false,
  );
  return Promise.race([asked, late]);
}

/** Migrations that could not be carried out. Each is one transaction, so the database is as it was before. */
export class MigrationFailed extends Error {
  constructor(override readonly cause: unknown) {
    // The query builder wraps what the database said; its own words are the useful ones.
    const inner = cause instanceof Error && cause.cause instanceof Error ? cause.cause : cause;
    super(inner instanceof Error ? inner.message : String(inner));
    this.name = 'MigrationFailed';
  }
}

/**
 * Brings the tables up to date. All pending migrations are one transaction: a crash halfway leaves none of them.
 *
 * @returns whether the database was empty before
 */
export async function prepareDatabase(database: Database, migrations: string): Promise<{ fresh: boolean }> {
  const found = await database.orm.execute<{ known: boolean }>(
    sql`select to_regclass('public.jobs') is not null as known`,
  );
  const fresh = !found.rows[0]?.known;
  try {
    await migrate(database.orm, { migrationsFolder: resolve(migrations) });
  } catch (cause) {
    throw new MigrationFailed(cause);
  }
  return { fresh };
}
