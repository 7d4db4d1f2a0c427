/** Brings the database up to the schema. Takes a lock first: two servers starting at once must not both migrate. */
import { fileURLToPath } from 'node:url';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type pg from 'pg';

const migrationsFolder = fileURLToPath(new URL('../drizzle', import.meta.url));
/** Any fixed number serves; it only has to be the same for every server of this application. */
const lockKey = 7_366_836;

export async function migrateDatabase(pool: pg.Pool): Promise<void> {
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [lockKey]);
    await migrate(drizzle(client), { migrationsFolder });
  } finally {
    await client.query('select pg_advisory_unlock($1)', [lockKey]).catch(() => undefined);
    client.release();
  }
}
