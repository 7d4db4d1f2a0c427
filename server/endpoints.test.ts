/** Every endpoint: without a session, with each role, with bad bodies, stale versions and a repeated key. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  endpointNames,
  endpointOf,
  mayCall,
  needsKey,
  needsVersion,
  pathOf,
  roles,
  rolesOf,
  type EndpointName,
  type Role,
} from '@fox-tempo/contract';
import request from 'supertest';
import { openTestApp, personOf, type DemoPerson } from './testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp({ limits: { perMinute: 100_000, signInsPerMinute: 100_000 } });
});
afterAll(() => test.close());

/** Parameters under which an endpoint leads to something that is there. */
const params = { id: 'axle-plate-to-tube', slot: '3', verb: 'melt', sha256: '0'.repeat(64), language: 'de' };
function idFor(path: string): string {
  if (path.startsWith('/machines')) return 'rowan';
  if (path.startsWith('/orders')) return 'order-2041';
  if (path.startsWith('/parts')) return 'canopy-rail';
  if (path.startsWith('/people')) return 'teo-varnholt';
  if (path.startsWith('/stock/cylinders')) return 'mix-1';
  if (path.startsWith('/stock/spools')) return 'steel-10-a';
  return params.id;
}
const address = (name: EndpointName) =>
  `/api${pathOf(endpointOf(name), { ...params, id: idFor(endpointOf(name).path) })}`;

interface Asked {
  readonly body?: object;
  readonly key?: string;
  readonly version?: number;
}

function callEndpoint(
  name: EndpointName,
  role: Role | null,
  { body = {}, key = randomUUID(), version = 999 }: Asked = {},
) {
  const endpoint = endpointOf(name);
  const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
  const call = request(test.app)[method](address(name));
  if (role !== null) call.set('cookie', test.cookie(personOf[role]));
  if (needsVersion(endpoint)) call.set('if-match', `"${version}"`);
  if (needsKey(endpoint)) call.set('idempotency-key', key);
  return endpoint.body ? call.send(body) : call;
}

/** Those that act on nothing but the session itself. */
const ownEndpoints: readonly EndpointName[] = [
  'signIn',
  'demoSignIn',
  'makeOwner',
  'signOut',
  'changePin',
  'backup',
  'jobEvents',
];

describe('every endpoint', () => {
  it('is closed without a session unless it is for anyone, and the table says which', async () => {
    const table: string[] = [];
    for (const name of endpointNames) {
      const endpoint = endpointOf(name);
      const { status } = await callEndpoint(name, null);
      const who = rolesOf(endpoint)?.join(', ') ?? 'anyone';
      table.push(`${endpoint.method.padEnd(6)} ${endpoint.path.padEnd(34)} ${who.padEnd(28)} stranger: ${status}`);
      if (endpoint.act === 'anyone') expect([name, status]).not.toEqual([name, 401]);
      else expect([name, status]).toEqual([name, 401]);
    }
    // The walk prints its table: what is open to whom stands in the log of every run.
    process.stdout.write(`\n${table.join('\n')}\n`);
    const open = endpointNames.filter((name) => endpointOf(name).act === 'anyone');
    expect(open).toEqual([
      'health',
      'ready',
      'metrics',
      'openapi',
      'docs',
      'session',
      'signIn',
      'demoSignIn',
      'makeOwner',
      'signOut',
      'wordReviews',
    ]);
  });

  it.each(roles)('obeys the table for a %s', async (role) => {
    for (const name of endpointNames.filter((one) => !ownEndpoints.includes(one))) {
      const { status, body } = await callEndpoint(name, role);
      const refused = status === 403 && (body as { type?: string }).type === '/problems/not-allowed';
      expect([name, refused]).toEqual([name, !mayCall(endpointOf(name), role)]);
      expect([name, status]).not.toEqual([name, 401]);
      expect([name, status >= 500]).toEqual([name, false]);
    }
  });

  it('that takes a body refuses a bad one with the field', async () => {
    const bodied = endpointNames.filter(
      (name) => endpointOf(name).body && name !== 'compute' && !ownEndpoints.includes(name),
    );
    for (const name of bodied) {
      const { status, body } = await callEndpoint(name, 'owner', { body: { nonsense: 1 } });
      expect([name, status]).toEqual([name, 422]);
      expect((body as { issues: { path: string }[] }).issues.length).toBeGreaterThan(0);
    }
  });

  it('that changes something says which version it wants', async () => {
    for (const name of endpointNames.filter((one) => needsVersion(endpointOf(one)))) {
      const endpoint = endpointOf(name);
      const method = endpoint.method.toLowerCase() as 'put' | 'post' | 'delete';
      const headers = { cookie: test.cookie('mirja-keskalo'), 'idempotency-key': randomUUID() };
      const call = request(test.app)[method](address(name)).set(headers);
      const { status } = await (endpoint.body ? call.send({}) : call);
      expect([name, status]).toEqual([name, 428]);
    }
  });

  it('that adds something wants a key', async () => {
    for (const name of endpointNames.filter((one) => needsKey(endpointOf(one)))) {
      const { status, body } = await callEndpoint(name, 'owner', { key: 'no-uuid' });
      expect([name, status, (body as { type: string }).type]).toEqual([name, 428, '/problems/key-missing']);
    }
  });

  it('answers other methods with those it takes', async () => {
    const { status, headers } = await request(test.app).patch('/api/seams').set('cookie', test.cookie());
    expect([status, headers['allow']]).toEqual([405, 'GET, POST']);
  });
});

describe('a repeated key', () => {
  const part = { name: 'Delivery cage', about: '' };
  const add = (key: string, body: object, person: DemoPerson = 'ilse-brandokor') =>
    test.as(person).post('/api/parts').set('idempotency-key', key).send(body);

  it('does the write once and gives the same answer', async () => {
    const key = randomUUID();
    const first = await add(key, part).expect(201);
    const again = await add(key, part).expect(201);
    expect(again.body).toEqual(first.body);
    const { body } = await test.as().get('/api/parts').expect(200);
    expect(body.items.filter((one: { name: string }) => one.name === part.name)).toHaveLength(1);
  });

  it('is one write however many come at once', async () => {
    const key = randomUUID();
    const answers = await Promise.all([1, 2, 3, 4, 5].map(() => add(key, { name: 'Tow bar', about: '' })));
    expect(answers.map((answer) => answer.status)).toEqual([201, 201, 201, 201, 201]);
    expect(new Set(answers.map((answer) => (answer.body as { id: string }).id)).size).toBe(1);
  });

  it('for another write, or by another person, is refused', async () => {
    const key = randomUUID();
    await add(key, { name: 'Roof rack', about: '' }).expect(201);
    const other = await add(key, { name: 'Roof rack two', about: '' }).expect(422);
    expect(other.body.type).toBe('/problems/key-reused');
    await add(key, { name: 'Roof rack', about: '' }, 'mirja-keskalo').expect(422);
  });

  it('of a write that failed may be used again', async () => {
    const key = randomUUID();
    await add(key, { name: 'Canopy rail', about: '' }).expect(422);
    await add(key, { name: 'Canopy rail, short', about: '' }).expect(201);
  });
});
