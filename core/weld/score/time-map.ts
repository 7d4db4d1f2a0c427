/** Seconds to room on paper, with the steady stretches of a weld folded away: start and end keep their room, and a fold says how much it hides. */

export interface Fold {
  readonly fromS: number;
  readonly toS: number;
}

export interface TimeMap {
  /** Length of the whole on paper, in seconds' worth of room. */
  readonly room: number;
  readonly folds: readonly Fold[];
  /** Where a moment stands, in seconds' worth of room from the left. */
  place(atS: number): number;
  moment(place: number): number;
}

/** Room that a fold takes on paper, as seconds. */
export const foldRoom = 0.35;
/** A steady stretch is folded where it is longer than this, s, and this much of it stays at each side. */
const foldFromS = 7;
const keepS = 1.6;

/** What of the steady stretches folds away. */
export function foldsOf(steady: readonly Fold[]): Fold[] {
  return steady
    .filter(({ fromS, toS }) => toS - fromS >= foldFromS)
    .map(({ fromS, toS }) => ({ fromS: fromS + keepS, toS: toS - keepS }));
}

/** `folds` in order of time, not overlapping. */
export function timeMap(untilS: number, folds: readonly Fold[]): TimeMap {
  const hidden = ({ fromS, toS }: Fold) => toS - fromS - foldRoom;
  return {
    room: folds.reduce((room, fold) => room - hidden(fold), untilS),
    folds,
    place(atS) {
      let before = 0;
      for (const fold of folds) {
        if (atS <= fold.fromS) break;
        if (atS < fold.toS) return fold.fromS - before + ((atS - fold.fromS) / (fold.toS - fold.fromS)) * foldRoom;
        before += hidden(fold);
      }
      return atS - before;
    },
    moment(place) {
      let before = 0;
      for (const fold of folds) {
        const from = fold.fromS - before;
        if (place <= from) break;
        if (place < from + foldRoom) return fold.fromS + ((place - from) / foldRoom) * (fold.toS - fold.fromS);
        before += hidden(fold);
      }
      return place + before;
    },
  };
}

/** The fold a moment lies in; undefined where the paper is flat. */
export function foldAt({ folds }: TimeMap, atS: number): Fold | undefined {
  return folds.find(({ fromS, toS }) => atS > fromS && atS < toS);
}
