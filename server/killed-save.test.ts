import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from '@jest/globals';
import { programFile, seamSpec, type Revision, type SeamResource } from '@fox-tempo/contract';
import { freePort } from './testing/free-port.ts';
import { isFull } from './testing/full.ts';
import { makeDatabase } from './testing/test-app.ts';

const root = fileURLToPath(new URL('..', import.meta.url));

async function startServer(url: string, port: number): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: url, PORT: String(port) },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  await new Promise<void>((resolve, reject) => {
    child.on('message', (message: { kind: string }) => {
      if (message.kind === 'listening') resolve();
    });
    child.once('exit', (code) => reject(new Error(`server ended with ${code ?? 'a signal'}`)));
  });
  return child;
}

describe('a server killed in the middle of saves', () => {
  it('leaves the old or the new revision, whole, never a part', async () => {
    const url = await makeDatabase('template_demo');
    const port = await freePort();
    const seam = `http://127.0.0.1:${port}/api/seams/counter-corner`;
    let cookie = '';
    const read = async () => (await (await fetch(seam, { headers: { cookie } })).json()) as SeamResource;
    const save = (stored: SeamResource, lengthMm: number) =>
      fetch(seam, {
        method: 'PUT',
        headers: {
          'content-type': 'application/json',
          cookie,
          'if-match': `"${stored.version}"`,
        },
        body: JSON.stringify({ spec: { ...stored.spec, lengthMm }, choice: stored.choice }),
      });

    let child = await startServer(url, port);
    const signedIn = await fetch(`http://127.0.0.1:${port}/api/session/demo`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ personId: 'teo-varnholt' }),
    });
    cookie =
      signedIn.headers
        .getSetCookie()
        .find((one) => one.startsWith('tempo='))
        ?.split(';')[0] ?? '';
    let lastConfirmed = await read();
    // Killed before, within and after the transaction.
    const killedAfterMs = isFull ? [1, 4, 7, 10, 13, 20, 30] : [1, 7, 20];
    for (const [round, afterMs] of killedAfterMs.entries()) {
      const sent = save(lastConfirmed, 700 + round).then(
        (response) => response.ok,
        () => false,
      );
      await new Promise((resolve) => setTimeout(resolve, afterMs));
      child.kill('SIGKILL');
      const confirmed = await sent;
      child = await startServer(url, port);
      const stored = await read();
      const revisions = (
        (await (await fetch(`${seam}/revisions`, { headers: { cookie } })).json()) as { items: Revision[] }
      ).items;

      const isNew = stored.spec.lengthMm === 700 + round;
      expect(isNew || stored.spec.lengthMm === lastConfirmed.spec.lengthMm).toBe(true);
      // What was confirmed is never lost.
      if (confirmed) expect(isNew).toBe(true);
      expect(stored.version).toBe(lastConfirmed.version + (isNew ? 1 : 0));
      expect(revisions[0]).toEqual(stored.revision);
      expect(revisions.map((revision) => revision.number)).toEqual(
        revisions.map((_, index) => revisions.length - index),
      );
      expect(stored.revision?.spec.lengthMm).toBe(stored.spec.lengthMm);
      expect(
        programFile.safeParse(stored.revision?.program).success && seamSpec.safeParse(stored.revision?.spec).success,
      ).toBe(true);
      lastConfirmed = stored;
    }
    child.kill('SIGTERM');
    await new Promise((resolve) => child.once('exit', resolve));
  }, 180_000);
});
