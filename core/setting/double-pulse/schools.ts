/**
 * The three schools in which machines express the slow beat, to and from the canonical description.
 * Top: the set value is the high level, low a percentage of it, duty the share of time at the set value.
 * Two-level: high and low entered apart, with a balance of 10..90 % at high.
 * Swing: the set value is the mean, one strength gives a symmetric swing around it in equal times.
 */
import { message, amount, bare, type Phrase } from '../../base/messages/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import type { FillerCode } from '../../metal/consumables/index.ts';
import { meltRateMmPerS } from '../../metal/melting/index.ts';
import { failure, rangeIssue, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';
import type { CanonicalBeat } from './canonical.ts';

export type BeatSchool = 'top' | 'two-level' | 'swing';

export interface TopBeat {
  readonly school: 'top';
  readonly setFeedMPerMin: number;
  readonly lowPercent: number;
  readonly highSharePercent: number;
  readonly frequencyHz: number;
}

export interface TwoLevelBeat {
  readonly school: 'two-level';
  readonly highFeedMPerMin?: number | undefined;
  readonly lowFeedMPerMin?: number | undefined;
  /** Instead of feeds; then wire and extension say what they melt. */
  readonly highCurrentA?: number | undefined;
  readonly lowCurrentA?: number | undefined;
  readonly filler?: FillerCode | undefined;
  readonly gas?: string | undefined;
  readonly diameterMm?: number | undefined;
  readonly extensionMm?: number | undefined;
  readonly highSharePercent: number;
  readonly frequencyHz: number;
}

export interface SwingBeat {
  readonly school: 'swing';
  readonly meanFeedMPerMin: number;
  readonly swingPercent: number;
  readonly frequencyHz: number;
}

export type BeatInput = TopBeat | TwoLevelBeat | SwingBeat;

export const beatLimits = {
  frequencyHz: [0.2, 10],
  lowPercent: [10, 100],
  sharePercent: [10, 90],
  swingPercent: [0, 80],
} as const;

/** Canonical description of a beat. Issues: ranges, `low-above-high`, `one-of`. */
export function canonicalOf(beat: BeatInput): Outcome<CanonicalBeat> {
  const issues: Issue[] = [
    ...within('frequencyHz', beat.frequencyHz, beatLimits.frequencyHz, message('double-pulse.hz')),
  ];
  if (beat.school === 'top') {
    issues.push(
      ...feedIssue('setFeedMPerMin', beat.setFeedMPerMin),
      ...within('lowPercent', beat.lowPercent, beatLimits.lowPercent, '%'),
      ...within('highSharePercent', beat.highSharePercent, beatLimits.sharePercent, '%'),
    );
    if (issues.length > 0) return failure(...issues);
    return success(
      levels(
        beat.setFeedMPerMin,
        (beat.setFeedMPerMin * beat.lowPercent) / 100,
        beat.highSharePercent / 100,
        beat.frequencyHz,
      ),
    );
  }
  if (beat.school === 'swing') {
    issues.push(
      ...feedIssue('meanFeedMPerMin', beat.meanFeedMPerMin),
      ...within('swingPercent', beat.swingPercent, beatLimits.swingPercent, '%'),
    );
    if (issues.length > 0) return failure(...issues);
    const swing = beat.swingPercent / 100;
    return success(
      levels(beat.meanFeedMPerMin * (1 + swing), beat.meanFeedMPerMin * (1 - swing), 0.5, beat.frequencyHz),
    );
  }
  issues.push(...within('highSharePercent', beat.highSharePercent, beatLimits.sharePercent, '%'));
  const feeds = twoLevelFeeds(beat);
  if (!feeds.ok) issues.push(...feeds.issues);
  if (issues.length > 0 || !feeds.ok) return failure(...issues);
  const [high, low] = feeds.value;
  issues.push(...feedIssue('highFeedMPerMin', high), ...feedIssue('lowFeedMPerMin', low));
  if (low > high) {
    issues.push({
      path: 'lowFeedMPerMin',
      code: 'low-above-high',
      message: message('double-pulse.error.low-above-high', {
        low: amount('wireFeed', low),
        high: amount('wireFeed', high),
      }),
      limit: high,
      got: low,
      hint: message('double-pulse.swap-the-two'),
    });
  }
  return issues.length > 0
    ? failure(...issues)
    : success(levels(high, low, beat.highSharePercent / 100, beat.frequencyHz));
}

export interface SaidBeat {
  readonly to: BeatInput;
  readonly representable: boolean;
  /** What the nearest representable beat really is, when the wish is not representable. */
  readonly nearest?: CanonicalBeat;
  readonly why?: Phrase;
}

/** The canonical beat said in a school; where it cannot be, the nearest that keeps the mean feed. */
export function sayBeat(beat: CanonicalBeat, school: BeatSchool): SaidBeat {
  const { meanFeedMPerMin, highFeedMPerMin, lowFeedMPerMin, highShare, frequencyHz } = beat;
  const [least, most] = beatLimits.sharePercent;
  const share = Math.min(Math.max(highShare * 100, least), most);
  if (school === 'swing') {
    const swingPercent = ((highFeedMPerMin - lowFeedMPerMin) / (highFeedMPerMin + lowFeedMPerMin)) * 100;
    const isEven = Math.abs(highShare - 0.5) < 1e-9;
    // With uneven shares the same depth around the same mean is the nearest that an even swing can do.
    const depth = isEven
      ? swingPercent
      : Math.min(((highFeedMPerMin - lowFeedMPerMin) / 2 / meanFeedMPerMin) * 100, beatLimits.swingPercent[1]);
    const to: SwingBeat = {
      school,
      meanFeedMPerMin,
      swingPercent: Math.min(depth, beatLimits.swingPercent[1]),
      frequencyHz,
    };
    if (isEven && depth <= beatLimits.swingPercent[1]) return { to, representable: true };
    return unrepresentable(
      to,
      isEven ? message('double-pulse.limit.swing') : message('double-pulse.limit.equal-times'),
    );
  }
  if (school === 'top') {
    const lowPercent = (lowFeedMPerMin / highFeedMPerMin) * 100;
    const held = Math.max(lowPercent, beatLimits.lowPercent[0]);
    const isExact = held === lowPercent && Math.abs(share - highShare * 100) < 1e-9;
    // Held values would move the mean; the set value is moved so that the mean stays.
    const setFeedMPerMin = isExact
      ? highFeedMPerMin
      : meanFeedMPerMin / (share / 100 + (1 - share / 100) * (held / 100));
    const to: TopBeat = { school, setFeedMPerMin, lowPercent: held, highSharePercent: share, frequencyHz };
    return isExact
      ? { to, representable: true }
      : unrepresentable(to, message('double-pulse.limit.low-level-or-share'));
  }
  const isExact = Math.abs(share - highShare * 100) < 1e-9;
  const high = isExact ? highFeedMPerMin : (meanFeedMPerMin - (1 - share / 100) * lowFeedMPerMin) / (share / 100);
  const to: TwoLevelBeat = { school, highFeedMPerMin: high, lowFeedMPerMin, highSharePercent: share, frequencyHz };
  return isExact
    ? { to, representable: true }
    : unrepresentable(
        to,
        message('double-pulse.error.high-share', { least: bare('percent', least), most: amount('percent', most) }),
      );
}

function unrepresentable(to: BeatInput, why: Phrase): SaidBeat {
  const nearest = canonicalOf(to);
  return { to, representable: false, why, ...(nearest.ok ? { nearest: nearest.value } : {}) };
}

function levels(high: number, low: number, highShare: number, frequencyHz: number): CanonicalBeat {
  return {
    meanFeedMPerMin: highShare * high + (1 - highShare) * low,
    highFeedMPerMin: high,
    lowFeedMPerMin: low,
    highShare,
    frequencyHz,
  };
}

/** Feeds of a two-level beat, from feeds or from currents with a wire. */
function twoLevelFeeds(beat: TwoLevelBeat): Outcome<readonly [number, number]> {
  const { highFeedMPerMin, lowFeedMPerMin, highCurrentA, lowCurrentA, filler, diameterMm, extensionMm } = beat;
  if (
    highFeedMPerMin !== undefined &&
    lowFeedMPerMin !== undefined &&
    highCurrentA === undefined &&
    lowCurrentA === undefined
  ) {
    return success([highFeedMPerMin, lowFeedMPerMin]);
  }
  if (
    highFeedMPerMin === undefined &&
    lowFeedMPerMin === undefined &&
    highCurrentA !== undefined &&
    lowCurrentA !== undefined
  ) {
    if (filler === undefined || diameterMm === undefined || extensionMm === undefined) {
      return failure({
        path: 'filler',
        code: 'missing',
        message: message('double-pulse.error.levels-in-amperes'),
      });
    }
    const issues = [
      rangeIssue('diameterMm', diameterMm),
      rangeIssue('extensionMm', extensionMm),
      rangeIssue('currentA', highCurrentA, 'highCurrentA'),
      rangeIssue('currentA', lowCurrentA, 'lowCurrentA'),
    ].filter((issue) => issue !== undefined);
    if (issues.length > 0) return failure(...issues);
    const wire = wireInGas(filler, beat.gas ?? 'I1', diameterMm);
    const feed = (amps: number) => meltRateMmPerS(wire, amps, amps, extensionMm) / MM_PER_S_PER_M_PER_MIN;
    return success([feed(highCurrentA), feed(lowCurrentA)]);
  }
  return failure({
    path: 'highFeedMPerMin',
    code: 'one-of',
    message: message('double-pulse.error.levels-mixed'),
    got: { highFeedMPerMin, lowFeedMPerMin, highCurrentA, lowCurrentA },
  });
}

function feedIssue(path: string, value: number): Issue[] {
  const issue = rangeIssue('wireFeedMPerMin', value, path);
  return issue ? [issue] : [];
}

function within(path: string, value: number, [min, max]: readonly [number, number], unit: Phrase): Issue[] {
  if (Number.isFinite(value) && value >= min && value <= max) return [];
  return [
    {
      path,
      code: 'out-of-range',
      message: message('double-pulse.error.out-of-range', { path, min, max, unit, value }),
      limit: [min, max],
      got: value,
    },
  ];
}
