import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import type { SessionState } from '@fox-tempo/contract';
import { people as demoPeople } from '../../db/demo/shop.ts';
import { openTestApp } from '../../testing/test-app.ts';
import { waitAfter } from './pin.ts';
import { renewOwnerCode } from './service.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp({ limits: { perMinute: 10_000, signInsPerMinute: 10_000 } });
});
afterAll(() => test.close());

const pinOf = (id: string) => demoPeople.find((person) => person.id === id)!.pin;
const signIn = (personId: string, pin: string, agent = request.agent(test.app)) =>
  agent.post('/api/session').send({ personId, pin });

describe('signing in', () => {
  it('works by name and PIN, and every answer says who is here', async () => {
    const agent = request.agent(test.app);
    const before = (await agent.get('/api/session').expect(200)).body as SessionState;
    expect(before).toMatchObject({ me: null, shop: { name: 'Marrowby Cartworks', demo: true }, needsOwner: false });
    expect(before.people.map((person) => person.role).sort()).toEqual([
      'lead',
      'office',
      'owner',
      'welder',
      'welder',
      'welder',
      'welder',
    ]);
    expect(JSON.stringify(before)).not.toMatch(/argon|pinHash/);
    const { body, headers } = await signIn('teo-varnholt', pinOf('teo-varnholt'), agent).expect(200);
    expect(body.me).toEqual({
      id: 'teo-varnholt',
      name: 'Teo Varnholt',
      role: 'welder',
      ticket: expect.stringMatching(/^teo-varnholt\.\d+\./),
      wrongTries: null,
      preferences: { language: null, units: null, theme: null, hand: null },
    });
    const cookies = headers['set-cookie'] as unknown as string[];
    expect(cookies.find((one) => one.startsWith('tempo='))).toMatch(/HttpOnly.*SameSite=Strict/);
    expect(cookies.find((one) => one.startsWith('tempo-device='))).toMatch(/HttpOnly.*SameSite=Strict/);
    await agent.get('/api/seams').expect(200);
    await agent.delete('/api/session').expect(200);
    await agent.get('/api/seams').expect(401);
  });

  it('keeps how a person reads, and refuses what there is not', async () => {
    const agent = request.agent(test.app);
    await signIn('teo-varnholt', pinOf('teo-varnholt'), agent).expect(200);
    const reads = { language: 'pl', units: 'us', theme: 'night', hand: 'left' };
    const saved = (await agent.put('/api/session/preferences').send(reads).expect(200)).body as SessionState;
    expect(saved.me?.preferences).toEqual(reads);
    // Whoever prints a card for him sees it before they ask.
    expect(saved.people.find(({ id }) => id === 'teo-varnholt')).toMatchObject({ language: 'pl', units: 'us' });
    const again = (await agent.get('/api/session').expect(200)).body as SessionState;
    expect(again.me?.preferences).toEqual(reads);
    const refused = await agent
      .put('/api/session/preferences')
      .send({ ...reads, units: 'stones' })
      .expect(422);
    expect(refused.body.issues[0]).toMatchObject({ path: 'units' });
    await request(test.app).put('/api/session/preferences').send(reads).expect(401);
  });

  it('is refused in the language asked for, with the code beside the sentence', async () => {
    const ask = (query: object, headers: Record<string, string> = {}) =>
      request(test.app).get('/api/seams').query(query).set(headers).expect(401);
    const german = (await ask({ lang: 'de' })).body;
    const polish = (await ask({}, { 'accept-language': 'pl-PL,de;q=0.8' })).body;
    const english = (await ask({ lang: 'xx' })).body;
    expect(german.titleSaid).toEqual(polish.titleSaid);
    expect(new Set([german.title, polish.title, english.title]).size).toBe(3);
    expect(english.title).toBe('Nobody is signed in on this device');
  });

  it('gives a new session each time: one that was planted is worth nothing', async () => {
    const agent = request.agent(test.app);
    const cookieOf = async (id: string) =>
      /tempo=[^;]+/.exec(String((await signIn(id, pinOf(id), agent).expect(200)).headers['set-cookie']))?.[0];
    const first = await cookieOf('teo-varnholt');
    const second = await cookieOf('ilse-brandokor');
    expect(second).not.toBe(first);
    await request(test.app).get('/api/seams').set('cookie', first!).expect(401);
  });

  it('makes wrong tries wait longer and longer, also when many come at once', async () => {
    const many = await Promise.all(Array.from({ length: 12 }, () => signIn('corvin-dellamaar', '0000')));
    const counts = many.reduce<Record<number, number>>(
      (sum, { status }) => ({ ...sum, [status]: (sum[status] ?? 0) + 1 }),
      {},
    );
    // Five are looked at, the others have to wait.
    expect(counts).toEqual({ 401: 5, 429: 7 });
    // The right PIN has to wait as well, or the wait would tell it apart.
    const right = await signIn('corvin-dellamaar', pinOf('corvin-dellamaar')).expect(429);
    expect(right.body.waitS).toBeGreaterThan(0);
    expect(Number(right.headers['retry-after'])).toBe(right.body.waitS);
    await test.connection.pool.query(
      `update pin_tries set wait_until = now() - interval '1 s' where person_id = 'corvin-dellamaar'`,
    );
    await signIn('corvin-dellamaar', pinOf('corvin-dellamaar')).expect(200);
    expect([4, 5, 6, 9, 40].map(waitAfter)).toEqual([0, 5, 10, 80, 900]);
  });

  it('says nothing about who exists', async () => {
    const nobody = await signIn('nobody-here', '1234').expect(401);
    const wrong = await signIn('mirja-keskalo', '0000').expect(401);
    expect(nobody.body).toEqual(wrong.body);
  });

  it('changes one’s own PIN, and ends the other sessions of that person', async () => {
    const [here, elsewhere] = [request.agent(test.app), request.agent(test.app)];
    await signIn('mirja-keskalo', pinOf('mirja-keskalo'), here).expect(200);
    await signIn('mirja-keskalo', pinOf('mirja-keskalo'), elsewhere).expect(200);
    await here.put('/api/session/pin').send({ oldPin: '9999', pin: '4711' }).expect(401);
    await here
      .put('/api/session/pin')
      .send({ oldPin: pinOf('mirja-keskalo'), pin: '471188' })
      .expect(200);
    await here.get('/api/seams').expect(200);
    await elsewhere.get('/api/seams').expect(401);
    await signIn('mirja-keskalo', '471188').expect(200);
  });
});

describe('the gate', () => {
  const write = (headers: Record<string, string>) =>
    request(test.app).post('/api/session').set(headers).send({ personId: 'teo-varnholt', pin: '0' });

  it('refuses writes from other pages', async () => {
    const foreign: Record<string, string>[] = [
      { origin: 'https://elsewhere.example' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
    ];
    for (const headers of foreign) {
      const { status, body } = await write(headers);
      expect([status, body.type]).toEqual([403, '/problems/cross-site']);
    }
  });

  it('answers under its own names only', async () => {
    const { status, body } = await request(test.app).get('/api/health').set('host', 'rebound.example:4180');
    expect([status, body.type]).toEqual([421, '/problems/wrong-host']);
    await request(test.app).get('/api/health').set('host', 'localhost:4180').expect(200);
  });

  it('holds more tries than a person makes', async () => {
    const strict = await openTestApp({
      url: test.url,
      seeded: false,
      limits: { perMinute: 1000, signInsPerMinute: 3 },
    });
    const tries = [];
    for (let at = 0; at < 5; at++)
      tries.push((await request(strict.app).post('/api/session').send({ personId: 'x', pin: '1111' })).status);
    expect(tries).toEqual([401, 401, 401, 429, 429]);
    await strict.close();
  });
});

describe('a shop without people', () => {
  it('gets its owner by the one-time code, once', async () => {
    const fresh = await openTestApp({ seeded: false });
    const code = (await renewOwnerCode(fresh.connection.db))!;
    expect(code).toMatch(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/);
    const state = (await request(fresh.app).get('/api/session')).body as SessionState;
    expect(state).toMatchObject({ needsOwner: true, people: [], shop: { demo: false } });
    const make = (body: object) => request.agent(fresh.app).post('/api/session/owner').send(body);
    await make({ code: 'AAAA-BBBB-CCCC', name: 'Odd Guess', pin: '1937' }).expect(401);
    const made = await make({ code: code.toLowerCase(), name: 'Runa Feldhar', pin: '70711' }).expect(201);
    expect(made.body.me).toMatchObject({ name: 'Runa Feldhar', role: 'owner' });
    await make({ code, name: 'Second One', pin: '1937' }).expect(403);
    expect(await renewOwnerCode(fresh.connection.db)).toBeUndefined();
    // No demo shop, no visitors.
    const id = (made.body as SessionState).people[0]!.id;
    await request(fresh.app).post('/api/session/demo').send({ personId: id }).expect(403);
    await fresh.close();
  });
});
