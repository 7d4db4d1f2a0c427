/** A throwaway PostgreSQL for the server's tests; every test file copies a database of its own in it. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensurePostgres, openCluster } from '../../scripts/lib/postgres.mjs';

export default async function startCluster() {
  await ensurePostgres();
  const folder = mkdtempSync(join(tmpdir(), 'fox-tempo-test-'));
  chmodSync(folder, 0o755);
  const cluster = await openCluster({ folder, throwaway: true });
  globalThis.testCluster = { folder };
  const url = cluster.url('postgres');
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'server/testing/make-templates.ts', url], {
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  if (status !== 0) throw new Error(`the databases that tests start from could not be made: code ${status}`);
  process.env.TEST_POSTGRES_URL = url;
}
