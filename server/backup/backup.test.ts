import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { makeDatabase, openTestApp } from '../testing/test-app.ts';
import { makeBackup, restoreBackup, verifyBackup } from './backup.ts';
import { createKeeper } from './keeper.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
const folder = mkdtempSync(join(tmpdir(), 'fox-tempo-backups-'));
const file = join(folder, 'shop.foxbackup');
beforeAll(async () => {
  test = await openTestApp();
  const png = Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), Buffer.alloc(3000, 3)]);
  await test.as('teo-varnholt').post('/api/blobs').set('content-type', 'image/png').send(png).expect(201);
  await makeBackup(test.url, file);
});
afterAll(async () => {
  await test.close();
  rmSync(folder, { recursive: true, force: true });
});

describe('a backup', () => {
  it('says without restoring what is in it, and that it equals the shop', async () => {
    const { header, differs } = await verifyBackup(file, test.url);
    expect(header).toMatchObject({ shop: 'Marrowby Cartworks', format: 'fox-tempo/backup' });
    expect(header.tables).toMatchObject({ people: { rows: 7 }, blobs: { rows: 1 } });
    expect(Object.keys(header.tables)).not.toContain('sessions');
    expect(differs).toEqual([]);
  });

  it('restored into an empty shop gives the same, and people sign in anew', async () => {
    const url = await makeDatabase();
    await restoreBackup(file, url);
    expect((await verifyBackup(file, url)).differs).toEqual([]);
    const restored = await openTestApp({ url, seeded: false });
    await request(restored.app).get('/api/seams').set('cookie', test.cookie()).expect(401);
    const agent = request.agent(restored.app);
    await agent.post('/api/session').send({ personId: 'teo-varnholt', pin: '1404' }).expect(200);
    const [here, there] = await Promise.all([test.as().get('/api/seams'), agent.get('/api/seams')]);
    expect(there.body).toEqual(here.body);
    await restored.close();
  });

  it('is never restored over something', async () => {
    await expect(restoreBackup(file, test.url)).rejects.toThrow(/not empty; nothing was touched/);
  });

  it.each([
    [
      'a changed byte in the data',
      (bytes: Buffer) => void bytes.writeUInt8((bytes.at(-200) ?? 0) ^ 1, bytes.length - 200),
      /checksum/,
    ],
    [
      'a changed word in its head',
      (bytes: Buffer) => void bytes.write('9', bytes.indexOf('"rows":') + 7),
      /first line was changed/,
    ],
  ])('with %s is told to be damaged', async (_name, change, said) => {
    const bytes = readFileSync(file);
    change(bytes);
    const bad = join(folder, 'bad.foxbackup');
    writeFileSync(bad, bytes);
    await expect(verifyBackup(bad)).rejects.toThrow(said);
    await expect(restoreBackup(bad, await makeDatabase())).rejects.toThrow(said);
  });

  it('that was cut off, or is something else, is told to be so', async () => {
    const short = join(folder, 'short.foxbackup');
    writeFileSync(short, readFileSync(file));
    truncateSync(short, readFileSync(file).length - 100);
    await expect(verifyBackup(short)).rejects.toThrow(/cut off or changed/);
    const other = join(folder, 'other.foxbackup');
    writeFileSync(other, 'something else altogether');
    await expect(verifyBackup(other)).rejects.toThrow(/no Fox Tempo backup/);
  });

  it('tells which tables have changed since', async () => {
    await test.as().post('/api/parts').send({ name: 'Hand rail', about: '' }).expect(201);
    expect((await verifyBackup(file, test.url)).differs).toEqual(['kept_answers', 'parts']);
  });

  it('comes to an owner as one file, and to nobody else', async () => {
    const answer = await test.as('mirja-keskalo').post('/api/shop/backup').buffer(true).expect(200);
    expect(answer.headers['content-disposition']).toMatch(/attachment; filename="?fox-tempo-.*\.foxbackup/);
    const taken = join(folder, 'taken.foxbackup');
    writeFileSync(taken, answer.body as Buffer);
    expect((await verifyBackup(taken, test.url)).differs).toEqual([]);
    await test.as().post('/api/shop/backup').expect(403);
  });
});

it('the keeper names its files by their moment, and says why it could not write', async () => {
  const keeper = createKeeper({ url: test.url, dataFolder: join(folder, 'data') });
  await keeper.beforeMigration();
  expect(await keeper.list()).toEqual([
    {
      name: expect.stringMatching(/^before-migration-2.*\.foxbackup$/),
      bytes: expect.any(Number),
      madeAt: expect.any(String),
    },
  ]);
  const away = createKeeper({ url: 'postgres://app:x@127.0.0.1:1/none', dataFolder: join(folder, 'away') });
  await expect(away.make()).rejects.toThrow();
  expect(await away.list()).toEqual([]);
});
