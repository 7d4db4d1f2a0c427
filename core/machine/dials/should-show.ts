/** What a machine's own figures should read with a program: before the arc by its chart, while it burns by the model. A, V at its terminals. */
import { arcElectrical, calibrationOf } from '../../metal/arc/index.ts';
import { isPulsed } from '../../setting/plan/index.ts';
import { pulseMeans, solveDefaultPulse } from '../../setting/pulse/index.ts';
import { arcOf, type ArcOf } from './arc-of.ts';
import { chartLineFor } from '../description/chart.ts';
import type { Machine } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import { taughtLine } from './translate.ts';
import { lostVolts } from '../../base/units/convert.ts';

export interface ShouldShow {
  /** As its chart was taught; null where it was not, since every maker estimates differently. */
  readonly presetA: number | null;
  readonly presetV: number | null;
  readonly runningA: number;
  /** At the machine's terminals. */
  readonly runningV: number;
  /** Mean at the contact tip. */
  readonly tipV: number;
}

export function shouldShow(program: Program, machine: Machine): ShouldShow | undefined {
  const correction = calibrationOf(machine.corrections, program);
  const arc = arcOf(program, program.ctwdMm, program.trimMm, correction);
  const runningA = arc.currentAt(program.wireFeedMPerMin);
  if (runningA === undefined) return undefined;
  const tipV = tipVolts(program, arc, runningA);
  if (tipV === undefined) return undefined;
  const line = taughtLine(chartLineFor(machine.chartLines, program) ?? null);
  return {
    presetA: line?.ampsAt(program.wireFeedMPerMin) ?? null,
    presetV: line?.voltsAt(program.wireFeedMPerMin) ?? null,
    runningA,
    runningV: tipV + lostVolts(runningA, machine.circuitMOhm),
    tipV,
  };
}

function tipVolts(program: Program, arc: ArcOf, runningA: number): number | undefined {
  const { mode, trimMm, ctwdMm, wireFeedMPerMin } = program;
  if (mode === 'dip') {
    const line = arc.lineVoltsAt(wireFeedMPerMin);
    return line === undefined ? undefined : line + trimMm * arc.wire.eVPerMm;
  }
  const arcMm = Math.max(arc.lineMm + trimMm, 0);
  const extensionMm = Math.max(ctwdMm - arcMm, 3);
  if (!isPulsed(mode)) return arcElectrical(arc.wire, runningA, runningA, arcMm, extensionMm, 0).meanVoltageV;
  const pulse = solveDefaultPulse(arc.wire, extensionMm, wireFeedMPerMin);
  if (typeof pulse === 'string') return undefined;
  const { meanA, rmsA } = pulseMeans(pulse);
  return arcElectrical(arc.wire, meanA, rmsA, arcMm, extensionMm, 0).meanVoltageV;
}
