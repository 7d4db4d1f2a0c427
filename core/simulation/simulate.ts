/** The `simulate` question: a slice of a running weld, or a whole start and stop, with what it did in numbers and in words. */
import { correctedWire, pulseLineMm, wireInGas, type WireInGas } from '../arc/index.ts';
import { steadyCurrentA } from '../melting/index.ts';
import { failure, success, type Outcome } from '../outcome/index.ts';
import { contact, type ArcState } from './arc-state.ts';
import { classify, transferWords, type TransferMode } from './classify.ts';
import { advance } from './engine.ts';
import { buildModel, gapAt, type ArcModel } from './model.ts';
import type { SimulationInput, StartStopInput } from './input.ts';
import { simulationIssues } from './input-issues.ts';
import { metricsOf, type SimulationMetrics } from './metrics.ts';
import { arcDynamics, defaultStepS } from './params.ts';
import { randomStream } from './random.ts';
import { Recorder } from './recorder.ts';
import { buildSource, type Source } from './source.ts';

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

export interface Simulation {
  readonly metrics: SimulationMetrics;
  readonly transferMode: TransferMode;
  readonly words: string;
  /** Moments of drops and shorts within what was measured, s. */
  readonly dropAtS: Float64Array;
  readonly shortAtS: Float64Array;
  readonly trace: SimulationTrace;
  /** Only for a run with start and stop. */
  readonly startStop?: StartStopResult;
}

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
  const issues = simulationIssues(input);
  if (issues.length > 0) return failure(...issues);
  const built = buildSource(input);
  if (!built.ok) return built;
  const { startStop } = input;
  const source = built.value;
  const model = buildModel({
    wire: wireOf(input),
    source,
    ctwdMm: input.really?.ctwdMm ?? input.ctwdMm,
    feedMmPerS: ((input.wireFeedMPerMin * 1000) / 60) * (1 - (input.feedSlip ?? 0)),
    stepS: input.stepS ?? defaultStepS,
    noise: input.noise ?? 1,
    seed: input.seed,
    runInShare: (startStop?.runInPercent ?? 100) / 100,
    runInAfterS: startStop?.runInAfterS ?? 0,
  });
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

/** What is really threaded and connected, as calibrated. */
function wireOf({ filler, gas, diameterMm, really, correction }: SimulationInput): WireInGas {
  return correctedWire(wireInGas(filler, really?.gas ?? gas, really?.diameterMm ?? diameterMm), correction);
}

function finish(input: SimulationInput, model: ArcModel, state: ArcState, recorder: Recorder): Simulation {
  const { wire, feedMmPerS } = model.setup;
  const metrics = metricsOf(wire, recorder, feedMmPerS);
  const transferMode = classify(metrics, recorder, model);
  const stopped = input.startStop ? stop(model, state, recorder, input.startStop, wire) : undefined;
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

/** A running weld, near where the static model puts it, so that little has to settle. */
export function warmState(model: ArcModel, input: SimulationInput, source: Source): ArcState {
  const { wire, feedMmPerS } = model.setup;
  const lineMm = pulseLineMm(wire.family, wire.diameterMm);
  const guess = source.kind === 'pulse' ? lineMm : 3;
  const extensionMm = Math.max(input.ctwdMm - guess - 0.5 * wire.diameterMm, 4);
  const currentA = steadyCurrentA(wire, feedMmPerS, extensionMm);
  return {
    ...still(model, input.seed),
    currentA: source.kind === 'pulse' ? source.high.backgroundA : currentA,
    averageA: currentA,
    extensionMm,
    dropMm3: 0.3 * model.sphereMm3,
    contact: contact.arc,
    feedMmPerS: source.kind === 'pulse' ? source.high.feedMmPerS : feedMmPerS,
    periodS: source.kind === 'pulse' ? 1 / source.high.frequencyHz : 1,
    peakA: source.kind === 'pulse' ? source.high.peakA : 0,
    backgroundA: source.kind === 'pulse' ? source.high.backgroundA : 0,
  };
}

/** Cold wire, snipped a little short of the plate, drive at rest. */
export function coldState(model: ArcModel, input: SimulationInput): ArcState {
  const source = model.setup.source;
  return {
    ...still(model, input.seed),
    extensionMm: input.ctwdMm - 5,
    dropMm3: 0.05 * model.sphereMm3,
    contact: contact.open,
    periodS: source.kind === 'pulse' ? 1 / source.high.frequencyHz : 1,
    peakA: source.kind === 'pulse' ? source.high.peakA : 0,
    backgroundA: source.kind === 'pulse' ? source.high.backgroundA : 0,
  };
}

function still(model: ArcModel, seed: number): ArcState {
  return {
    timeS: 0,
    currentA: 0,
    voltageV: 0,
    extensionMm: 0,
    dropMm3: 0,
    impulseA2s: 0,
    contact: contact.open,
    neck: 1,
    pushedMm: 0,
    faintS: 0,
    gapMm: gapAt(model, 0),
    poolDipMm: 0,
    poolDipMmPerS: 0,
    averageA: 0,
    feedMmPerS: 0,
    pulseS: 0,
    periodS: 1,
    peakA: 0,
    backgroundA: 0,
    pulseVoltSeconds: 0,
    correction: 0,
    dropNeed: 1,
    neckNeed: 1,
    shortFromS: 0,
    random: randomStream(seed + 1),
  };
}

/** A last pulse is waited for so long, looked for in such slices, s. */
const mostEndPulseS = 0.03;
const endSliceS = 2e-4;

/** Long enough for a coasting drive to stand and a pool to freeze, s. */
const standS = 0.15;

/** Short calls keep the loop in compiled code: one that meets a new case half-way would crawl on to its end. */
export const chunkSteps = 1024;

function run(
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

/** The drive coasts down while the source burns the wire back; then the source goes off and what is left is measured. */
function stop(
  model: ArcModel,
  state: ArcState,
  recorder: Recorder,
  { burnBackS, endPulse }: StartStopInput,
  wire: WireInGas,
): StartStopResult {
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
