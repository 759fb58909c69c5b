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

export function openDatabase(url: string): Database {
  const pool = new pg.Pool({ connectionString: url, max: 8, connectionTimeoutMillis: 10_000 });
  // A connection that the server drops while idle is reported here; the next query opens another.
  pool.on('error', () => {});
  return { orm: drizzle(pool, { schema }), pool, close: () => pool.end() };
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
