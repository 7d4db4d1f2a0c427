/** The sheet being tuned: its draft shared with the seam sheet, the program it makes, and moves that are one step to undo. */
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import {
  chartLineFor,
  isUntuned,
  noTune,
  trimAfterFeed,
  type FeedHabit,
  type Issue,
  type Plan,
  type Program,
  type Tune,
} from '@fox-tempo/core';
import { useCallback, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { createDraftStore, isEdited, settingOf, sheetOf, useSave, type SaveState } from '../seams/index.ts';

export type Tunable = 'wireFeedMPerMin' | 'trimMm' | 'stiffness' | 'ctwdMm' | 'peakCurrentA' | 'backgroundCurrentA';

export interface Setting {
  readonly seam: SeamResource;
  readonly plan: Plan | null;
  /** The last program that could be made; `issues` says why the present wish cannot. */
  readonly program: Program | null;
  readonly issues: readonly Issue[];
  readonly tune: Tune;
  readonly stored: Program | null;
  readonly edited: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly saving: SaveState;
  move: (quantity: Tunable, figure: number, habit: FeedHabit) => void;
  /** Several at once, as one step: dragging on the map. */
  moveBoth: (figures: Partial<Record<Tunable, number>>) => void;
  setBeat: (beat: Tune['slowBeat']) => void;
  /** One line back to what is stored. */
  putBack: (quantity: Tunable) => void;
  replace: (program: Program) => void;
  /** The hand has let go: the next move is a step of its own to undo. */
  settle: () => void;
  undo: () => void;
  redo: () => void;
  save: () => Promise<void>;
}

export function useSetting(loaded: SeamResource, machine: MachineResource | undefined): Setting {
  const [seam, setSeam] = useState(loaded);
  const [store] = useState(() => createDraftStore(loaded.id, { version: loaded.version, sheet: sheetOf(loaded) }));
  const draft = useStore(store);
  const circuitMOhm = machine?.file.circuitMOhm;
  const outcome = useMemo(() => settingOf(draft.sheet, circuitMOhm), [draft.sheet, circuitMOhm]);
  const [last, setLast] = useState(outcome.ok ? outcome.value : null);
  if (outcome.ok && last !== outcome.value) setLast(outcome.value);
  const shown = outcome.ok ? outcome.value : last;
  const saving = useSave(
    seam.id,
    store,
    useCallback((stored: SeamResource) => setSeam(stored), []),
  );

  const { past, future, settle, undo, redo, sheet } = draft;
  const edited = isEdited(draft);
  const { state: savingState, save } = saving;
  // One object until something of it changes, so that panels which show nothing new are not drawn again.
  return useMemo(() => {
    const set = (change: Partial<Tune>, feed: number | null | undefined, field: string) =>
      store.getState().edit((current) => {
        const next = { ...noTune, ...current.choice.tune, ...change };
        return {
          ...current,
          choice: {
            ...current.choice,
            tune: isUntuned(next) ? null : next,
            ...(feed === undefined ? {} : { wireFeedMPerMin: feed }),
          },
        };
      }, field);

    const move: Setting['move'] = (quantity, figure, habit) => {
      if (quantity !== 'wireFeedMPerMin') {
        set({ [quantity]: figure }, undefined, quantity);
        return;
      }
      const program = shown?.program;
      const line = machine && program ? (chartLineFor(machine.file.chartLines, program) ?? null) : null;
      const trimMm = program
        ? trimAfterFeed(program, figure, habit, { line, circuitMOhm: machine?.file.circuitMOhm ?? 15 })
        : undefined;
      const moved = program && trimMm !== undefined && Math.abs(trimMm - program.trimMm) > 1e-9;
      set(moved ? { trimMm } : {}, figure, quantity);
    };

    return {
      seam,
      plan: shown?.plan ?? null,
      program: shown?.program ?? null,
      issues: outcome.ok ? [] : outcome.issues,
      tune: { ...noTune, ...sheet.choice.tune },
      stored: seam.revision?.program ?? null,
      edited,
      canUndo: past.length > 0,
      canRedo: future.length > 0,
      saving: savingState,
      move,
      moveBoth: ({ wireFeedMPerMin, ...rest }) => set(rest, wireFeedMPerMin, 'map'),
      setBeat: (slowBeat) => set({ slowBeat }, slowBeat ? slowBeat.meanFeedMPerMin : undefined, 'beat'),
      putBack: (quantity) => {
        const before = seam.choice;
        if (quantity === 'wireFeedMPerMin') set({}, before?.wireFeedMPerMin ?? null, 'back');
        else set({ [quantity]: before?.tune?.[quantity] ?? null }, undefined, 'back');
      },
      replace: (program) =>
        set(
          {
            trimMm: program.trimMm,
            stiffness: program.stiffness,
            ctwdMm: program.ctwdMm,
            peakCurrentA: program.pulse?.peakCurrentA ?? null,
            peakTimeMs: program.pulse?.peakTimeMs ?? null,
            backgroundCurrentA: null,
            slowBeat: program.slowBeat,
          },
          program.wireFeedMPerMin,
          'ghost',
        ),
      settle,
      undo,
      redo,
      save,
    };
  }, [
    seam,
    shown,
    outcome,
    sheet,
    edited,
    past.length,
    future.length,
    savingState,
    save,
    machine,
    store,
    settle,
    undo,
    redo,
  ]);
}
