/** The choice that a program amounts to, so that the sheet can be filled from a file. */
import type { ProgramChoice, ProgramFile } from './program.ts';

/**
 * The choice from which a seam's sheet computes a program that came as a file: everything that the program says stands as set by hand,
 * nothing is left to the plan but travel and gas flow, which belong to the seam.
 */
export function choiceOfProgram(program: ProgramFile): ProgramChoice {
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
