/** The arc of a setting, simulated in the worker: the run with its trace, and two more with other seeds for the spread of what is counted. */
import { saidIssues } from '../../lib/words.ts';
import type { Simulation, SimulationInput, SimulationMetrics } from '@fox-tempo/core/weld/simulation';
import { useEffect, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import { beginArc, fetchArc, simulateArc } from '../../workers/arc-client.ts';

export interface ArcRun {
  readonly simulation: Simulation;
  readonly input: SimulationInput;
  /** Metrics of every seed that has run. */
  readonly seeds: readonly SimulationMetrics[];
}

export type ArcRunState =
  | { readonly kind: 'none' }
  | { readonly kind: 'ready'; readonly run: ArcRun; readonly busy: boolean }
  | { readonly kind: 'failed'; readonly message: string; readonly before: ArcRun | null };

/** Finest trace worth drawing, s, and the rows it may have. */
const finestS = 2e-5;
const mostRows = 16_000;
const otherSeeds = [8, 9];

function traceStep({ seconds }: SimulationInput): number {
  return Math.max(finestS, (seconds + 0.25) / mostRows);
}

export function useArc(input: SimulationInput | null, attempt: number): ArcRunState {
  const [state, setState] = useState<ArcRunState>({ kind: 'none' });
  const key = input === null ? null : JSON.stringify(input);
  // Before the page is drawn: the worker runs meanwhile.
  useMemo(() => {
    if (key === null) return;
    const wanted = JSON.parse(key) as SimulationInput;
    beginArc(wanted, traceStep(wanted));
  }, [key]);
  useEffect(() => {
    if (key === null) return undefined;
    const wanted = JSON.parse(key) as SimulationInput;
    const abort = new AbortController();
    const { signal } = abort;
    void (async () => {
      const outcome = await fetchArc(wanted, traceStep(wanted), signal);
      if (signal.aborted) return;
      if (!outcome.ok) {
        const message = saidIssues(outcome.issues);
        setState((now) => ({ kind: 'failed', message, before: now.kind === 'ready' ? now.run : null }));
        return;
      }
      const first: ArcRun = { simulation: outcome.value, input: wanted, seeds: [outcome.value.metrics] };
      // Ahead of whatever else of the page still waits to be drawn: these are the figures the welder turns the dial for.
      flushSync(() => setState({ kind: 'ready', run: first, busy: true }));
      const seeds = [outcome.value.metrics];
      for (const seed of otherSeeds) {
        const again = await simulateArc({ ...wanted, seed }, { signal });
        if (signal.aborted || !again.ok) return;
        seeds.push(again.value.metrics);
      }
      setState({ kind: 'ready', run: { ...first, seeds }, busy: false });
    })();
    return () => abort.abort();
  }, [key, attempt]);
  return state;
}
