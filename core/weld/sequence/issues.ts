/** What is wrong with a sequence: numbers out of their limits, levels beyond the machine, phases that a trigger school cannot have. Each with its place. */
import { message, amount, bare, type Phrase } from '../../base/messages/index.ts';
import type { Issue } from '../../base/outcome/index.ts';
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
    const { min, max, kind, name } = sequenceRanges[field];
    const got = sequence[field];
    if (Number.isFinite(got) && got >= min && got <= max) return [];
    return [
      {
        path: `sequence.${field}`,
        code: 'out-of-range',
        message: message('outcome.error.out-of-range', {
          name,
          min: bare(kind, min),
          max: amount(kind, max),
          got: Number.isFinite(got) ? amount(kind, got) : String(got),
        }),
        limit: [min, max],
        got,
      },
    ];
  });
  if (hasGas && sequence.postGasS < leastPostGasS) {
    issues.push({
      path: 'sequence.postGasS',
      code: 'no-gas-after',
      message: message('sequence.error.gas-after', {
        leastPostGas: amount('phaseTime', leastPostGasS),
        postGas: amount('phaseTime', sequence.postGasS),
      }),
      limit: leastPostGasS,
      got: sequence.postGasS,
    });
  }
  const { tapsAtMm } = sequence;
  if (tapsAtMm.length > mostTaps) {
    issues.push({
      path: 'sequence.tapsAtMm',
      code: 'too-many-taps',
      message: message('sequence.error.too-many-taps', { mostTaps, tapsAt: tapsAtMm.length }),
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
        message: message('sequence.error.tap-order', {
          at: at + 1,
          before: amount('length', before),
          mm: amount('length', mm),
        }),
        limit: before,
        got: mm,
      });
    }
  });
  return issues;
}

export interface UnusedPhase {
  readonly field: SequenceNumber | 'tapsAtMm' | 'endPulse';
  readonly message: Phrase;
}

/** What the sequence says and its trigger school cannot do: kept, so that another school finds it again, but without effect here. */
export function unusedPhases(sequence: TriggerSequence): UnusedPhase[] {
  const { ends, second, name } = schoolFacts[sequence.trigger];
  const unused: UnusedPhase[] = [];
  const cannot = (field: UnusedPhase['field'], what: Phrase) =>
    unused.push({ field, message: message('sequence.error.phase-not-in-trigger', { what, name }) });
  const differs = (field: SequenceNumber) => sequence[field] !== plainSequence[field];
  if (ends === 'none') {
    if (differs('startPercent'))
      cannot('startPercent', message('sequence.phase-set.start', { start: amount('percent', sequence.startPercent) }));
    if (differs('endPercent'))
      cannot('endPercent', message('sequence.phase-set.end', { end: amount('percent', sequence.endPercent) }));
  }
  if (!second && sequence.tapsAtMm.length > 0) cannot('tapsAtMm', message('sequence.phase-set.tap'));
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
      message: message('sequence.error.end-time', { until: String(untilS) }),
      limit: [0, 3600],
      got: untilS,
    });
  }
  if (events.length > mostEvents) {
    issues.push({
      path: 'events',
      code: 'too-many-events',
      message: message('sequence.error.too-many-events', { mostEvents, events: events.length }),
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
        message: message('sequence.error.event-time', { number: at + 1, time: amount('phaseTime', atS) }),
        limit: 0,
        got: atS,
      });
      continue;
    }
    if (atS < lastS) {
      issues.push({
        path: `events.${at}.atS`,
        code: 'out-of-order',
        message: message('sequence.error.event-order', {
          number: at + 1,
          action,
          time: amount('phaseTime', atS),
          last: amount('phaseTime', lastS),
        }),
        limit: lastS,
        got: atS,
      });
    }
    if ((action === 'press') === held && !(at === 0 && action === 'release')) {
      issues.push({
        path: `events.${at}.action`,
        code: 'not-possible',
        message: message('sequence.error.event-twice', {
          number: at + 1,
          time: amount('phaseTime', atS),
          action,
          held: held ? message('sequence.down') : message('sequence.up'),
        }),
        got: action,
      });
    }
    held = action === 'press';
    lastS = Math.max(lastS, atS);
  }
  return issues;
}
