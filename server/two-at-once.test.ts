/** Every change of a state, made by two at the same moment in any order: one of them wins, and the sums agree. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { Observation, Order, Run, SeamResource, Stock } from '@fox-tempo/contract';
import { nextUniform, randomStream } from '@fox-tempo/core/base/numeric';
import { openTestApp } from './testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp({ limits: { perMinute: 100_000, signInsPerMinute: 100_000 } });
});
afterAll(() => test.close());

type Answer = { readonly status: number; readonly body: unknown };
type Move = () => Promise<Answer>;

const chance = randomStream(24);
/** Both at once, sent in an order of chance. */
async function both(one: Move, other: Move): Promise<[Answer, Answer]> {
  if (nextUniform(chance) < 0.5) return Promise.all([one(), other()]);
  const [second, first] = await Promise.all([other(), one()]);
  return [first, second];
}
const rounds = Array.from({ length: 6 }, (_, round) => round);
const went = (answers: readonly Answer[]) => answers.filter(({ status }) => status < 300).length;

const lead = () => test.as('ilse-brandokor');
const owner = () => test.as('mirja-keskalo');
const stock = async () => (await lead().get('/api/stock').expect(200)).body as Stock;
const levels = async () => {
  const { cylinders, spools } = await stock();
  return [...cylinders.map(({ pressureBar, massKg }) => [pressureBar, massKg]), ...spools.map(({ massKg }) => massKg)];
};
const seamNow = async (id = 'counter-corner') =>
  (await lead().get(`/api/seams/${id}`).expect(200)).body as SeamResource;
const weld = async (body: object = {}) =>
  (
    await test
      .as('teo-varnholt')
      .post('/api/runs')
      .send({ seamId: 'counter-corner', machineId: 'hazel', revision: 1, body: {}, ...body })
      .expect(201)
  ).body as Run;
const heldWeld = async () => {
  const mix = (await stock()).cylinders.find(({ gas }) => gas.startsWith('M2'));
  const run = await weld({ body: { cylinderId: mix?.id } });
  expect(run.state).toBe('held');
  return run;
};
const decide =
  (id: string, decision: string, by = lead): Move =>
  () =>
    by().post(`/api/runs/${id}/decision`).send({ decision, reason: 'looked at it' });
const newOrder = async (quantity: number) => {
  const { partId } = await seamNow();
  const body = { number: randomUUID().slice(0, 8), partId, quantity, dueOn: '2026-12-24' };
  return (await lead().post('/api/orders').send(body).expect(201)).body as Order;
};
const orderNow = async (id: string) =>
  ((await lead().get('/api/orders?limit=200').expect(200)).body.items as Order[]).find((one) => one.id === id)!;

describe('two at once', () => {
  it.each(rounds)('take a weld back once, and give its wire and gas back once (%i)', async () => {
    const before = await levels();
    const run = await weld();
    const answers = await both(decide(run.id, 'slip'), decide(run.id, 'slip', owner));
    expect(went(answers)).toBe(1);
    expect(await levels()).toEqual(before);
  });

  it.each(rounds)('release or scrap a held part, never both (%i)', async () => {
    const run = await heldWeld();
    const answers = await both(decide(run.id, 'released'), decide(run.id, 'scrapped', owner));
    // Whoever comes second sees what was decided; a released part may still be scrapped, a scrapped one released, each said.
    const { state } = (await lead().get(`/api/runs?seam=counter-corner`)).body.items.find(
      (one: Run) => one.id === run.id,
    ) as Run;
    const { items } = (await lead().get('/api/observations?kind=run-decision&limit=200')).body as {
      items: Observation[];
    };
    const said = items.filter(({ corrects }) => corrects === run.id);
    expect(said).toHaveLength(went(answers));
    expect(said[0]?.body['decision']).toBe(state);
    expect(went(answers)).toBe(1);
  });

  it.each(rounds)('take the last part back once (%i)', async () => {
    const order = await newOrder(5);
    const before = await levels();
    await lead().post(`/api/orders/${order.id}/done`).send({ count: 1 }).expect(200);
    const back: Move = () => lead().post(`/api/orders/${order.id}/done`).send({ count: -1 });
    expect(went(await both(back, back))).toBe(1);
    expect((await orderNow(order.id)).done).toBe(0);
    expect(await levels()).toEqual(before);
  });

  it.each(rounds)('count the last part of an order once without a question (%i)', async () => {
    const order = await newOrder(1);
    const one: Move = () => lead().post(`/api/orders/${order.id}/done`).send({ count: 1 });
    const answers = await both(one, one);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect((await orderNow(order.id)).done).toBe(1);
  });

  it.each(rounds)('close an order and count on it: closed with the part, or asked (%i)', async () => {
    const order = await newOrder(1);
    const { number, partId, quantity, dueOn } = order;
    const close: Move = () =>
      lead()
        .put(`/api/orders/${order.id}`)
        .set('if-match', `"${order.version}"`)
        .send({ number, partId, quantity, dueOn, closed: true });
    const count: Move = () => lead().post(`/api/orders/${order.id}/done`).send({ count: 1 });
    const [closed, counted] = await both(close, count);
    // Closed first, it was short and was asked about; counted first, it closes full.
    const now = await orderNow(order.id);
    expect(counted.status).toBe(200);
    expect([closed.status, now.closed, now.done]).toEqual(now.closed ? [200, true, 1] : [409, false, 1]);
  });

  it.each(rounds)('take an observation back: one withdrawal (%i)', async () => {
    const made = await test
      .as('teo-varnholt')
      .post('/api/observations')
      .send({ kind: 'note', body: { text: 'x' } })
      .expect(201);
    const { id } = made.body as Observation;
    const back =
      (by: typeof lead): Move =>
      () =>
        by()
          .post('/api/observations')
          .send({ kind: 'withdrawal', corrects: id, body: { why: 'a slip' } });
    await both(back(lead), back(owner));
    const { items } = (await lead().get('/api/observations?kind=withdrawal&limit=200')).body as {
      items: Observation[];
    };
    expect(items.filter(({ corrects }) => corrects === id)).toHaveLength(1);
  });

  it.each([
    ['lock', 'put', '/lock', { locked: true, reason: 'both at once' }],
    ['limits', 'put', '/limits', { limits: null, reason: 'both at once' }],
    ['take off the list', 'delete', '', undefined],
  ] as const)('%s a seam: the second one is told of the first', async (_name, method, path, body) => {
    const copy = await lead()
      .post('/api/seams/counter-corner/copy')
      .send({ partId: (await seamNow()).partId, name: randomUUID().slice(0, 8) })
      .expect(201);
    const { id, version, spec } = copy.body as SeamResource;
    const sent = path === '/limits' ? { ...body, limits: limitsFor(spec.name) } : body;
    const move: Move = () => {
      const call = lead()[method](`/api/seams/${id}${path}`).set('if-match', `"${version}"`);
      return sent === undefined ? call : call.send(sent);
    };
    const statuses = (await both(move, move)).map(({ status }) => status).sort();
    expect(statuses[0]).toBe(200);
    expect([409, 412]).toContain(statuses[1]);
  });

  it.each(rounds)('read a cylinder: one reading stands, the other hears of it (%i)', async (round) => {
    const {
      id,
      version,
      changedAt: _at,
      changedBy: _by,
      ...rest
    } = (await stock()).cylinders.find((one) => one.id === 'mix-1')!;
    const read =
      (bar: number): Move =>
      () =>
        lead()
          .put(`/api/stock/cylinders/${id}`)
          .set('if-match', `"${version}"`)
          .send({ ...rest, pressureBar: bar });
    const [a, b] = await both(read(90 + round), read(70 + round));
    expect([a.status, b.status].sort()).toEqual([200, 412]);
    const now = (await stock()).cylinders.find((one) => one.id === id)!.pressureBar;
    expect(now).toBeCloseTo(a.status === 200 ? 90 + round : 70 + round, 6);
  });

  it.each(rounds)('weld the last seam of a part twice: one part counts, the other weld is held (%i)', async () => {
    const order = await newOrder(1);
    const seams = ((await lead().get('/api/seams?limit=200')).body.items as SeamResource[]).filter(
      ({ partId, revision }) => partId === order.partId && revision,
    );
    const [last, ...others] = seams;
    for (const { id, revision } of others)
      await weld({ seamId: id, revision: revision?.number, orderId: order.id }).then((run) =>
        run.state === 'held' ? decide(run.id, 'released')() : null,
      );
    const one: Move = () =>
      test
        .as('teo-varnholt')
        .post('/api/runs')
        .send({ seamId: last?.id, machineId: 'hazel', revision: last?.revision?.number, orderId: order.id, body: {} });
    const runs = (await both(one, one)).map(({ body }) => body as Run);
    for (const run of runs.filter(({ held }) => held.every(({ code }) => code !== 'beyond-ordered')))
      if (run.state === 'held') await decide(run.id, 'released')();
    expect((await orderNow(order.id)).done).toBe(1);
  });
});

/** Limits that nobody would mistake for another's. */
function limitsFor(_name: string) {
  return {
    level: 'C',
    isCritical: true,
    legMm: null,
    legDifferenceMm: null,
    throatMm: null,
    heightMm: 1,
    undercutMm: 0.2,
    back: 'allowed',
    backMm: 1,
    spatter: 1,
    rootFusion: false,
  };
}
