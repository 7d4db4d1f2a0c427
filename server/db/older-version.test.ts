/** A database of the version before: everything in it is brought up, nothing is dropped. */
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, it } from '@jest/globals';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import pg from 'pg';
import request from 'supertest';
import type { StepTimes, Stock } from '@fox-tempo/contract';
import { rowan } from '@fox-tempo/core/scenarios';
import { renewOwnerCode } from '../modules/session/index.ts';
import { makeDatabase, openTestApp } from '../testing/test-app.ts';

const migrationsFolder = fileURLToPath(new URL('../drizzle', import.meta.url));

/** The first two migrations, as version 0.1 ran them, and what a shop had written since. */
async function olderShop(): Promise<string> {
  const url = await makeDatabase();
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query('create schema drizzle');
  await client.query(
    'create table drizzle.__drizzle_migrations (id serial primary key, hash text not null, created_at bigint)',
  );
  for (const { sql, hash, folderMillis } of readMigrationFiles({ migrationsFolder }).slice(0, 2)) {
    for (const statement of sql) await client.query(statement);
    await client.query('insert into drizzle.__drizzle_migrations (hash, created_at) values ($1, $2)', [
      hash,
      folderMillis,
    ]);
  }
  const file = JSON.stringify({ format: 'fox-tempo/machine', version: 2, ...rowan });
  await client.query(`
    insert into people values ('ada', 'Ada Quill', 'lead hand'), ('bo', 'Bo Marrin', 'welder');
    insert into parts (id, name, created_by, changed_by) values ('frame', 'Frame', 'ada', 'ada');
    insert into orders (id, number, part_id, quantity, done, due_on, created_by, changed_by) values
      ('o1', 'A 1', 'frame', 10, 4, '2026-03-01', 'ada', 'bo'), ('o2', 'A 2', 'frame', 3, 0, '2026-03-02', 'ada', 'ada');
    insert into machines (id, name, place, peak_current_a, file, standing, created_by, changed_by)
      values ('rowan', 'Rowan', 'bay 2', 400, '${file.replaceAll("'", "''")}', null, 'ada', 'ada');
    insert into lead_readings (machine_id, m_ohm, note, by, at) values ('rowan', 13.5, 'clamp', 'bo', '2026-01-05T10:00:00Z');
    insert into step_times (machine_id, kind, minutes, by) values ('rowan', 'gas', 4, 'bo');
    insert into cylinders (id, name, gas, volume_l, pressure_bar, mass_kg, convention, created_by, changed_by) values
      ('mix', 'Mix', 'M21-ArC-18', 33.3, 101.7, null, 'gauge at the regulator', 'ada', 'bo'),
      ('coal', 'Coal', 'C1', 40, 57, 11.525, 'scale', 'ada', 'ada');
    insert into spools (id, name, filler, diameter_mm, mass_kg, created_by, changed_by) values ('s', 'Steel', 'steel-solid', 1, 6.432, 'ada', 'bo');`);
  await client.end();
  return url;
}

it('is backed up first, keeps all it had, and asks for an owner', async () => {
  const url = await olderShop();
  const folder = mkdtempSync(join(tmpdir(), 'fox-tempo-older-'));
  const shop = await openTestApp({ url, seeded: false, dataFolder: folder });
  expect(readdirSync(`${folder}-backups`).filter((name) => name.startsWith('before-migration-'))).toHaveLength(1);

  const code = await renewOwnerCode(shop.connection.db);
  const owner = request.agent(shop.app);
  await owner.post('/api/session/owner').send({ code, name: 'Ada Quill', pin: '1122' }).expect(201);
  const get = async <T>(path: string) => (await owner.get(`/api${path}`).expect(200)).body as T;
  const people = (await get<{ items: { name: string; role: string; hasPin: boolean }[] }>('/people')).items;
  expect(people.map(({ name, role, hasPin }) => [name, role, hasPin])).toEqual([
    ['Ada Quill', 'lead', false],
    ['Ada Quill', 'owner', true],
    ['Bo Marrin', 'welder', false],
  ]);
  expect((await get<{ items: { done: number }[] }>('/orders')).items.map((order) => order.done)).toEqual([4, 0]);
  const stock = await get<Stock>('/stock');
  expect(stock.cylinders.find((one) => one.id === 'mix')?.pressureBar).toBeCloseTo(101.7, 4);
  expect(stock.cylinders.find((one) => one.id === 'coal')).toMatchObject({
    massKg: 11.525,
    pressureBar: 57,
  });
  expect(stock.spools[0]).toMatchObject({ massKg: 6.432, changedBy: 'Bo Marrin' });
  const readings = await get<{ items: unknown[] }>('/machines/rowan/lead-readings');
  expect(readings.items).toEqual([
    { id: expect.any(String), mOhm: 13.5, note: 'clamp', at: '2026-01-05T10:00:00.000Z', by: 'Bo Marrin' },
  ]);
  expect((await get<StepTimes>('/machines/rowan/step-times')).minutes).toEqual({ gas: 4 });
  await shop.close();
  for (const path of [folder, `${folder}-backups`]) rmSync(path, { recursive: true, force: true });
});
