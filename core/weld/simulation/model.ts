/** What the arc's loop reads and never changes: wire, source, drop heights, scatter of hand and pool; and the gap at a moment. */
import type { WireInGas } from '../../metal/arc/index.ts';
import { pulseReference } from '../../setting/pulse/index.ts';
import { arcDynamics, disturbance } from './params.ts';
import { nextUniform, randomStream } from '../../base/numeric/random.ts';
import type { Source } from './source.ts';

export interface ArcSetup {
  readonly wire: WireInGas;
  readonly source: Source;
  readonly ctwdMm: number;
  readonly feedMmPerS: number;
  readonly stepS: number;
  readonly noise: number;
  readonly seed: number;
  /** Feed before and just after the arc lights, as a share; 1 in a running weld. */
  readonly runInShare: number;
  readonly runInAfterS: number;
}

/** Drop height against its volume, sampled once: a cube root in every step would cost half the speed. */
export const heightSteps = 1024;

/** What the loop reads and never changes, worked out once. */
export interface ArcModel {
  readonly setup: ArcSetup;
  readonly dropHeight: Float64Array;
  readonly dropStepMm3: number;
  readonly sphereMm3: number;
  readonly detachA2s: number;
  /** Drop that the transition current pinches off, mm³, without extension and for each mm of it. */
  readonly atTransitionMm3: number;
  readonly atTransitionPerMm: number;
  readonly neckS: number;
  readonly neckA2s: number;
  readonly fuseA2s: number;
  /** Tremor and pool waves: heights with the noise in them, angular speeds, phases. Empty without noise. */
  readonly waveMm: Float64Array;
  readonly waveRadPerS: Float64Array;
  readonly wavePhase: Float64Array;
}

export function buildModel(setup: ArcSetup): ArcModel {
  const { wire, seed, noise } = setup;
  const sphereMm3 = (Math.PI / 6) * wire.diameterMm ** 3;
  const dropStepMm3 = (30 * sphereMm3) / heightSteps;
  const dropHeight = new Float64Array(heightSteps + 2);
  for (let index = 0; index < dropHeight.length; index++) {
    const volume = index * dropStepMm3;
    // A film on the wire's end first, then a sphere.
    dropHeight[index] = Math.min(volume / wire.areaMm2, Math.cbrt((6 * volume) / Math.PI));
  }
  const reference = pulseReference(wire);
  const detachA2s = arcDynamics.detachShare * reference.detachmentA2s;
  // Wire melted while the transition current itself pinches a drop off: the drop that sides below and above the transition share.
  const transition2 = wire.transitionA * wire.transitionA;
  const meltedShare = ((detachA2s / transition2) * wire.areaMm2) / (1 - arcDynamics.residualShare);
  const random = randomStream(seed);
  const rough = 1 + arcDynamics.co2PoolExtra * wire.co2Share;
  const waves =
    noise === 0 ? [] : [...disturbance.tremor, ...disturbance.pool.map(({ mm, hz }) => ({ mm: mm * rough, hz }))];
  const stout = 1 + arcDynamics.co2NeckExtra * wire.co2Share;
  const size = wire.diameterMm / 1.2;
  return {
    setup,
    dropHeight,
    dropStepMm3,
    sphereMm3,
    detachA2s,
    atTransitionMm3: wire.arcMeltMmPerAs * wire.transitionA * meltedShare,
    atTransitionPerMm: wire.extensionMeltPerA2s * transition2 * meltedShare,
    neckS: arcDynamics.neckTimeS * size ** 1.5 * stout,
    neckA2s: arcDynamics.neckImpulseShare * reference.detachmentA2s * stout,
    fuseA2s: arcDynamics.fuseImpulseShare * reference.detachmentA2s,
    waveMm: Float64Array.from(waves, (wave) => wave.mm * noise),
    waveRadPerS: Float64Array.from(waves, (wave) => 2 * Math.PI * wave.hz),
    wavePhase: Float64Array.from(waves, () => 2 * Math.PI * nextUniform(random)),
  };
}

/** Contact tip to plate at a moment, mm: the hand trembles and the pool waves. */
export function gapAt(model: ArcModel, timeS: number): number {
  const { waveMm, waveRadPerS, wavePhase } = model;
  let gap = model.setup.ctwdMm;
  for (let index = 0; index < waveMm.length; index++) {
    gap += waveMm[index]! * Math.sin(waveRadPerS[index]! * timeS + wavePhase[index]!);
  }
  return gap;
}
