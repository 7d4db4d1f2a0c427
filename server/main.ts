/** The server process: connects, migrates, seeds an empty shop, listens on loopback, stops cleanly. */
import { readFileSync } from 'node:fs';
import { createServer as createSecureServer } from 'node:https';
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';
import { assemble } from './assemble.ts';
import { seedIfEmpty } from './db/seed.ts';
import { lanFromStart, lanOrigin } from './http/lan.ts';
import { factsOf, log } from './http/log.ts';
import { renewOwnerCode } from './modules/session/index.ts';

const url = process.env['DATABASE_URL'];
if (url === undefined || url === '') throw new Error('DATABASE_URL is not set; start with "npm start".');
const port = Number(process.env['PORT'] ?? 4180);
const webRoot = fileURLToPath(new URL('../web/dist', import.meta.url));
const emptyShop = process.env['FOX_TEMPO_EMPTY'] === '1';

/** Ends with a sentence that the start script shows. */
function fail(message: string): never {
  process.send?.({ kind: 'failed', message });
  log.error(message);
  process.exit(1);
}

const assembly = await assemble({ url, dataFolder: process.env['FOX_TEMPO_DATA'], prunes: true, keepsOne: true }).catch(
  (error: unknown) => {
    log.error('the database could not be brought up', factsOf(error));
    return fail(
      `The database could not be brought up: ${error instanceof Error ? error.message : String(error)}. The data were not touched beyond what stands in the log.`,
    );
  },
);
const { connection, pool, queue, keeper, store, tickets } = assembly;
if (!emptyShop && (await seedIfEmpty(connection.db))) process.send?.({ kind: 'seeded' });
const code = await renewOwnerCode(connection.db);
if (code !== undefined) process.send?.({ kind: 'owner-code', code });

const app = createApp({ connection, sessions: store.handler, pool, queue, keeper, tickets, webRoot });
const lan = lanFromStart();
const network = lan && createSecureServer({ key: readFileSync(lan.keyFile), cert: readFileSync(lan.certFile) }, app);
if (network && lan)
  await new Promise<void>((resolve) => {
    network.once('error', (error) => fail(`The server cannot listen at ${lanOrigin(lan)}: ${error.message}`));
    network.listen(lan.port, lan.address, resolve);
  });
const local = app.listen(port, process.env['FOX_TEMPO_LISTEN'] ?? '127.0.0.1', (error) => {
  if (error) fail(`The server cannot listen on port ${port}: ${error.message}`);
  process.send?.({ kind: 'listening', port });
});
const listeners = network ? [local, network] : [local];
// A client that sends one byte a minute holds a socket, not the server.
for (const listener of listeners) {
  listener.headersTimeout = 15_000;
  listener.requestTimeout = 60_000;
}
keeper.watch();
void pool.warm();
queue.work(pool).catch((error: unknown) => log.warn('the job queue is not open yet', factsOf(error)));

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  // Running requests finish; connections kept alive for later ones do not hold the stop up.
  const closed = listeners.map((listener) => new Promise((resolve) => listener.close(resolve)));
  for (const listener of listeners) listener.closeIdleConnections();
  setTimeout(() => listeners.forEach((listener) => listener.closeAllConnections()), 3000).unref();
  await Promise.all(closed);
  await assembly.close();
  if (process.connected) process.disconnect();
}

process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
// The start script is gone, perhaps killed: do not keep its port.
process.on('disconnect', () => void stop());
