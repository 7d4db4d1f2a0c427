/** The score being written: the sheet's sequence, edited as one change with one step to undo, and everything computed from it. */
import { t } from '../../lib/words.ts';
import type { MachineResource } from '@fox-tempo/contract';
import { habitOf, triggerModeFor } from '@fox-tempo/core/machine/description';
import type { Issue } from '@fox-tempo/core/base/outcome';
import type { GunAngles } from '@fox-tempo/core/setting/plan';
import { scoreOf, type ScoreOf } from '@fox-tempo/core/weld/score';
import { plainSequence, usualHabit, type TriggerSequence } from '@fox-tempo/core/weld/sequence';
import { useCallback, useMemo, useState } from 'react';
import type { SheetSession } from '../../sheet/session.ts';

export interface Score {
  readonly sequence: TriggerSequence;
  /** The last score that could be made. */
  readonly whole: ScoreOf | null;
  readonly issues: readonly Issue[];
  /** False while it is what this metal usually wants. */
  readonly isOwn: boolean;
  edit: (change: Partial<TriggerSequence>, field: string) => void;
  pointGun: (gun: GunAngles) => void;
  /** Back to what this metal usually wants. */
  forget: () => void;
}

export function useScore(open: SheetSession, machine: MachineResource | undefined): Score {
  const { program, plan, sheet, store } = open;
  const lengthMm = sheet.spec.lengthMm;
  // The gun that is in use; before anybody entered it, the first.
  const feeders = machine?.file.feeders ?? [];
  const feeder = feeders.find(({ id }) => id === machine?.standing?.feederId) ?? feeders[0];
  const gunLengthM = feeder?.gunLengthM;
  const hoseM = feeder?.paper?.hoseAfterValveM;
  const outcome = useMemo(() => {
    if (!program || !plan) return null;
    const mode = machine && triggerModeFor(machine.file, program.sequence.trigger);
    return scoreOf(
      program,
      { lengthMm, thicknessMm: plan.thicknessMm, gunLengthM, hoseM },
      mode?.same ? habitOf(mode.mode) : usualHabit,
    );
  }, [program, plan, lengthMm, gunLengthM, hoseM, machine]);
  const [last, setLast] = useState<ScoreOf | null>(null);
  if (outcome?.ok && last !== outcome.value) setLast(outcome.value);
  const sequence = program?.sequence ?? plainSequence;
  const edit = useCallback(
    (change: Partial<TriggerSequence>, field: string) =>
      store.getState().edit((current) => {
        const before = current.choice.sequence ?? sequence;
        return { ...current, choice: { ...current.choice, sequence: { ...before, ...change } } };
      }, `sequence ${field}`),
    [store, sequence],
  );
  const pointGun = useCallback(
    (gun: GunAngles) => store.getState().edit((current) => ({ ...current, choice: { ...current.choice, gun } }), 'gun'),
    [store],
  );
  const forget = useCallback(
    () =>
      store
        .getState()
        .edit(
          (current) => ({ ...current, choice: { ...current.choice, sequence: null } }),
          t('view.sequence.sequence-usual'),
        ),
    [store],
  );
  return useMemo(
    () => ({
      sequence,
      whole: outcome?.ok ? outcome.value : last,
      issues: outcome && !outcome.ok ? outcome.issues : [],
      isOwn: sheet.choice.sequence !== null,
      edit,
      pointGun,
      forget,
    }),
    [sequence, outcome, last, sheet.choice.sequence, edit, pointGun, forget],
  );
}
