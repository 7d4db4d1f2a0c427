/** Metal laid against wire fed: where they do not agree, pace, slip or a measurement is wrong. */
import { filletAreaMm2, filletLegMm } from '../../setting/bead/index.ts';
import { amount, message, type Said } from '../../base/messages/index.ts';

/** Beyond this share something is wrong. Source: the design's rule. */
const agreesWithin = 0.15;

export interface BackCheck {
  /** Metal measured over metal fed. */
  readonly ratio: number;
  readonly agrees: boolean;
  /** Said where they do not agree. */
  readonly words: Said | null;
}

/** Legs in mm; `fedMm2` is the section the wire that was fed makes at the travel that was timed. */
export function backCheck([first, second]: readonly [number, number], fedMm2: number): BackCheck {
  const measured = filletAreaMm2(Math.sqrt(first * second));
  const ratio = measured / fedMm2;
  const agrees = Math.abs(ratio - 1) <= agreesWithin;
  return {
    ratio,
    agrees,
    words: agrees
      ? null
      : message('judge.leg-too-large', {
          leg: amount('shortLength', (first + second) / 2, 1),
          area: amount('area', fedMm2, 1),
          fits: amount('shortLength', filletLegMm(fedMm2), 1),
        }),
  };
}
