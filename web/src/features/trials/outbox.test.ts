import { beforeEach, describe, expect, it } from '@jest/globals';
import type { TrialCreate } from '@fox-tempo/contract';
import { answerFetch } from '../../testing/shop.ts';
import { resetSettings } from '../../testing/show.tsx';
import { flushOutbox, outbox, sendTrial, throwAway } from './outbox.ts';

const trial = {
  seamId: 'axle',
  machineId: 'rowan',
  body: { dials: {}, measured: {}, symptoms: {}, heard: [], tests: [], note: '' },
} as unknown as TrialCreate;

beforeEach(async () => {
  resetSettings();
  for (const { key } of outbox.getState().waiting) await throwAway(key);
});

describe('the outbox', () => {
  it('keeps a trial while the server is away, and sends it later under the same key, once', async () => {
    answerFetch({});
    globalThis.fetch = () => Promise.reject(new TypeError('no net'));
    expect(await sendTrial(trial, [])).toBeNull();
    const [waiting] = outbox.getState().waiting;
    const keys: (string | null)[] = [];
    globalThis.fetch = ((_: string, init: RequestInit) => {
      keys.push(new Headers(init.headers).get('idempotency-key'));
      return Promise.resolve({
        ok: true,
        status: 201,
        headers: new Headers(),
        json: () => Promise.resolve({ id: 'x' }),
      });
    }) as unknown as typeof fetch;
    await Promise.all([flushOutbox(), flushOutbox()]);
    expect(keys).toEqual([waiting?.key]);
    expect(outbox.getState().waiting).toEqual([]);
  });

  it('says a refusal at once, and keeps nothing of it', async () => {
    answerFetch({});
    globalThis.fetch = (() =>
      Promise.resolve({
        ok: false,
        status: 422,
        headers: new Headers(),
        json: () => Promise.resolve({ type: 'about:blank', title: 'Refused', status: 422, detail: 'no' }),
      })) as unknown as typeof fetch;
    await expect(sendTrial(trial, [])).rejects.toThrow('no');
    expect(outbox.getState().waiting).toEqual([]);
  });
});
