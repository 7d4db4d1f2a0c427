import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { WearRow } from '@fox-tempo/contract';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const wear = async (machineId = 'rowan') => {
  const { body } = await test.as().get('/api/wear').expect(200);
  const parts = (body as { parts: WearRow[] }).parts.filter((one) => one.machineId === machineId);
  return new Map(parts.map((one) => [one.part, one]));
};
const observe = (body: object) =>
  test.as('teo-varnholt').post('/api/observations').set('idempotency-key', randomUUID()).send(body);
const weld = (seconds?: number) =>
  test
    .as('teo-varnholt')
    .post('/api/runs')
    .set('idempotency-key', randomUUID())
    .send({
      seamId: 'axle-plate-to-tube',
      machineId: 'rowan',
      revision: 1,
      body: seconds === undefined ? {} : { seconds },
    })
    .expect(201);

describe('wear of a gun', () => {
  it('stands for every part of every gun in use, by rule while nobody replaced any', async () => {
    const parts = await wear();
    expect([...parts.keys()].sort()).toEqual(['contact-tip', 'drive-rolls', 'gas-nozzle', 'liner']);
    expect(parts.get('liner')?.life).toMatchObject({ by: 'rule', n: 0 });
  });

  it('grows by what was welded: timed seconds as timed, others as planned; a slip takes it back', async () => {
    const before = (await wear()).get('gas-nozzle')?.used ?? 0;
    const timed = await weld(30);
    const after = (await wear()).get('gas-nozzle')?.used ?? 0;
    expect(after - before).toBeCloseTo(0.5, 6);
    await weld();
    const planned = (await wear()).get('gas-nozzle')?.used ?? 0;
    expect(planned - after).toBeGreaterThan(0.1);
    await test
      .as('teo-varnholt')
      .post(`/api/runs/${timed.body.id}/decision`)
      .send({ decision: 'slip', reason: 'a tap too many' })
      .expect(200);
    expect((await wear()).get('gas-nozzle')?.used).toBeCloseTo(planned - 0.5, 6);
  });

  it('begins anew with a new part, the old one’s use going into what such parts last here; a slip of that is withdrawn', async () => {
    const old = (await wear()).get('contact-tip')!;
    const replaced = await observe({
      kind: 'replaced',
      machineId: 'rowan',
      body: { feederId: old.feederId, part: 'contact-tip', reason: 'worn', note: '' },
    }).expect(201);
    const fresh = (await wear()).get('contact-tip')!;
    expect(fresh).toMatchObject({ used: 0, by: 'Teo Varnholt', life: { by: 'mean', n: 1 } });
    expect(fresh.life.expected).toBeCloseTo((old.used + 240) / 2, 6);
    // Other parts go on.
    expect((await wear()).get('gas-nozzle')?.used).toBeGreaterThan(0);
    await weld(60);
    expect((await wear()).get('contact-tip')?.used).toBeCloseTo(0.7, 6);
    await observe({ kind: 'withdrawal', corrects: replaced.body.id, body: { why: 'wrong gun' } }).expect(201);
    expect((await wear()).get('contact-tip')?.used).toBeCloseTo(old.used + 0.7, 5);
  });

  it('refuses a part that is none', async () => {
    const refused = await observe({
      kind: 'replaced',
      machineId: 'rowan',
      body: { feederId: 'one', part: 'flux', reason: 'worn', note: '' },
    }).expect(422);
    expect(JSON.stringify(refused.body.issues)).toContain('part');
  });
});
