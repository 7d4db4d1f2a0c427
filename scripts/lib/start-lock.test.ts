import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { AlreadyRunning, takeStartLock } from './start-lock.mjs';

const folder = () => mkdtempSync(join(tmpdir(), 'fox-tempo-lock-'));
const lockModule = new URL('./start-lock.mjs', import.meta.url).href;

/** Another Node that takes the lock, says so, and waits to be killed; the number of its process, or why it did not get it. */
function other(data: string): Promise<{ pid: number; kill: () => Promise<void> } | string> {
  const code = `import { takeStartLock } from ${JSON.stringify(lockModule)};
    try { await takeStartLock(${JSON.stringify(data)}); console.log('got'); setInterval(() => 0, 1e6); }
    catch (error) { console.log(error.constructor.name); }`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', code], { stdio: ['ignore', 'pipe', 'ignore'] });
  const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  return new Promise((resolve) => {
    child.stdout.once('data', (said: Buffer) => {
      const word = said.toString().trim();
      const kill = async () => {
        child.kill('SIGKILL');
        await gone;
      };
      resolve(word === 'got' ? { pid: child.pid ?? 0, kill } : word);
    });
  });
}

describe('one running application per data folder', () => {
  it('tells a second start where the first one is', async () => {
    const data = folder();
    const lock = await takeStartLock(data);
    lock.announce('http://127.0.0.1:4180');
    const refusal: unknown = await takeStartLock(data).catch((error: unknown) => error);
    expect(refusal).toBeInstanceOf(AlreadyRunning);
    expect(refusal).toMatchObject({ holder: { pid: process.pid, address: 'http://127.0.0.1:4180' } });
    await lock.release();
    await (await takeStartLock(data)).release();
  });

  it('takes over from a run that was killed, and from another program that was given its number', async () => {
    const data = folder();
    const file = join(data, 'running.json');
    for (const stale of [
      '{"pid":999999,"startedAt":"1","address":null}',
      `{"pid":${process.pid},"startedAt":"1","address":null}`,
      'half a file',
    ]) {
      writeFileSync(file, stale);
      const lock = await takeStartLock(data);
      expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ pid: process.pid });
      await lock.release();
    }
  });

  it('goes to one of many that start at the same moment after a crash', async () => {
    const data = folder();
    const first = await other(data);
    if (typeof first === 'string') throw new Error(first);
    await first.kill();
    const after = await Promise.all([other(data), other(data), other(data), other(data)]);
    const got = after.filter((one) => typeof one !== 'string');
    expect(got).toHaveLength(1);
    expect(after.filter((one) => one === 'AlreadyRunning')).toHaveLength(3);
    for (const one of got) await one.kill();
  });
});
