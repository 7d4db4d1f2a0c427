import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { type Job, exampleFiles } from '@fox-tempo/contract';
import { openTestApp } from '../../testing/test-app.ts';
import { beat, beginJob, endJob } from './repo.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
  await test.assembly.queue.work(test.assembly.pool);
}, 60_000);
afterAll(() => test.close(), 60_000);

const program = exampleFiles()['lid-seam'];
const send = (input: object, id: string = randomUUID()) =>
  test.as('teo-varnholt').post('/api/jobs').set('idempotency-key', id).send({ verb: 'map', input });
const get = async (id: string) => (await test.as('teo-varnholt').get(`/api/jobs/${id}`).expect(200)).body as Job;

async function until(id: string, states: readonly Job['state'][]): Promise<Job> {
  for (;;) {
    const job = await get(id);
    if (states.includes(job.state)) return job;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

describe('queued computations', () => {
  it('are done by a worker, with progress and an answer', async () => {
    const sent = await send({ program, count: 3, seconds: 0.05 }).expect(202);
    const { id } = sent.body as Job;
    const done = await until(id, ['done', 'failed']);
    expect(done).toMatchObject({ state: 'done', progress: 1, tries: 1, trouble: null });
    const answer = done.answer as { count: number; rows: { zone: string }[][] };
    expect(answer.rows.map((row) => row.length)).toEqual([3, 3, 3]);
    const events = await test
      .as('teo-varnholt')
      .get(`/api/jobs/${id}/events`)
      .expect(200)
      .expect('content-type', /event-stream/);
    expect(events.text).toContain('"state":"done"');
  });

  it('are refused at the endpoint when the question is bad', async () => {
    const bad = await send({ program: { format: 'fox-tempo/program', version: 2 }, count: 3 }).expect(422);
    expect(bad.body.issues[0].path).toMatch(/^program\./);
    await send({ program, count: 3000 }).expect(422);
  });

  it('end at once when they are called off', async () => {
    const sent = await send({ program, count: 60, seconds: 1 }).expect(202);
    const { id } = sent.body as Job;
    await until(id, ['running']);
    await test.as('teo-varnholt').delete(`/api/jobs/${id}`).expect(200);
    expect((await get(id)).state).toBe('cancelled');
    expect(await beat(test.connection.db, id, 1, 0.9)).toBe(false);
  });

  it('let only the newest try write its end', async () => {
    const id = randomUUID();
    await test.connection.pool.query(
      `insert into jobs (id, verb, input, created_by) values ($1, 'map', '{}', 'teo-varnholt')`,
      [id],
    );
    const first = await beginJob(test.connection.db, id);
    const second = await beginJob(test.connection.db, id);
    expect([first?.tries, second?.tries]).toEqual([1, 2]);
    await endJob(test.connection.db, id, 1, { state: 'done', answer: 'old' });
    expect((await get(id)).state).toBe('running');
    await endJob(test.connection.db, id, 2, { state: 'done', answer: 'new' });
    expect(await get(id)).toMatchObject({ state: 'done', answer: 'new' });
  });
});
