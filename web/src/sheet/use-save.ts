/** Saving a sheet: what state it is in, and what the server said when it would not. Whatever happens, it ends. */
import { t, format } from '../lib/words.ts';
import type { SeamResource } from '@fox-tempo/contract';
import { useCallback, useState } from 'react';
import { api, ProblemError } from '../data/api.ts';
import type { DraftStore } from './draft-store.ts';
import type { SaveState } from './save-state.ts';
import { sheetOf } from './sheet.ts';
import type { Sheet } from './sheet-fields.ts';

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
      setState(await failure(error, seamId));
    }
  }, [seamId, store, onStored]);

  /** This sheet, whatever of both it holds, stands on the stored version and is saved. */
  const keepMine = useCallback(
    async (stored: SeamResource, sheet: Sheet) => {
      store.getState().edit(() => sheet, 'both');
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

async function failure(error: unknown, seamId: string): Promise<SaveState> {
  if (!(error instanceof ProblemError)) {
    console.error(error);
    return { kind: 'failed', title: t('view.sheet.save-failed'), detail: String(error) };
  }
  if (error.kind === 'stale-version') {
    const known = error.problem.current as SeamResource | undefined;
    const stored = known ?? (await api.seam(seamId).catch(() => null));
    if (stored) return { kind: 'conflict', stored };
  }
  return {
    kind: 'failed',
    title: format(error.problem.title),
    detail: error.message,
    isLocked: error.kind === 'locked',
  };
}
