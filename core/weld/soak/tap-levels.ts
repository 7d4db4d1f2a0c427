/** A level schedule as a hand can hold it with one second level: where the tap is due and what it goes to. */
import { worthPercent } from '../../metal/conduction/index.ts';

export interface TapLevels {
  readonly tapAtMm: number;
  readonly secondPercent: number;
  /** How far main and second stay off the schedule at most, percent. */
  readonly offPercent: number;
}

/** A tap this soon after the start is the start, mm. */
const atOnceMm = 1;

/** The tap that leaves least between schedule and levels, squared over the length; null where main holds to the end. */
export function tapLevels(levels: readonly (readonly [number, number])[], lengthMm: number): TapLevels | null {
  const parts = levels.map(([from, percent], at) => ({ from, percent, mm: (levels[at + 1]?.[0] ?? lengthMm) - from }));
  const tries = parts.map(({ from }) => {
    const after = parts.filter((part) => part.from >= from);
    const mm = after.reduce((sum, part) => sum + part.mm, 0);
    const secondPercent = Math.round(after.reduce((sum, part) => sum + part.percent * part.mm, 0) / mm);
    const off = parts.map((part) => ({ mm: part.mm, by: part.percent - (part.from < from ? 100 : secondPercent) }));
    return {
      tapAtMm: Math.max(Math.round(from), atOnceMm),
      secondPercent,
      offPercent: Math.max(...off.map(({ by }) => Math.abs(by))),
      left: off.reduce((sum, one) => sum + one.by ** 2 * one.mm, 0),
    };
  });
  const best = tries.sort((a, b) => a.left - b.left)[0];
  if (!best || Math.abs(best.secondPercent - 100) < worthPercent) return null;
  return { tapAtMm: best.tapAtMm, secondPercent: best.secondPercent, offPercent: best.offPercent };
}
