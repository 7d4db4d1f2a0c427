import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import type { Trial, SeamResource, SeamSave } from '@fox-tempo/contract';
import { symptomCodes } from '@fox-tempo/core/evidence/trial';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const author = 'teo-varnholt';
const corner: SeamSave = {
  spec: {
    name: 'Test corner',
    grade: '304L',
    materialGroup: 'stainless',
    thicknessesMm: [2.5, 2.5],
    joint: 'corner-outside',
    position: 'PA',
    gapMm: 0,
    legMm: null,
    lengthMm: 400,
    travelMmPerMin: null,
  },
  choice: {
    mode: 'pulse',
    filler: 'stainless-solid',
    gas: 'M12-ArC-2',
    diameterMm: 1,
    arcHabit: 'by-joint',
    wireFeedMPerMin: null,
    tune: null,
    sequence: null,
  },
};

async function create(): Promise<SeamResource> {
  const response = await test
    .as(author)
    .post('/api/seams')
    .send({ partId: 'kitchen-counter', spec: corner.spec })
    .expect(201);
  return response.body as SeamResource;
}
function put(id: string, version: number | string | undefined, body: unknown) {
  const call = test.as(author).put(`/api/seams/${id}`);
  return (
    version === undefined ? call : call.set('if-match', typeof version === 'number' ? `"${version}"` : version)
  ).send(body as object);
}

describe('seams', () => {
  it('lists the demo shop in pages that join without a gap', async () => {
    const seen: string[] = [];
    let cursor: string | null = '';
    while (cursor !== null) {
      const page: request.Response = await test
        .as()
        .get('/api/seams')
        .query({ limit: 4, ...(cursor === '' ? {} : { cursor }) })
        .expect(200);
      seen.push(...page.body.items.map((seam: SeamResource) => seam.id));
      cursor = page.body.next;
    }
    const all = await test.as().get('/api/seams').expect(200);
    expect(seen).toEqual(all.body.items.map((seam: SeamResource) => seam.id));
    expect(new Set(seen).size).toBeGreaterThanOrEqual(8);
  });

  it('stores seam and computed program as one revision, and hands them back', async () => {
    const seam = await create();
    expect(seam).toMatchObject({ version: 1, revision: null, choice: null, createdBy: 'Teo Varnholt' });
    const saved = await put(seam.id, 1, corner).expect(200);
    expect(saved.headers['etag']).toBe('"2"');
    const again = await test.as().get(`/api/seams/${seam.id}`).expect(200);
    expect(again.body).toEqual(saved.body);
    expect(again.body.revision).toMatchObject({
      number: 1,
      program: { format: 'fox-tempo/program', filler: 'stainless-solid', mode: 'pulse' },
    });
    // The corner's feed comes from the core, not from the client.
    expect(again.body.revision.program.wireFeedMPerMin).toBeCloseTo(4.79, 1);
    const revisions = await test.as().get(`/api/seams/${seam.id}/revisions`).expect(200);
    expect(revisions.body.items).toHaveLength(1);
  });

  it('adds no revision when nothing has changed', async () => {
    const seam = await create();
    const first = await put(seam.id, 1, corner).expect(200);
    const second = await put(seam.id, 2, corner).expect(200);
    expect(second.body).toEqual(first.body);
  });

  it('refuses a stale save with both versions, and writes nothing', async () => {
    const seam = await create();
    await put(seam.id, 1, corner).expect(200);
    const mine = { ...corner, spec: { ...corner.spec, gapMm: 1 } };
    const refused = await put(seam.id, 1, mine).expect(412);
    expect(refused.headers['content-type']).toContain('application/problem+json');
    expect(refused.body).toMatchObject({
      type: '/problems/stale-version',
      status: 412,
      current: { version: 2, spec: { gapMm: 0 } },
      yours: mine,
    });
    const stored = await test.as().get(`/api/seams/${seam.id}`);
    expect(stored.body.version).toBe(2);
  });

  it('lets exactly one of many saves at once through', async () => {
    const seam = await create();
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, index) =>
        put(seam.id, 1, { ...corner, spec: { ...corner.spec, gapMm: index / 10 } }),
      ),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 412, 412, 412, 412, 412, 412, 412]);
    const revisions = await test.as().get(`/api/seams/${seam.id}/revisions`);
    expect(revisions.body.items).toHaveLength(1);
  });

  it('refuses impossible chains with the reason and the way out', async () => {
    const seam = await create();
    const gas = await put(seam.id, 1, { ...corner, choice: { ...corner.choice, gas: 'C1' } }).expect(422);
    expect(gas.body.issues[0]).toMatchObject({
      path: 'gas',
      code: 'gas-too-active-for-pulse',
      limit: 20,
      got: 100,
      hint: expect.stringContaining('M12'),
    });
    const thick = await put(seam.id, 1, { ...corner, spec: { ...corner.spec, thicknessesMm: [0, 400] } }).expect(422);
    expect(thick.body.issues.map((issue: { path: string }) => issue.path)).toEqual([
      'spec.thicknessesMm.0',
      'spec.thicknessesMm.1',
    ]);
  });
});

describe('bad requests are problem documents', () => {
  const raw = (body: string, type = 'application/json') =>
    test.as(author).post('/api/seams').set('content-type', type).send(body);

  it.each([
    ['malformed JSON', () => raw('{"a":'), 400, 'malformed-json'],
    ['an oversized body', () => raw(JSON.stringify({ a: 'x'.repeat(300_000) })), 413, 'too-large'],
    ['another media type', () => raw('a=1', 'application/x-www-form-urlencoded'), 415, 'unsupported-type'],
    ['wrong types', () => raw(JSON.stringify({ partId: 5, spec: [] })), 422, 'invalid-input'],
    ['an unknown part', () => raw(JSON.stringify({ partId: 'nowhere', spec: corner.spec })), 422, 'invalid-input'],
    ['nobody signed in', () => request(test.app).post('/api/seams').send({}), 401, 'not-signed-in'],
    ['somebody of another role', () => test.as('corvin-dellamaar').post('/api/seams').send({}), 403, 'not-allowed'],
    ['an unknown seam', () => test.as().get('/api/seams/nowhere'), 404, 'not-found'],
    ['an unknown address', () => test.as().get('/api/nowhere'), 404, 'not-found'],
    ['a broken address', () => test.as().get('/api/seams/%E0%A4%A'), 400, 'malformed-request'],
    ['a save that does not say its version', () => put('counter-corner', undefined, corner), 428, 'version-missing'],
    ['a version that is none', () => put('counter-corner', '"x"', corner), 428, 'version-missing'],
    ['a save of an unknown seam', () => put('nowhere', 1, corner), 404, 'not-found'],
    ['an invented cursor', () => test.as().get('/api/seams?cursor=abc'), 422, 'invalid-input'],
    ['a silly limit', () => test.as().get('/api/orders?limit=100000'), 422, 'invalid-input'],
  ] as const)('%s', async (_name, ask, status, kind) => {
    const response = await ask();
    expect([response.status, response.body.type]).toEqual([status, `/problems/${kind}`]);
    expect(JSON.stringify(response.body)).not.toMatch(/node_modules|\bat .*\.ts/);
  });
});

describe('a seam as a whole', () => {
  const saved = async (): Promise<SeamResource> => {
    const seam = await create();
    return (await put(seam.id, seam.version, corner).expect(200)).body as SeamResource;
  };
  const lead = (method: 'put' | 'delete' | 'post', path: string, version?: number) => {
    const call = test.as()[method](`/api/seams/${path}`);
    return version === undefined ? call : call.set('if-match', `"${version}"`);
  };

  it('is copied with its program as it stands, not computed anew', async () => {
    const seam = await saved();
    const copy = await test
      .as(author)
      .post(`/api/seams/${seam.id}/copy`)
      .send({ partId: 'canopy-rail', name: 'The copy' })
      .expect(201);
    expect(copy.body).toMatchObject({ partName: 'Canopy rail', spec: { ...corner.spec, name: 'The copy' } });
    expect((copy.body as SeamResource).revision).toMatchObject({
      number: 1,
      program: seam.revision?.program,
      contentHash: seam.revision?.contentHash,
    });
    await test.as(author).post(`/api/seams/${seam.id}/copy`).send({ partId: 'nowhere', name: 'x' }).expect(422);
  });

  it('is moved, taken off the lists and brought back under its version', async () => {
    const seam = await saved();
    const moved = await lead('put', `${seam.id}/part`, seam.version).send({ partId: 'market-cart-frame' }).expect(200);
    expect(moved.body.partName).toBe('Market cart frame');
    await lead('delete', seam.id, seam.version).expect(412);
    const gone = await lead('delete', seam.id, moved.body.version as number).expect(200);
    expect(gone.body.deleted).toBe(true);
    const listed = async () =>
      ((await test.as().get('/api/seams?limit=200').expect(200)).body.items as SeamResource[]).some(
        (one) => one.id === seam.id,
      );
    expect(await listed()).toBe(false);
    await test.as().get(`/api/seams/${seam.id}`).expect(200);
    await lead('post', `${seam.id}/restore`).expect(200);
    expect(await listed()).toBe(true);
  });

  it('is locked with a reason: a welder’s save is refused, a lead hand’s is not, and freeing it lets both', async () => {
    const seam = await saved();
    const lock = (version: number, locked: boolean) =>
      lead('put', `${seam.id}/lock`, version).send({ locked, reason: 'approved by the customer' }).expect(200);
    const locked = (await lock(seam.version, true)).body as SeamResource;
    expect(locked.lock).toMatchObject({ reason: 'approved by the customer', by: 'Ilse Brandokor' });
    const longer = { ...corner, spec: { ...corner.spec, lengthMm: 500 } };
    const refused = await put(seam.id, locked.version, longer).expect(409);
    expect(refused.body.detail).toContain('Ilse Brandokor locked Test corner');
    const byLead = await lead('put', seam.id, locked.version).send(longer).expect(200);
    const freed = (await lock(byLead.body.version as number, false)).body as SeamResource;
    expect(freed.lock).toBeNull();
    await put(seam.id, freed.version, corner).expect(200);
    await lead('put', `${seam.id}/lock`, freed.version + 1)
      .send({ locked: true, reason: 'x' })
      .expect(422);
  });

  it('has one issued revision in force for each machine, and every one in the record', async () => {
    const seam = await saved();
    const passed = async (revision: number, machineId: string) => {
      const clean = Object.fromEntries(symptomCodes.map((code) => [code, { answer: 'no' }]));
      const body = { symptoms: clean, measured: { gauge: 'fits' } };
      const sent = { seamId: seam.id, machineId, revision, body };
      const trial = (await test.as().post('/api/trials').send(sent).expect(201)).body as Trial;
      expect(trial.verdict).toBe('pass');
      return trial.id;
    };
    const trials = { 1: { rowan: await passed(1, 'rowan'), hazel: await passed(1, 'hazel') } };
    let second = '';
    const issue = (revision: number, machineId: string) => {
      const evidence = [revision === 2 ? second : machineId === 'hazel' ? trials[1].hazel : trials[1].rowan];
      return lead('post', `${seam.id}/issue`).send({ revision, machineId, reason: 'three passed', evidence });
    };
    await lead('post', `${seam.id}/issue`)
      .send({ revision: 1, machineId: 'rowan', reason: 'three passed', evidence: [] })
      .expect(422);
    await lead('post', `${seam.id}/issue`)
      .send({ revision: 1, machineId: 'rowan', reason: 'three passed', evidence: [trials[1].hazel] })
      .expect(422);
    const unwritten = await issue(1, 'rowan').expect(422);
    expect(unwritten.body.issues[0]).toMatchObject({ path: 'limits', code: 'limits-not-written' });
    const { limits } = (await test.as().get(`/api/trials/${trials[1].rowan}`).expect(200)).body as Trial;
    const at = (await test.as().get(`/api/seams/${seam.id}`)).body as SeamResource;
    await lead('put', `${seam.id}/limits`, at.version).send({ limits }).expect(200);
    await issue(1, 'rowan').expect(201);
    const longer = { ...corner, spec: { ...corner.spec, lengthMm: 500 } };
    const now = (await test.as().get(`/api/seams/${seam.id}`)).body as SeamResource;
    await put(seam.id, now.version, longer).expect(200);
    second = await passed(2, 'rowan');
    await issue(2, 'rowan').expect(201);
    const last = await issue(1, 'hazel').expect(201);
    expect((last.body as SeamResource).issued.map(({ machineId, revision }) => [machineId, revision])).toEqual([
      ['rowan', 2],
      ['hazel', 1],
    ]);
    const { body } = await test.as().get(`/api/observations?kind=issue&seam=${seam.id}`).expect(200);
    expect(body.items).toHaveLength(3);
    await issue(7, 'rowan').expect(422);
    await issue(1, 'nowhere').expect(404);
  });
});
