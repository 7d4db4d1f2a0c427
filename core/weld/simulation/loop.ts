/** The loop in slices of time, for whoever owns the clock. */
import type { ArcState } from './arc-state.ts';
import { advance } from './engine.ts';
import type { ArcModel } from './model.ts';
import type { Recorder } from './recorder.ts';

/** Short calls keep the loop in compiled code: one that meets a new case half-way would crawl on to its end. */
const chunkSteps = 1024;

/** Goes on by so many simulated seconds, rounded to whole steps. */
export function run(
  model: ArcModel,
  state: ArcState,
  seconds: number,
  recorder: Recorder,
  powerOn = true,
  driveOn = true,
): void {
  for (let left = Math.round(seconds / model.setup.stepS); left > 0; left -= chunkSteps) {
    advance(model, state, Math.min(left, chunkSteps), recorder, powerOn, driveOn);
  }
}
