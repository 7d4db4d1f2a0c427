/** Cold starts and stops of a program in the arc worker: at full feed, and at its own run-in. */
import { saidIssues } from '../../../lib/words.ts';
import { simulationOf } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import type { Simulation, StartStopResult } from '@fox-tempo/core/weld/simulation';
import { useEffect, useState } from 'react';
import { simulateArc } from '../../../workers/arc-client.ts';

export interface StartRun {
  readonly runInPercent: number;
  readonly starts: readonly StartStopResult[];
  /** The first of them, for its picture. */
  readonly trace: Simulation['trace'];
}

export type Starts =
  | { readonly kind: 'running' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'ready'; readonly runs: readonly StartRun[]; readonly topA: number };

const seeds = [3, 5, 7, 11, 13];
/** Long enough for the slowest run-in to light and settle, s. */
const runS = 0.9;

export function useStarts(program: Program, circuitMOhm: number): Starts {
  const [state, setState] = useState<{ readonly key: string; readonly starts: Starts }>({
    key: '',
    starts: { kind: 'running' },
  });
  const { sequence } = program;
  const beside = Math.min(sequence.runInPercent, 90);
  const key = JSON.stringify([
    { ...program, sequence: null },
    circuitMOhm,
    beside,
    sequence.runInAfterS,
    sequence.burnBackMs,
    sequence.endPulse,
  ]);
  useEffect(() => {
    const abort = new AbortController();
    const [bare] = JSON.parse(key) as [Program];
    void (async () => {
      const runs: StartRun[] = [];
      for (const runInPercent of [100, beside]) {
        const starts: StartStopResult[] = [];
        let trace: Simulation['trace'] | null = null;
        for (const seed of seeds) {
          const outcome = await simulateArc(
            {
              ...simulationOf(bare, { circuitMOhm, seconds: runS, seed }),
              startStop: {
                runInPercent,
                runInAfterS: sequence.runInAfterS,
                burnBackS: sequence.burnBackMs / 1000,
                endPulse: sequence.endPulse,
              },
            },
            { signal: abort.signal, traceEveryS: trace ? 0 : 1e-4 },
          );
          if (abort.signal.aborted) return;
          if (!outcome.ok) {
            setState({
              key,
              starts: {
                kind: 'failed',
                message: saidIssues(outcome.issues),
              },
            });
            return;
          }
          if (outcome.value.startStop) starts.push(outcome.value.startStop);
          trace ??= outcome.value.trace;
        }
        if (trace) runs.push({ runInPercent, starts, trace });
      }
      const topA = Math.max(
        ...runs.map(({ trace }) => trace.currentA.reduce((most, value) => Math.max(most, value), 0)),
        100,
      );
      setState({ key, starts: { kind: 'ready', runs, topA } });
    })();
    return () => abort.abort();
  }, [key, beside, circuitMOhm, sequence.runInAfterS, sequence.burnBackMs, sequence.endPulse]);
  return state.key === key ? state.starts : { kind: 'running' };
}
