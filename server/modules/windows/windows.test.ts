import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { SeamResource } from '@fox-tempo/contract';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const id = 'axle-plate-to-tube';
const seam = async () => (await test.as().get(`/api/seams/${id}`).expect(200)).body as SeamResource;

async function write(window: unknown, status: number, person: 'ilse-brandokor' | 'teo-varnholt' = 'ilse-brandokor') {
  const { version } = await seam();
  return test
    .as(person)
    .put(`/api/seams/${id}/window`)
    .set('If-Match', `"${version}"`)
    .send({ machineId: 'rowan', revision: 1, window, reason: 'tried on coupons' })
    .expect(status);
}

describe('a window', () => {
  it('that fails at a corner is refused, with why and what would hold; that is then taken', async () => {
    const program = (await seam()).revision?.program;
    if (!program) throw new Error('the seam has no setting');
    const { wireFeedMPerMin: feed, trimMm: trim } = program;
    const wide = { wireFeedMPerMin: [0.9 * feed, 1.1 * feed], trimMm: [trim - 1.2, trim + 1] };
    const refused = await write(wide, 422);
    const [issue] = (refused.body as { issues: { code: string; limit: number[] }[] }).issues;
    expect(issue?.code).toBe('window-does-not-hold');
    const [feedLow, feedHigh, trimLow, trimHigh] = issue?.limit ?? [];
    const holds = { wireFeedMPerMin: [feedLow, feedHigh], trimMm: [trimLow, trimHigh] };
    const written = (await write(holds, 200)).body as SeamResource;
    expect(written.windows).toMatchObject([{ machineId: 'rowan', revision: 1, window: holds, by: 'Ilse Brandokor' }]);
    // The welder stays inside it; a lead hand may go beyond.
    const { spec, choice } = written;
    const save = async (person: 'ilse-brandokor' | 'teo-varnholt', wireFeedMPerMin: number) =>
      test
        .as(person)
        .put(`/api/seams/${id}`)
        .set('If-Match', `"${(await seam()).version}"`)
        .send({ spec, choice: { ...choice, wireFeedMPerMin } });
    const beyond = await save('teo-varnholt', 1.3 * feed);
    expect(beyond.status).toBe(409);
    expect((beyond.body as { detail: string }).detail).toContain('written by Ilse Brandokor');
    expect((await save('teo-varnholt', 1.02 * feed)).status).toBe(200);
    expect((await save('ilse-brandokor', 1.15 * feed)).status).toBe(200);
    expect(((await write(null, 200)).body as SeamResource).windows).toEqual([]);
  }, 60_000);

  it('is a lead hand’s to write, moves something, and holds the set point', async () => {
    await write({ trimMm: [-1, 1] }, 403, 'teo-varnholt');
    await write({}, 422);
    await write({ trimMm: [5, 6] }, 422);
  });
});
