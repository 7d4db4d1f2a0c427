import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { AlreadyRunning, takeStartLock } from './start-lock.mjs';

const folder = () => mkdtempSync(join(tmpdir(), 'fox-tempo-lock-'));

describe('one running application per data folder', () => {
  it('tells a second start where the first one is', () => {
    const data = folder();
    const lock = takeStartLock(data);
    lock.announce('http://127.0.0.1:4180');
    let refusal: unknown;
    try {
      takeStartLock(data);
    } catch (error) {
      refusal = error;
    }
    expect(refusal).toBeInstanceOf(AlreadyRunning);
    expect(refusal).toMatchObject({ holder: { pid: process.pid, address: 'http://127.0.0.1:4180' } });
    lock.release();
    takeStartLock(data).release();
  });

  it('takes over from a run that was killed, and from another program that was given its number', () => {
    const data = folder();
    const file = join(data, 'running.json');
    for (const stale of [
      '{"pid":999999,"startedAt":"1","address":null}',
      `{"pid":${process.pid},"startedAt":"1","address":null}`,
      'half a file',
    ]) {
      writeFileSync(file, stale);
      takeStartLock(data);
      expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ pid: process.pid });
    }
  });
});
