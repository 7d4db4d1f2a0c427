/** Reads at a steady rate, alone, beside a bare SELECT through the same driver, and while a long computation runs. */
import pg from 'pg';
import { exampleFiles } from '@fox-tempo/contract';
import { openCluster } from '../lib/postgres.mjs';
import type { Stack } from './stack.ts';

export interface Times {
  readonly name: string;
  readonly count: number;
  readonly p50Ms: number;
  readonly p99Ms: number;
  readonly failed: number;
}

const lists = [
  '/seams',
  '/machines',
  '/orders',
  '/parts',
  '/people',
  '/stock',
  '/observations',
  '/machines/rowan/slots',
  '/machines/rowan/lead-readings',
  '/seams/hitch-bracket-fillet/revisions',
];

function timesOf(name: string, took: number[], failed: number): Times {
  const sorted = [...took].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN;
  return { name, count: took.length, p50Ms: at(0.5), p99Ms: at(0.99), failed };
}

/** Sends at fixed moments whether or not the last was answered, as people do. */
async function paced(name: string, perS: number, seconds: number, ask: () => Promise<boolean>): Promise<Times> {
  const took: number[] = [];
  let failed = 0;
  const running: Promise<void>[] = [];
  const began = performance.now();
  for (let at = 0; at < perS * seconds; at++) {
    const due = began + (at * 1000) / perS;
    const wait = due - performance.now();
    if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
    const sent = performance.now();
    running.push(
      ask()
        .catch(() => false)
        .then((ok) => {
          took.push(performance.now() - sent);
          if (!ok) failed += 1;
        }),
    );
  }
  await Promise.all(running);
  return timesOf(name, took, failed);
}

const read = (stack: Stack, path: string) => async () => {
  const answer = await stack.ask('GET', path);
  await answer.arrayBuffer();
  return answer.status === 200;
};

export async function reads(stack: Stack, perS: number, seconds: number): Promise<Times[]> {
  const all: Times[] = [];
  // A server that has just started compiles its code as it runs it; a shop's has run since the morning.
  for (const path of lists) await paced(path, 100, 2, read(stack, path));
  for (const path of lists) all.push(await paced(`GET ${path}`, perS, seconds, read(stack, path)));
  const cluster = await openCluster({ folder: stack.folder, attach: true });
  const pool = new pg.Pool({ connectionString: cluster.url('fox_tempo'), max: 10 });
  all.push(
    await paced(
      'bare SELECT of the seams',
      perS,
      seconds,
      async () => (await pool.query('select * from seams')).rows.length > 0,
    ),
  );
  await pool.end();
  return all;
}

/** A simulation of the most that may be asked, s of arc. */
const longest = {
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1.2,
  wireFeedMPerMin: 8,
  ctwdMm: 18,
  seconds: 60,
  seed: 1,
  source: { kind: 'pulse', trim: 0, control: 'frequency' },
};

/** Reads while simulations run without pause, and what twenty questions cost whose askers left. */
export async function besideComputation(
  stack: Stack,
  perS: number,
  seconds: number,
): Promise<{ beside: Times; abandonedBusyMs: number }> {
  let over = false;
  const computing = (async () => {
    while (!over) await (await stack.ask('POST', '/compute/simulate', longest)).arrayBuffer();
  })();
  const beside = await paced('GET /orders while a 60 s arc is simulated', perS, seconds, read(stack, '/orders'));
  over = true;
  await computing;

  const program = exampleFiles()['lid-seam'];
  const leaving = Array.from({ length: 20 }, () => new AbortController());
  const asked = leaving.map(({ signal }) =>
    fetch(`${stack.url}/api/compute/simulate`, {
      method: 'POST',
      headers: { ...stack.sessionHeader(), 'content-type': 'application/json' },
      body: JSON.stringify(longest),
      signal,
    }).catch(() => undefined),
  );
  await new Promise((resolve) => setTimeout(resolve, 50));
  leaving.forEach((one) => one.abort());
  await Promise.all(asked);
  const left = performance.now();
  // A pool that still worked for those who left would let this small one wait.
  await (await stack.ask('POST', '/compute/sequence', { program, events: [], untilS: 1 })).arrayBuffer();
  return { beside, abandonedBusyMs: performance.now() - left };
}
