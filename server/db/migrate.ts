/** Brings the database up to the schema. Takes a lock first: two servers starting at once must not both migrate. */
import { fileURLToPath } from 'node:url';
import { drizzle } from 'drizzle-orm/node-postgres';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type pg from 'pg';

const migrationsFolder = fileURLToPath(new URL('../drizzle', import.meta.url));
/** Any fixed number serves; it only has to be the same for every server of this application. */
const lockKey = 7_366_836;

/** `before` runs once when there is something to migrate and something to lose. */
export async function migrateDatabase(
  pool: pg.Pool,
  before: () => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  const client = await pool.connect();
  try {
    await client.query('set statement_timeout = 0');
    await client.query('select pg_advisory_lock($1)', [lockKey]);
    if (await isBehind(client)) await before();
    await migrate(drizzle(client), { migrationsFolder });
  } finally {
    await client.query('select pg_advisory_unlock($1)', [lockKey]).catch(() => undefined);
    // Its settings were changed: not for others.
    client.release(true);
  }
}

/** True when the database holds a shop of an older version. */
async function isBehind(client: pg.PoolClient): Promise<boolean> {
  const { rows } = await client.query<{ there: boolean }>(
    `select to_regclass('drizzle.__drizzle_migrations') is not null as there`,
  );
  if (rows[0]?.there !== true) return false;
  const done = await client.query<{ count: string }>('select count(*) from drizzle.__drizzle_migrations');
  const count = Number(done.rows[0]?.count);
  return count > 0 && count < readMigrationFiles({ migrationsFolder }).length;
}
