/** A program with its fast pulse inside what a machine gives: a lower peak held longer for the same drop, and the rest solved again. */
import { solvePulse } from '../../setting/pulse/index.ts';
import { arcOf } from './arc-of.ts';
import type { Machine } from '../description/machine.ts';
import { pulseOf, type Program } from '../../setting/program/program.ts';

export function withinMachine(program: Program, { limits }: Pick<Machine, 'limits'>): Program {
  const { pulse } = program;
  if (!pulse || pulse.peakCurrentA <= limits.peakCurrentA) return program;
  const { lineMm } = arcOf(program, program.ctwdMm, program.trimMm);
  const solved = solvePulse({
    filler: program.filler,
    gas: program.gas,
    diameterMm: program.diameterMm,
    wireFeedMPerMin: program.wireFeedMPerMin,
    extensionMm: Math.max(program.ctwdMm - lineMm - program.trimMm, 3),
    slewAPerMs: pulse.slewAPerMs,
    machine: { maxCurrentA: limits.peakCurrentA },
  });
  return solved.ok ? { ...program, pulse: pulseOf(solved.value) } : program;
}
