/** What happened and is worth a word over the page: an act that went through and can be undone, a failure nobody caught. */
import { t } from './words.ts';
import { createStore } from 'zustand/vanilla';

export interface PageNotice {
  readonly id: number;
  readonly level: 'note' | 'refusal';
  readonly text: string;
  /** Takes the act back; the notice goes when it has. */
  readonly undo?: (() => Promise<unknown>) | undefined;
}

export const notices = createStore<{ readonly shown: readonly PageNotice[] }>()(() => ({ shown: [] }));

/** Of many at once only the newest few are read by anybody. */
const most = 3;
let lastId = 0;

export function announce(notice: Omit<PageNotice, 'id'>): void {
  const id = ++lastId;
  notices.setState(({ shown }) => ({
    // The same failure over and over is one failure.
    shown: [...shown.filter(({ text }) => text !== notice.text), { ...notice, id }].slice(-most),
  }));
}

export function dismiss(id: number): void {
  notices.setState(({ shown }) => ({ shown: shown.filter((one) => one.id !== id) }));
}

/** Failures that nobody caught become notices; returns how to stop. */
export function hearFailures(): () => void {
  const say = (error: unknown) => {
    console.error(error);
    const words = error instanceof Error ? error.message : String(error);
    announce({ level: 'refusal', text: t('view.glossary.error-kept', { words }) });
  };
  const onError = (event: ErrorEvent) => say(event.error ?? event.message);
  const onRejection = (event: PromiseRejectionEvent) => say(event.reason);
  globalThis.addEventListener('error', onError);
  globalThis.addEventListener('unhandledrejection', onRejection);
  return () => {
    globalThis.removeEventListener('error', onError);
    globalThis.removeEventListener('unhandledrejection', onRejection);
  };
}
