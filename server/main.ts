/** The server process: connects, migrates, seeds an empty shop, listens on loopback, stops cleanly. */
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';
import { connect } from './db/connection.ts';
import { migrateDatabase } from './db/migrate.ts';
import { seedIfEmpty } from './db/seed.ts';

const url = process.env['DATABASE_URL'];
if (url === undefined || url === '') throw new Error('DATABASE_URL is not set; start with "npm start".');
const port = Number(process.env['PORT'] ?? 4180);
const webRoot = fileURLToPath(new URL('../web/dist', import.meta.url));

const connection = connect(url);
await migrateDatabase(connection.pool);
if (await seedIfEmpty(connection.db)) process.send?.({ kind: 'seeded' });
const server = createApp({ db: connection.db, webRoot }).listen(port, '127.0.0.1', (error) => {
  if (error) {
    process.send?.({ kind: 'failed', message: error.message });
    throw error;
  }
  process.send?.({ kind: 'listening', port });
});

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  // Running requests finish; connections kept alive for later ones do not hold the stop up.
  const closed = new Promise((resolve) => server.close(resolve));
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 3000).unref();
  await closed;
  await connection.close();
  if (process.connected) process.disconnect();
}

process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
// The start script is gone, perhaps killed: do not keep its port.
process.on('disconnect', () => void stop());
