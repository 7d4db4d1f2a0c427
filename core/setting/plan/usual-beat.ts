/** The double pulse that a plan takes where nobody asked for another, and what is said of its ripples. */
import { amount, bare, message } from '../../base/messages/index.ts';
import type { Warning } from '../../base/outcome/index.ts';
import { travelMmPerS } from '../../base/units/convert.ts';
import type { CanonicalBeat } from '../double-pulse/canonical.ts';
import { beatForPitchHz, usualPitchMm } from '../double-pulse/ripple.ts';
import type { PlanFigures, Workings } from './figures.ts';

/** A beat nobody asked a ripple of runs in this range, Hz. */
const plannedBeatHz = [1, 3] as const;

/** Swing of a planned beat, share up and down of the mean; and the least that still is a beat. */
const plannedSwing = 0.2;

const leastSwing = 0.05;

/** A beat to start from: a fifth up and down in equal times, less where the wire cannot follow, ripples in the middle of what is usual. */
export function usualBeat({ figures, model }: Workings): CanonicalBeat & { ripplePitchMm: number } {
  const pitch = (usualPitchMm[0] + usualPitchMm[1]) / 2;
  const [slowest, fastest] = plannedBeatHz;
  const frequencyHz = Math.min(Math.max(beatForPitchHz(figures.travelMmPerMin, pitch), slowest), fastest);
  const mean = figures.wireFeedMPerMin;
  let swing: number = plannedSwing;
  while (swing > leastSwing && (!model.at(mean * (1 + swing)) || !model.at(mean * (1 - swing)))) swing -= 0.01;
  return {
    meanFeedMPerMin: mean,
    highFeedMPerMin: (1 + swing) * mean,
    lowFeedMPerMin: (1 - swing) * mean,
    highShare: 0.5,
    frequencyHz,
    ripplePitchMm: travelMmPerS(figures.travelMmPerMin) / frequencyHz,
  };
}

export function beatWarnings(figures: PlanFigures, beat: CanonicalBeat & { ripplePitchMm: number }): Warning[] {
  const swing = beat.highFeedMPerMin / beat.meanFeedMPerMin - 1;
  const warnings: Warning[] = [];
  if (swing < plannedSwing - 1e-6) {
    warnings.push({
      code: 'swing-shrunk',
      level: 'note',
      message: message('plan.caution.swing-reduced', {
        plannedSwing: bare('percent', 100 * plannedSwing),
        swing: amount('percent', 100 * swing, 0),
      }),
    });
  }
  warnings.push(...ripplePuddleWarnings(beat.ripplePitchMm, figures.areaMm2));
  return warnings;
}

/** Puddle length over bead width, and bead width over the root of its area: rules of practice, assumed. */
const puddle = { lengthPerWidth: 1.5, widthPerRootArea: 1.6 } as const;

/** A ripple longer than the puddle leaves separate spots instead of a seam. */
export function ripplePuddleWarnings(ripplePitchMm: number, areaMm2: number): Warning[] {
  const puddleMm = puddle.lengthPerWidth * puddle.widthPerRootArea * Math.sqrt(areaMm2);
  if (ripplePitchMm <= puddleMm) return [];
  return [
    {
      code: 'ripple-longer-than-puddle',
      level: 'caution',
      message: message('plan.caution.ripples-longer-than-pool', {
        ripplePitch: amount('shortLength', ripplePitchMm, 1),
        puddle: amount('shortLength', puddleMm, 1),
      }),
    },
  ];
}
