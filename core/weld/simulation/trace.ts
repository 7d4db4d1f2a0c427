/** What is kept of a run to be drawn: figures against time, as the recorder decimated them. */
import type { Recorder } from './recorder.ts';

export interface SimulationTrace {
  readonly timeS: Float64Array;
  readonly currentA: Float32Array;
  readonly voltageV: Float32Array;
  readonly arcLengthMm: Float32Array;
  readonly extensionMm: Float32Array;
  /** Pendant drop, contact tip to plate, and what is between them (`contact`): enough to draw the arc. */
  readonly dropMm3: Float32Array;
  readonly gapMm: Float32Array;
  readonly contact: Uint8Array;
}

/** A copy of what was traced so far. */
export function traceOf(recorder: Recorder): SimulationTrace {
  const kept = recorder.traceLength;
  return {
    timeS: recorder.traceTimeS.slice(0, kept),
    currentA: recorder.traceCurrentA.slice(0, kept),
    voltageV: recorder.traceVoltageV.slice(0, kept),
    arcLengthMm: recorder.traceArcMm.slice(0, kept),
    extensionMm: recorder.traceExtensionMm.slice(0, kept),
    dropMm3: recorder.traceDropMm3.slice(0, kept),
    gapMm: recorder.traceGapMm.slice(0, kept),
    contact: recorder.traceContact.slice(0, kept),
  };
}
