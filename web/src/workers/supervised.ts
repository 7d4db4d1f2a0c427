/**
 * The page's side of a worker, supervised. A question ends with an answer, a refusal or the reason why there is none: cancelled, thrown,
 * the worker died, or it has said nothing for too long. A worker that died or hangs is replaced when the next question comes.
 */
import { amount } from '@fox-tempo/core/base/messages';
import { t } from '../lib/words.ts';
import { failure, type Issue, type IssueCode, type Outcome } from '@fox-tempo/core/base/outcome';
import type { FromWorker, ToWorker, Work } from './protocol.ts';

export interface WorkerLike<W extends Work> {
  postMessage(message: ToWorker<W>): void;
  terminate(): void;
  onmessage: ((event: MessageEvent<FromWorker<W>>) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
}

export interface AskOptions<W extends Work> {
  readonly signal?: AbortSignal | undefined;
  readonly onPart?: ((part: W['part']) => void) | undefined;
}

/** A question that stays open while both sides go on talking. */
export interface Talk<W extends Work> {
  tell(tell: W['tell']): void;
  end(): void;
}

export interface TalkHeard<W extends Work> {
  readonly onPart: (part: W['part']) => void;
  /** Refused, thrown, died or hanging: there is nobody at the other end any more. */
  readonly onLost: (issues: readonly Issue[]) => void;
}

export interface Supervised<W extends Work> {
  ask(ask: W['ask'], options?: AskOptions<W>): Promise<Outcome<W['answer']>>;
  talk(ask: W['ask'], heard: TalkHeard<W>): Talk<W>;
  close(): void;
}

interface Open<W extends Work> {
  readonly onPart: ((part: W['part']) => void) | undefined;
  readonly settle: (outcome: Outcome<W['answer']>) => void;
  /** What it owes: a question owes until it ends, a talk for each thing told. */
  owed: number;
  readonly isTalk: boolean;
  timer: ReturnType<typeof setTimeout> | undefined;
}

/** Without a word for so long while it owes one, a worker counts as hanging, ms. */
const longestSilenceMs = 15_000;

export const cancelledIssue: Issue = { path: '', code: 'cancelled', message: t('view.workers.it-was-cancelled') };

/** `what` names the work in a sentence: "The simulated arc". */
export function supervise<W extends Work>(
  what: string,
  makeWorker: () => WorkerLike<W>,
  quietMs = longestSilenceMs,
): Supervised<W> {
  const open = new Map<number, Open<W>>();
  let worker: WorkerLike<W> | undefined;
  let lastId = 0;

  function living(): WorkerLike<W> {
    if (worker) return worker;
    const made = makeWorker();
    made.onmessage = ({ data }) => hear(data);
    made.onerror = (event) => {
      // An older worker's last word must not end its successor.
      if (worker === made)
        bury(
          'worker-died',
          t('view.workers.stopped', { what, message: event.message || t('view.workers.its-worker-died') }),
        );
    };
    worker = made;
    return made;
  }

  function hear(message: FromWorker<W>): void {
    const one = open.get(message.id);
    if (!one) return;
    switch (message.kind) {
      case 'part':
        if (one.isTalk) one.owed = Math.max(one.owed - 1, 0);
        watch(one);
        one.onPart?.(message.part);
        return;
      case 'done':
        end(message.id, { ok: true, value: message.answer });
        return;
      case 'refused':
        end(message.id, { ok: false, issues: message.issues });
        return;
      case 'failed':
        end(
          message.id,
          failure({
            path: '',
            code: 'worker-failed',
            message: t('view.workers.failed', { what, message: message.message }),
          }),
        );
    }
  }

  function end(id: number, outcome: Outcome<W['answer']>): void {
    const one = open.get(id);
    if (!one) return;
    clearTimeout(one.timer);
    open.delete(id);
    one.settle(outcome);
  }

  /** Ends the worker; everything it owed fails, and the next question starts a new one. */
  function bury(code: IssueCode, message: string): void {
    worker?.terminate();
    worker = undefined;
    for (const id of [...open.keys()]) end(id, failure({ path: '', code, message, hint: t('view.workers.ask-again') }));
  }

  function watch(one: Open<W>): void {
    clearTimeout(one.timer);
    one.timer =
      one.owed > 0
        ? setTimeout(
            () =>
              bury('worker-hangs', t('view.workers.no-answer', { what, quiet: amount('phaseTime', quietMs / 1000) })),
            quietMs,
          )
        : undefined;
  }

  function begin(ask: W['ask'], one: Open<W>): number {
    const id = ++lastId;
    open.set(id, one);
    watch(one);
    post(id, { kind: 'ask', id, ask });
    return id;
  }

  /** A worker that cannot be made, or a message that cannot be cloned, is an answer too. */
  function post(id: number, message: ToWorker<W>): void {
    try {
      living().postMessage(message);
    } catch (error) {
      end(
        id,
        failure({
          path: '',
          code: 'worker-failed',
          message: t('view.workers.not-asked', { what, error: String(error) }),
        }),
      );
    }
  }

  return {
    ask(ask, { signal, onPart } = {}) {
      if (signal?.aborted) return Promise.resolve(failure(cancelledIssue));
      return new Promise((settle) => {
        const id = begin(ask, { settle, onPart, owed: 1, isTalk: false, timer: undefined });
        signal?.addEventListener('abort', () => {
          if (!open.has(id)) return;
          worker?.postMessage({ kind: 'cancel', id });
          end(id, failure(cancelledIssue));
        });
      });
    },
    talk(ask, { onPart, onLost }) {
      const id = begin(ask, {
        settle: (outcome) => {
          if (!outcome.ok) onLost(outcome.issues);
        },
        onPart,
        owed: 0,
        isTalk: true,
        timer: undefined,
      });
      return {
        tell(tell) {
          const one = open.get(id);
          if (!one) return;
          one.owed++;
          if (one.timer === undefined) watch(one);
          post(id, { kind: 'tell', id, tell });
        },
        end() {
          const one = open.get(id);
          if (!one) return;
          clearTimeout(one.timer);
          open.delete(id);
          worker?.postMessage({ kind: 'cancel', id });
        },
      };
    },
    close: () => bury('cancelled', t('view.workers.was-closed', { what })),
  };
}
