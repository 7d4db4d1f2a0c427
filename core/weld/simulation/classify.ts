/** The name of what a run did, by the model's thresholds. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { SimulationMetrics } from './metrics.ts';
import type { ArcModel } from './model.ts';
import { arcDynamics, modeThresholds } from './params.ts';
import type { Recorder } from './recorder.ts';

export type TransferMode =
  | 'stubbing'
  | 'dip'
  | 'globular'
  | 'spray'
  | 'pulsed-one-drop'
  | 'pulsed-multi-drop'
  | 'pulsed-with-shorts'
  | 'burn-back';

export function classify(metrics: SimulationMetrics, recorder: Recorder, model: ArcModel): TransferMode {
  const th = modeThresholds;
  const { source, feedMmPerS } = model.setup;
  const isPulse = source.kind === 'pulse';
  if (recorder.atTipS > 0 || recorder.minExtensionMm < th.burnBackExtensionMm) return 'burn-back';
  // More than a tenth of the wire fed went into length instead of drops.
  const growing = recorder.lastExtensionMm - recorder.firstExtensionMm > 0.1 * feedMmPerS * recorder.measuredS;
  if (metrics.arcOnShare < th.stubbingArcOnShare || growing || recorder.buckles / recorder.measuredS > 2)
    return 'stubbing';
  if (isPulse) {
    if (metrics.shortsPerS > th.pulsedShortsPerS)
      return metrics.shortsPerS > th.dipShortsPerS && metrics.arcOnShare < th.dipArcOnShare
        ? 'dip'
        : 'pulsed-with-shorts';
    if (metrics.dropsPerPulse > th.oneDrop[1]) return 'pulsed-multi-drop';
    return metrics.dropsPerPulse >= th.oneDrop[0] ? 'pulsed-one-drop' : 'globular';
  }
  if (metrics.shortsPerS > th.dipShortsPerS && metrics.arcOnShare < th.dipArcOnShare) return 'dip';
  // The drop shrinks without a step as the current rises; the name changes once, where the transition current itself would put it.
  return metrics.dropFactor > transitionDropFactor(model, metrics.meanExtensionMm) * (1 + edge) ||
    metrics.shortsPerS > th.pulsedShortsPerS
    ? 'globular'
    : 'spray';
}

/** Drops scatter by this share around their mean. */
const edge = 0.02;

/** Diameter over the wire's of the drop that leaves at the transition current. */
export function transitionDropFactor(
  { atTransitionMm3, atTransitionPerMm, sphereMm3 }: ArcModel,
  extensionMm: number,
): number {
  const leftMm3 = (atTransitionMm3 + atTransitionPerMm * extensionMm) * (1 - arcDynamics.residualShare);
  return Math.cbrt(leftMm3 / sphereMm3);
}

/** For the welder. */
export const transferWords: Record<TransferMode, Phrase> = {
  stubbing: message('simulation.arc.stubs'),
  dip: message('simulation.arc.dip'),
  globular: message('simulation.arc.globular'),
  spray: message('simulation.arc.spray'),
  'pulsed-one-drop': message('simulation.arc.pulse'),
  'pulsed-multi-drop': message('simulation.arc.pulse-multi-drop'),
  'pulsed-with-shorts': message('simulation.arc.pulse-shorts'),
  'burn-back': message('simulation.arc.climbs'),
};
