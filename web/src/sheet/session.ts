/**
 * A seam's sheet as every view of it edits it: one draft, the plan and the setting it makes, what is unsaid, whether it can be saved and
 * why not, who overtook it, undo. Seam sheet, arc bench, score and wire choice are views of one session.
 */
import { t } from '../lib/words.ts';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { settingOf, type Site } from '@fox-tempo/core/site';
import type { Program } from '@fox-tempo/core/setting/program';
import type { Issue } from '@fox-tempo/core/base/outcome';
import type { Plan } from '@fox-tempo/core/setting/plan';
import { useSame } from '../lib/same.ts';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import type { StandingMachine } from './standing-machine.ts';
import { useMay } from '../session/session.ts';
import { createDraftStore, isEdited, type DraftState, type DraftStore } from './draft-store.ts';
import { assumedOf, forgetGiven, give, givenOf, type Assumable } from './assumed.ts';
import { useMachineFor } from './machine-choice.ts';
import { siteOfSeam, usePlanSite, useShopSite } from './plan-site.ts';
import type { SaveState } from './save-state.ts';
import { sheetOf } from './sheet.ts';
import type { Sheet } from './sheet-fields.ts';
import { useSave } from './use-save.ts';

export interface SheetSession {
  readonly seam: SeamResource;
  readonly machines: readonly MachineResource[];
  /** Whose card stands beside it. */
  readonly machine: StandingMachine | undefined;
  readonly site: Site;
  readonly store: DraftStore;
  readonly sheet: Sheet;
  /** The last setting that could be made; `issues` says why the present wish cannot. */
  readonly plan: Plan | null;
  readonly program: Program | null;
  readonly issues: readonly Issue[];
  /** What is typed and cannot be taken. */
  readonly unsaid: readonly Issue[];
  readonly edited: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly saving: SaveState;
  /** Why it cannot be saved now; null when it can. */
  readonly cannotSave: string | null;
  /** What somebody stored since this draft was begun. */
  readonly overtaken: SeamResource | null;
  readonly elsewhere: DraftState['elsewhere'];
  undo: () => void;
  redo: () => void;
  /** The hand has let go: the next move is a step of its own to undo. */
  settle: () => void;
  /** `knowing`: what is only assumed was read, and is right. */
  save: (knowing?: boolean) => Promise<void>;
  /** What a new seam was given and nobody has confirmed; empty once a setting was saved. */
  readonly assumed: readonly Assumable[];
  confirm: (given: readonly Assumable[]) => void;
  /** A save was asked for while something is only assumed. */
  readonly asksAssumed: boolean;
  /** A sheet made of both, saved on top of the stored one. */
  keepMine: (stored: SeamResource, sheet: Sheet) => Promise<void>;
  takeTheirs: (stored: SeamResource) => void;
  settleTabs: (take: 'theirs' | 'mine') => void;
  /** The seam was stored by another way: locked, issued, moved. */
  onStored: (seam: SeamResource) => void;
}

export function useSheetSession(loaded: SeamResource, machines: readonly MachineResource[]): SheetSession {
  const [seam, setSeam] = useState(loaded);
  const [store] = useState(() => createDraftStore(loaded.id, { version: loaded.version, sheet: sheetOf(loaded) }));
  const draft = useStore(store);
  useEffect(() => store.getState().follow(), [store]);
  const machine = useMachineFor(machines, seam);
  const shop = useShopSite();
  const maySave = useMay('saveSeam');
  // What was saved stays as it was planned; the first change of it is planned with what the shop says now.
  const site = usePlanSite(isEdited(draft) ? shop : siteOfSeam(seam, shop), machine);
  const { sheet, issues: unsaidByField, base, past, future, elsewhere, undo, redo, settle, settleTabs } = draft;
  const outcome = useMemo(() => settingOf(sheet.spec, sheet.choice, site), [sheet, site]);
  const [last, setLast] = useState(outcome.ok ? outcome.value : null);
  if (outcome.ok && last !== outcome.value) setLast(outcome.value);
  const shown = outcome.ok ? outcome.value : last;
  const onStored = useCallback((stored: SeamResource) => setSeam(stored), []);
  const { state: saving, save: send, keepMine, takeTheirs } = useSave(seam.id, store, onStored);
  const edited = isEdited(draft);
  const canUndo = past.length > 0;
  const canRedo = future.length > 0;
  // A draft kept on the device may be older than what is stored now.
  const overtaken = saving.kind === 'conflict' ? saving.stored : edited && base.version < seam.version ? seam : null;
  const isFirst = seam.revision === null;
  const cannotSave = !maySave
    ? t('view.sheet.save.not-your-role')
    : seam.deleted
      ? t('view.sheet.save.removed')
      : saving.kind === 'saving'
        ? t('view.sheet.save.saving')
        : !outcome.ok
          ? t('view.sheet.save.no-setting')
          : Object.keys(unsaidByField).length > 0
            ? t('view.sheet.save.bad-field')
            : sheet.spec.name.trim() === ''
              ? t('view.sheet.save.no-name')
              : overtaken
                ? t('view.sheet.save.conflict')
                : elsewhere
                  ? t('view.sheet.save.other-tab')
                  : !edited && !isFirst
                    ? t('view.sheet.nothing-is-changed')
                    : null;
  const [given, setGiven] = useState(() => givenOf(seam.id));
  const [asks, setAsks] = useState(false);
  const assumed = useMemo(() => assumedOf(seam, sheet, given), [seam, sheet, given]);
  const confirm = useCallback(
    (more: readonly Assumable[]) => {
      give(seam.id, more);
      setGiven(givenOf(seam.id));
    },
    [seam.id],
  );
  const hasAssumed = assumed.length > 0;
  const asksAssumed = asks && hasAssumed;
  const save = useCallback(
    async (knowing = false) => {
      if (cannotSave !== null) return;
      if (hasAssumed && !knowing) {
        setAsks(true);
        return;
      }
      await send();
      forgetGiven(seam.id);
    },
    [cannotSave, send, hasAssumed, seam.id],
  );
  // One object until something of it changes, so that panels which show nothing new are not drawn again.
  return useSame({
    seam,
    machines,
    machine,
    site,
    store,
    sheet,
    plan: shown?.plan ?? null,
    program: shown?.program ?? null,
    issues: outcome.ok ? [] : outcome.issues,
    unsaid: Object.values(unsaidByField),
    edited,
    canUndo,
    canRedo,
    saving,
    cannotSave,
    overtaken,
    elsewhere,
    undo,
    redo,
    settle,
    save,
    assumed,
    confirm,
    asksAssumed,
    keepMine,
    takeTheirs,
    settleTabs,
    onStored,
  });
}
