/** A seam's sheet as every view of it edits it: the shared draft, the setting it makes, saving, and the keys for undo and save. */
import type { PlanSite, SeamResource } from '@fox-tempo/contract';
import type { Issue, Plan, Program } from '@fox-tempo/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { createDraftStore, isEdited, type DraftStore } from './draft-store.ts';
import { settingOf, sheetOf } from './sheet.ts';
import type { Sheet } from './sheet-fields.ts';
import { useSave, type SaveState } from './use-save.ts';

export interface OpenSheet {
  readonly seam: SeamResource;
  readonly store: DraftStore;
  readonly sheet: Sheet;
  /** The last setting that could be made; `issues` says why the present wish cannot. */
  readonly plan: Plan | null;
  readonly program: Program | null;
  readonly issues: readonly Issue[];
  readonly edited: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly saving: SaveState;
  undo: () => void;
  redo: () => void;
  /** The hand has let go: the next move is a step of its own to undo. */
  settle: () => void;
  save: () => Promise<void>;
}

export function useSheet(loaded: SeamResource, site: PlanSite): OpenSheet {
  const [seam, setSeam] = useState(loaded);
  const [store] = useState(() => createDraftStore(loaded.id, { version: loaded.version, sheet: sheetOf(loaded) }));
  const draft = useStore(store);
  const { sheet, past, future, undo, redo, settle } = draft;
  const outcome = useMemo(() => settingOf(sheet, site), [sheet, site]);
  const [last, setLast] = useState(outcome.ok ? outcome.value : null);
  if (outcome.ok && last !== outcome.value) setLast(outcome.value);
  const shown = outcome.ok ? outcome.value : last;
  const { state: saving, save } = useSave(
    seam.id,
    store,
    useCallback((stored: SeamResource) => setSeam(stored), []),
  );
  const edited = isEdited(draft);
  const canUndo = past.length > 0;
  const canRedo = future.length > 0;
  // One object until something of it changes, so that panels which show nothing new are not drawn again.
  return useMemo(
    () => ({
      seam,
      store,
      sheet,
      plan: shown?.plan ?? null,
      program: shown?.program ?? null,
      issues: outcome.ok ? [] : outcome.issues,
      edited,
      canUndo,
      canRedo,
      saving,
      undo,
      redo,
      settle,
      save,
    }),
    [seam, store, sheet, shown, outcome, edited, canUndo, canRedo, saving, undo, redo, settle, save],
  );
}

/** Ctrl S saves, Ctrl Z and Ctrl Shift Z step; within a text field the text's own undo stands. */
export function useSheetKeys({
  undo,
  redo,
  save,
  canSave,
}: {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly save: () => Promise<void>;
  readonly canSave: boolean;
}): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const inText = event.target instanceof HTMLInputElement && event.target.type === 'text';
      if (key === 's') {
        event.preventDefault();
        if (canSave) void save();
      } else if (key === 'z' && !inText) {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo, save, canSave]);
}
