/** A sum for a component: the last answer stays until the next is there. */
import { t } from '../lib/words.ts';
import type { Issue, Outcome } from '@fox-tempo/core/base/outcome';
import { useEffect, useState } from 'react';
import type { SumWork } from './protocol.ts';
import type { SumQuestions } from './sums.ts';
import { supervise } from './supervised.ts';

const worker = supervise<SumWork>(
  t('view.workers.the-sum'),
  () => new Worker(new URL('./sum.worker.ts', import.meta.url), { type: 'module' }),
);

async function answerTo<K extends keyof SumQuestions>(
  of: K,
  ask: SumQuestions[K]['ask'],
  signal: AbortSignal,
): Promise<Outcome<SumQuestions[K]['answer']>> {
  if (typeof Worker === 'undefined') {
    // Without workers the page does it itself.
    const { sums } = await import('./sums.ts');
    return { ok: true, value: sums[of](ask) };
  }
  const outcome = await worker.ask({ of, with: ask } as SumWork['ask'], { signal });
  return outcome as Outcome<SumQuestions[K]['answer']>;
}

export interface Sum<A> {
  /** null until the first answer. */
  readonly answer: A | null;
  /** The answer is to what is asked now, not to what was asked before it. */
  readonly current: boolean;
  readonly issues: readonly Issue[];
  retry: () => void;
}

/** `ask` must stay the same object between renders that ask the same. */
export function useSum<K extends keyof SumQuestions>(
  of: K,
  ask: SumQuestions[K]['ask'],
): Sum<SumQuestions[K]['answer']> {
  const [{ answered, ...state }, setState] = useState<
    Pick<Sum<SumQuestions[K]['answer']>, 'answer' | 'issues'> & { readonly answered: unknown }
  >({ answer: null, issues: [], answered: null });
  const [attempt, setAttempt] = useState(0);
  useEffect(() => {
    const abort = new AbortController();
    void answerTo(of, ask, abort.signal).then((outcome) => {
      if (abort.signal.aborted) return;
      setState(({ answer }) =>
        outcome.ok
          ? { answer: outcome.value, issues: [], answered: ask }
          : { answer, issues: outcome.issues, answered: null },
      );
    });
    return () => abort.abort();
  }, [of, ask, attempt]);
  return { ...state, current: answered === ask, retry: () => setAttempt(attempt + 1) };
}
