/** A program's score on a seam, whole: played as meant, summed, judged and checked. What the view, the card and the API show. */
import { message, amount } from '../../base/messages/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { usualGunLengthM } from '../../machine/description/index.ts';
import { failure, success, type Outcome } from '../../base/outcome/index.ts';
import { sequenceIssues, usualHabit, type TriggerHabit } from '../sequence/index.ts';
import { scoreChecks, type ScoreCheck } from './checks.ts';
import { craterFill, type CraterFill } from './crater.ts';
import { electricalOf, type ElectricalOf } from './electrical.ts';
import { judgeEnds, type EndsJudged } from './ends.ts';
import { gasAfter, gasBefore, type GasTime } from './gas-times.ts';
import { rulesOf, seamScore, type SeamScore } from './intended.ts';
import { scoreTotals, type ScoreTotals } from './totals.ts';

export interface ScoreOf {
  readonly program: Program;
  readonly thicknessMm: number;
  readonly score: SeamScore;
  readonly electrical: ElectricalOf;
  readonly totals: ScoreTotals;
  readonly crater: CraterFill;
  readonly ends: EndsJudged;
  readonly gas: { readonly before: GasTime; readonly after: GasTime };
  readonly checks: readonly ScoreCheck[];
}

export interface ScoreSeam {
  readonly lengthMm: number;
  readonly thicknessMm: number;
  /** For the gas before; left out: 3 m. */
  readonly gunLengthM?: number | undefined;
  /** Hose between gas valve and gun, m; left out: none. */
  readonly hoseM?: number | undefined;
}

/** Issues: numbers of the sequence out of their limits, a seam or pace of no length. */
export function scoreOf(program: Program, seam: ScoreSeam, habit: TriggerHabit = usualHabit): Outcome<ScoreOf> {
  const issues = sequenceIssues(program.sequence, rulesOf(program).hasGas);
  if (!(seam.lengthMm > 0)) {
    issues.push({
      path: 'lengthMm',
      code: 'out-of-range',
      message: message('trigger.error.length', {
        least: amount('shortLength', 0),
        length: amount('length', seam.lengthMm),
      }),
      limit: 0,
      got: seam.lengthMm,
    });
  }
  if (!(program.travelMmPerMin > 0)) {
    issues.push({
      path: 'travelMmPerMin',
      code: 'out-of-range',
      message: message('trigger.error.travel-speed', {
        least: amount('travel', 0),
        travel: amount('travel', program.travelMmPerMin),
      }),
      limit: 0,
      got: program.travelMmPerMin,
    });
  }
  if (issues.length > 0) return failure(...issues);
  const electrical = electricalOf(program);
  const score = seamScore(program, seam.lengthMm, habit);
  const totals = scoreTotals(program, score, electrical);
  const crater = craterFill(program);
  const ends = judgeEnds(program, seam.thicknessMm, score, electrical);
  const endA = electrical.at((program.wireFeedMPerMin * program.sequence.endPercent) / 100).currentA;
  return success({
    program,
    thicknessMm: seam.thicknessMm,
    score,
    electrical,
    totals,
    crater,
    ends,
    gas: {
      before: gasBefore(program, seam.gunLengthM ?? usualGunLengthM, seam.hoseM),
      after: gasAfter(program, crater, endA),
    },
    checks: scoreChecks(program, score, totals, electrical, crater, ends),
  });
}
