import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Stock } from '@fox-tempo/contract';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const stock = async () => (await test.as().get('/api/stock').expect(200)).body as Stock;
const cylinder = async (id: string) => (await stock()).cylinders.find((one) => one.id === id)!;
const send = (method: 'post' | 'put', path: string, body: object, version?: number) => {
  // A part is counted without its logged welds by a lead hand alone.
  const call = test.as(path.startsWith('/orders') ? 'ilse-brandokor' : 'teo-varnholt')[method](`/api${path}`);
  return (version === undefined ? call : call.set('if-match', `"${version}"`)).send(body);
};
const content = ({
  id: _id,
  version: _version,
  changedAt: _at,
  changedBy: _by,
  ...rest
}: Awaited<ReturnType<typeof cylinder>>) => rest;

describe('stock', () => {
  it('is read anew, and a stale reading is refused', async () => {
    const mix = await cylinder('mix-1');
    const saved = await send('put', '/stock/cylinders/mix-1', { ...content(mix), pressureBar: 80 }, mix.version).expect(
      200,
    );
    expect(saved.body).toMatchObject({ pressureBar: 80, version: mix.version + 1, changedBy: 'Teo Varnholt' });
    const stale = await send('put', '/stock/cylinders/mix-1', content(mix), mix.version).expect(412);
    expect(stale.body.current.pressureBar).toBe(80);
  });

  it('takes new cylinders and spools, and wants the figure that means something', async () => {
    const co2 = {
      name: 'CO₂ 2',
      gas: 'C1',
      volumeL: 40,
      pressureBar: 57,
      massKg: null,
      convention: 'scale',
      machineId: null,
    };
    const refused = await send('post', '/stock/cylinders', co2).expect(422);
    expect(refused.body.issues[0]).toMatchObject({ path: 'massKg', message: expect.stringContaining('mass') });
    await send('post', '/stock/cylinders', { ...co2, massKg: 20 }).expect(201);
    const spool = { name: 'Steel 0.8', filler: 'steel-solid', diameterMm: 0.8, massKg: 5, machineId: null };
    await send('post', '/stock/spools', spool).expect(201);
    await send('post', '/stock/spools', { ...spool, machineId: 'nowhere' }).expect(422);
    await send('post', '/stock/spools', { ...spool, massKg: -1 }).expect(422);
  });

  it('is counted down by parts welded, what is connected first, and given back when taken back', async () => {
    const before = await stock();
    const done = await send('post', '/orders/order-2038/done', { count: 1 }).expect(200);
    expect(done.body.order).toMatchObject({ done: 1 });
    const after = await stock();
    const of = (list: Stock, id: string) => [...list.cylinders, ...list.spools].find((one) => one.id === id)!;
    // Counter corner 0.8 from Hazel's spool, both stainless seams in Hazel's gas; the 1.0 spool lies in the store.
    expect(of(after, 'bright-08-a')).not.toEqual(of(before, 'bright-08-a'));
    const gas = (list: Stock) => list.cylinders.find((one) => one.id === 'bright-1')!.pressureBar!;
    const litres = done.body.drawn.filter((one: { what: string }) => one.what === 'Bright 1');
    const drawn = litres.reduce((sum: number, one: { amount: number }) => sum + one.amount, 0);
    expect(20 * (gas(before) - gas(after))).toBeCloseTo(drawn, 6);
    expect(of(after, 'mix-1')).toEqual(of(before, 'mix-1'));
    // No more is taken back than was done; nothing is cut to fit.
    const tooMany = await send('post', '/orders/order-2038/done', { count: -3 }).expect(422);
    expect(tooMany.body.issues[0]).toMatchObject({ path: 'count', code: 'more-than-done', limit: 1 });
    await send('post', '/orders/order-2038/done', { count: -1 }).expect(200);
    const back = await stock();
    expect(gas(back)).toBeCloseTo(gas(before), 9);
    const orders = await test.as().get('/api/orders').expect(200);
    expect(orders.body.items.find((order: { id: string }) => order.id === 'order-2038').done).toBe(0);
    await send('post', '/orders/nowhere/done', { count: 1 }).expect(404);
  });
});

describe('the printed card', () => {
  it.each(['A5', 'A4', 'LETTER'])('is one PDF on %s', async (paper) => {
    const response = await test
      .as()
      .get('/api/seams/axle-plate-to-tube/card.pdf')
      .query({ machine: 'rowan', paper, units: 'us' })
      .buffer(true)
      .parse((incoming, done) => {
        const chunks: Buffer[] = [];
        incoming.on('data', (chunk: Buffer) => chunks.push(chunk));
        incoming.on('end', () => done(null, Buffer.concat(chunks)));
      })
      .expect(200)
      .expect('content-type', 'application/pdf');
    const pdf = response.body as Buffer;
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    // One page, with a font in it: a blank page of this generator is under 2 kB.
    expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1);
    expect(pdf.length).toBeGreaterThan(8000);
  });

  it('is refused without a setting, a machine or a known paper', async () => {
    const card = (seam: string, query: object) => test.as().get(`/api/seams/${seam}/card.pdf`).query(query);
    await card('canopy-post-edge', { machine: 'rowan' }).expect(404);
    await card('counter-corner', { machine: 'nowhere' }).expect(404);
    await card('counter-corner', {}).expect(422);
    await card('counter-corner', { machine: 'rowan', paper: 'A0' }).expect(422);
  });
});

/** Asked and answered with yes: these orders log their welds, and here more is counted than was logged. */
const confirmed = ['unlogged', 'beyond-ordered'];

describe('many hands at once', () => {
  // No part counts while one of its welds is held.
  beforeAll(async () => {
    const held = (await test.as().get('/api/runs?state=held').expect(200)).body.items as { id: string }[];
    for (const { id } of held) await test.as().post(`/api/runs/${id}/decision`).send({ decision: 'slip' }).expect(200);
  });

  it('counting, taking back and reading anew leave sums that agree to the milligram and millilitre', async () => {
    const orderId = 'order-2041';
    const before = await stock();
    const done = async () =>
      ((await test.as().get('/api/orders').expect(200)).body.items as { id: string; done: number }[]).find(
        ({ id }) => id === orderId,
      )!.done;
    const began = await done();
    const people = ['ilse-brandokor', 'mirja-keskalo'] as const;
    const counts = [3, 1, -1, 2, 1, -2, 4, 1, 1, -1, 2, 1];
    const answers = await Promise.all(
      counts.map((count, at) =>
        test
          .as(people[at % 2])
          .post(`/api/orders/${orderId}/done`)
          .send({ count, confirmed }),
      ),
    );
    const took = answers.flatMap((answer, at) => (answer.status === 200 ? [counts[at]!] : []));
    expect(took).toEqual(counts);
    const sum = took.reduce((total, count) => total + count, 0);
    expect(await done()).toBe(began + sum);
    await send('post', `/orders/${orderId}/done`, { count: -sum, confirmed }).expect(200);
    const content = (list: Stock) => [
      ...list.cylinders.map(({ id, pressureBar, massKg }) => [id, pressureBar, massKg]),
      ...list.spools.map(({ id, massKg }) => [id, massKg]),
    ];
    expect(content(await stock())).toEqual(content(before));
  });

  // Parts of this order were logged weld by weld: what was logged drew from stock when it was welded, what is counted above it draws now.
  it.each([[[-1, 3]], [[-2, 3]], [[1, -2, 3]], [[-1, 1, 2, -2, 1]], [[-2, 3, -1, -1, 1, 1, 2, 4, 1, -1, 2, 1]]])(
    'give everything back after %j, logged parts among them',
    async (counts) => {
      const levels = async () => {
        const { cylinders, spools } = await stock();
        return [
          ...cylinders.map(({ pressureBar, massKg }) => [pressureBar, massKg]),
          ...spools.map(({ massKg }) => massKg),
        ];
      };
      const before = await levels();
      const sum = counts.reduce((total, count) => total + count, 0);
      for (const count of [...counts, -sum])
        await send('post', '/orders/order-2041/done', { count, confirmed }).expect(200);
      expect(await levels()).toEqual(before);
    },
  );

  it('give back to where it came from, whatever is connected by now', async () => {
    const spool = async (id: string) => (await stock()).spools.find((one) => one.id === id)!;
    const bright = await spool('bright-08-a');
    await send('post', '/orders/order-2038/done', { count: 2, confirmed }).expect(200);
    const drawn = await spool('bright-08-a');
    expect(drawn.massKg).toBeLessThan(bright.massKg);
    const { id: _id, version, changedAt: _at, changedBy: _by, ...rest } = drawn;
    await send('put', '/stock/spools/bright-08-a', { ...rest, machineId: null }, version).expect(200);
    const other = {
      name: 'Stainless 0.8, B',
      filler: 'stainless-solid',
      diameterMm: 0.8,
      massKg: 5,
      machineId: 'hazel',
    };
    const fresh = await send('post', '/stock/spools', other).expect(201);
    await send('post', '/orders/order-2038/done', { count: -2 }).expect(200);
    expect((await spool('bright-08-a')).massKg).toBe(bright.massKg);
    expect((await spool(fresh.body.id as string)).massKg).toBe(5);
  });

  it('leave a level below nought where more was drawn than was read, and a new reading mends it', async () => {
    const almg = (await stock()).spools.find((one) => one.id === 'almg-12-a')!;
    const { id: _id, version, changedAt: _at, changedBy: _by, ...rest } = almg;
    await send('put', '/stock/spools/almg-12-a', { ...rest, massKg: 0.001 }, version).expect(200);
    await send('post', '/orders/order-2044/done', { count: 5, confirmed }).expect(200);
    const low = (await stock()).spools.find((one) => one.id === 'almg-12-a')!;
    expect(low.massKg).toBeLessThan(0);
    const read = await send('put', '/stock/spools/almg-12-a', { ...rest, massKg: 7 }, low.version).expect(200);
    expect(read.body.massKg).toBe(7);
  });
});
