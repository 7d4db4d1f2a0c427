/** Which of a machine's trigger modes takes a sequence: its own school, or the nearest the machine has. */
import { schoolFacts, usualHabit, type TriggerHabit, type TriggerSchool } from '../../weld/sequence/index.ts';
import type { Machine, TriggerMode } from './machine.ts';

export interface ModeFor {
  readonly mode: TriggerMode;
  /** The machine has this very school. */
  readonly same: boolean;
}

/** Null where no trigger mode is described. */
export function triggerModeFor({ triggerModes }: Pick<Machine, 'triggerModes'>, school: TriggerSchool): ModeFor | null {
  const own = triggerModes.find((mode) => mode.school === school);
  if (own) return { mode: own, same: true };
  for (const near of schoolFacts[school].nearest) {
    const mode = triggerModes.find((one) => one.school === near);
    if (mode) return { mode, same: false };
  }
  const [first] = triggerModes;
  return first ? { mode: first, same: false } : null;
}

/** The school a sequence really runs in on a machine. */
export function schoolOn(machine: Pick<Machine, 'triggerModes'>, school: TriggerSchool): TriggerSchool {
  return triggerModeFor(machine, school)?.mode.school ?? school;
}

/** How this mode takes presses where machines differ. */
export function habitOf({ plain, endTimeoutS }: TriggerMode): TriggerHabit {
  return {
    startsOn: plain?.startsOn ?? usualHabit.startsOn,
    endsOn: plain?.endsOn ?? usualHabit.endsOn,
    endLimitS: endTimeoutS ?? null,
  };
}
