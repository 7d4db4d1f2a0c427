/** One running Fox Tempo per data folder: a file names the process and its address; a dead owner is no owner. */
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export class AlreadyRunning extends Error {
  constructor(holder) {
    super(`held by process ${holder.pid}`);
    this.holder = holder;
  }
}

/** Takes the lock or throws `AlreadyRunning`. */
export function takeStartLock(folder) {
  mkdirSync(folder, { recursive: true });
  const file = join(folder, 'running.json');
  const content = (address) => JSON.stringify({ pid: process.pid, startedAt: processStart(process.pid), address });
  for (;;) {
    try {
      writeFileSync(file, content(null), { flag: 'wx' });
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const holder = read(file);
      if (holder && isSameProcess(holder)) throw new AlreadyRunning(holder);
      rmSync(file, { force: true });
    }
  }
  return {
    announce: (address) => writeFileSync(file, content(address)),
    release: () => rmSync(file, { force: true }),
  };
}

function read(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
}

/** Process ids are used again; the start time tells a survivor from a stranger. */
function isSameProcess({ pid, startedAt }) {
  try {
    process.kill(pid, 0);
  } catch (error) {
    if (error.code !== 'EPERM') return false;
  }
  return processStart(pid) === startedAt;
}

/** Start time in clock ticks since boot, where the system tells it. */
function processStart(pid) {
  const file = `/proc/${pid}/stat`;
  if (!existsSync(file)) return null;
  // The command name in brackets may hold spaces; the start time is the 20th field after it.
  return readFileSync(file, 'utf8').split(') ').at(-1)?.split(' ')[19] ?? null;
}
