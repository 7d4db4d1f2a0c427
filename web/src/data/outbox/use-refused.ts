/** The refused record behind a form that is still open: what is sent from it next takes its place. */
import { useState } from 'react';
import type { Entry } from './entry.ts';
import { RefusedRecord, waitingRecords } from './outbox.ts';

export interface Refused {
  readonly key: string | undefined;
  /** The one that the page was opened to correct; null where none is. */
  readonly entry: Entry | null;
  /** Runs a write and remembers the record that it left refused. */
  watch: <T>(act: () => Promise<T>) => Promise<T>;
  forget: () => void;
}

/** `opened`: key of the record that the page's address names. */
export function useRefused(opened: string | null): Refused {
  const [key, setKey] = useState(opened ?? undefined);
  const [entry] = useState(() => waitingRecords.getState().entries.find((one) => one.key === opened) ?? null);
  return {
    key,
    entry,
    async watch(act) {
      try {
        return await act();
      } catch (error) {
        if (error instanceof RefusedRecord) setKey(error.key);
        throw error;
      }
    },
    forget: () => setKey(undefined),
  };
}
