/** Backup, verify, restore: everything of a shop in one file, from one moment, while people go on working. */
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { checkBackup, extractDump, writeBackup, type BackupHeader } from './backup-file.ts';
import { differing, digestsOf, leftOut } from './digests.ts';
import { runPostgres } from './programs.ts';

async function scratch<T>(run: (folder: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'fox-tempo-backup-'));
  try {
    return await run(folder);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function connected<T>(url: string, run: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 10_000 });
  client.on('error', () => undefined);
  await client.connect();
  try {
    return await run(client);
  } finally {
    await client.end().catch(() => undefined);
  }
}

/** Writes a backup of the database to `path`. Dump and fingerprints are taken from one snapshot. */
export function makeBackup(url: string, path: string, signal?: AbortSignal): Promise<void> {
  return scratch((folder) =>
    connected(url, async (client) => {
      await client.query('begin isolation level repeatable read read only');
      const one = async <T>(sql: string) => (await client.query<{ value: T }>(sql)).rows[0]?.value;
      const snapshot = (await one<string>('select pg_export_snapshot() as value')) ?? '';
      const dump = join(folder, 'dump');
      await runPostgres(
        'pg_dump',
        url,
        [
          ...['--format=custom', '--no-owner', '--no-privileges', `--snapshot=${snapshot}`, `--file=${dump}`],
          '--exclude-schema=pgboss',
          ...leftOut.map((table) => `--exclude-table-data=public.${table}`),
        ],
        signal,
      );
      await writeBackup(path, dump, {
        format: 'fox-tempo/backup',
        version: 1,
        madeAt: new Date().toISOString(),
        // A shop of an older version has no such table yet.
        shop:
          (await one<string | null>(`select to_regclass('public.shop')::text as value`)) === null
            ? ''
            : ((await one<string>('select name as value from shop')) ?? ''),
        postgres: (await one<string>('show server_version')) ?? '',
        migrations: Number(await one<string>('select count(*) as value from drizzle.__drizzle_migrations')),
        tables: await digestsOf(client),
      });
    }),
  );
}

export interface Verified {
  readonly header: BackupHeader;
  /** Tables that differ from the live shop; undefined where none was asked to be compared. */
  readonly differs: readonly string[] | undefined;
}

/** Checks a backup without restoring it, and against a live database where one is named. */
export async function verifyBackup(path: string, url?: string): Promise<Verified> {
  const { header, dumpAt } = await checkBackup(path);
  await scratch(async (folder) => {
    const dump = join(folder, 'dump');
    await extractDump(path, dumpAt, dump);
    await runPostgres('pg_restore', undefined, ['--list', dump]);
  });
  if (url === undefined) return { header, differs: undefined };
  return { header, differs: differing(header.tables, await connected(url, digestsOf)) };
}

/** Restores into a database without tables and compares every one with what was backed up. */
export async function restoreBackup(path: string, url: string): Promise<BackupHeader> {
  const { header, dumpAt } = await checkBackup(path);
  await connected(url, async (client) => {
    const { rows } = await client.query<{ count: string }>(
      `select count(*) from pg_tables where schemaname = 'public'`,
    );
    if (rows[0]?.count !== '0') throw new Error('The database to restore into is not empty; nothing was touched.');
  });
  await scratch(async (folder) => {
    const dump = join(folder, 'dump');
    await extractDump(path, dumpAt, dump);
    await runPostgres('pg_restore', url, [
      '--no-owner',
      '--no-privileges',
      '--exit-on-error',
      '--single-transaction',
      `--dbname=${new URL(url).pathname.slice(1)}`,
      dump,
    ]);
  });
  const wrong = differing(header.tables, await connected(url, digestsOf));
  if (wrong.length > 0) throw new Error(`Restored, but these tables differ from the backup: ${wrong.join(', ')}.`);
  return header;
}
