/**
 * One running Fox Tempo per data folder. The lock is the system's own on a file, held by a small child that lives exactly as long as we do:
 * after a crash it is free at once, and of two that start in the same moment one gets it. Another file says who runs and where.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export class AlreadyRunning extends Error {
  constructor(holder) {
    super(`held by process ${holder.pid}`);
    this.holder = holder;
  }
}

/** Exit code of `flock` where somebody else has the lock. */
const isTaken = 75;
/** A child of a process that was killed gives the lock back within moments, ms. */
const patienceMs = 3000;

/** Takes the lock or throws `AlreadyRunning`. */
export async function takeStartLock(folder) {
  mkdirSync(folder, { recursive: true });
  const file = join(folder, 'running.json');
  const content = (address) => JSON.stringify({ pid: process.pid, startedAt: processStart(process.pid), address });
  const until = Date.now() + patienceMs;
  let held = await hold(join(folder, 'running.lock'));
  while (held === undefined) {
    const holder = read(file);
    if ((holder && isSameProcess(holder)) || Date.now() > until)
      throw new AlreadyRunning(holder ?? { pid: 'unknown', address: null });
    await new Promise((resolve) => setTimeout(resolve, 100));
    held = await hold(join(folder, 'running.lock'));
  }
  writeFileSync(file, content(null));
  return {
    announce: (address) => writeFileSync(file, content(address)),
    release: async () => {
      rmSync(file, { force: true });
      await held.release();
    },
  };
}

/** Holds the system's lock on a file until released or until this process is gone; undefined where somebody else has it. */
function hold(path) {
  return new Promise((resolve, reject) => {
    // `cat` ends with our end of the pipe. A session of its own, so that Ctrl-C at the terminal does not end it before we have stopped.
    const child = spawn('flock', ['-n', '-E', String(isTaken), path, 'sh', '-c', 'echo held; exec cat >/dev/null'], {
      stdio: ['pipe', 'pipe', 'ignore'],
      detached: true,
    });
    const gone = new Promise((ended) => child.once('exit', ended));
    child.once('error', reject);
    child.once('exit', (code) => {
      if (code === isTaken) resolve(undefined);
      else reject(new Error(`flock ended with ${code} on ${path}`));
    });
    child.stdout.once('data', () => {
      child.unref();
      child.stdin.unref?.();
      child.stdout.destroy();
      resolve({
        release: async () => {
          child.ref();
          child.stdin.end();
          await gone;
        },
      });
    });
  });
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
