/**
 * From the wire left after a stop to the next burn-back: free wire is L0 + ∫(feed − melt) dt while the drive coasts, so a millimetre
 * of wire is a melting time at the end level. Longer burn-back, shorter wire, whatever the dial is called.
 */
import { absent, amount, type Phrase, message, whether } from '../../base/messages/index.ts';
import type { Program } from '../../setting/program/index.ts';
import { feedMmPerS } from '../../base/units/convert.ts';

/** What is seen in two taps: how long, and what shape. */
export const wireLefts = ['stuck-in-pool', 'too-long', 'right', 'too-short', 'welded-to-tip'] as const;
export type WireLeft = (typeof wireLefts)[number];
export const wireShapes = ['sharp', 'small-ball', 'big-ball'] as const;
export type WireShape = (typeof wireShapes)[number];

export interface StopSeen {
  readonly left: WireLeft;
  readonly shape: WireShape;
  /** Burn-back that was set, ms. */
  readonly burnBackMs: number;
}

export interface BurnBackAdvice {
  readonly nextMs: number;
  readonly endPulse: boolean;
  readonly because: Phrase;
  /** What the row of stops says, once there are enough of them. */
  readonly trend: Phrase | null;
}

/** Free wire a next start likes, mm from the tip, and what each word stands for against it. Assumed. */
export const wantedFreeMm = 11;
const offMm: Record<WireLeft, number> = {
  'stuck-in-pool': 5,
  'too-long': 2.5,
  right: 0,
  'too-short': -2.5,
  'welded-to-tip': -7,
};
const leftWords: Record<WireLeft, Phrase> = {
  'stuck-in-pool': message('trigger.stop.froze'),
  'too-long': message('trigger.stop.long'),
  right: message('trigger.stop.right'),
  'too-short': message('trigger.stop.short'),
  'welded-to-tip': message('trigger.stop.welded-to-tip'),
};
/** One stop moves no further than this, ms: a hand and a pool scatter. */
const mostStepMs = 40;

/** Melting speed of the wire end while it burns back, mm/s: what the end level was fed. */
export function burnRateMmPerS({ wireFeedMPerMin, sequence }: Pick<Program, 'wireFeedMPerMin' | 'sequence'>): number {
  return feedMmPerS(wireFeedMPerMin) * (sequence.endPercent / 100);
}

/** `stops` oldest first; the last one is what was just seen. */
export function nextBurnBack(program: Program, stops: readonly StopSeen[]): BurnBackAdvice | null {
  const seen = stops.at(-1);
  if (!seen) return null;
  const rate = burnRateMmPerS(program);
  const off = offMm[seen.left];
  const exactMs = (1000 * off) / rate;
  // Too little and too much take turns about the right value: half the step then closes in.
  const before = stops.at(-2);
  const turned = before !== undefined && Math.sign(offMm[before.left]) === -Math.sign(off) && off !== 0;
  const stepMs = clamp(turned ? exactMs / 2 : exactMs, -mostStepMs, mostStepMs);
  const ballStepMs = off === 0 && seen.shape === 'big-ball' && program.sequence.endPulse ? -10 : 0;
  const nextMs = clamp(Math.round(seen.burnBackMs + stepMs + ballStepMs), 0, 500);
  const wantsPulse = seen.shape !== 'sharp' && program.mode !== 'dip' && program.mode !== 'spray';
  return {
    nextMs,
    endPulse: program.sequence.endPulse || wantsPulse,
    because:
      off === 0 && ballStepMs === 0
        ? message('trigger.stop.leave-burn-back', {
            right: leftWords.right,
            burnBack: amount('pulseTime', seen.burnBackMs),
            endPulse: whether(wantsPulse && !program.sequence.endPulse),
          })
        : message('trigger.stop.because', {
            left: leftWords[seen.left],
            off: amount('shortLength', Math.abs(off), 1),
            side: off > 0 ? 'over' : 'other',
            wantedFree: amount('shortLength', wantedFreeMm),
            rate: amount('shortLength', rate, 0),
            perMm: amount('pulseTime', 1000 / rate, 0),
            turned: Math.abs(exactMs) > mostStepMs ? amount('pulseTime', mostStepMs) : turned ? 'half' : absent,
            advice:
              off > 0
                ? message('trigger.stop.longer-burn-back')
                : off < 0
                  ? message('trigger.stop.shorter-burn-back')
                  : message('trigger.stop.less-ball'),
          }),
    trend: trendOf(stops),
  };
}

function trendOf(stops: readonly StopSeen[]): Phrase | null {
  const recent = stops.slice(-5);
  if (recent.length < 3) return null;
  const long = recent.filter(({ left }) => offMm[left] > 0).length;
  const short = recent.filter(({ left }) => offMm[left] < 0).length;
  const right = recent.length - long - short;
  if (right === recent.length) return message('trigger.stop.lock-it', { recent: recent.length });
  if (long > 0 && short > 0) {
    return message('trigger.stop.scatter', { recent: recent.length, long, short, right });
  }
  const which = long > 0 ? 'long' : 'other';
  return message('trigger.stop.side', { short: Math.max(long, short), recent: recent.length, which });
}

function clamp(value: number, low: number, high: number): number {
  return Math.min(Math.max(value, low), high);
}
