/** For developers: the server on the private cluster, and Vite's own server with hot reload in front of it. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { startServer } from './lib/app-server.mjs';
import { ensurePackages } from './lib/install.mjs';
import { freePort } from './lib/ports.mjs';
import { ensurePostgres, openCluster } from './lib/postgres.mjs';
import { root } from './lib/run.mjs';
import { endOn, say } from './lib/say.mjs';
import { takeStartLock } from './lib/start-lock.mjs';

async function main() {
  const folder = process.env.FOX_TEMPO_DATA || join(root, 'data');
  const lock = await takeStartLock(folder);
  await ensurePackages();
  await ensurePostgres();
  const cluster = await openCluster({ folder });
  cluster.ensureDatabase('fox_tempo');
  const port = await freePort();
  const server = await startServer({ databaseUrl: cluster.url('fox_tempo'), port });
  say(`API at http://127.0.0.1:${port}`);
  const vite = spawn(process.execPath, [join('node_modules', 'vite', 'bin', 'vite.js'), 'web', '--host', '127.0.0.1'], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, API_PORT: String(port) },
  });
  vite.once('exit', async () => {
    await server.stop();
    cluster.stop();
    await lock.release();
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => vite.kill('SIGTERM'));
}

main().catch(endOn);
