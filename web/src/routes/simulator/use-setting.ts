/** A sheet session as the bench tunes it: the program it makes, and moves that are one step to undo. */
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { chartLineFor } from '@fox-tempo/core/machine/description';
import { type Program } from '@fox-tempo/core/setting/program';
import {
  isUntuned,
  noTune,
  trimAfterFeed,
  type FeedHabit,
  type PulseNumber,
  type Tune,
} from '@fox-tempo/core/machine/tuning';
import { useMemo } from 'react';
import type { SheetSession } from '../../sheet/session.ts';

export type Tunable = 'wireFeedMPerMin' | 'trimMm' | 'stiffness' | 'ctwdMm' | PulseNumber;

export interface Setting extends Pick<SheetSession, 'seam' | 'plan' | 'program' | 'issues'> {
  readonly tune: Tune;
  readonly stored: Program | null;
  move: (quantity: Tunable, figure: number, habit: FeedHabit) => void;
  /** Several at once, as one step: dragging on the map. */
  moveBoth: (figures: Partial<Record<Tunable, number>>) => void;
  setBeat: (beat: Tune['slowBeat']) => void;
  /** One number of the fast pulse fixed, or with null solved again. */
  fixPulse: (quantity: PulseNumber, figure: number | null) => void;
  solvePulse: () => void;
  /** One line back to what is stored. */
  putBack: (quantity: Tunable) => void;
  replace: (program: Program) => void;
}

export function useSetting({ seam, store, sheet, plan, program, issues, machine }: SheetSession): Setting {
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
      const line = machine && program ? (chartLineFor(machine.file.chartLines, program) ?? null) : null;
      const trimMm = program
        ? trimAfterFeed(program, figure, habit, { line, circuitMOhm: machine?.file.circuitMOhm ?? nominalCircuitMOhm })
        : undefined;
      const moved = program && trimMm !== undefined && Math.abs(trimMm - program.trimMm) > 1e-9;
      set(moved ? { trimMm } : {}, figure, quantity);
    };

    return {
      seam,
      plan,
      program,
      issues,
      tune: { ...noTune, ...sheet.choice.tune },
      stored: seam.revision?.program ?? null,
      move,
      moveBoth: ({ wireFeedMPerMin, ...rest }) => set(rest, wireFeedMPerMin, 'map'),
      setBeat: (slowBeat) => set({ slowBeat }, slowBeat ? slowBeat.meanFeedMPerMin : undefined, 'beat'),
      fixPulse: (quantity, figure) => set({ [quantity]: figure }, undefined, quantity),
      solvePulse: () =>
        set({ peakCurrentA: null, peakTimeMs: null, backgroundCurrentA: null, frequencyHz: null }, undefined, 'pulse'),
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
            frequencyHz: null,
            slowBeat: program.slowBeat,
          },
          program.wireFeedMPerMin,
          'ghost',
        ),
    };
  }, [seam, plan, program, issues, sheet, machine, store]);
}
