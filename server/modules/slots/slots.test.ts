import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { SlotEntry } from '@fox-tempo/contract';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const map = async (machine: string) =>
  (await test.as().get(`/api/machines/${machine}/slots`).expect(200)).body.items as SlotEntry[];
const post = (path: string, body: object) => test.as('teo-varnholt').post(`/api/machines/${path}`).send(body);

describe('memory slots', () => {
  it('show what stands in each, the newest of every slot', async () => {
    const rowan = await map('rowan');
    expect(rowan.map((entry) => entry.slot)).toEqual([3, 4, 7]);
    expect(rowan[0]).toMatchObject({
      seamName: 'Axle plate to tube',
      note: 'passed, drawn back two steps',
      revision: 1,
    });
  });

  it('keep what is stored over, for ever', async () => {
    const [before] = (await map('rowan')).filter((entry) => entry.slot === 3);
    const stored = await post('rowan/slots/3', {
      seamId: 'frame-corner-butt',
      note: 'moved here',
      replaces: before!.id,
    }).expect(201);
    expect(stored.body).toMatchObject({ slot: 3, seamName: 'Frame corner, mitred', storedBy: 'Teo Varnholt' });
    const { body } = await test.as().get('/api/machines/rowan/slots/3').expect(200);
    expect(body.items).toHaveLength(3);
    expect(body.items[1]).toEqual(before);
    // The dials stored are the card's: physics said in this machine's words.
    expect(stored.body.dials['wire-feed']).toBeCloseTo(stored.body.program.wireFeedMPerMin, 1);
  });

  it('let nobody overwrite what they have not seen', async () => {
    const refused = await post('rowan/slots/4', { seamId: 'axle-plate-to-tube', note: '', replaces: null }).expect(412);
    expect(refused.body.current).toMatchObject({ slot: 4, seamName: 'Frame corner, mitred' });
    const answers = await Promise.all(
      [1, 2, 3, 4].map(() => post('rowan/slots/9', { seamId: 'axle-plate-to-tube', note: '', replaces: null })),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 412, 412, 412]);
  });

  it('take no setting that the machine has no line for, and say which line is missing', async () => {
    const { body } = await post('hazel/slots/5', { seamId: 'trike-box-floor', note: '', replaces: null }).expect(422);
    expect(body.issues).toMatchObject([{ path: 'seamId', code: 'cannot-weld', got: 'trike-box-floor' }]);
    expect(body.issues[0].message).toMatch(/Hazel/);
    expect((await map('hazel')).some(({ slot }) => slot === 5)).toBe(false);
  });

  it('keep what was found apart from what is meant', async () => {
    const [entry] = (await map('hazel')).filter((one) => one.slot === 2);
    const found = { ...entry!.dials, trim: 5 };
    await post('hazel/slots/2/found', { entryId: entry!.id, dials: found }).expect(200);
    const [after] = (await map('hazel')).filter((one) => one.slot === 2);
    expect(after!.dials).toEqual(entry!.dials);
    expect(after!.found).toMatchObject({ dials: found, foundBy: 'Teo Varnholt' });
    await post('hazel/slots/2/found', { entryId: entry!.id, dials: { warmth: 1 } }).expect(422);
    await post('hazel/slots/5/found', { entryId: 1, dials: {} }).expect(404);
    // Beside another entry than the one that was seen: refused, with what stands there now.
    const stale = await post('hazel/slots/2/found', { entryId: entry!.id - 1, dials: found }).expect(412);
    expect(stale.body.current).toMatchObject({ id: entry!.id });
  });

  it.each([
    ['a slot the machine has not', 'hazel/slots/6', { seamId: 'counter-corner', note: '', replaces: null }, 422],
    ['a seam without a setting', 'hazel/slots/1', { seamId: 'canopy-post-edge', note: '', replaces: null }, 422],
    ['an unknown seam', 'hazel/slots/1', { seamId: 'nowhere', note: '', replaces: null }, 404],
    ['an unknown machine', 'nowhere/slots/1', { seamId: 'counter-corner', note: '', replaces: null }, 404],
    ['a slot that is no number', 'hazel/slots/one', { seamId: 'counter-corner', note: '', replaces: null }, 404],
  ])('refuse %s', async (_name, path, body, status) => {
    await post(path, body).expect(status);
  });
});
