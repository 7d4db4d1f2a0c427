/** One write at a time: whether it runs, what came of it, and the refusal in words. */
import { format, saidIssues } from './words.ts';
import { useCallback, useState } from 'react';
import { ProblemError } from '../data/api.ts';

export interface Task {
  readonly busy: boolean;
  /** Title and detail of the last refusal; null when there was none. */
  readonly problem: string | null;
  readonly error: ProblemError | null;
  /** Runs; true when it went through. */
  run: (act: () => Promise<unknown>) => Promise<boolean>;
  clear: () => void;
}

export function useTask(): Task {
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<ProblemError | null>(null);
  const run = useCallback(async (act: () => Promise<unknown>) => {
    setBusy(true);
    setError(null);
    try {
      await act();
      return true;
    } catch (thrown) {
      if (!(thrown instanceof ProblemError)) throw thrown;
      setError(thrown);
      return false;
    } finally {
      setBusy(false);
    }
  }, []);
  const issues = error?.problem.issues ?? [];
  const problem =
    error && (issues.length > 0 ? saidIssues(issues) : `${format(error.problem.title)}. ${error.message}`);
  return { busy, problem, error, run, clear: useCallback(() => setError(null), []) };
}
