/** How a machine stands is one answer over the whole record: set-up, ticks, trials, logged welds and slots all tell it. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import type { MachineResource, Observation, Run, SeamResource, ShiftSlot, SlotEntry } from '@fox-tempo/contract';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
let seam: SeamResource;
let card: Record<string, number>;
const lead = 'ilse-brandokor';
const welder = 'teo-varnholt';
const feed = 'wire-feed';

beforeAll(async () => {
  test = await openTestApp();
  seam = await get<SeamResource>('/seams/axle-plate-to-tube');
  const { file } = await rowan();
  const program = seam.revision?.program;
  if (!program) throw new Error('the demo seam has no setting');
  card = Object.fromEntries(cardOf(file, program).dials.map(({ dialId, value }) => [dialId, value]));
});
afterAll(() => test.close());

const get = async <T>(path: string) => (await test.as(lead).get(`/api${path}`).expect(200)).body as T;
const rowan = () => get<MachineResource>('/machines/rowan');
const known = async (id: string) => {
  const { standing } = await rowan();
  return { value: standing?.dials[id], ...standing?.known[id] };
};
const observe = async (body: object, person: typeof lead | typeof welder = welder) =>
  (await test.as(person).post('/api/observations').send(body).expect(201)).body as Observation;
const weld = async (dials?: Record<string, number>) =>
  (
    await test
      .as(welder)
      .post('/api/runs')
      .send({ seamId: seam.id, machineId: 'rowan', revision: seam.revision?.number, body: dials ? { dials } : {} })
      .expect(201)
  ).body as Run;
/** Written down anew by the lead hand: slot 3, every dial as on the card but what is changed. */
async function stands(change: Record<string, number> = {}) {
  const { version, standing } = await rowan();
  const { since: _since, known: _known, ...rest } = standing!;
  await test
    .as(lead)
    .put('/api/machines/rowan/standing')
    .set('if-match', `"${version}"`)
    .send({ ...rest, dials: { ...card, ...change }, slot: 3 })
    .expect(200);
}
beforeEach(() => stands());

describe('how the dials stand', () => {
  it('is what was written down, with from what, by whom and when', async () => {
    await stands({ [feed]: 7.5 });
    expect(await known(feed)).toMatchObject({ value: 7.5, source: 'slot-called', by: 'Ilse Brandokor' });
  });

  it('follows a tick at the machine, and forgets one that was taken back', async () => {
    const { id } = await observe({ kind: 'dials-set', machineId: 'rowan', body: { dials: { [feed]: 6.1 } } });
    expect(await known(feed)).toMatchObject({ value: 6.1, source: 'ticked', by: 'Teo Varnholt' });
    await observe({ kind: 'withdrawal', corrects: id, body: { why: '' } });
    expect(await known(feed)).toMatchObject({ value: card[feed], source: 'slot-called' });
    const foreign = await test
      .as(welder)
      .post('/api/observations')
      .send({ kind: 'dials-set', machineId: 'rowan', body: { dials: { warmth: 3 } } })
      .expect(422);
    expect(foreign.body.issues).toMatchObject([{ path: 'body.dials.warmth', code: 'unknown-dial' }]);
  });

  it('follows the dials of a trial and of a logged weld; a weld that was a slip tells nothing', async () => {
    await test
      .as(welder)
      .post('/api/trials')
      .send({ seamId: seam.id, machineId: 'rowan', body: { dials: { [feed]: 7.3 } } })
      .expect(201);
    expect(await known(feed)).toMatchObject({ value: 7.3, source: 'trial' });
    const run = await weld({ ...card, [feed]: 7.2 });
    expect(await known(feed)).toMatchObject({ value: 7.2, source: 'logged-weld' });
    await test.as(welder).post(`/api/runs/${run.id}/decision`).send({ decision: 'slip', reason: '' }).expect(200);
    expect(await known(feed)).toMatchObject({ value: 7.3, source: 'trial' });
  });

  it('is one answer on the start of the shift and on the machine: what was ticked since drifted there too', async () => {
    const called = async () =>
      (await get<{ slots: ShiftSlot[] }>('/shift')).slots.find(
        ({ machineId, slot }) => machineId === 'rowan' && slot === 3,
      );
    await observe({ kind: 'dials-set', machineId: 'rowan', body: { dials: { [feed]: (card[feed] ?? 0) + 0.4 } } });
    const shift = await called();
    const machine = await rowan();
    expect(shift?.isCalled).toBe(true);
    expect(shift?.found?.dials[feed]).toBe(machine.standing?.dials[feed]);
    expect(shift?.drifted).toContain(feed);
    // Reading another slot says nothing of what stands in front.
    const slots = await get<{ items: SlotEntry[] }>('/machines/rowan/slots');
    const other = slots.items.find(({ slot }) => slot === 4);
    await test
      .as(welder)
      .post('/api/machines/rowan/slots/4/found')
      .send({ entryId: other?.id, dials: { [feed]: 3 } })
      .expect(200);
    expect((await rowan()).standing?.dials[feed]).toBe(machine.standing?.dials[feed]);
  });
});

describe('a weld at the machine', () => {
  it('dialled as on the card and ticked counts, whatever was known before', async () => {
    await stands({ line: 21, [feed]: 3 });
    expect((await weld()).held.map(({ code }) => code)).toContain('chart-line');
    const run = await weld(card);
    expect({ state: run.state, held: run.held }).toEqual({ state: 'counts', held: [] });
  });

  it('with the wrong line is held, also where the machine was known to stand right', async () => {
    const run = await weld({ ...card, line: 21 });
    expect(run.state).toBe('held');
    expect(run.held.map(({ code }) => code)).toContain('chart-line');
    expect(await known('line')).toMatchObject({ value: 21, source: 'logged-weld' });
  });
});

describe('a half-described fourth machine', () => {
  it('changes nothing: it is there, and no seam asks for it', async () => {
    const blank = (await rowan()).file;
    const { body } = await test
      .as(lead)
      .post('/api/machines')
      .send({
        file: { ...blank, name: `Larch ${randomUUID().slice(0, 4)}`, chartLines: [], dials: blank.dials.slice(1, 2) },
      })
      .expect(201);
    const larch = body as MachineResource;
    expect(larch.standing).toBeNull();
    const shift = await get<{ slots: ShiftSlot[] }>('/shift');
    expect(shift.slots.some(({ machineId }) => machineId === larch.id)).toBe(false);
  });
});
