/** Saving a sheet: what state it is in, and what the server said when it would not. */
import type { SeamResource } from '@fox-tempo/contract';
import { useCallback, useState } from 'react';
import { api, ProblemError } from '../../lib/api.ts';
import type { DraftStore } from './draft-store.ts';
import { sheetOf } from './sheet.ts';

export type SaveState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'saved' }
  | { readonly kind: 'failed'; readonly title: string; readonly detail: string }
  | { readonly kind: 'conflict'; readonly stored: SeamResource };

export function useSave(seamId: string, store: DraftStore, onStored: (seam: SeamResource) => void) {
  const [state, setState] = useState<SaveState>({ kind: 'idle' });

  const save = useCallback(async () => {
    const { sheet, base } = store.getState();
    setState({ kind: 'saving' });
    try {
      const stored = await api.saveSeam(seamId, base.version, sheet);
      // What was typed while the save ran stays as the next edit.
      const unchanged = store.getState().sheet === sheet;
      store.getState().rebase(stored.version, sheetOf(stored), !unchanged);
      onStored(stored);
      setState({ kind: 'saved' });
    } catch (error) {
      setState(failure(error));
    }
  }, [seamId, store, onStored]);

  const keepMine = useCallback(
    async (stored: SeamResource) => {
      store.getState().rebase(stored.version, sheetOf(stored), true);
      onStored(stored);
      await save();
    },
    [store, onStored, save],
  );

  const takeTheirs = useCallback(
    (stored: SeamResource) => {
      store.getState().edit(() => sheetOf(stored), 'theirs');
      store.getState().rebase(stored.version, sheetOf(stored));
      onStored(stored);
      setState({ kind: 'idle' });
    },
    [store, onStored],
  );

  return { state, save, keepMine, takeTheirs };
}

function failure(error: unknown): SaveState {
  if (!(error instanceof ProblemError)) throw error;
  if (error.kind === 'stale-version' && error.problem.current !== undefined) {
    return { kind: 'conflict', stored: error.problem.current as SeamResource };
  }
  return { kind: 'failed', title: error.problem.title, detail: error.message };
}
