import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import type { Person } from '@fox-tempo/contract';
import { openTestApp, type DemoPerson } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const list = async () => (await test.as('mirja-keskalo').get('/api/people').expect(200)).body.items as Person[];
const of = async (name: string) => (await list()).find((person) => person.name === name)!;
const put = (by: DemoPerson, person: Person, path: string, body: object) =>
  test.as(by).put(`/api/people/${person.id}${path}`).set('if-match', `"${person.version}"`).send(body);

describe('people', () => {
  it('are added by the office, sign in at once, and are signed out when they leave', async () => {
    const added = await test
      .as('corvin-dellamaar')
      .post('/api/people')
      .send({ name: 'Halla Drovik', role: 'welder', pin: '8080' })
      .expect(201);
    const halla = added.body as Person;
    expect(halla).toMatchObject({ name: 'Halla Drovik', role: 'welder', hasPin: true, retired: false });
    const agent = request.agent(test.app);
    await agent.post('/api/session').send({ personId: halla.id, pin: '8080' }).expect(200);
    await agent.get('/api/seams').expect(200);
    const gone = await put('corvin-dellamaar', halla, '', { name: halla.name, role: 'welder', retired: true }).expect(
      200,
    );
    expect(gone.body.retired).toBe(true);
    await agent.get('/api/seams').expect(401);
    await agent.post('/api/session').send({ personId: halla.id, pin: '8080' }).expect(401);
  });

  it('get a new PIN and a new role, each ending what they had open', async () => {
    const teo = await of('Teo Varnholt');
    const agent = request.agent(test.app);
    await agent.post('/api/session').send({ personId: teo.id, pin: '1404' }).expect(200);
    const reset = (await put('corvin-dellamaar', teo, '/pin', { pin: '59155' }).expect(200)).body as Person;
    await agent.get('/api/seams').expect(401);
    await agent.post('/api/session').send({ personId: teo.id, pin: '1404' }).expect(401);
    await agent.post('/api/session').send({ personId: teo.id, pin: '59155' }).expect(200);
    await agent.get('/api/machines/rowan').expect(200);
    await put('mirja-keskalo', reset, '', { name: teo.name, role: 'lead', retired: false }).expect(200);
    await agent.get('/api/seams').expect(401);
    await put('mirja-keskalo', reset, '', { name: teo.name, role: 'welder', retired: false }).expect(412);
  });

  it('who are owners are the owner’s business, and the last one stays', async () => {
    const mirja = await of('Mirja Keskalo');
    await put('corvin-dellamaar', mirja, '/pin', { pin: '2905' }).expect(403);
    await test
      .as('corvin-dellamaar')
      .post('/api/people')
      .send({ name: 'New Owner', role: 'owner', pin: '1937' })
      .expect(403);
    const last = await put('mirja-keskalo', mirja, '', { name: mirja.name, role: 'welder', retired: false }).expect(
      422,
    );
    expect(last.body.issues[0]).toMatchObject({ path: 'role', code: 'last-owner' });
    await test
      .as('mirja-keskalo')
      .post('/api/people')
      .send({ name: 'New Owner', role: 'owner', pin: '1937' })
      .expect(201);
    await put('mirja-keskalo', mirja, '', { name: mirja.name, role: 'lead', retired: false }).expect(200);
  });

  it.each([
    ['a PIN of letters', { name: 'A', role: 'welder', pin: 'abcd' }, 'pin'],
    ['a short PIN', { name: 'A', role: 'welder', pin: '12' }, 'pin'],
    ['a role nobody knows', { name: 'A', role: 'king', pin: '1937' }, 'role'],
    ['no name', { name: ' ', role: 'welder', pin: '1937' }, 'name'],
  ])('with %s are refused at the field', async (_name, body, path) => {
    const { status, body: problem } = await test.as('corvin-dellamaar').post('/api/people').send(body);
    expect([status, problem.issues[0].path]).toEqual([422, path]);
  });
});
