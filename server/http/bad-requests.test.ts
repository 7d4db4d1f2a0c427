/** What no client of ours would send: the client's fault is never a 500, and nothing of it shows a stack. */
import { createServer, type Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { medlar } from '@fox-tempo/core/scenarios';
import { openTestApp } from '../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
let server: Server;
beforeAll(async () => {
  test = await openTestApp();
  server = createServer(test.app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
});
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  await test.close();
});

/** Sends bytes as they are and gives the status, or 0 where the server just hung up. */
function raw(head: string, body: Buffer | string = '', hangsUp = false): Promise<number> {
  return new Promise((resolve) => {
    const socket = connect((server.address() as AddressInfo).port, '127.0.0.1');
    let said = '';
    socket.on('data', (chunk) => (said += chunk.toString('latin1')));
    socket.on('close', () => resolve(Number(said.split(' ')[1] ?? 0)));
    socket.on('error', () => resolve(Number(said.split(' ')[1] ?? 0)));
    socket.write(head.replaceAll('\n', '\r\n'));
    socket.write(body);
    if (hangsUp) socket.end();
  });
}
const post = (more: string, length: number) =>
  `POST /api/compute/melt HTTP/1.1\nHost: 127.0.0.1\nConnection: close\nCookie: ${test.cookie()}\nContent-Type: application/json\nContent-Length: ${length}\n${more}\n`;

describe('bodies', () => {
  it.each([
    ['compressed and corrupt', 'Content-Encoding: gzip\n', Buffer.from('nogzip!'), 400],
    ['compressed and cut off', 'Content-Encoding: gzip\n', gzipSync('{"a":1}').subarray(0, 12), 400],
    ['in an encoding nobody knows', 'Content-Encoding: zz\n', Buffer.from('{}'), 415],
    ['with half a surrogate pair', '', Buffer.from('{"filler":"\\ud800"}'), 422],
    ['with a NUL in the text', '', Buffer.from('{"filler":"a\\u0000b"}'), 422],
    ['with a NUL in a name', '', Buffer.from('{"a\\u0000b":1}'), 422],
    ['of 50 000 lists in one another', '', Buffer.from(`{"a":${'['.repeat(50_000)}${']'.repeat(50_000)}}`), 422],
    ['that are no object', '', Buffer.from('7'), 422],
    ['that are bytes', '', Buffer.from([0xff, 0xfe, 0x00]), 400],
  ])('%s are refused', async (_name, more, body, status) => {
    expect(await raw(post(more, body.length), body)).toBe(status);
  });

  it('that are cut off end without an answer or with a refusal, and the next request is served', async () => {
    expect(await raw(post('', 5000), '{"filler":', true)).toBeLessThan(500);
    await test.as().get('/api/orders').expect(200);
  });
});

describe('addresses', () => {
  const get = (path: string, more = '') =>
    raw(`GET ${path} HTTP/1.1\nHost: 127.0.0.1\nConnection: close\nCookie: ${test.cookie()}\n${more}\n`);

  it.each([
    ['no UTF-8', '/api/seams/%ff', 400],
    ['a NUL in an id', '/api/seams/a%00b', 400],
    ['a NUL in a question', '/api/observations?kind=a%00b', 400],
    ['a climb', '/assets/..%2f..%2fpackage.json', 404],
    ['a forged cursor of words', `/api/orders?cursor=${Buffer.from('["soon","x"]').toString('base64url')}`, 422],
    [
      'a forged cursor of numbers',
      `/api/observations?cursor=${Buffer.from('["1e99","x"]').toString('base64url')}`,
      422,
    ],
    ['a forged time', `/api/seams?cursor=${Buffer.from('["yesterday at noon","x"]').toString('base64url')}`, 422],
    ['a list where a word belongs', '/api/observations?kind[a]=1&kind=2&kind=3', 422],
  ])('with %s are refused', async (_name, path, status) => {
    expect(await get(path)).toBe(status);
  });

  it('with a header of many kilobytes, or without a host, are refused by Node itself', async () => {
    expect(await get('/api/health', `X-Long: ${'a'.repeat(20_000)}\n`)).toBe(431);
    expect(await raw('GET /api/health HTTP/1.1\nConnection: close\n\n')).toBe(400);
  });
});

describe('machine files', () => {
  const file = { format: 'fox-tempo/machine', version: 2, ...medlar };
  const add = (value: unknown) => test.as().post('/api/machines').send({ file: value });

  it.each([[{ toString: 5 }], [[]], ['two'], [1.5], [-1], [null]])(
    'of version %j are refused by it',
    async (version) => {
      const { status, body } = await add({ ...file, version });
      expect([status, body.issues[0].path]).toEqual([422, 'version']);
    },
  );

  it('of one name, two at once: one comes in, the other hears that the name is taken', async () => {
    const answers = await Promise.all([1, 2, 3].map(() => add({ ...file, name: 'Twin' })));
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 422, 422]);
    const refused = answers.find((answer) => answer.status === 422);
    expect(refused?.body.issues[0]).toMatchObject({ path: 'file.name', code: 'name-taken' });
  });

  it('that pass no more are shown as such, and break no list', async () => {
    const made = await add({ ...file, name: 'Worn out' }).expect(201);
    const { id } = made.body as { id: string };
    await test.connection.pool.query(
      `update machines set file = jsonb_set(file, '{dials,0,scale}', '{"kind":"linear"}'), version = version + 1 where id = $1`,
      [id],
    );
    const { body } = await test.as().get('/api/machines').expect(200);
    const worn = (
      body.items as { id: string; trouble: unknown[] | null; file: { name: string; dials: unknown[] } }[]
    ).find((machine) => machine.id === id);
    expect(worn).toMatchObject({ file: { name: 'Worn out', dials: [] } });
    expect(worn?.trouble?.length).toBeGreaterThan(0);
    const mended = await test
      .as()
      .put(`/api/machines/${id}`)
      .set('if-match', '"2"')
      .send({ file: { ...file, name: 'Worn out' } })
      .expect(200);
    expect(mended.body.trouble).toBeNull();
  });
});
