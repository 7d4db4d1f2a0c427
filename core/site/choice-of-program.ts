/** The choice that a program amounts to, so that the sheet can be filled from a file. */
import type { Program } from '../setting/program/index.ts';
import type { Tune } from '../machine/tuning/index.ts';
import type { SettingChoice } from './question.ts';

/** A choice with everything said: what a program file leaves to nobody. */
export interface WholeChoice extends SettingChoice {
  readonly tune: Tune;
}

/**
 * The choice from which a seam's sheet computes a program that came as a file: everything that the program says stands as set by hand,
 * nothing is left to the plan but travel and gas flow, which belong to the seam.
 */
export function choiceOfProgram(program: Program): WholeChoice {
  const { mode, filler, gas, diameterMm, wireFeedMPerMin, trimMm, stiffness, ctwdMm, pulse, slowBeat, sequence, gun } =
    program;
  return {
    mode,
    filler,
    gas,
    diameterMm,
    arcHabit: 'on-line',
    wireFeedMPerMin,
    tune: {
      trimMm,
      stiffness,
      ctwdMm,
      peakCurrentA: pulse?.peakCurrentA ?? null,
      peakTimeMs: pulse?.peakTimeMs ?? null,
      backgroundCurrentA: pulse?.backgroundCurrentA ?? null,
      frequencyHz: null,
      slowBeat,
    },
    sequence,
    ...(gun ? { gun } : {}),
  };
}
