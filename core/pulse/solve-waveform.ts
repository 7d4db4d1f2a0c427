/** The waveform for a feed from as much of it as is fixed: which number follows, and why there is none. Currents A, times ms, rates mm/s. */
import { failure, ranges, success, type Issue, type Outcome } from '../outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../units/factors.ts';
import {
  balancingBackground,
  balancingFrequency,
  balancingValue,
  meltedByPulse,
  type PulsePeak,
  type PulseSite,
} from './balance.ts';
import { backgroundFloorA, pulsableRates, solveOneDrop, solveWithStretch } from './one-drop.ts';
import type { PulseReference } from './reference.ts';
import { oneDropTimeMs, type FastPulse } from './waveform.ts';
import type { PulseInput } from './pulse-input.ts';

export interface SolvedWaveform {
  readonly pulse: FastPulse;
  readonly solvedFor: readonly string[];
  readonly stretched: boolean;
  readonly dropsPerPulse: number;
}

export function solveWaveform(
  site: PulseSite,
  reference: PulseReference,
  rate: number,
  input: PulseInput,
  slewAPerMs: number,
): Outcome<SolvedWaveform> {
  const { backgroundCurrentA, frequencyHz } = input;
  const feed = input.wireFeedMPerMin;
  const given = peakFor(site.wire.transitionA, reference, input, slewAPerMs, backgroundCurrentA);
  if (!given.ok) return given;
  let peak = given.value;

  if (backgroundCurrentA === undefined && frequencyHz === undefined) {
    const solve = input.peakTimeMs === undefined ? solveWithStretch : solveOneDrop;
    let found = solve(site, peak, rate);
    if (input.peakCurrentA !== undefined && input.peakTimeMs === undefined && typeof found === 'object') {
      // The time for one drop was found over a guessed background; now the real one is known.
      const again = peakFor(site.wire.transitionA, reference, input, slewAPerMs, found.backgroundCurrentA);
      if (again.ok) {
        peak = again.value;
        found = solve(site, peak, rate);
      }
    }
    if (typeof found === 'string') return failure(outsidePulseRange(site, peak, feed, found));
    return success({
      pulse: found,
      solvedFor: ['frequencyHz', 'backgroundCurrentA'],
      stretched: found.peakTimeMs > peak.peakTimeMs && found.dropsPerPulse === 1,
      dropsPerPulse: found.dropsPerPulse,
    });
  }

  if (frequencyHz !== undefined && backgroundCurrentA === undefined) {
    const [low, high] = [backgroundFloorA(site.wire.transitionA), Math.min(site.wire.transitionA, peak.peakCurrentA)];
    const probe = { ...peak, frequencyHz, backgroundCurrentA: low };
    const found = balancingBackground(site, peak, frequencyHz, rate, low, high);
    if (found === undefined) {
      const tooHot = meltedByPulse(site, probe) > rate;
      return failure({
        path: 'frequencyHz',
        code: 'no-solution',
        message: tooHot
          ? `No solution, because at ${frequencyHz} Hz the peaks and the lowest stable background of ${low.toFixed(0)} A already melt more than ${feed} m/min.`
          : `No solution, because at ${frequencyHz} Hz the background would have to pass the transition current of ${high.toFixed(0)} A to melt ${feed} m/min.`,
        limit: [low, high],
        got: frequencyHz,
        hint: tooHot ? 'Lower the frequency, or raise the feed.' : 'Raise the frequency, or lower the feed.',
      });
    }
    return success({
      pulse: { ...probe, backgroundCurrentA: found },
      solvedFor: ['backgroundCurrentA'],
      stretched: false,
      dropsPerPulse: 1,
    });
  }

  if (frequencyHz === undefined && backgroundCurrentA !== undefined) {
    const found = balancingFrequency(site, peak, backgroundCurrentA, rate);
    const { min, max } = ranges.frequencyHz;
    if (!(found >= min && found <= max)) {
      return failure({
        path: 'backgroundCurrentA',
        code: 'no-solution',
        message: `No solution, because with a background of ${backgroundCurrentA} A the frequency would have to be ${found.toFixed(0)} Hz; it may lie between ${min} and ${max} Hz.`,
        limit: [min, max],
        got: backgroundCurrentA,
        hint: found < min ? 'Lower the background, or raise the feed.' : 'Raise the background, or lower the feed.',
      });
    }
    return success({
      pulse: { ...peak, backgroundCurrentA, frequencyHz: found },
      solvedFor: ['frequencyHz'],
      stretched: false,
      dropsPerPulse: 1,
    });
  }

  const fixed: FastPulse = { ...peak, backgroundCurrentA: backgroundCurrentA ?? 0, frequencyHz: frequencyHz ?? 0 };
  if (input.peakCurrentA !== undefined && input.peakTimeMs !== undefined) {
    return success({ pulse: fixed, solvedFor: [], stretched: false, dropsPerPulse: 1 });
  }
  const field = input.peakCurrentA === undefined ? 'peakCurrentA' : 'peakTimeMs';
  const [low, high] =
    field === 'peakCurrentA' ? [fixed.backgroundCurrentA, ranges.peakCurrentA.max] : [0, 1000 / fixed.frequencyHz];
  const found = balancingValue(site, fixed, field, rate, low, high);
  const { min, max, unit, name } = ranges[field];
  if (found === undefined || found < min || found > max) {
    return failure({
      path: field,
      code: 'no-solution',
      message: `No solution, because with ${fixed.backgroundCurrentA} A background at ${fixed.frequencyHz} Hz the ${name.toLowerCase()} would have to leave ${min}..${max} ${unit} to melt ${feed} m/min.`,
      limit: [min, max],
      got: found,
      hint: 'Give up one of the fixed values.',
    });
  }
  return success({ pulse: { ...fixed, [field]: found }, solvedFor: [field], stretched: false, dropsPerPulse: 1 });
}

/** The peak as given; one that came without its time is held as long as one drop takes. */
function peakFor(
  transitionA: number,
  reference: PulseReference,
  input: PulseInput,
  slewAPerMs: number,
  backgroundCurrentA: number | undefined,
): Outcome<PulsePeak> {
  const { peakCurrentA, peakTimeMs } = input;
  if (peakCurrentA === undefined || peakTimeMs !== undefined) {
    return success({
      peakCurrentA: peakCurrentA ?? reference.peakCurrentA,
      peakTimeMs: peakTimeMs ?? reference.peakTimeMs,
      slewAPerMs,
      limitA: peakCurrentA ?? input.machine?.maxCurrentA,
    });
  }
  const over = backgroundCurrentA ?? guessedBackgroundShare * transitionA;
  const oneDrop = oneDropTimeMs(reference, transitionA, peakCurrentA, over, slewAPerMs);
  if (oneDrop === undefined) {
    return failure({
      path: 'peakCurrentA',
      code: 'peak-below-transition',
      message: `A peak of ${peakCurrentA} A pinches off no drop: it has to rise over the transition current of ${transitionA.toFixed(0)} A.`,
      limit: Math.ceil(transitionA * 1.02),
      got: peakCurrentA,
      hint: 'Raise the peak, or give its time too.',
    });
  }
  const { min, max } = ranges.peakTimeMs;
  return success({ peakCurrentA, peakTimeMs: Math.min(Math.max(oneDrop, min), max), slewAPerMs });
}

/** Background while it is not known yet, in transition currents. */
const guessedBackgroundShare = 0.4;

function outsidePulseRange(
  site: PulseSite,
  peak: PulsePeak,
  feed: number,
  miss: 'feed-too-low' | 'feed-too-high',
): Issue {
  const rates = pulsableRates(site, peak);
  const limit = rates?.map((rate) => Number((rate / MM_PER_S_PER_M_PER_MIN).toFixed(2)));
  const why =
    miss === 'feed-too-low'
      ? 'the peak alone melts more than a drop needs, even with the lowest background that keeps the arc alight'
      : 'the background would have to pass the transition current, or the pulses would follow too fast';
  const span = limit ? ` At this stick-out this wire pulses from ${limit[0]} to ${limit[1]} m/min.` : '';
  return {
    path: 'wireFeedMPerMin',
    code: 'outside-pulse-range',
    message: `No solution at ${Number(feed.toFixed(2))} m/min, because ${why}.${span}`,
    limit,
    got: feed,
    hint: miss === 'feed-too-low' ? 'Take a thinner wire or more feed.' : 'Take a thicker wire or less feed.',
  };
}
