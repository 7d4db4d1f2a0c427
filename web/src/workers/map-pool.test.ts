import type { Program } from '@fox-tempo/core/setting/program';
import { describe, expect, it, jest } from '@jest/globals';
import type { Cell, MapRequest, ZoneMap } from '@fox-tempo/core/weld/zone-map';
import { FakeWorker } from '../testing/fake-worker.ts';
import { createMapPool } from './map-pool.ts';
import type { CellWork, ToWorker } from './protocol.ts';

const cell: Cell = { zone: 'hum', shortsPerS: 0, dropsPerPulse: 1, arcLengthMm: 3 };
const request = { x: { axis: 'wireFeedMPerMin', from: 1, to: 2 }, y: { axis: 'trimMm', from: 0, to: 1 } } as Omit<
  MapRequest,
  'seconds'
>;
const passes = [
  { count: 2, seconds: 0.1, settleS: 0.1, stepS: 2e-5 },
  { count: 3, seconds: 0.2, settleS: 0.1, stepS: 2e-5 },
];

/** Two zones that meet in a coarse picture, so that the fine one has to be run. */
const cellAt = (place: number): Cell => ({ ...cell, zone: place % 2 === 0 ? 'hum' : 'crackle' });

type Asked = Extract<ToWorker<CellWork>, { kind: 'ask' }>;
const mapOf = ({ ask }: Asked) => ask as Extract<CellWork['ask'], { of: 'map' }>;

/** Answers at once unless told to hold. */
function answering(holds: boolean) {
  return new FakeWorker<CellWork>((message, worker) => {
    if (message.kind !== 'ask' || holds) return;
    void Promise.resolve().then(() => {
      const places = message.ask.of === 'map' ? message.ask.places : message.ask.programs.map((_, place) => place);
      worker.say({ kind: 'part', id: message.id, part: places.map((place) => ({ place, cell: cellAt(place) })) });
      worker.say({ kind: 'done', id: message.id, answer: null });
    });
  });
}
/** Until a map has had its turn. */
const begun = () => new Promise((resolve) => setTimeout(resolve, 0));

function open(holds: readonly boolean[] = []) {
  const workers: FakeWorker<CellWork>[] = [];
  const pool = createMapPool(() => {
    const worker = answering(holds[workers.length] ?? false);
    workers.push(worker);
    return worker;
  }, 2);
  return { pool, workers };
}

describe('a map from a pool of workers', () => {
  it('comes coarse to fine, only places at a border again, and from memory the second time', async () => {
    const { pool, workers } = open();
    const pictures: ZoneMap[] = [];
    const outcome = await pool.draw(request, { passes, onPicture: (map) => pictures.push(map) });
    expect(outcome.ok && outcome.value.count).toBe(3);
    expect(outcome.ok && outcome.value.cells.every((one) => one !== null)).toBe(true);
    expect(pictures[0]?.count).toBe(2);
    const asked = workers
      .flatMap((worker) => worker.heard)
      .flatMap((message) => {
        if (message.kind !== 'ask') return [];
        const { count, places } = mapOf(message);
        return count === 3 ? places : [];
      });
    expect([...asked].sort((a, b) => a - b)).toEqual([1, 4, 7]);
    const before = workers.flatMap((worker) => worker.heard).length;
    expect((await pool.draw(request, { passes })).ok).toBe(true);
    expect(workers.flatMap((worker) => worker.heard)).toHaveLength(before);
  });

  it('is cancelled at once, and the workers are told', async () => {
    const { pool, workers } = open([true, true]);
    const abort = new AbortController();
    const onPicture = jest.fn();
    const drawn = pool.draw(request, { passes, signal: abort.signal, onPicture });
    await begun();
    abort.abort();
    expect(await drawn).toMatchObject({ ok: false, issues: [{ code: 'cancelled' }] });
    expect(workers.every((worker) => worker.heard.at(-1)?.kind === 'cancel')).toBe(true);
  });

  it('asks a new worker for what a dead one owed, once', async () => {
    const { pool, workers } = open([true]);
    const drawn = pool.draw(request, { passes });
    await begun();
    const [first] = workers;
    const asked = first!.heard[0] as Asked;
    first!.say({ kind: 'part', id: asked.id, part: [{ place: mapOf(asked).places[0]!, cell }] });
    first!.die();
    expect((await drawn).ok).toBe(true);
    expect(first!.ended).toBe(true);
    const again = workers[2]!.heard[0] as Asked;
    expect(mapOf(again).places).toEqual(mapOf(asked).places.slice(1));
  });

  it('says so when workers keep dying, and starts anew for the next map', async () => {
    const { pool, workers } = open([true, true, true]);
    const drawn = pool.draw(request, { passes });
    await begun();
    workers[0]!.die();
    workers[1]!.die();
    await begun();
    for (const worker of workers.slice(2)) worker.die();
    expect(await drawn).toMatchObject({ ok: false, issues: [{ code: 'worker-died' }] });
    pool.close();
    expect((await pool.draw(request, { passes })).ok).toBe(true);
  });

  it('draws two maps at once, each whole, and lets one be cancelled while it waits', async () => {
    const { pool } = open();
    const other = { ...request, circuitMOhm: 20 };
    const third = { ...request, circuitMOhm: 25 };
    const abort = new AbortController();
    const all = [
      pool.draw(request, { passes }),
      pool.draw(other, { passes }),
      pool.draw(third, { passes, signal: abort.signal }),
    ];
    abort.abort();
    const [one, two, cancelled] = await Promise.all(all);
    for (const drawn of [one, two]) expect(drawn?.ok && drawn.value.cells.every((cell) => cell !== null)).toBe(true);
    expect(cancelled).toMatchObject({ ok: false, issues: [{ code: 'cancelled' }] });
  });

  it('runs single programs one by one, handed out as they are done', async () => {
    const { pool } = open();
    const seen: number[] = [];
    const outcome = await pool.sweep(
      [{} as Program, null, {} as Program],
      { circuitMOhm: 15, seconds: 0.2 },
      {
        signal: new AbortController().signal,
        onCells: (cells) => seen.push(cells.filter((one) => one !== null).length),
      },
    );
    expect(outcome.ok).toBe(true);
    expect(seen.at(-1)).toBe(3);
  });
});
