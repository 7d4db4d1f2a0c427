import { createServer } from 'node:net';

/** A port on loopback that is free right now. */
export function freePort(wished = 0) {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(wished, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

export async function isFree(port) {
  try {
    await freePort(port);
    return true;
  } catch {
    return false;
  }
}
