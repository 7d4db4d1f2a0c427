import { afterAll, describe, expect, it } from '@jest/globals';
import { exampleFiles } from '@fox-tempo/contract';
import { HttpProblem } from '../http/problem.ts';
import { createComputePool } from './pool.ts';

const pool = createComputePool();
afterAll(() => pool.close());

const arc = (seconds: number) => ({
  kind: 'verb' as const,
  verb: 'simulate' as const,
  input: {
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1.2,
    wireFeedMPerMin: 8,
    ctwdMm: 18,
    seconds,
    seed: 1,
    source: { kind: 'pulse', trim: 0, control: 'frequency' },
  },
});
const problemOf = (run: Promise<unknown>) =>
  run.then(
    () => null,
    (error: unknown) => (error instanceof HttpProblem ? error.body : error),
  );

describe('the pool', () => {
  it('gives the core’s own answer, and its issues as they are', async () => {
    const answer = JSON.parse((await pool.run(arc(0.2))).toString()) as { metrics: { meanCurrentA: number } };
    expect(answer.metrics.meanCurrentA).toBeGreaterThan(100);
    expect(await problemOf(pool.run(arc(-1)))).toMatchObject({ status: 422, issues: [{ path: 'seconds' }] });
  });

  it('refuses an answer that is too large for one', async () => {
    const task = {
      kind: 'verb' as const,
      verb: 'sequence' as const,
      input: { program: exampleFiles()['lid-seam'], events: [], untilS: 100, sampleEveryS: 0.001 },
    };
    expect(await problemOf(pool.run(task))).toMatchObject({ status: 422, issues: [{ code: 'answer-too-large' }] });
  });

  it('stops for those who left, and answers who stayed', async () => {
    const leaving = new AbortController();
    const left = Array.from({ length: 10 }, () => problemOf(pool.run(arc(60), leaving.signal)));
    const stayed = pool.run(arc(0.1));
    leaving.abort();
    await stayed;
    // A minute of arc each would have taken seconds in all; cut short, none of them gives figures.
    for (const answer of await Promise.all(left)) expect(answer).toMatchObject({ status: 422 });
  });

  it('refuses at once when too many wait', async () => {
    const leaving = new AbortController();
    const all = Array.from({ length: 80 }, () => problemOf(pool.run(arc(20), leaving.signal)));
    const refused = await Promise.race(all);
    expect(refused).toMatchObject({ type: '/problems/busy', status: 503 });
    leaving.abort();
    await Promise.all(all);
  });

  it('warms up without an answer, and answers afterwards as before', async () => {
    await pool.warm();
    expect(pool.load()).toEqual({ running: 0, waiting: 0 });
    const melt = { filler: 'steel-solid', diameterMm: 1.2, extensionMm: 15, currentA: 200 };
    const answer = await pool.run({ kind: 'verb', verb: 'melt', input: melt });
    expect(JSON.parse(answer.toString())).toMatchObject({ currentA: 200 });
  });
});
