/**
 * The slow beat: a swing between a high and a low wire feed at 0.2..10 Hz, on top of the fast pulses.
 * Machines express it in three schools; the canonical description is mean, high and low feed, share of time at high, and frequency.
 */
export interface CanonicalBeat {
  readonly meanFeedMPerMin: number;
  readonly highFeedMPerMin: number;
  readonly lowFeedMPerMin: number;
  /** Share of time at high, 0..1. */
  readonly highShare: number;
  readonly frequencyHz: number;
}
