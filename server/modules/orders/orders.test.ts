/** Counting parts and closing orders: nothing held is counted, nothing is counted twice, and what is open is said before it is closed. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Order, Part, Problem, Run, SeamResource } from '@fox-tempo/contract';
import { openTestApp, type DemoPerson } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const lead = () => test.as('ilse-brandokor');

/** A part of two seams like the counter's corner, and an order of three. */
async function smallOrder(quantity = 3) {
  const part = (
    await lead()
      .post('/api/parts')
      .send({ name: `Part ${Math.random()}`, about: '' })
      .expect(201)
  ).body as Part;
  const copy = async (name: string) =>
    (await lead().post('/api/seams/counter-corner/copy').send({ partId: part.id, name }).expect(201))
      .body as SeamResource;
  const [left, right] = [await copy('Left corner'), await copy('Right corner')];
  const body = { number: `T ${Math.random()}`.slice(0, 12), partId: part.id, quantity, dueOn: '2026-12-24' };
  const order = (await lead().post('/api/orders').send(body).expect(201)).body as Order;
  return { left, right, order };
}
const weld = async (seam: SeamResource, order: Order, body: object = {}) =>
  (
    await test
      .as('teo-varnholt')
      .post('/api/runs')
      .send({ seamId: seam.id, machineId: 'hazel', revision: 1, orderId: order.id, body })
      .expect(201)
  ).body as Run;
const free = async (run: Run) => {
  if (run.state === 'held')
    await lead()
      .post(`/api/runs/${run.id}/decision`)
      .send({ decision: 'released', reason: 'for this test' })
      .expect(200);
};
const mixCylinder = { cylinderId: 'mix-1' };
const count = (order: Order, body: object, by: DemoPerson = 'ilse-brandokor') =>
  test.as(by).post(`/api/orders/${order.id}/done`).send(body);
const now = async ({ id }: Order) =>
  ((await lead().get('/api/orders?limit=200').expect(200)).body.items as Order[]).find((one) => one.id === id)!;
const codes = (body: unknown) => (body as Problem).issues?.map(({ code }) => code);

describe('one part done', () => {
  it('counts nothing whose weld is held, and names the seam', async () => {
    const { left, right, order } = await smallOrder();
    await free(await weld(left, order));
    expect((await weld(right, order, mixCylinder)).state).toBe('held');
    const { body } = await count(order, { count: 1 }).expect(422);
    expect(codes(body)).toEqual(['weld-held']);
    expect((body as Problem).detail).toContain('Right corner');
    // Not even all the same.
    await count(order, { count: 1, confirmed: ['unlogged', 'beyond-ordered'] }).expect(422);
    expect((await now(order)).done).toBe(0);
  });

  it('counts nothing that was not logged where welds are, unless a lead hand says so', async () => {
    const { left, order } = await smallOrder();
    await free(await weld(left, order));
    for (const by of ['teo-varnholt', 'corvin-dellamaar'] as const) {
      const { body } = await count(order, { count: 1, confirmed: ['unlogged'] }, by).expect(422);
      expect([codes(body), (body as Problem).detail]).toEqual([['unlogged'], expect.stringContaining('Right corner')]);
    }
    const asked = await count(order, { count: 1 }).expect(409);
    expect([(asked.body as Problem).type, codes(asked.body)]).toEqual(['/problems/ask-first', ['unlogged']]);
    await count(order, { count: 1, confirmed: ['unlogged'] }).expect(200);
    expect((await now(order)).done).toBe(1);
  });

  it('counts freely where nothing of the order was logged, up to what was ordered; beyond and when closed it asks', async () => {
    const { order } = await smallOrder(2);
    await count(order, { count: 2 }, 'teo-varnholt').expect(200);
    expect(codes((await count(order, { count: 1 }, 'teo-varnholt').expect(409)).body)).toEqual(['beyond-ordered']);
    const { number, partId, quantity, dueOn, version } = await now(order);
    await lead()
      .put(`/api/orders/${order.id}`)
      .set('if-match', `"${version}"`)
      .send({ number, partId, quantity, dueOn, closed: true })
      .expect(200);
    const both = await count(order, { count: 1, confirmed: ['beyond-ordered'] }).expect(409);
    expect(codes(both.body)).toEqual(['order-closed']);
    await count(order, { count: 1, confirmed: ['beyond-ordered', 'order-closed'] }).expect(200);
    expect((await now(order)).done).toBe(3);
  });
});

describe('a weld', () => {
  it('for a closed order, or one more than was ordered, is recorded and held', async () => {
    const { left, right, order } = await smallOrder(1);
    await free(await weld(left, order));
    const extra = await weld(left, order);
    expect(extra.held.map(({ code }) => code)).toContain('beyond-ordered');
    await free(await weld(right, order));
    expect((await now(order)).done).toBe(1);
    const { number, partId, quantity, dueOn, version } = await now(order);
    await lead()
      .put(`/api/orders/${order.id}`)
      .set('if-match', `"${version}"`)
      .send({ number, partId, quantity, dueOn, closed: true, confirmed: ['held-part'] })
      .expect(200);
    expect((await weld(right, order)).held.map(({ code }) => code)).toContain('order-closed');
  });
});

describe('an order', () => {
  it('that is short, or has a held part, is closed only after it was said what is open and what it took', async () => {
    const { left, right, order } = await smallOrder();
    await free(await weld(left, order, { seconds: 30 }));
    await weld(right, order, mixCylinder);
    const close = (confirmed?: string[]) => {
      const { number, partId, quantity, dueOn } = order;
      return lead()
        .put(`/api/orders/${order.id}`)
        .set('if-match', `"${order.version}"`)
        .send({ number, partId, quantity, dueOn, closed: true, ...(confirmed ? { confirmed } : {}) });
    };
    const { body } = await close().expect(409);
    expect(codes(body)).toEqual(['closed-short', 'held-part']);
    expect((body as Problem).detail).toMatch(
      /0 of 3 parts done; 3 stay open.*min of arc.*kg of wire.*L of gas.*Right corner \(1\)/s,
    );
    expect(codes((await close(['closed-short']).expect(409)).body)).toEqual(['held-part']);
    expect(((await close(['closed-short', 'held-part']).expect(200)).body as Order).closed).toBe(true);
  });
});

describe('another one’s trial', () => {
  it('is corrected by a lead hand with a reason, which stands beside it with who and when', async () => {
    const made = await test
      .as('teo-varnholt')
      .post('/api/trials')
      .send({ seamId: 'counter-corner', machineId: 'hazel', body: { symptoms: {}, measured: {} } })
      .expect(201);
    const { id } = made.body as { id: string };
    const correct = (by: DemoPerson, why?: string) =>
      test
        .as(by)
        .post('/api/trials')
        .send({
          seamId: 'counter-corner',
          machineId: 'hazel',
          corrects: id,
          ...(why === undefined ? {} : { why }),
          body: { symptoms: {}, measured: { spatter: 2 } },
        });
    await correct('runa-felswick', 'misread').expect(403);
    const { body } = await correct('ilse-brandokor').expect(422);
    expect((body as Problem).issues?.[0]).toMatchObject({ path: 'why', code: 'missing' });
    const done = await correct('ilse-brandokor', 'spatter was counted later').expect(201);
    expect(done.body).toMatchObject({ correction: { by: 'Ilse Brandokor', why: 'spatter was counted later' } });
    // One's own needs no reason.
    await correct('teo-varnholt').expect(201);
  });
});
