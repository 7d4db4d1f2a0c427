/** The `simulate` question: a slice of a running weld, or a whole start and stop, with what it did in numbers and in words. */
import type { Phrase } from '../../base/messages/index.ts';
import { success, type Outcome } from '../../base/outcome/index.ts';
import type { ArcState } from './arc-state.ts';
import { classify, transferWords, type TransferMode } from './classify.ts';
import type { SimulationInput } from './input.ts';
import { run } from './loop.ts';
import { metricsOf, type SimulationMetrics } from './metrics.ts';
import type { ArcModel } from './model.ts';
import { coldState, prepare, warmState } from './prepare.ts';
import { Recorder } from './recorder.ts';
import { standS, stop, type StartStopResult } from './stop.ts';
import { traceOf, type SimulationTrace } from './trace.ts';

export interface Simulation {
  readonly metrics: SimulationMetrics;
  readonly transferMode: TransferMode;
  readonly words: Phrase;
  /** Moments of drops and shorts within what was measured, s. */
  readonly dropAtS: Float64Array;
  readonly shortAtS: Float64Array;
  readonly trace: SimulationTrace;
  /** Only for a run with start and stop. */
  readonly startStop?: StartStopResult;
}

/** The arc before it is measured is left to settle for this long, s. */
export const settlingS = 0.25;

/** A simulation under way: stepped by whoever owns the clock, so that a worker can report, pause and stop. */
export interface RunningSimulation {
  /** Simulated seconds in all, with the settling before the measured part. */
  readonly totalS: number;
  readonly doneS: number;
  /** Goes on by so many simulated seconds, at most to the end. */
  step(seconds: number): void;
  /** Result of what has run; complete when `doneS` has reached `totalS`. */
  finish(): Simulation;
}

/** Validated input in, a simulation that has not started out. Issues: `simulationIssues`, and those of the source. `traceEveryS` 0 keeps no trace. */
export function beginSimulation(input: SimulationInput, traceEveryS = 0): Outcome<RunningSimulation> {
  const prepared = prepare(input);
  if (!prepared.ok) return prepared;
  const { startStop } = input;
  const { model, source } = prepared.value;
  const settleS = startStop ? 0 : (input.settleS ?? settlingS);
  const totalS = settleS + input.seconds;
  const recorder = new Recorder(totalS + (startStop ? startStop.burnBackS + standS : 0), traceEveryS);
  recorder.measureFromS = settleS;
  if (!startStop) recorder.litS = 0;
  const state = startStop ? coldState(model, input) : warmState(model, input, source);
  let doneS = 0;
  return success({
    totalS,
    get doneS() {
      return doneS;
    },
    step(seconds) {
      const toS = Math.min(doneS + seconds, totalS);
      // The recorder begins to measure between two calls, never within one.
      if (doneS < settleS && toS > settleS) {
        run(model, state, settleS - doneS, recorder);
        doneS = settleS;
        recorder.measureFromS = state.timeS;
      }
      run(model, state, toS - doneS, recorder);
      doneS = toS;
      if (doneS === settleS) recorder.measureFromS = state.timeS;
    },
    finish: () => finish(input, model, state, recorder),
  });
}

/** The whole of it at once. */
export function simulate(input: SimulationInput, traceEveryS = 0): Outcome<Simulation> {
  const begun = beginSimulation(input, traceEveryS);
  if (!begun.ok) return begun;
  begun.value.step(begun.value.totalS);
  return success(begun.value.finish());
}

/** Of copies: whoever asks twice, or goes on afterwards, gets the same. */
function finish(input: SimulationInput, model: ArcModel, running: ArcState, recorded: Recorder): Simulation {
  const metrics = metricsOf(model.setup.wire, recorded, model.setup.feedMmPerS);
  const transferMode = classify(metrics, recorded, model);
  const recorder = input.startStop ? recorded.copy() : recorded;
  const state = { ...running, random: { ...running.random } };
  const stopped = input.startStop ? stop(model, state, recorder, input.startStop) : undefined;
  return {
    metrics,
    transferMode,
    words: transferWords[transferMode],
    dropAtS: recorder.dropAtS.slice(0, Math.min(recorder.drops, recorder.dropAtS.length)),
    shortAtS: recorder.shortAtS.slice(0, Math.min(recorder.shorts, recorder.shortAtS.length)),
    trace: traceOf(recorder),
    ...(stopped ? { startStop: stopped } : {}),
  };
}
