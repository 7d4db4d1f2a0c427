/** The application's server process, joined to ours by a channel so that neither outlives the other. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './run.mjs';

/** Starts the server and resolves when it listens; `onExit` hears of an end that nobody asked for. */
export function startServer({ databaseUrl, port, onExit }) {
  const child = spawn(process.execPath, ['--import', 'tsx', join('server', 'main.ts')], {
    cwd: root,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      NODE_ENV: process.env.NODE_ENV ?? 'production',
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    // In a group of its own: Ctrl-C reaches us alone, and we stop things in order.
    detached: true,
  });
  let stopping = false;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  return new Promise((resolve, reject) => {
    const seeded = { value: false };
    child.on('message', (message) => {
      if (message.kind === 'seeded') seeded.value = true;
      if (message.kind === 'listening') {
        resolve({
          seeded: seeded.value,
          async stop() {
            stopping = true;
            child.kill('SIGTERM');
            const killer = setTimeout(() => child.kill('SIGKILL'), 8000);
            await ended;
            clearTimeout(killer);
          },
        });
      }
    });
    child.once('error', reject);
    void ended.then((code) => {
      reject(new Error(`the server ended with ${code} before it listened`));
      if (!stopping) onExit?.(code);
    });
  });
}
