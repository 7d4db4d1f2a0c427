/** Where the gun stands along the seam: it waits for the arc, travels at the program's pace, and stands still in the crater. */
import type { PlayedPhase } from '../sequence/index.ts';
import { travelMmPerS } from '../../base/units/convert.ts';

export interface GunPiece {
  readonly fromS: number;
  readonly toS: number;
  readonly fromMm: number;
  readonly toMm: number;
}

export interface GunPath {
  readonly pieces: readonly GunPiece[];
  /** Where the travel ends, mm. */
  readonly endMm: number;
  mmAt(atS: number): number;
  /** Moment at which the gun comes to a place; undefined where it never does. */
  timeAt(mm: number): number | undefined;
}

/** `moves` false for spots, which are welded standing. */
export function gunPath(played: readonly PlayedPhase[], travelMmPerMin: number, moves = true): GunPath {
  const paceMmPerS = travelMmPerS(travelMmPerMin);
  const pieces: GunPiece[] = [];
  let mm = 0;
  const add = (fromS: number, toS: number, isMoving: boolean) => {
    if (toS <= fromS) return;
    const toMm = mm + (isMoving ? (toS - fromS) * paceMmPerS : 0);
    pieces.push({ fromS, toS, fromMm: mm, toMm });
    mm = toMm;
  };
  played.forEach((phase, at) => {
    const { name, fromS, toS, litS } = phase;
    const goesOn = name === 'post-gas' && played[at + 1]?.name === 'run-in';
    const isTravelling = ['start', 'slope-in', 'main', 'second', 'slope-out'].includes(name) || goesOn;
    // Between stitches the hand goes on, arc or none.
    const isAgain = name === 'run-in' && played[at - 1]?.name === 'post-gas';
    if (name === 'run-in' && litS !== null) {
      add(fromS, litS, moves && isAgain);
      add(litS, toS, moves);
    } else add(fromS, toS, moves && isTravelling);
  });
  return {
    pieces,
    endMm: mm,
    mmAt(atS) {
      const piece = pieces.find(({ toS }) => atS <= toS) ?? pieces.at(-1);
      if (!piece) return 0;
      const share = Math.min(Math.max((atS - piece.fromS) / (piece.toS - piece.fromS), 0), 1);
      return piece.fromMm + (piece.toMm - piece.fromMm) * share;
    },
    timeAt(place) {
      const piece = pieces.find(({ fromMm, toMm }) => toMm > fromMm && place >= fromMm - 1e-9 && place <= toMm + 1e-9);
      if (!piece) return undefined;
      return piece.fromS + ((place - piece.fromMm) / (piece.toMm - piece.fromMm)) * (piece.toS - piece.fromS);
    },
  };
}
