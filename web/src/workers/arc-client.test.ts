import { describe, expect, it, jest } from '@jest/globals';
import type { Simulation, SimulationInput } from '@fox-tempo/core';
import { createArcClient, type WorkerLike } from './arc-client.ts';
import type { FromWorker, ToWorker } from './protocol.ts';

class FakeWorker implements WorkerLike {
  readonly heard: ToWorker[] = [];
  ended = false;
  onmessage: WorkerLike['onmessage'] = null;
  onerror: WorkerLike['onerror'] = null;
  postMessage(message: ToWorker) {
    this.heard.push(message);
  }
  terminate() {
    this.ended = true;
  }
  say(message: FromWorker) {
    this.onmessage?.({ data: message } as MessageEvent<FromWorker>);
  }
}

function open(quietMs?: number) {
  const workers: FakeWorker[] = [];
  const client = createArcClient(() => {
    const worker = new FakeWorker();
    workers.push(worker);
    return worker;
  }, quietMs);
  return { client, workers };
}
const input = { seconds: 1 } as SimulationInput;
const result = { words: 'hum' } as Simulation;
const codeOf = async (asked: ReturnType<ReturnType<typeof createArcClient>['simulate']>) => {
  const outcome = await asked;
  return outcome.ok ? 'ok' : outcome.issues[0]?.code;
};

describe('the supervised arc worker', () => {
  it('reports progress and hands the result to the one who asked', async () => {
    const { client, workers } = open();
    const onProgress = jest.fn();
    const first = client.simulate(input, { onProgress });
    const second = client.simulate(input);
    expect(workers).toHaveLength(1);
    workers[0]!.say({ kind: 'progress', id: 1, share: 0.5 });
    workers[0]!.say({ kind: 'refused', id: 2, issues: [{ path: 'gas', code: 'unknown-gas', message: '' }] });
    workers[0]!.say({ kind: 'done', id: 1, result });
    expect(await first).toEqual({ ok: true, value: result });
    expect(onProgress).toHaveBeenCalledWith(0.5);
    expect(await codeOf(second)).toBe('unknown-gas');
  });

  it('cancels at once and tells the worker; a late answer is nobody’s', async () => {
    const { client, workers } = open();
    const abort = new AbortController();
    const asked = client.simulate(input, { signal: abort.signal });
    abort.abort();
    expect(await codeOf(asked)).toBe('cancelled');
    expect(workers[0]!.heard.at(-1)).toEqual({ kind: 'cancel', id: 1 });
    workers[0]!.say({ kind: 'done', id: 1, result });
    expect(await codeOf(client.simulate(input, { signal: abort.signal }))).toBe('cancelled');
  });

  it('fails everything a dead worker owed, and starts a new one for the next question', async () => {
    const { client, workers } = open();
    const owed = [client.simulate(input), client.simulate(input)];
    workers[0]!.onerror?.({ message: 'out of memory' } as ErrorEvent);
    expect(await Promise.all(owed.map(codeOf))).toEqual(['worker-died', 'worker-died']);
    expect(workers[0]!.ended).toBe(true);
    const next = client.simulate(input);
    expect(workers).toHaveLength(2);
    workers[1]!.say({ kind: 'done', id: 3, result });
    expect(await codeOf(next)).toBe('ok');
  });

  it('replaces a worker that says nothing', async () => {
    const { client, workers } = open(20);
    expect(await codeOf(client.simulate(input))).toBe('worker-hangs');
    expect(workers[0]!.ended).toBe(true);
  });
});
