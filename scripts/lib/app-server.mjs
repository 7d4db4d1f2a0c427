/** The application's server process, joined to ours by a channel so that neither outlives the other. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './run.mjs';
import { Refusal } from './say.mjs';

/** Starts the server and resolves when it listens; `onExit` hears of an end that nobody asked for. */
export function startServer({ databaseUrl, port, onExit, dataFolder, empty = false, lan }) {
  const child = spawn(process.execPath, ['--import', 'tsx', join('server', 'main.ts')], {
    cwd: root,
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      ...(dataFolder === undefined ? {} : { FOX_TEMPO_DATA: dataFolder }),
      ...(empty ? { FOX_TEMPO_EMPTY: '1' } : {}),
      ...(lan === undefined ? {} : { FOX_TEMPO_LAN: JSON.stringify(lan) }),
      NODE_ENV: process.env.NODE_ENV ?? 'production',
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    // In a group of its own: Ctrl-C reaches us alone, and we stop things in order.
    detached: true,
  });
  let stopping = false;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  return new Promise((resolve, reject) => {
    let seeded = false;
    let ownerCode;
    let failed;
    child.on('message', (message) => {
      if (message.kind === 'seeded') seeded = true;
      if (message.kind === 'owner-code') ownerCode = message.code;
      if (message.kind === 'failed') failed = message.message;
      if (message.kind === 'listening') {
        resolve({
          seeded,
          ownerCode,
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
      reject(new Refusal(failed ?? `The server ended with ${code} before it listened; its last words stand above.`));
      if (!stopping) onExit?.(code);
    });
  });
}
