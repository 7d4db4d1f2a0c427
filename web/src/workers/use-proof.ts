/** What a solver adds to a plan that was not proven; it is asked in the background, and stopped when the plan changes. */
import { dayProblem, type DayJob, type DayMachine, type DayPlan } from '@fox-tempo/core/day/plan';
import type { Proof } from '@fox-tempo/core/day/schedule';
import { useEffect, useState } from 'react';
import { t } from '../lib/words.ts';
import type { ProofWork } from './protocol.ts';
import { supervise } from './supervised.ts';

/** Larger days give programs that no solver says anything of in seconds. */
const mostJobs = 40;

export interface DayQuestion {
  readonly jobs: readonly DayJob[];
  readonly machines: readonly DayMachine[];
  readonly fixed: Readonly<Record<string, readonly string[]>>;
}

export interface ProofState {
  readonly looking: boolean;
  readonly proof: Proof | null;
}

/** `plan` answers `ask`; null while it does not. */
export function useProof(ask: DayQuestion, plan: DayPlan | null): ProofState {
  const [state, setState] = useState<ProofState & { readonly of: DayPlan | null }>({
    looking: false,
    proof: null,
    of: null,
  });
  const isAsked = plan !== null && !plan.provenBest && plan.bars.length <= mostJobs && typeof Worker !== 'undefined';
  useEffect(() => {
    if (!isAsked) return undefined;
    // A solver that runs hears nothing: it is ended with its worker.
    const worker = supervise<ProofWork>(
      t('view.workers.the-proof'),
      () => new Worker(new URL('./proof.worker.ts', import.meta.url), { type: 'module' }),
    );
    let isOpen = true;
    const { input } = dayProblem(ask.jobs, ask.machines, ask.fixed);
    const { setupMinutes, lateMinutes, cost, bound } = plan;
    void worker.ask({ input, known: { setupMinutes, lateMinutes, cost, bound } }).then((outcome) => {
      if (isOpen) setState({ looking: false, proof: outcome.ok ? outcome.value : null, of: plan });
      worker.close();
    });
    return () => {
      isOpen = false;
      worker.close();
    };
  }, [isAsked, ask, plan]);
  return state.of === plan ? state : { looking: isAsked, proof: null };
}
