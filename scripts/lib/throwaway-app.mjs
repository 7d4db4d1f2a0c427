/** The application with its demo data on a cluster that is thrown away, and a browser: for pictures and for measuring. */
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { startServer } from './app-server.mjs';
import { ensureBuild } from './build.mjs';
import { chromiumArguments, chromiumPath, ensureChromium } from './chromium.mjs';
import { freePort } from './ports.mjs';
import { ensurePostgres, openCluster, removeCluster } from './postgres.mjs';

/** Runs `act` with the browser and the address; everything is ended and removed afterwards, also when it fails. */
export async function withThrowawayApp(act) {
  await ensurePostgres();
  await ensureChromium();
  await ensureBuild();
  const folder = mkdtempSync(join(tmpdir(), 'fox-tempo-throwaway-'));
  chmodSync(folder, 0o755);
  const cluster = await openCluster({ folder, throwaway: true });
  cluster.ensureDatabase('fox_tempo');
  const port = await freePort();
  const server = await startServer({ databaseUrl: cluster.url('fox_tempo'), port });
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments });
  try {
    await act({ browser, url: `http://127.0.0.1:${port}` });
  } finally {
    await browser.close();
    await server.stop();
    removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  }
}
