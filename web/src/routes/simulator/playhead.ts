/** One moment that arc, chart and cursor share; moved by the clock of the page, told to whoever listens, without a render for each frame. */

export const paces = [20, 50, 100, 200, 500] as const;
export type Pace = (typeof paces)[number];

export interface Playhead {
  readonly fromS: number;
  readonly untilS: number;
  timeS(): number;
  seek(timeS: number): void;
  /** Just behind the next of these moments. */
  nextOf(moments: Float64Array): void;
  /** Moves on by so much of simulated time, round to the beginning at the end. */
  advance(byS: number): void;
  listen(heard: (timeS: number) => void): () => void;
}

export function createPlayhead(fromS: number, untilS: number): Playhead {
  let now = fromS;
  const listeners = new Set<(timeS: number) => void>();
  const seek = (timeS: number) => {
    now = Math.min(Math.max(timeS, fromS), untilS);
    for (const heard of listeners) heard(now);
  };
  return {
    fromS,
    untilS,
    timeS: () => now,
    seek,
    nextOf(moments) {
      const next = moments.find((moment) => moment > now + 2e-4) ?? moments[0];
      // A hair after it has left, so that it is seen on its way.
      if (next !== undefined) seek(next + 2e-4);
    },
    advance(byS) {
      const span = untilS - fromS;
      if (span <= 0) return;
      seek(fromS + ((now - fromS + byS) % span));
    },
    listen(heard) {
      listeners.add(heard);
      return () => listeners.delete(heard);
    },
  };
}
