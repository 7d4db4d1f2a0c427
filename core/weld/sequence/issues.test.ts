/** Bad input of every kind: named with its place, its limits and what was given. */
import { amount } from '../../base/messages/index.ts';
import { english, inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { eventIssues, mostEvents, sequenceIssues, unusedPhases } from './issues.ts';
import type { TriggerEvent } from './play.ts';
import { triggerSchools } from './schools.ts';
import { sequenceTemplates } from './templates.ts';
import { mostTaps, plainSequence, sequenceNumbers, sequenceRanges } from './trigger-sequence.ts';
import { usualSequence } from './usual-sequence.ts';

const codes = (issues: readonly { readonly code: string; readonly path: string }[]) =>
  issues.map(({ path, code }) => `${path} ${code}`);

describe('numbers of a sequence', () => {
  it.each(sequenceNumbers)('%s outside its limits is named with them', (field) => {
    const { min, max, name, kind } = sequenceRanges[field];
    for (const wrong of [min - 0.5, max + 1, Number.NaN, Number.POSITIVE_INFINITY]) {
      const issue = sequenceIssues({ ...plainSequence, [field]: wrong }).find(
        ({ path }) => path === `sequence.${field}`,
      );
      expect(issue).toMatchObject({ code: 'out-of-range', limit: [min, max], got: wrong });
      expect(inEnglish(issue?.message)).toContain(
        `${inEnglish(name)} must lie between ${english.number(min)} and ${english.format(amount(kind, max))}`,
      );
    }
    for (const right of [min, max]) {
      const issues = sequenceIssues({ ...plainSequence, [field]: right }, false);
      expect(issues).toEqual([]);
    }
  });

  it('an end without gas is refused where gas shields, and not where the wire shields itself', () => {
    expect(codes(sequenceIssues({ ...plainSequence, postGasS: 0.1 }))).toEqual(['sequence.postGasS no-gas-after']);
    expect(sequenceIssues({ ...plainSequence, postGasS: 0 }, false)).toEqual([]);
  });

  it('taps come one after the other, and no more than a hand places', () => {
    expect(codes(sequenceIssues({ ...plainSequence, tapsAtMm: [20, 20, Number.NaN] }))).toEqual([
      'sequence.tapsAtMm.1 taps-out-of-order',
      'sequence.tapsAtMm.2 taps-out-of-order',
    ]);
    const many = Array.from({ length: mostTaps + 1 }, (_, at) => at + 1);
    expect(codes(sequenceIssues({ ...plainSequence, tapsAtMm: many }))).toEqual(['sequence.tapsAtMm too-many-taps']);
  });
});

describe('phases a school cannot have', () => {
  it('are named, and nothing is named where all of it acts', () => {
    const full = { ...plainSequence, startPercent: 130, endPercent: 50, tapsAtMm: [40] };
    const unused = (trigger: (typeof triggerSchools)[number]) =>
      unusedPhases({ ...full, trigger }).map(({ field }) => field);
    expect(unused('hold')).toEqual(['startPercent', 'endPercent', 'tapsAtMm']);
    expect(unused('latch-levels')).toEqual(['tapsAtMm']);
    expect(unused('latch-second')).toEqual([]);
    for (const trigger of triggerSchools) expect(unusedPhases({ ...plainSequence, trigger })).toEqual([]);
  });
});

describe('events', () => {
  const press = (atS: number): TriggerEvent => ({ atS, action: 'press' });
  const release = (atS: number): TriggerEvent => ({ atS, action: 'release' });

  it('may begin with letting go of a trigger that was down at power-up', () => {
    expect(eventIssues([release(0.5), press(1), release(2)], 5)).toEqual([]);
  });

  it.each([
    [[press(1), press(2)], 5, 'events.1.action not-possible'],
    [[press(2), release(1)], 5, 'events.1.atS out-of-order'],
    [[press(-1)], 5, 'events.0.atS negative-time'],
    [[press(Number.NaN)], 5, 'events.0.atS negative-time'],
    [[], 0, 'untilS out-of-range'],
    [[], 4000, 'untilS out-of-range'],
  ] as const)('%j until %s is refused as %s', (events, untilS, expected) => {
    expect(codes(eventIssues(events, untilS))).toContain(expected);
  });

  it('names the first of many faults, not all hundred thousand', () => {
    expect(
      eventIssues(
        Array.from({ length: 500 }, () => press(1)),
        5,
      ).length,
    ).toBeLessThanOrEqual(20);
    const many = Array.from({ length: mostEvents + 1 }, (_, at) => (at % 2 === 0 ? press(at) : release(at)));
    expect(codes(eventIssues(many, 5))).toEqual(['events too-many-events']);
  });
});

describe('what comes ready-made', () => {
  it.each(sequenceTemplates.map(({ name, change }) => [name, change] as const))(
    '%s is within every limit',
    (_, change) => {
      const sequence = { ...plainSequence, ...change };
      expect(sequenceIssues(sequence)).toEqual([]);
      expect(unusedPhases(sequence)).toEqual([]);
    },
  );

  it('the usual start of each metal is within every limit; aluminium starts hot and fills its crater, steel plainly', () => {
    for (const filler of ['steel-solid', 'stainless-solid', 'aluminium-5356', 'cusi3'] as const) {
      for (const [thickness, length] of [
        [1, 50],
        [4, 200],
        [12, 2000],
      ] as const) {
        expect(sequenceIssues(usualSequence(filler, thickness, length))).toEqual([]);
      }
    }
    expect(usualSequence('aluminium-5356', 4, 200)).toMatchObject({ trigger: 'latch-levels', startPercent: 135 });
    expect(usualSequence('steel-solid', 4, 100)).toMatchObject({ trigger: 'hold', startPercent: 100 });
    expect(usualSequence('steel-solid', 4, 600).trigger).toBe('latch');
  });
});
