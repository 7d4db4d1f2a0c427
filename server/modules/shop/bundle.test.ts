import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import type { Bundle, ImportReport, SeamResource } from '@fox-tempo/contract';
import { renewOwnerCode } from '../session/index.ts';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const exported = async () => (await test.as().get('/api/shop/bundle').expect(200)).body as Bundle;

describe('a shop as a file', () => {
  it('goes into an empty shop and gives the same parts, seams, programs and machines', async () => {
    const file = await exported();
    const empty = await openTestApp({ seeded: false });
    const owner = request.agent(empty.app);
    const code = await renewOwnerCode(empty.connection.db);
    await owner.post('/api/session/owner').send({ code, name: 'Runa', pin: '4817' }).expect(201);
    const take = (write: boolean) =>
      owner.post('/api/shop/bundle').set('idempotency-key', crypto.randomUUID()).send({ file, partId: null, write });
    const preview = (await take(false).expect(200)).body as ImportReport;
    expect(preview.rows.every((row) => row.does === 'added')).toBe(true);
    expect((await owner.get('/api/parts')).body.items).toEqual([]);
    await take(true).expect(200);
    const again = (await owner.get('/api/shop/bundle').expect(200)).body as Bundle;
    expect({ ...again, name: '' }).toEqual({ ...file, name: '' });
    const programs = (items: SeamResource[]) =>
      Object.fromEntries(items.map(({ spec, revision }) => [spec.name, revision?.program ?? null]));
    const [here, there] = await Promise.all([test.as().get('/api/seams'), owner.get('/api/seams')]);
    expect(programs(there.body.items as SeamResource[])).toEqual(programs(here.body.items as SeamResource[]));
    // Once more adds nothing.
    const twice = (await take(true).expect(200)).body as ImportReport;
    expect(twice.rows.every((row) => row.does === 'there already')).toBe(true);
    await empty.close();
  }, 60_000);

  const post = (file: unknown, partId: string | null, write: boolean) =>
    test.as().post('/api/shop/bundle').send({ file, partId, write });

  it('with one refusal writes nothing', async () => {
    const file = await exported();
    const [first] = file.seams;
    const seams = [
      { ...first!, spec: { ...first!.spec, name: 'Comes' } },
      { ...first!, part: 'No such part', spec: { ...first!.spec, name: 'Does not' } },
    ];
    const refused = await post(
      { ...file, parts: [], seams, machines: [{ format: 'nonsense', name: 'Bad one' }] },
      null,
      true,
    ).expect(422);
    expect(refused.body.issues[0].message).toContain('Nothing was written');
    const { body } = await test.as().get('/api/seams?limit=200');
    expect((body.items as SeamResource[]).some(({ spec }) => spec.name === 'Comes')).toBe(false);
  });

  it('takes a seam alone onto a part that is chosen', async () => {
    const [first] = (await exported()).seams;
    const file = {
      format: 'fox-tempo/seam',
      version: 1,
      ...first!,
      part: 'Elsewhere',
      spec: { ...first!.spec, name: 'Alone' },
    };
    const lost = (await post(file, null, false).expect(200)).body as ImportReport;
    expect(lost.rows).toEqual([
      { kind: 'seam', name: 'Alone', does: 'refused', why: expect.stringContaining('choose one') },
    ]);
    await post(file, 'canopy-rail', true).expect(200);
    const { body } = await test.as().get('/api/seams?limit=200');
    expect((body.items as SeamResource[]).find(({ spec }) => spec.name === 'Alone')?.partName).toBe('Canopy rail');
  });

  it.each([
    ['nothing', null],
    ['a list', []],
    ['another format', { format: 'other' }],
    ['a version from the future', { format: 'fox-tempo/shop', version: 9 }],
  ])('refuses %s by name', async (_name, file) => {
    await post(file, null, false).expect(422);
  });
});
