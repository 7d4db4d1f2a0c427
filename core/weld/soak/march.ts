/** The part up to a moment: carried on from the nearest moment kept, so that going back or asking on costs no more than the way between. */
import type { Part, PartField } from './part.ts';
import { placeOf, type Run } from './run.ts';

/** Everything that was put in before a moment, as it stands then; copy it before it is carried on. */
export type March = (upToS: number) => PartField;

interface Kept {
  readonly atS: number;
  readonly field: PartField;
}

/** `runs` may grow: what was kept beyond the start of a new one is forgotten. */
export function marchOver(part: Part, runs: readonly Run[]): March {
  let known = 0;
  let turns: Kept[] = [];
  let latest: Kept | undefined;
  return (upToS) => {
    for (; known < runs.length; known++) {
      const startS = runs[known]?.startS ?? 0;
      turns = turns.filter(({ atS }) => atS <= startS);
      if (latest && latest.atS > startS) latest = undefined;
    }
    const firstS = Math.min(...runs.map(({ startS }) => startS));
    const from = [...turns, ...(latest ? [latest] : [])]
      .filter(({ atS }) => atS <= upToS)
      .reduce<Kept>((best, one) => (one.atS > best.atS ? one : best), { atS: firstS, field: part.field() });
    if (upToS <= from.atS) return from.field;
    let nowS = from.atS;
    const field = from.field.copy();
    const ahead = [...new Set(runs.flatMap(({ startS, endS }) => [startS, endS]))].filter(
      (turn) => turn > nowS && turn < upToS,
    );
    for (const turn of [...ahead.sort((a, b) => a - b), upToS]) {
      const burning = runs.filter(({ startS, endS }) => startS <= nowS && endS > nowS);
      field.advance(
        turn - nowS,
        burning.map((run) => ({ at: placeOf(run, nowS), velocity: run.velocity, powerW: run.powerW })),
      );
      nowS = turn;
      if (turn < upToS) turns.push({ atS: turn, field: field.copy() });
    }
    latest = { atS: upToS, field };
    return field;
  };
}
