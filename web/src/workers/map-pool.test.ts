import { describe, expect, it, jest } from '@jest/globals';
import type { Cell, MapRequest, ZoneMap } from '@fox-tempo/core';
import { createMapPool, type MapWorkerLike } from './map-pool.ts';
import type { FromMapWorker, ToMapWorker } from './map-protocol.ts';

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

/** Answers at once unless told to hold. */
class FakeWorker implements MapWorkerLike {
  heard: ToMapWorker[] = [];
  ended = false;
  onmessage: MapWorkerLike['onmessage'] = null;
  onerror: MapWorkerLike['onerror'] = null;
  private readonly hold: boolean;
  constructor(hold: boolean) {
    this.hold = hold;
  }
  postMessage(message: ToMapWorker) {
    this.heard.push(message);
    if (message.kind !== 'cells' || this.hold) return;
    void Promise.resolve().then(() => {
      this.say({
        kind: 'cells',
        id: message.id,
        done: message.places.map((place) => ({ place, cell: cellAt(place) })),
      });
      this.say({ kind: 'finished', id: message.id });
    });
  }
  terminate() {
    this.ended = true;
  }
  say(data: FromMapWorker) {
    this.onmessage?.({ data } as MessageEvent<FromMapWorker>);
  }
}
/** Until a map has had its turn. */
const begun = () => new Promise((resolve) => setTimeout(resolve, 0));

function open(holds: readonly boolean[] = []) {
  const workers: FakeWorker[] = [];
  const pool = createMapPool(() => {
    const worker = new FakeWorker(holds[workers.length] ?? false);
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
      .flatMap((message) => (message.kind === 'cells' && message.count === 3 ? message.places : []));
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
    const asked = first!.heard[0] as Extract<ToMapWorker, { kind: 'cells' }>;
    first!.say({ kind: 'cells', id: asked.id, done: [{ place: asked.places[0]!, cell }] });
    first!.onerror?.({} as ErrorEvent);
    expect((await drawn).ok).toBe(true);
    expect(first!.ended).toBe(true);
    const again = workers[2]!.heard[0] as Extract<ToMapWorker, { kind: 'cells' }>;
    expect(again.places).toEqual(asked.places.slice(1));
  });

  it('says so when workers keep dying, and starts anew for the next map', async () => {
    const { pool, workers } = open([true, true, true]);
    const drawn = pool.draw(request, { passes });
    await begun();
    workers[0]!.onerror?.({} as ErrorEvent);
    workers[1]!.onerror?.({} as ErrorEvent);
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
});
