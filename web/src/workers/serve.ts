/** The worker's side: questions answered in slices, so that a cancel is heard within milliseconds, and whatever is thrown is said. */
import type { Outcome } from '@fox-tempo/core/base/outcome';
import type { FromWorker, ToWorker, Work } from './protocol.ts';

export interface Served<W extends Work> {
  readonly part: (part: W['part']) => void;
  /** Lets messages in before the next slice; false when the question was cancelled. */
  readonly breathe: () => Promise<boolean>;
}

type Answering<W extends Work> = (ask: W['ask'], served: Served<W>) => Promise<Outcome<W['answer']>>;
type Beginning<W extends Work> = (ask: W['ask']) => Outcome<(tell: W['tell']) => W['part']>;

const doorbell = new MessageChannel();
/** Several questions take turns in one worker; each waits for a ring of its own. */
const breathing: (() => void)[] = [];
doorbell.port1.onmessage = () => breathing.shift()?.();

/** A timer of 0 would wait for milliseconds after the fifth. */
function ring(): Promise<void> {
  return new Promise((resolve) => {
    breathing.push(resolve);
    doorbell.port2.postMessage(null);
  });
}

// A rejection that nobody awaits would stay inside the worker: thrown again it reaches the page.
self.addEventListener('unhandledrejection', (event) => {
  setTimeout(() => {
    throw event.reason;
  });
});

/** Buffers of typed arrays, one level deep and in `trace`: they are handed over, not copied. */
export function buffersIn(value: unknown): Transferable[] {
  if (ArrayBuffer.isView(value)) return [value.buffer as ArrayBuffer];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap((inner: unknown) =>
    ArrayBuffer.isView(inner)
      ? [inner.buffer as ArrayBuffer]
      : typeof inner === 'object' && inner !== null && 'timeS' in inner
        ? buffersIn(inner)
        : [],
  );
}

function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}

/** Answers every question by itself. */
export function serveQuestions<W extends Work>(answer: Answering<W>): void {
  const cancelled = new Set<number>();
  const say = (message: FromWorker<W>, transfer: Transferable[] = []) => self.postMessage(message, { transfer });
  const run = async (id: number, ask: W['ask']) => {
    try {
      const outcome = await answer(ask, {
        part: (part) => say({ kind: 'part', id, part }),
        breathe: () => ring().then(() => !cancelled.has(id)),
      });
      if (cancelled.delete(id)) return;
      if (outcome.ok) say({ kind: 'done', id, answer: outcome.value }, buffersIn(outcome.value));
      else say({ kind: 'refused', id, issues: outcome.issues });
    } catch (error) {
      say({ kind: 'failed', id, message: wordsOf(error) });
    }
  };
  self.onmessage = ({ data }: MessageEvent<ToWorker<W>>) => {
    if (data.kind === 'cancel') cancelled.add(data.id);
    else if (data.kind === 'ask') void run(data.id, data.ask);
  };
}

/** Keeps the newest talk open: each thing told is answered by a part. */
export function serveTalks<W extends Work>(begin: Beginning<W>): void {
  let open: { readonly id: number; readonly answer: (tell: W['tell']) => W['part'] } | null = null;
  const say = (message: FromWorker<W>, transfer: Transferable[] = []) => self.postMessage(message, { transfer });
  self.onmessage = ({ data }: MessageEvent<ToWorker<W>>) => {
    try {
      if (data.kind === 'ask') {
        const begun = begin(data.ask);
        open = begun.ok ? { id: data.id, answer: begun.value } : null;
        if (!begun.ok) say({ kind: 'refused', id: data.id, issues: begun.issues });
      } else if (open?.id === data.id) {
        // What is told to a talk that has been replaced is nobody's.
        if (data.kind === 'cancel') open = null;
        else {
          const part = open.answer(data.tell);
          say({ kind: 'part', id: data.id, part }, buffersIn(part));
        }
      }
    } catch (error) {
      open = null;
      say({ kind: 'failed', id: data.id, message: wordsOf(error) });
    }
  };
}
