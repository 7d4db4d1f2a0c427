/** What is wrong with a sequence: numbers out of their limits, levels beyond the machine, phases that a trigger school cannot have. Each with its place. */
import type { Issue } from '../outcome/index.ts';
import { schoolFacts } from './schools.ts';
import { leastPostGasS } from './state.ts';
import {
  mostTaps,
  plainSequence,
  sequenceNumbers,
  sequenceRanges,
  type SequenceNumber,
  type TriggerSequence,
} from './trigger-sequence.ts';
import type { TriggerEvent } from './play.ts';

export function sequenceIssues(sequence: TriggerSequence, hasGas = true): Issue[] {
  const issues: Issue[] = sequenceNumbers.flatMap((field) => {
    const { min, max, unit, name } = sequenceRanges[field];
    const got = sequence[field];
    if (Number.isFinite(got) && got >= min && got <= max) return [];
    return [
      {
        path: `sequence.${field}`,
        code: 'out-of-range',
        message: `${name} must lie between ${min} and ${max} ${unit}; got ${Number.isFinite(got) ? `${got} ${unit}` : String(got)}.`,
        limit: [min, max],
        got,
      },
    ];
  });
  if (hasGas && sequence.postGasS < leastPostGasS) {
    issues.push({
      path: 'sequence.postGasS',
      code: 'no-gas-after',
      message: `Gas after must be at least ${leastPostGasS} s with a shielding gas, or the end burns in air; got ${sequence.postGasS} s.`,
      limit: leastPostGasS,
      got: sequence.postGasS,
    });
  }
  const { tapsAtMm } = sequence;
  if (tapsAtMm.length > mostTaps) {
    issues.push({
      path: 'sequence.tapsAtMm',
      code: 'too-many-taps',
      message: `A hand places at most ${mostTaps} taps on one seam; got ${tapsAtMm.length}.`,
      limit: mostTaps,
      got: tapsAtMm.length,
    });
  }
  tapsAtMm.forEach((mm, at) => {
    const before = tapsAtMm[at - 1] ?? 0;
    if (!Number.isFinite(mm) || mm <= before) {
      issues.push({
        path: `sequence.tapsAtMm.${at}`,
        code: 'taps-out-of-order',
        message: `Tap ${at + 1} must come after ${before} mm of seam; got ${mm} mm.`,
        limit: before,
        got: mm,
      });
    }
  });
  return issues;
}

export interface UnusedPhase {
  readonly field: SequenceNumber | 'tapsAtMm' | 'endPulse';
  readonly message: string;
}

/** What the sequence says and its trigger school cannot do: kept, so that another school finds it again, but without effect here. */
export function unusedPhases(sequence: TriggerSequence): UnusedPhase[] {
  const { ends, second, name } = schoolFacts[sequence.trigger];
  const unused: UnusedPhase[] = [];
  const cannot = (field: UnusedPhase['field'], what: string) =>
    unused.push({ field, message: `${what} is set, but a weld ${name} has none.` });
  const differs = (field: SequenceNumber) => sequence[field] !== plainSequence[field];
  if (ends === 'none') {
    if (differs('startPercent')) cannot('startPercent', `A start level of ${sequence.startPercent} %`);
    if (differs('endPercent')) cannot('endPercent', `An end level of ${sequence.endPercent} %`);
  }
  if (!second && sequence.tapsAtMm.length > 0) cannot('tapsAtMm', 'A tap to the second level');
  return unused;
}

/** Most events of one play; far beyond what a hand does in a shift. */
export const mostEvents = 100_000;

/** Events in an impossible order or at an impossible time, named by their place. */
export function eventIssues(events: readonly TriggerEvent[], untilS: number): Issue[] {
  const issues: Issue[] = [];
  if (!Number.isFinite(untilS) || untilS <= 0 || untilS > 3600) {
    issues.push({
      path: 'untilS',
      code: 'out-of-range',
      message: `The end must lie between 0 and 3600 s; got ${String(untilS)}.`,
      limit: [0, 3600],
      got: untilS,
    });
  }
  if (events.length > mostEvents) {
    issues.push({
      path: 'events',
      code: 'too-many-events',
      message: `At most ${mostEvents} events can be played; got ${events.length}.`,
      limit: mostEvents,
      got: events.length,
    });
    return issues;
  }
  let lastS = 0;
  let held = false;
  for (const [at, { atS, action }] of events.entries()) {
    if (issues.length >= 20) break;
    if (!Number.isFinite(atS) || atS < 0) {
      issues.push({
        path: `events.${at}.atS`,
        code: 'negative-time',
        message: `Event ${at + 1} must come at 0 s or later; got ${String(atS)} s.`,
        limit: 0,
        got: atS,
      });
      continue;
    }
    if (atS < lastS) {
      issues.push({
        path: `events.${at}.atS`,
        code: 'out-of-order',
        message: `Event ${at + 1}, a ${action} at ${atS} s, comes before the one ahead of it at ${lastS} s.`,
        limit: lastS,
        got: atS,
      });
    }
    if ((action === 'press') === held && !(at === 0 && action === 'release')) {
      issues.push({
        path: `events.${at}.action`,
        code: 'not-possible',
        message: `Event ${at + 1}, at ${atS} s, is a ${action} of a trigger that is ${held ? 'down' : 'up'} already.`,
        got: action,
      });
    }
    held = action === 'press';
    lastS = Math.max(lastS, atS);
  }
  return issues;
}
