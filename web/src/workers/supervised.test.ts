import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it, jest } from '@jest/globals';
import type { Simulation, SimulationInput } from '@fox-tempo/core/weld/simulation';
import { FakeWorker } from '../testing/fake-worker.ts';
import type { ArcWork, DriveWork, Work } from './protocol.ts';
import { supervise, type Supervised } from './supervised.ts';

function open<W extends Work>(quietMs?: number, answer?: ConstructorParameters<typeof FakeWorker<W>>[0]) {
  const workers: FakeWorker<W>[] = [];
  const client = supervise<W>(
    'The arc',
    () => {
      const worker = new FakeWorker<W>(answer);
      workers.push(worker);
      return worker;
    },
    quietMs,
  );
  return { client, workers };
}
const ask = { input: { seconds: 1 } as SimulationInput, traceEveryS: 0 };
const result = { words: 'hum' } as Simulation;
const codeOf = async (asked: ReturnType<Supervised<ArcWork>['ask']>) => {
  const outcome = await asked;
  return outcome.ok ? 'ok' : outcome.issues[0]?.code;
};

describe('a question to a supervised worker', () => {
  it('reports progress and hands the result to the one who asked', async () => {
    const { client, workers } = open<ArcWork>();
    const onPart = jest.fn();
    const first = client.ask(ask, { onPart });
    const second = client.ask(ask);
    expect(workers).toHaveLength(1);
    workers[0]!.say({ kind: 'part', id: 1, part: 0.5 });
    workers[0]!.say({ kind: 'refused', id: 2, issues: [{ path: 'gas', code: 'unknown-gas', message: '' }] });
    workers[0]!.say({ kind: 'done', id: 1, answer: result });
    expect(await first).toEqual({ ok: true, value: result });
    expect(onPart).toHaveBeenCalledWith(0.5);
    expect(await codeOf(second)).toBe('unknown-gas');
  });

  it('is cancelled at once and the worker is told; a late answer is nobody’s', async () => {
    const { client, workers } = open<ArcWork>();
    const abort = new AbortController();
    const asked = client.ask(ask, { signal: abort.signal });
    abort.abort();
    expect(await codeOf(asked)).toBe('cancelled');
    expect(workers[0]!.heard.at(-1)).toEqual({ kind: 'cancel', id: 1 });
    workers[0]!.say({ kind: 'done', id: 1, answer: result });
    expect(await codeOf(client.ask(ask, { signal: abort.signal }))).toBe('cancelled');
  });

  it('fails with everything a dead worker owed, and the next question gets a new one', async () => {
    const { client, workers } = open<ArcWork>();
    const owed = [client.ask(ask), client.ask(ask)];
    workers[0]!.die('out of memory');
    expect(await Promise.all(owed.map(codeOf))).toEqual(['worker-died', 'worker-died']);
    expect(workers[0]!.ended).toBe(true);
    const next = client.ask(ask);
    expect(workers).toHaveLength(2);
    // A dead worker's last word does not end its successor.
    workers[0]!.die('late');
    workers[1]!.say({ kind: 'done', id: 3, answer: result });
    expect(await codeOf(next)).toBe('ok');
  });

  it('ends when the worker says nothing, when it threw, and when it could not even be asked', async () => {
    const quiet = open<ArcWork>(20);
    expect(await codeOf(quiet.client.ask(ask))).toBe('worker-hangs');
    expect(quiet.workers[0]!.ended).toBe(true);
    const thrown = open<ArcWork>(undefined, (message, worker) =>
      worker.say({ kind: 'failed', id: message.id, message: 'x is not a function' }),
    );
    const outcome = await thrown.client.ask(ask);
    expect(inEnglish(outcome.ok ? '' : outcome.issues[0]?.message)).toBe('The arc failed: x is not a function.');
    expect(thrown.workers[0]!.ended).toBe(false);
    const deaf = open<ArcWork>(undefined, () => {
      throw new DOMException('could not be cloned', 'DataCloneError');
    });
    expect(await codeOf(deaf.client.ask(ask))).toBe('worker-failed');
  });
});

describe('a talk with a supervised worker', () => {
  const tell = { seconds: 0.01, command: { wireFeedMPerMin: 5, trimMm: 0, powerOn: true } };

  it('is watched only while something told is unanswered, and is lost with a word', async () => {
    const { client, workers } = open<DriveWork>(30);
    const onLost = jest.fn();
    const onPart = jest.fn();
    const talk = client.talk(ask, { onPart, onLost });
    talk.tell(tell);
    workers[0]!.say({ kind: 'part', id: 1, part: {} as DriveWork['part'] });
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(onLost).not.toHaveBeenCalled();
    talk.tell(tell);
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(onLost).toHaveBeenCalledWith([expect.objectContaining({ code: 'worker-hangs' })]);
    expect(workers[0]!.ended).toBe(true);
  });

  it('hears nothing any more once it was ended', () => {
    const { client, workers } = open<DriveWork>();
    const onPart = jest.fn();
    const onLost = jest.fn();
    const talk = client.talk(ask, { onPart, onLost });
    talk.end();
    workers[0]!.say({ kind: 'part', id: 1, part: {} as DriveWork['part'] });
    workers[0]!.die();
    expect(onPart).not.toHaveBeenCalled();
    expect(onLost).not.toHaveBeenCalled();
    expect(workers[0]!.heard.at(-1)).toEqual({ kind: 'cancel', id: 1 });
  });
});
