import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { machineWithStanding, type MachineResource } from '@fox-tempo/contract';
import { medlar } from '@fox-tempo/core/scenarios';
import { dayIn } from '@fox-tempo/core/base/calendar';
import { readShop } from '../shop/index.ts';
import { openTestApp } from '../../testing/test-app.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const file = { format: 'fox-tempo/machine', version: 2, ...medlar };
const get = async (id: string) => (await test.as().get(`/api/machines/${id}`).expect(200)).body as MachineResource;
function write(method: 'post' | 'put', path: string, version: number | null, body: object) {
  const call = test.as()[method](`/api/machines${path}`);
  return (version === null ? call : call.set('if-match', `"${version}"`)).send(body);
}

describe('machines', () => {
  it('are described once, and read back as they were written, unknown keys too', async () => {
    const made = await write('post', '', null, { file: { ...file, name: 'Medlar one', paint: 'green' } }).expect(201);
    const machine = made.body as MachineResource;
    expect(made.headers['location']).toBe(`/api/machines/${machine.id}`);
    expect(machineWithStanding.parse(machine)).toBeTruthy();
    expect(await get(machine.id)).toEqual(machine);
    expect(machine.file).toMatchObject({ ...file, name: 'Medlar one', paint: 'green' });
    expect(machine.standing).toBeNull();
  });

  it('of the first version are brought up on the way in', async () => {
    const { beatSchool: _b, displays: _d, triggerModes: _t, slots: _s, feeders: _f, ...old } = file;
    const made = await write('post', '', null, { file: { ...old, name: 'Medlar old', version: 1, dials: [] } }).expect(
      201,
    );
    expect(made.body.file).toMatchObject({ version: 2, beatSchool: null, slots: { count: 0 } });
  });

  it.each([
    ['a version from the future', { ...file, version: 9 }, 'version', 'version-from-the-future'],
    ['another format', { ...file, format: 'fox-tempo/program' }, 'format', 'wrong-format'],
    [
      'a quantity nobody knows',
      { ...file, dials: [{ ...file.dials[1], scale: { ...file.dials[1]!.scale, quantity: 'warmth' } }] },
      'dials.0.scale.quantity',
      'unknown-code',
    ],
    ['no file at all', null, '', 'not-a-file'],
    ['a name that is taken', { ...file, name: 'Rowan' }, 'file.name', 'name-taken'],
  ])('%s is refused with its place', async (_name, bad, path, code) => {
    const refused = await write('post', '', null, { file: bad }).expect(422);
    expect(refused.body.issues).toContainEqual(expect.objectContaining({ path, code }));
  });

  it('keep a stale writer out, with both states', async () => {
    const rowan = await get('rowan');
    await write('put', '/rowan', rowan.version, { file: { ...rowan.file, place: 'bay 9' } }).expect(200);
    const stale = await write('put', '/rowan', rowan.version, { file: rowan.file }).expect(412);
    expect(stale.body).toMatchObject({ type: '/problems/stale-version', current: { file: { place: 'bay 9' } } });
    await write('put', '/rowan', null, { file: rowan.file }).expect(428);
  });

  it('are retired and brought back without losing anything', async () => {
    const alder = await get('alder');
    const away = (await write('put', '/alder', alder.version, { file: alder.file, retired: true }).expect(200))
      .body as MachineResource;
    expect(away.retired).toBe(true);
    const back = (await write('put', '/alder', away.version, { file: alder.file, retired: false }).expect(200))
      .body as MachineResource;
    expect({ ...back, version: 0, changedAt: '', changedBy: '' }).toEqual({
      ...alder,
      version: 0,
      changedAt: '',
      changedBy: '',
    });
  });

  it('take how they stand, and only what they have', async () => {
    const hazel = await get('hazel');
    const { since: _since, ...standing } = hazel.standing!;
    const saved = await write('put', '/hazel/standing', hazel.version, { ...standing, slot: 4 }).expect(200);
    expect(saved.body.standing).toMatchObject({ slot: 4 });
    expect(Date.parse(saved.body.standing.since)).toBeGreaterThan(Date.parse(hazel.standing!.since));
    const foreign = await write('put', '/hazel/standing', saved.body.version, {
      ...standing,
      feederId: 'left',
      dials: { warmth: 3 },
    }).expect(422);
    expect(foreign.body.issues.map((issue: { code: string }) => issue.code)).toEqual([
      'unknown-feeder',
      'unknown-dial',
    ]);
  });

  it('learn which way a dial runs, with who found it and when', async () => {
    const hazel = await get('hazel');
    const found = await write('post', '/hazel/directions', hazel.version, {
      dialId: 'share',
      result: 'reversed',
      note: 'long cold stretches at 80',
    }).expect(200);
    const dial = (found.body as MachineResource).file.dials.find((one) => one.id === 'share');
    expect(dial).toMatchObject({ senseTested: true, scale: { quantityPerUnit: -1 } });
    expect(dial?.evidence).toEqual([
      {
        result: 'reversed',
        by: 'Ilse Brandokor',
        on: dayIn((await readShop(test.connection.db)).timeZone, new Date()),
        note: 'long cold stretches at 80',
      },
    ]);
    await write('post', '/hazel/directions', found.body.version, {
      dialId: 'recipe',
      result: 'reversed',
      note: '',
    }).expect(422);
  });
});

describe('what is measured at a machine', () => {
  it('lead readings come back in order with who took them', async () => {
    await write('post', '/rowan/lead-readings', null, { mOhm: 15.2, note: 'after cleaning' }).expect(201);
    const { body } = await test.as().get('/api/machines/rowan/lead-readings').expect(200);
    expect(body.items.at(-1)).toMatchObject({ mOhm: 15.2, note: 'after cleaning', by: 'Ilse Brandokor' });
    const times = body.items.map((item: { at: string }) => Date.parse(item.at));
    expect(times).toEqual([...times].sort((a, b) => a - b));
    await write('post', '/rowan/lead-readings', null, { mOhm: 900, note: '' }).expect(422);
    await test.as().get('/api/machines/nowhere/lead-readings').expect(404);
  });

  it('step times become the shop’s own minutes: the median of the last five', async () => {
    for (const minutes of [30, 10, 12, 11, 40, 13]) {
      await write('post', '/hazel/step-times', null, { kind: 'liner', minutes }).expect(201);
    }
    const { body } = await test.as().get('/api/machines/hazel/step-times').expect(200);
    // The first, 30, has dropped out: 10, 12, 11, 40, 13.
    expect(body.minutes).toMatchObject({ liner: 12, wire: 5 });
    await write('post', '/hazel/step-times', null, { kind: 'tea', minutes: 5 }).expect(422);
  });

  it('stands beside the machine, the newest of each wire, and goes when it is withdrawn', async () => {
    const observe = async (kind: string, body: object, corrects?: string) => {
      const call = test.as().post('/api/observations').set('idempotency-key', randomUUID());
      return (await call.send({ kind, machineId: 'hazel', body, corrects }).expect(201)).body as { id: string };
    };
    const steel = { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1, ctwdMm: 15 };
    const pair = (meanCurrentA: number) => [
      { wireFeedMPerMin: 6, meanCurrentA, voltageV: null },
      { wireFeedMPerMin: 9, meanCurrentA: 1.3 * meanCurrentA, voltageV: null },
    ];
    await observe('calibration-points', { ...steel, points: pair(150) });
    const later = await observe('calibration-points', { ...steel, points: pair(140) });
    await observe('calibration-points', { ...steel, gas: 'C1', points: pair(160) });

    const stands = async () => (await get('hazel')).calibrations ?? [];
    expect((await stands()).map(({ gas, points, by }) => [gas, points[0]?.meanCurrentA, by])).toEqual([
      ['M21-ArC-18', 140, 'Ilse Brandokor'],
      ['C1', 160, 'Ilse Brandokor'],
    ]);
    // What was read becomes the constants that card, bench and map compute with.
    const asIs = asStands(await get('hazel')).corrections;
    expect(asIs).toHaveLength(2);
    expect(asIs[0]).toMatchObject({ filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1 });

    await observe('withdrawal', { why: 'read off another panel' }, later.id);
    expect((await stands()).map(({ points }) => points[0]?.meanCurrentA)).toEqual([150, 160]);
  });
});
