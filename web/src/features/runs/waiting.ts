/** Production welds that wait for the connection: kept on the device with a key of their own, sent in their order, each arrives once. */
import type { Run, RunCreate } from '@fox-tempo/contract';
import { createStore } from 'zustand/vanilla';
import { api, ProblemError } from '../../data/api.ts';
import { keep, recall } from '../../lib/device.ts';

export interface WaitingRun {
  readonly key: string;
  readonly run: RunCreate;
}

const place = 'waiting-runs';
export const waitingRuns = createStore<{ readonly waiting: readonly WaitingRun[] }>()(() => ({
  waiting: (recall(place) as readonly WaitingRun[] | null) ?? [],
}));

function put(waiting: readonly WaitingRun[]): void {
  waitingRuns.setState({ waiting });
  keep(place, waiting);
}

/** The record as the server has it, or null while it waits. A refusal is thrown, and nothing of it waits. */
export async function sendRun(one: WaitingRun): Promise<Run | null> {
  const here = { ...one, run: { ...one.run, deviceAt: new Date().toISOString() } };
  put([...waitingRuns.getState().waiting, here]);
  const drop = () => put(waitingRuns.getState().waiting.filter(({ key }) => key !== one.key));
  try {
    const run = await api.addRun(here.key, here.run);
    drop();
    return run;
  } catch (error) {
    if (error instanceof ProblemError && (error.kind === 'unreachable' || error.kind === 'not-signed-in')) return null;
    drop();
    throw error;
  }
}

/** Sends what waits; stops at the first that the server cannot be reached for. */
export async function flushRuns(): Promise<void> {
  for (const { key, run } of waitingRuns.getState().waiting) {
    try {
      await api.addRun(key, run);
    } catch (error) {
      if (!(error instanceof ProblemError) || error.kind === 'unreachable' || error.kind === 'not-signed-in') return;
    }
    put(waitingRuns.getState().waiting.filter((one) => one.key !== key));
  }
}
