/**
 * Backup, verify and restore at the command line:
 *   npm run backup -- [file]     npm run verify -- file     npm run restore -- file
 * With DATABASE_URL they act on that database, else on the private cluster, running or not.
 */
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { makeBackup, restoreBackup, verifyBackup } from '../server/backup/backup.ts';
import { ensurePostgres, openCluster } from './lib/postgres.mjs';
import { root } from './lib/run.mjs';
import { endOn, Refusal, say } from './lib/say.mjs';
import { AlreadyRunning, takeStartLock } from './lib/start-lock.mjs';

const folder = process.env['FOX_TEMPO_DATA'] || join(root, 'data');
const outside = process.env['DATABASE_URL'] || undefined;
const database = 'fox_tempo';

/** Runs with the address of the shop's database; a cluster that was started for it is stopped again. */
async function withShop(run: (url: string) => Promise<void>): Promise<void> {
  if (outside !== undefined) return run(outside);
  if (!existsSync(join(folder, 'pg'))) throw new Refusal(`There is no shop in ${folder}. Start one with npm start.`);
  const cluster = await openCluster({ folder, attach: true });
  try {
    await run(cluster.url(database));
  } finally {
    if (!cluster.wasRunning) cluster.stop();
  }
}

async function backup(path = `fox-tempo-${new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-')}.foxbackup`) {
  await withShop(async (url) => {
    await makeBackup(url, resolve(path));
    const { header } = await verifyBackup(resolve(path));
    say(`Wrote ${resolve(path)}: ${(header.bytes / 1e6).toFixed(1)} MB, checked`);
  });
}

async function verify(path: string | undefined) {
  if (path === undefined) throw new Refusal('Name the file: npm run verify -- shop.foxbackup');
  const { header } = await verifyBackup(resolve(path));
  say(`${path} is whole: ${header.shop}, made ${header.madeAt} on PostgreSQL ${header.postgres}`);
  for (const [name, { rows }] of Object.entries(header.tables)) if (rows > 0) say(`  ${name}: ${rows} rows`);
  if (outside === undefined && !existsSync(join(folder, 'pg'))) return;
  await withShop(async (url) => {
    const { differs = [] } = await verifyBackup(resolve(path), url);
    say(
      differs.length === 0
        ? 'It equals the shop as it stands now'
        : `The shop has changed since in: ${differs.join(', ')}`,
    );
  });
}

async function restore(path: string | undefined) {
  if (path === undefined) throw new Refusal('Name the file: npm run restore -- shop.foxbackup');
  await verifyBackup(resolve(path));
  if (outside !== undefined) {
    const { shop } = await restoreBackup(resolve(path), outside);
    say(`Restored ${shop}; every table equals the backup`);
    return;
  }
  const lock = await takeStartLock(folder);
  const cluster = await openCluster({ folder });
  try {
    const stamp = new Date().toISOString().slice(0, 19).replace(/[-:T]/g, '');
    const fresh = `${database}_restored_${stamp}`;
    cluster.ensureDatabase(fresh);
    const { shop } = await restoreBackup(resolve(path), cluster.url(fresh));
    // The shop that stood here is renamed, not deleted: whoever restored the wrong file can go back.
    const stood = cluster.query('postgres', `select 1 from pg_database where datname = '${database}'`) === '1';
    if (stood) cluster.query('postgres', `alter database ${database} rename to ${database}_before_${stamp}`);
    cluster.query('postgres', `alter database ${fresh} rename to ${database}`);
    say(
      `Restored ${shop}; every table equals the backup${stood ? `. What stood here is kept as ${database}_before_${stamp}` : ''}`,
    );
  } finally {
    cluster.stop();
    await lock.release();
  }
}

const acts: Record<string, (path: string | undefined) => Promise<void>> = { backup, verify, restore };

async function main() {
  const [act = '', path] = process.argv.slice(2);
  const run = acts[act];
  if (!run) throw new Refusal('Use: npm run backup -- [file], npm run verify -- file, npm run restore -- file');
  if (outside === undefined) await ensurePostgres();
  try {
    await run(path);
  } catch (error) {
    if (error instanceof AlreadyRunning)
      throw new Refusal(
        'Fox Tempo runs on this data; stop it first (Ctrl-C where it was started). Nothing was touched.',
      );
    throw error instanceof Refusal || !(error instanceof Error) ? error : new Refusal(error.message);
  }
}

main().catch(endOn);
