/** An application on a database of its own in the throwaway cluster. */
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { createApp } from '../app.ts';
import { connect } from '../db/connection.ts';
import { migrateDatabase } from '../db/migrate.ts';
import { seedIfEmpty } from '../db/seed.ts';

export async function openTestApp(options: { readonly seeded?: boolean } = {}) {
  const url = await makeDatabase();
  const connection = connect(url);
  await migrateDatabase(connection.pool);
  if (options.seeded !== false) await seedIfEmpty(connection.db);
  return { url, connection, app: createApp({ db: connection.db }), close: () => connection.close() };
}

/** The address of a new, empty database. */
export async function makeDatabase(): Promise<string> {
  const base = process.env['TEST_POSTGRES_URL'];
  if (base === undefined) throw new Error('the throwaway cluster is not running; run the tests through "npm run unit"');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: base });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  return base.replace(/\/postgres$/, `/${name}`);
}
