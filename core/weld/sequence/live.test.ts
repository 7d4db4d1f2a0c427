/** Played as it happens must be what is played afterwards: the same machine drives both. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { advanced, happened, livePlay, recordOf, type LivePlay } from './live.ts';
import { playSequence, type TriggerEvent } from './play.ts';
import { triggerSchools } from './schools.ts';
import { usualHabit, type SequenceRules } from './state.ts';
import { plainSequence } from './trigger-sequence.ts';
import { waitsFor } from './words.ts';

const rulesOf = (trigger: (typeof triggerSchools)[number]): SequenceRules => ({
  sequence: {
    ...plainSequence,
    trigger,
    startPercent: 130,
    startS: 0.5,
    slopeInS: 0.3,
    slopeOutS: 0.4,
    endPercent: 50,
    endS: 0.6,
  },
  habit: usualHabit,
  hasGas: true,
});

/** Runs events with a clock of 16 ms, the arc lighting a set time after the wire. */
function live(rules: SequenceRules, events: readonly TriggerEvent[], untilS: number, ignitionS: number): LivePlay {
  let now = livePlay;
  const toMoment = (toS: number) => {
    for (;;) {
      const lightsS = now.state.phase === 'run-in' && now.state.litS === null ? now.state.sinceS + ignitionS : null;
      if (lightsS === null || lightsS > toS) break;
      now = happened(now, { kind: 'arc', atS: lightsS }, rules);
    }
    now = advanced(now, toS, rules);
  };
  let next = 0;
  for (let tick = 0; tick * 0.016 <= untilS; tick++) {
    for (let event = events[next]; event && event.atS <= tick * 0.016; event = events[++next]) {
      toMoment(event.atS);
      now = happened(now, { kind: event.action, atS: event.atS }, rules);
    }
    toMoment(tick * 0.016);
  }
  toMoment(untilS);
  return now;
}

describe('played as it happens', () => {
  it('gives the same phases as the same presses played afterwards', () => {
    const gaps = fc.array(fc.double({ min: 0.1, max: 2, noNaN: true }), { maxLength: 12 });
    fc.assert(
      fc.property(fc.constantFrom(...triggerSchools), gaps, (trigger, times) => {
        const rules = rulesOf(trigger);
        let atS = 0;
        const events = times.map((gap, at): TriggerEvent => ({
          atS: (atS += gap),
          action: at % 2 === 0 ? 'press' : 'release',
        }));
        const untilS = atS + 6;
        const after = playSequence({ rules, events, untilS, ignitionS: 0.05 });
        const there = recordOf(live(rules, events, untilS, 0.05), rules);
        expect(there.map(({ name }) => name)).toEqual(after.map(({ name }) => name));
        there.forEach((phase, at) => expect(phase.toS).toBeCloseTo(after[at]?.toS ?? 0, 6));
      }),
      { numRuns: 150 },
    );
  });

  it('takes a bounce back as if it had not been', () => {
    const rules = rulesOf('hold');
    const pressed = happened(livePlay, { kind: 'press', atS: 1 }, rules);
    expect(pressed.state.phase).toBe('pre-gas');
    const bounced = happened(pressed, { kind: 'release', atS: 1.03 }, rules);
    expect([bounced.state.phase, bounced.played.length]).toEqual(['idle', 0]);
    expect(inEnglish(bounced.said)).toContain('60 ms');
  });

  it('explains odd presses', () => {
    const rules = rulesOf('latch-levels');
    const early = happened(happened(livePlay, { kind: 'press', atS: 0 }, rules), { kind: 'release', atS: 0.1 }, rules);
    expect(inEnglish(early.said)).toContain('no wire');
    const slope = live(
      rules,
      [
        { atS: 0, action: 'press' },
        { atS: 1, action: 'release' },
        { atS: 3, action: 'press' },
        { atS: 3.1, action: 'release' },
      ],
      3.2,
      0.05,
    );
    expect(slope.state.phase).toBe('slope-out');
    expect(inEnglish(slope.said)).toContain('no held crater');
    expect(inEnglish(happened(slope, { kind: 'press', atS: 3.25 }, rules).said)).toContain('ignores it');
    expect(inEnglish(happened(livePlay, { kind: 'release', atS: 0 }, rules).said)).toBe('Let go: ready for a press.');
  });

  it('says what it waits for in every phase of a weld', () => {
    const rules = rulesOf('latch-second');
    const words = [0.1, 0.22, 0.5, 2, 5].map((atS) => {
      const now = live(
        rules,
        [
          { atS: 0, action: 'press' },
          { atS: 1, action: 'release' },
        ],
        atS,
        0.05,
      );
      return waitsFor(now.state, atS, rules);
    });
    expect(inEnglish(words)).toEqual([
      '0.1 s more of gas',
      'the arc; gives up after 3 s',
      'the trigger to be let go',
      'a tap for the other level, a held press for the end',
      'a tap for the other level, a held press for the end',
    ]);
  });
});
