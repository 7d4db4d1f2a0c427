/** The end of a weld: burn-back, a last pulse where the machine has one, and what is left on the wire. */
import { contact, type ArcState } from './arc-state.ts';
import type { StartStopInput } from './input.ts';
import { run } from './loop.ts';
import type { ArcModel } from './model.ts';
import { arcDynamics } from './params.ts';
import type { Recorder } from './recorder.ts';

export interface StartStopResult {
  /** From the first touch to the arc that stays, ms; null when it never lit. */
  readonly ignitionMs: number | null;
  /** Touches and solid shorts before the arc stayed. */
  readonly touches: number;
  /** Wire bent away on the plate, count. */
  readonly buckles: number;
  /** Most wire pushed against the plate before it fused, mm; beyond 0.4 mm it bends and bursts further up. */
  readonly pushedMm: number;
  /** Free wire after the stop, mm from the contact tip, with the ball on its end. */
  readonly freeWireMm: number;
  readonly ballFactor: number;
  readonly stuck: boolean;
}

/** A last pulse is waited for so long, looked for in such slices, s. */
const mostEndPulseS = 0.03;
const endSliceS = 2e-4;

/** Long enough for a coasting drive to stand and a pool to freeze, s. */
export const standS = 0.15;

/** The drive coasts down while the source burns the wire back; then the source goes off and what is left is measured. */
export function stop(
  model: ArcModel,
  state: ArcState,
  recorder: Recorder,
  { burnBackS, endPulse }: StartStopInput,
): StartStopResult {
  const { wire } = model.setup;
  const { litS, touches, buckles, pushedMm } = recorder;
  run(model, state, burnBackS, recorder, true, false);
  if (endPulse) {
    const before = recorder.drops;
    for (let slice = 0; slice < mostEndPulseS / endSliceS && recorder.drops === before; slice++) {
      run(model, state, endSliceS, recorder, true, false);
    }
  }
  run(model, state, standS, recorder, false, false);
  const ballFactor = Math.cbrt((6 * state.dropMm3) / Math.PI) / wire.diameterMm;
  const stuck =
    state.contact === contact.solid || state.contact === contact.liquid || state.extensionMm >= state.gapMm - 0.1;
  return {
    ignitionMs: litS < 0 ? null : 1000 * litS,
    touches,
    buckles,
    pushedMm,
    freeWireMm: state.extensionMm + ballFactor * wire.diameterMm,
    ballFactor,
    stuck: stuck && state.extensionMm > arcDynamics.shortestExtensionMm,
  };
}
