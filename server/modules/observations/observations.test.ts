import { createHash, randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { effective } from '@fox-tempo/core/evidence/record';
import { type Observation } from '@fox-tempo/contract';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const stop = { left: 'too-long', shape: 'sharp', burnBackMs: 60 };
const observe = (body: object, key: string = randomUUID()) =>
  test.as('teo-varnholt').post('/api/observations').set('idempotency-key', key).send(body);
const list = async (query: string) =>
  (await test.as().get(`/api/observations?${query}`).expect(200)).body as { items: Observation[]; next: string | null };

describe('observations', () => {
  it('carry the client’s id, who is signed in, the server’s time and the revision’s hash', async () => {
    const id = randomUUID();
    const made = await observe(
      {
        kind: 'burn-back-stop',
        body: stop,
        seamId: 'counter-corner',
        machineId: 'hazel',
        weldedBy: 'ilse-brandokor',
        deviceAt: '2026-01-02T03:04:05.000Z',
      },
      id,
    ).expect(201);
    const row = made.body as Observation;
    expect(row).toMatchObject({ id, recordedBy: 'Teo Varnholt', weldedBy: 'Ilse Brandokor', revision: 1, body: stop });
    expect(row.contentHash).toMatch(/^[0-9a-f]{64}$/);
    expect(Math.abs(Date.parse(row.at) - Date.now())).toBeLessThan(60_000);
    expect(row.deviceAt).toBe('2026-01-02T03:04:05.000Z');
    expect(
      (
        await observe(
          {
            kind: 'burn-back-stop',
            body: stop,
            seamId: 'counter-corner',
            machineId: 'hazel',
            weldedBy: 'ilse-brandokor',
            deviceAt: '2026-01-02T03:04:05.000Z',
          },
          id,
        )
      ).body,
    ).toEqual(row);
    expect((await list('kind=burn-back-stop&seam=counter-corner')).items).toHaveLength(1);
  });

  it('are never changed nor removed, not even by the application’s own role', async () => {
    for (const sql of [
      `update observations set body = '{}'`,
      'delete from observations',
      'delete from stock_movements',
      'update order_counts set count = 0',
      'delete from slot_entries',
      `update program_revisions set created_by = 'teo-varnholt'`,
    ])
      await expect(test.connection.pool.query(sql)).rejects.toThrow(/never changed nor removed/);
  });

  it('are corrected and taken back by further rows', async () => {
    const add = async (body: object) =>
      (await observe({ seamId: 'sink-flange-lap', machineId: 'hazel', ...body }).expect(201)).body as Observation;
    const first = await add({ kind: 'burn-back-stop', body: stop });
    const second = await add({ kind: 'burn-back-stop', body: { ...stop, left: 'right' } });
    const corrected = await add({ kind: 'burn-back-stop', body: { ...stop, burnBackMs: 75 }, corrects: first.id });
    // What was taken back is named by its first row or any later one.
    await observe({ kind: 'withdrawal', body: { why: 'another gun' }, corrects: second.id }).expect(201);
    const { items } = await list('kind=burn-back-stop&seam=sink-flange-lap');
    expect(items).toHaveLength(4);
    expect(effective(items)).toEqual([corrected]);
  });

  it.each([
    ['an unknown machine', { kind: 'note', body: { text: 'x' }, machineId: 'nowhere' }, 404],
    ['an unknown welder', { kind: 'note', body: { text: 'x' }, weldedBy: 'nobody' }, 422],
    ['a correction of nothing', { kind: 'note', body: { text: 'x' }, corrects: randomUUID() }, 422],
    [
      'a file that was not sent',
      { kind: 'note', body: { text: 'x' }, attachments: [{ sha256: 'a'.repeat(64), name: 'a.png' }] },
      422,
    ],
    ['an act that is no record of a person', { kind: 'parts-done', body: { count: 5 } }, 422],
    ['a body of another kind', { kind: 'lead-reading', body: stop }, 422],
    ['an author of one’s own choosing', { kind: 'note', body: { text: 'x' }, recordedBy: 'ilse-brandokor' }, 422],
  ])('refuse %s', async (_name, body, status) => {
    await observe(body).expect(status);
  });

  it('come page by page, the newest first, each once', async () => {
    for (let at = 0; at < 7; at++) await observe({ kind: 'note', body: { text: `note ${at}` } }).expect(201);
    const seen: string[] = [];
    for (let cursor: string | null = ''; cursor !== null;) {
      const page = await list(`kind=note&limit=3${cursor === '' ? '' : `&cursor=${cursor}`}`);
      seen.push(...page.items.filter((row) => row.kind === 'note').map((row) => String(row.body['text'])));
      cursor = page.next;
    }
    expect(seen).toEqual(['note 6', 'note 5', 'note 4', 'note 3', 'note 2', 'note 1', 'note 0']);
  });
});

describe('attached files', () => {
  const png = Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), Buffer.alloc(5000, 7)]);
  const send = (bytes: Buffer, type: string) =>
    test.as('teo-varnholt').post('/api/blobs').set('content-type', type).send(bytes);

  it('are kept by their hash, once, and come back as they were', async () => {
    const { body } = await send(png, 'image/png').expect(201);
    expect(body).toEqual({
      sha256: createHash('sha256').update(png).digest('hex'),
      mediaType: 'image/png',
      size: png.length,
    });
    await send(png, 'image/png').expect(201);
    const back = await test.as().get(`/api/blobs/${body.sha256}`).buffer(true).expect(200);
    expect(back.headers['content-security-policy']).toContain("default-src 'none'");
    expect(Buffer.compare(back.body as Buffer, png)).toBe(0);
    const made = await observe({
      kind: 'note',
      body: { text: 'bead' },
      attachments: [{ sha256: body.sha256, name: 'bead.png' }],
    }).expect(201);
    expect(made.body.attachments).toEqual([
      { sha256: body.sha256, name: 'bead.png', mediaType: 'image/png', size: png.length },
    ]);
  });

  it.each([
    ['of another type', Buffer.from('<svg/>'), 'image/svg+xml', 415],
    ['that are not what they say', Buffer.from('hello'), 'image/png', 415],
    ['that are empty', Buffer.alloc(0), 'image/png', 400],
    ['that are too large', Buffer.alloc(12 * 1024 * 1024 + 1, 1), 'image/png', 413],
  ])('%s are refused', async (_name, bytes, type, status) => {
    await send(bytes, type).expect(status);
  });
});
