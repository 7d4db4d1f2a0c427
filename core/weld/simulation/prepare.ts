/** From what is asked to a model and a state that can run: checked, the source built, wire and feed as they really are. */
import { correctedWire, pulseLineMm, wireInGas, type WireInGas } from '../../metal/arc/index.ts';
import { steadyCurrentA } from '../../metal/melting/index.ts';
import { failure, success, type Outcome } from '../../base/outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
import { contact, type ArcState } from './arc-state.ts';
import type { SimulationInput } from './input.ts';
import { simulationIssues } from './input-issues.ts';
import { buildModel, gapAt, type ArcModel } from './model.ts';
import { defaultStepS } from './params.ts';
import { randomStream } from '../../base/numeric/random.ts';
import { buildSource, type Source } from './source.ts';

export interface Prepared {
  readonly model: ArcModel;
  readonly source: Source;
  /** Feed at the gun, mm/s, for a feed that was set, m/min: the feeder may slip. */
  readonly feedMmPerS: (wireFeedMPerMin: number) => number;
}

/** Issues: `simulationIssues`, and those of the source. */
export function prepare(input: SimulationInput): Outcome<Prepared> {
  const issues = simulationIssues(input);
  if (issues.length > 0) return failure(...issues);
  const built = buildSource(input);
  if (!built.ok) return built;
  const source = built.value;
  const { startStop } = input;
  const feedMmPerS = (wireFeedMPerMin: number) =>
    wireFeedMPerMin * MM_PER_S_PER_M_PER_MIN * (1 - (input.feedSlip ?? 0));
  const model = buildModel({
    wire: wireOf(input),
    source,
    ctwdMm: input.really?.ctwdMm ?? input.ctwdMm,
    feedMmPerS: feedMmPerS(input.wireFeedMPerMin),
    stepS: input.stepS ?? defaultStepS,
    noise: input.noise ?? 1,
    seed: input.seed,
    runInShare: (startStop?.runInPercent ?? 100) / 100,
    runInAfterS: startStop?.runInAfterS ?? 0,
  });
  return success({ model, source, feedMmPerS });
}

/** What is really threaded and connected, as calibrated. */
function wireOf({ filler, gas, diameterMm, really, correction }: SimulationInput): WireInGas {
  return correctedWire(wireInGas(filler, really?.gas ?? gas, really?.diameterMm ?? diameterMm), correction);
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
