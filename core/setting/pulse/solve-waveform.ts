/** The waveform for a feed from as much of it as is fixed: which number follows, and why there is none. Currents A, times ms, rates mm/s. */
import { amount, bare, inSentence, message, sentences } from '../../base/messages/index.ts';
import { failure, ranges, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
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
          ? message('pulse.error.melts-too-much', {
              frequency: amount('frequency', frequencyHz),
              low: amount('current', low, 0),
              feed: amount('wireFeed', feed),
            })
          : message('pulse.error.background-above-transition', {
              frequency: amount('frequency', frequencyHz),
              high: amount('current', high, 0),
              feed: amount('wireFeed', feed),
            }),
        limit: [low, high],
        got: frequencyHz,
        hint: tooHot ? message('pulse.hint.lower-frequency') : message('pulse.hint.raise-frequency'),
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
        message: message('pulse.error.frequency-outside', {
          backgroundCurrent: amount('current', backgroundCurrentA),
          found: amount('frequency', found, 0),
          min: bare('frequency', min),
          max: amount('frequency', max),
        }),
        limit: [min, max],
        got: backgroundCurrentA,
        hint: found < min ? message('pulse.hint.lower-background') : message('pulse.hint.raise-background'),
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
  const { min, max, kind, name } = ranges[field];
  if (found === undefined || found < min || found > max) {
    return failure({
      path: field,
      code: 'no-solution',
      message: message('pulse.error.fixed-value-outside', {
        backgroundCurrent: amount('current', fixed.backgroundCurrentA),
        frequency: amount('frequency', fixed.frequencyHz),
        name: inSentence(name),
        min: bare(kind, min),
        max: amount(kind, max),
        feed: amount('wireFeed', feed),
      }),
      limit: [min, max],
      got: found,
      hint: message('pulse.hint.release-fixed'),
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
      message: message('pulse.error.peak-below-transition', {
        peakCurrent: amount('current', peakCurrentA),
        transition: amount('current', transitionA, 0),
      }),
      limit: Math.ceil(transitionA * 1.02),
      got: peakCurrentA,
      hint: message('pulse.hint.raise-peak'),
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
  const why = miss === 'feed-too-low' ? message('pulse.why.peak-melts-more') : message('pulse.why.background-too-high');
  const span = limit
    ? message('pulse.because.pulse-range', {
        least: bare('wireFeed', limit[0] ?? 0),
        most: amount('wireFeed', limit[1] ?? 0),
      })
    : null;
  return {
    path: 'wireFeedMPerMin',
    code: 'outside-pulse-range',
    message: sentences([
      message('pulse.error.no-solution', { feed: amount('wireFeed', Number(feed.toFixed(2))), why }),
      span,
    ]),
    limit,
    got: feed,
    hint: miss === 'feed-too-low' ? message('pulse.hint.thinner-wire') : message('pulse.hint.thicker-wire'),
  };
}
