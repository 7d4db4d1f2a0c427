/** A program as the question the arc simulation is asked: the source that its mode needs, set where the program sets it. */
import type { SimulationInput } from '../simulation/index.ts';
import { isPulsed } from '../plan/index.ts';
import { arcOf } from './arc-of.ts';
import type { Program } from './program.ts';

export interface SimulationOptions {
  readonly circuitMOhm: number;
  readonly seconds: number;
  readonly seed: number;
}

/** In dip and spray the voltage is the line's at this feed, moved by the trim, plus what the leads lose; V at the source. */
export function simulationOf(program: Program, { circuitMOhm, seconds, seed }: SimulationOptions): SimulationInput {
  const { filler, gas, diameterMm, wireFeedMPerMin, ctwdMm, mode, trimMm, stiffness, pulse, slowBeat } = program;
  const base = { filler, gas, diameterMm, wireFeedMPerMin, ctwdMm, seconds, seed };
  if (isPulsed(mode)) {
    return {
      ...base,
      source: {
        kind: 'pulse',
        trim: trimMm,
        stiffness,
        circuitMOhm,
        ...(pulse
          ? {
              pulse: {
                peakCurrentA: pulse.peakCurrentA,
                peakTimeMs: pulse.peakTimeMs,
                // Each level of a beat finds a background of its own.
                ...(slowBeat ? {} : { backgroundCurrentA: pulse.backgroundCurrentA }),
              },
            }
          : {}),
        ...(slowBeat ? { slowBeat } : {}),
      },
    };
  }
  return {
    ...base,
    source: { kind: 'constant-voltage', voltageV: sourceVolts(program, circuitMOhm), stiffness, circuitMOhm },
  };
}

/** Set-point of a constant-voltage source for a program in dip or spray, V. */
export function sourceVolts(program: Program, circuitMOhm: number): number {
  const arc = arcOf(program, program.ctwdMm, program.trimMm);
  const current = arc.currentAt(program.wireFeedMPerMin) ?? 0;
  const atTip = (arc.lineVoltsAt(program.wireFeedMPerMin) ?? 20) + program.trimMm * arc.wire.eVPerMm;
  return atTip + (current * circuitMOhm) / 1000;
}
