/** What the logged welds of a seam really took, beside what as many would have taken by the plan. */
import { nothingTaken, plus, times, type Takes } from './costs.ts';
import { minutesOf } from '../../base/units/convert.ts';

export interface LoggedWeld {
  /** Timed; undefined: nobody timed it, the plan's then. */
  readonly seconds?: number | undefined;
  /** Drawn from stock; undefined where no spool or cylinder was on the machine. */
  readonly wireKg?: number | undefined;
  readonly gasL?: number | undefined;
}

export interface Found {
  readonly welds: number;
  readonly timed: number;
  readonly planned: Takes;
  readonly found: Takes;
}

/** `piece` is what one takes by the plan; handling is not timed and stays as planned, energy and tips follow the arc. */
export function foundOf(welds: readonly LoggedWeld[], piece: Takes): Found {
  const found = welds.reduce((sum, { seconds, wireKg, gasL }) => {
    const share = seconds === undefined || piece.arcMinutes === 0 ? 1 : minutesOf(seconds) / piece.arcMinutes;
    const arcMinutes = piece.arcMinutes * share;
    return plus(sum, {
      arcMinutes,
      workMinutes: piece.workMinutes - piece.arcMinutes + arcMinutes,
      wireKg: wireKg ?? piece.wireKg * share,
      gasL: gasL ?? piece.gasL * share,
      kwh: piece.kwh * share,
      tips: piece.tips * share,
    });
  }, nothingTaken);
  return {
    welds: welds.length,
    timed: welds.filter(({ seconds }) => seconds !== undefined).length,
    planned: times(piece, welds.length),
    found,
  };
}
