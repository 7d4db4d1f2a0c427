import { afterAll, describe, expect, it, jest } from '@jest/globals';
import type { Simulation, SimulationInput } from '@fox-tempo/core/weld/simulation';
import { FakeWorker } from '../testing/fake-worker.ts';
import type { ArcWork } from './protocol.ts';

const worker = new FakeWorker<ArcWork>();
const before = globalThis.Worker;
globalThis.Worker = jest.fn(() => worker) as unknown as typeof Worker;
afterAll(() => {
  globalThis.Worker = before;
});
// `new URL(…, import.meta.url)` is resolved by the bundler; here any address will do.
const { beginArc, fetchArc } = await import('./arc-client.ts');

const input = (feed: number) => ({ wireFeedMPerMin: feed, seconds: 0.5 }) as SimulationInput;
const asked = () => worker.heard.filter(({ kind }) => kind === 'ask').length;
const lastId = () => worker.heard.at(-1)!.id;

describe('an arc begun before it is fetched', () => {
  it('is asked for once, whoever comes for it, and goes to that one', async () => {
    beginArc(input(5), 1e-4);
    beginArc(input(5), 1e-4);
    expect(asked()).toBe(1);
    const fetched = fetchArc(input(5), 1e-4, new AbortController().signal);
    expect(asked()).toBe(1);
    worker.say({ kind: 'done', id: lastId(), answer: { words: 'hum' } as Simulation });
    expect(await fetched).toEqual({ ok: true, value: { words: 'hum' } });
    // Fetched is fetched: the same question later is a new one.
    void fetchArc(input(5), 1e-4, new AbortController().signal);
    expect(asked()).toBe(2);
  });

  it('is given up with the one who fetched it, or when too many were begun and nobody came', async () => {
    const leaving = new AbortController();
    beginArc(input(6), 1e-4);
    const fetched = fetchArc(input(6), 1e-4, leaving.signal);
    leaving.abort();
    expect((await fetched).ok).toBe(false);
    const cancelled = () => worker.heard.filter(({ kind }) => kind === 'cancel').length;
    const already = cancelled();
    for (const feed of [7, 8, 9, 10, 11]) beginArc(input(feed), 1e-4);
    expect(cancelled()).toBe(already + 1);
  });
});
