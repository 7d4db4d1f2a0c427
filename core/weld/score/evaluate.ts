/** The `sequence` question: timestamped presses of any kind, and what gas, wire and arc then do. Odd presses are played as the state table says. */
import { message, amount } from '../../base/messages/index.ts';
import type { Program } from '../../setting/program/index.ts';
import { failure, success, type Outcome } from '../../base/outcome/index.ts';
import {
  eventIssues,
  playSequence,
  sequenceIssues,
  usualHabit,
  type PlayedPhase,
  type TriggerEvent,
  type TriggerHabit,
} from '../sequence/index.ts';
import { gunPath } from './gun-path.ts';
import { ignitionDelayS, rulesOf } from './intended.ts';
import { sampleScore, type ScoreSample } from './samples.ts';

export interface SequenceQuestion {
  readonly program: Program;
  readonly events: readonly TriggerEvent[];
  readonly untilS: number;
  /** Left out: so that there are about 2000. */
  readonly sampleEveryS?: number | undefined;
  readonly habit?: TriggerHabit | undefined;
  readonly heldAtPowerUp?: boolean | undefined;
}

export interface SequenceAnswer {
  readonly phases: readonly PlayedPhase[];
  readonly samples: readonly ScoreSample[];
}

/** Most samples in one answer. */
export const mostSamples = 200_000;

/** Issues: sequence numbers out of range, events out of order or impossible, too many samples; all with their places. */
export function evaluateSequence({
  program,
  events,
  untilS,
  sampleEveryS = untilS / 2000,
  habit = usualHabit,
  heldAtPowerUp = false,
}: SequenceQuestion): Outcome<SequenceAnswer> {
  const rules = rulesOf(program, habit);
  const issues = [
    ...sequenceIssues(program.sequence, rules.hasGas).map((issue) => ({ ...issue, path: `program.${issue.path}` })),
    ...eventIssues(events, untilS),
  ];
  if (!(sampleEveryS > 0) || untilS / sampleEveryS > mostSamples) {
    issues.push({
      path: 'sampleEveryS',
      code: 'too-many-samples',
      message: message('trigger.error.samples-too-close', {
        mostSamples,
        sampleEvery: amount('phaseTime', sampleEveryS),
        until: amount('phaseTime', untilS),
      }),
      limit: untilS / mostSamples,
      got: sampleEveryS,
    });
  }
  if (issues.length > 0) return failure(...issues);
  const played = playSequence({
    rules,
    events,
    untilS,
    ignitionS: ignitionDelayS(program),
    heldAtStart: heldAtPowerUp,
  });
  const gun = gunPath(played, program.travelMmPerMin, program.sequence.trigger !== 'spot');
  return success({ phases: played, samples: sampleScore(program, { played, gun }, sampleEveryS) });
}
