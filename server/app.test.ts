import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { machineWithStanding as machineResource, order, pageOf, parseWith, seamResource } from '@fox-tempo/contract';
import request from 'supertest';
import { renewOwnerCode } from './modules/session/index.ts';
import { migrateDatabase } from './db/migrate.ts';
import { seedIfEmpty } from './db/seed.ts';
import { openTestApp } from './testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

describe('the demo shop', () => {
  it.each([
    ['/api/orders', pageOf(order), 3],
    ['/api/seams', pageOf(seamResource), 8],
    ['/api/machines', pageOf(machineResource), 3],
  ] as const)('%s keeps its shape and is full enough', async (path, shape, atLeast) => {
    const response = await test.as().get(path).expect(200);
    const parsed = parseWith(shape, response.body);
    expect(parsed.ok ? [] : parsed.issues).toEqual([]);
    expect(response.body.items.length).toBeGreaterThanOrEqual(atLeast);
    expect(response.headers['cache-control']).toBe('no-store');
  });

  it('covers steel, stainless, aluminium and galvanised, with one machine described whole', async () => {
    const seams = await test.as().get('/api/seams');
    const groups = new Set(
      seams.body.items.map((seam: { spec: { materialGroup: string } }) => seam.spec.materialGroup),
    );
    expect([...groups].sort()).toEqual(['aluminium', 'galvanised', 'stainless', 'steel']);
    const rowan = await test.as().get('/api/machines/rowan').expect(200);
    expect(rowan.body.file.dials.length).toBeGreaterThanOrEqual(5);
    expect(rowan.headers['etag']).toBe('"1"');
  });

  it('is seeded once, and migrations may run again', async () => {
    await Promise.all([migrateDatabase(test.connection.pool), migrateDatabase(test.connection.pool)]);
    expect(await seedIfEmpty(test.connection.db)).toBe(false);
  });
});

describe('an empty shop', () => {
  it('answers with empty lists', async () => {
    const empty = await openTestApp({ seeded: false });
    const code = await renewOwnerCode(empty.connection.db);
    const owner = request.agent(empty.app);
    await owner.post('/api/session/owner').send({ code, name: 'First Owner', pin: '90909' }).expect(201);
    const response = await owner.get('/api/orders').expect(200);
    expect(response.body).toEqual({ items: [], next: null });
    await empty.close();
  });
});
