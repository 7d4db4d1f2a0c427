/** A throwaway PostgreSQL for the server's tests; every test file makes a database of its own in it. */
import { mkdtempSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensurePostgres, openCluster } from '../../scripts/lib/postgres.mjs';

export default async function startCluster() {
  await ensurePostgres();
  const folder = mkdtempSync(join(tmpdir(), 'fox-tempo-test-'));
  chmodSync(folder, 0o755);
  const cluster = await openCluster({ folder, throwaway: true });
  process.env.TEST_POSTGRES_URL = cluster.url('postgres');
  globalThis.testCluster = { folder };
}
