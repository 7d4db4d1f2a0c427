import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { Order, Run, SeamResource, Stock } from '@fox-tempo/contract';
import { openTestApp, type DemoPerson } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
}, 60_000);
afterAll(() => test.close());

const welder: DemoPerson = 'teo-varnholt';
const leadPin = { personId: 'ilse-brandokor', pin: '2405' };
const get = async <T>(path: string) => (await test.as().get(`/api${path}`).expect(200)).body as T;
const seamsOf = async (partId: string) =>
  (await get<{ items: SeamResource[] }>('/seams?limit=200')).items.filter((one) => one.partId === partId);
const orderNow = async (id: string) =>
  (await get<{ items: Order[] }>('/orders?limit=200')).items.find((one) => one.id === id)!;
const spoolKg = async (id: string) => (await get<Stock>('/stock')).spools.find((one) => one.id === id)?.massKg ?? 0;

async function weld(
  seam: SeamResource,
  orderId: string | undefined,
  more: Record<string, unknown> = {},
  person = welder,
) {
  const answer = await test
    .as(person)
    .post('/api/runs')
    .send({ seamId: seam.id, machineId: 'rowan', revision: seam.revision?.number ?? 1, orderId, body: {}, ...more });
  return { status: answer.status, run: answer.body as Run, problem: answer.body as { issues?: { path: string }[] } };
}
const decide = (run: Run, send: Record<string, unknown>, person: DemoPerson = welder) =>
  test.as(person).post(`/api/runs/${run.id}/decision`).send(send);

/** A part of two seams of its own, an order of it, and a spool and a cylinder that fit. */
async function smallOrder() {
  const made = async (path: string, send: unknown) =>
    (
      await test
        .as()
        .post(`/api${path}`)
        .send(send as object)
        .expect(201)
    ).body as { id: string };
  const part = await made('/parts', { name: `Bracket ${randomUUID().slice(0, 6)}`, about: '' });
  for (const name of ['left', 'right'])
    await test.as().post('/api/seams/hitch-bracket-fillet/copy').send({ partId: part.id, name }).expect(201);
  const order = await made('/orders', {
    number: `T-${randomUUID().slice(0, 6)}`,
    partId: part.id,
    quantity: 5,
    dueOn: '2030-01-10',
  });
  const [left, right] = await seamsOf(part.id);
  const program = left!.revision!.program;
  const spool = await made('/stock/spools', {
    name: 'test spool',
    filler: program.filler,
    diameterMm: program.diameterMm,
    massKg: 10,
    machineId: 'rowan',
  });
  const cylinder = await made('/stock/cylinders', {
    name: 'test cylinder',
    gas: program.gas,
    volumeL: 50,
    pressureBar: 200,
    massKg: null,
    convention: 'gauge at the regulator',
    machineId: 'rowan',
  });
  return { order, left: left!, right: right!, body: { spoolId: spool.id, cylinderId: cylinder.id }, spool, cylinder };
}

describe('a production weld', () => {
  it('draws its own wire, and the part counts when each of its seams was welded', async () => {
    const { order, left, right, body, spool } = await smallOrder();
    const one = await weld(left, order.id, { body });
    expect(one.status).toBe(201);
    // Rowan may stand otherwise than this seam needs; whatever is held is released first.
    const free = async (run: Run) => {
      if (run.state === 'held')
        await decide(run, { decision: 'released', reason: 'looked at it' }, 'ilse-brandokor').expect(200);
    };
    await free(one.run);
    const used = left.revision!.use!.wireKg;
    expect(await spoolKg(spool.id)).toBeCloseTo(10 - used, 4);
    expect((await orderNow(order.id)).done).toBe(0);
    await free((await weld(right, order.id, { body })).run);
    expect((await orderNow(order.id)).done).toBe(1);
    // Counted by welds: nothing is drawn twice.
    expect(await spoolKg(spool.id)).toBeCloseTo(10 - used - right.revision!.use!.wireKg, 4);

    // One seam logged, then two parts counted with one tap: only what was not logged is drawn, and all of it comes back.
    await free((await weld(left, order.id, { body })).run);
    const before = await spoolKg(spool.id);
    await test
      .as()
      .post(`/api/orders/${order.id}/done`)
      .send({ count: 2, confirmed: ['unlogged'] })
      .expect(200);
    expect((await orderNow(order.id)).done).toBe(3);
    await test.as().post(`/api/orders/${order.id}/done`).send({ count: -2 }).expect(200);
    expect(await spoolKg(spool.id)).toBeCloseTo(before, 6);
    expect((await orderNow(order.id)).done).toBe(1);
    await free((await weld(right, order.id, { body })).run);
    expect((await orderNow(order.id)).done).toBe(2);
  });

  it('with another wire is recorded and held, not counted, until a lead hand decides with a reason', async () => {
    const { order, left, right, body } = await smallOrder();
    const other = (
      await test
        .as()
        .post('/api/stock/spools')
        .send({ name: 'wrong one', filler: 'stainless-308l', diameterMm: 1, massKg: 5, machineId: null })
        .expect(201)
    ).body as { id: string };
    const { run } = await weld(left, order.id, { body: { ...body, spoolId: other.id } });
    expect(run.state).toBe('held');
    expect(run.held.map(({ code }) => code)).toContain('wire');
    expect(run.loaded?.filler).toBe('stainless-308l');
    const second = await weld(right, order.id, { body });
    if (second.run.state === 'held')
      await decide(second.run, { decision: 'released', reason: 'fine' }, 'ilse-brandokor');
    expect((await orderNow(order.id)).done).toBe(0);

    await decide(run, { decision: 'released', reason: 'tested' }).expect(403);
    await decide(run, { decision: 'released', reason: 'no', by: leadPin }).expect(422);
    await decide(run, { decision: 'released', reason: 'tested', by: { ...leadPin, pin: '0000' } }).expect(401);
    await decide(run, {
      decision: 'released',
      reason: 'tested',
      by: { personId: 'odile-trennaby', pin: '7404' },
    }).expect(403);
    const released = (await decide(run, { decision: 'released', reason: 'bend test passed', by: leadPin }).expect(200))
      .body as Run;
    expect(released).toMatchObject({
      state: 'released',
      decision: { by: 'Ilse Brandokor', reason: 'bend test passed' },
    });
    expect((await orderNow(order.id)).done).toBe(1);
    // Its part is counted by now; and whoever did not see the release hears of it first.
    await decide(run, { decision: 'slip', reason: 'not welded after all', by: leadPin }).expect(412);
    await decide(run, { decision: 'slip', reason: 'not welded after all', by: leadPin, seen: 'released' }).expect(422);
    expect((await get<{ items: Run[] }>(`/runs?order=${order.id}&state=released`)).items.map(({ id }) => id)).toContain(
      run.id,
    );
    const { text } = await test.as().get(`/api/runs.csv?order=${order.id}`).expect(200);
    expect(text).toContain('stainless-308l');
    expect(text).toContain('bend test passed');
  });

  it('that never was gives its wire back, by whoever recorded it', async () => {
    const { left, body, spool } = await smallOrder();
    const { run } = await weld(left, undefined, {
      body: { ...body, seconds: (left.revision!.use!.arcSeconds ?? 10) * 2 },
    });
    expect(await spoolKg(spool.id)).toBeCloseTo(10 - 2 * left.revision!.use!.wireKg, 4);
    await decide(run, { decision: 'slip', reason: 'tapped twice' }, 'odile-trennaby').expect(403);
    expect((await decide(run, { decision: 'slip', reason: 'tapped twice' }).expect(200)).body).toMatchObject({
      state: 'slip',
    });
    expect(await spoolKg(spool.id)).toBeCloseTo(10, 6);
    await decide(run, { decision: 'slip', reason: 'tapped twice', seen: 'slip' }).expect(422);
  });

  it('is refused with the field named: odd seconds, another part’s order, an unknown spool or revision', async () => {
    const { order, left, body } = await smallOrder();
    const paths = async (more: Record<string, unknown>, orderId: string | undefined = order.id, seam = left) => {
      const { status, problem } = await weld(seam, orderId, more);
      expect(status).toBe(422);
      return problem.issues?.map(({ path }) => path);
    };
    expect(await paths({ body: { ...body, seconds: 9000 } })).toEqual(['body.seconds']);
    expect(await paths({ body: { spoolId: 'gone' } })).toEqual(['body.spoolId']);
    expect(await paths({ body, revision: 99 })).toEqual(['revision']);
    const strange = (await get<{ items: SeamResource[] }>('/seams?limit=200')).items.find(
      (one) => one.id === 'trike-box-floor',
    )!;
    expect(await paths({ body }, order.id, strange)).toEqual(['orderId']);
  });
});

describe('a lead hand on the spot', () => {
  it('lets a welder save beyond a lock for a while; a wrong PIN is counted', async () => {
    const path = '/api/seams/frame-corner-butt';
    const seam = await get<SeamResource>('/seams/frame-corner-butt');
    const locked = (
      await test
        .as()
        .put(`${path}/lock`)
        .set('If-Match', `"${seam.version}"`)
        .send({ locked: true, reason: 'approved' })
        .expect(200)
    ).body as SeamResource;
    const save = () =>
      test
        .as(welder)
        .put(path)
        .set('If-Match', `"${locked.version}"`)
        .send({ spec: { ...seam.spec, gapMm: 0.3 }, choice: seam.choice });
    await save().expect(409);
    await test
      .as(welder)
      .post(`${path}/releases`)
      .send({ by: { ...leadPin, pin: '1111' }, reason: 'gap is wide' })
      .expect(401);
    await test.as(welder).post(`${path}/releases`).send({ by: leadPin, reason: 'gap is wide today' }).expect(201);
    await save().expect(200);
    const { items } = await get<{ items: { recordedBy: string; weldedBy: string; body: { reason: string } }[] }>(
      '/observations?kind=release',
    );
    expect(items[0]).toMatchObject({
      recordedBy: 'Ilse Brandokor',
      weldedBy: 'Teo Varnholt',
      body: { reason: 'gap is wide today' },
    });
  });
});
