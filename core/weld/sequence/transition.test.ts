/** The state table: every school, every phase, every happening. Cases as physics.md section 10 words them; the table is the definition. */
import { describe, expect, it } from '@jest/globals';
import { schoolFacts, triggerSchools, type TriggerSchool } from './schools.ts';
import { atRest, happenings, phases, usualHabit, type Phase, type SequenceRules, type SequenceState } from './state.ts';
import { deadlineS, levelAt, transition } from './transition.ts';
import { plainSequence, type TriggerSequence } from './trigger-sequence.ts';

/** Every phase has a length and a level of its own, so that none is stepped through. */
const full: TriggerSequence = {
  ...plainSequence,
  startPercent: 130,
  startS: 1,
  slopeInS: 0.5,
  slopeOutS: 0.5,
  endPercent: 60,
  endS: 1,
};
const rulesFor = (trigger: TriggerSchool, change: Partial<SequenceRules> = {}): SequenceRules => ({
  sequence: { ...full, trigger },
  habit: usualHabit,
  hasGas: true,
  ...change,
});
const burning: readonly Phase[] = ['start', 'slope-in', 'main', 'second', 'slope-out', 'end', 'burn-back'];
const stateIn = (phase: Phase, held: boolean, letGo: boolean): SequenceState => ({
  ...atRest,
  phase,
  held,
  letGo,
  sinceS: 10,
  litS: burning.includes(phase) || phase === 'run-in' ? 10 : null,
  slopeFrom: 100,
});

/** Next phase on: press | release | the phase's time being over. A dot: nothing happens. Rows are the phases a school can be in. */
const table: Record<TriggerSchool, Partial<Record<Phase, string>>> = {
  hold: {
    idle: 'pre-gas | . | .',
    'pre-gas': '. | post-gas | run-in',
    'run-in': '. | burn-back | main',
    main: '. | burn-back | .',
    'burn-back': '. | . | post-gas',
    'post-gas': 'run-in | . | idle',
  },
  'hold-timed': {
    idle: 'pre-gas | . | .',
    'pre-gas': '. | post-gas | run-in',
    'run-in': '. | slope-out | start',
    start: '. | slope-out | slope-in',
    'slope-in': '. | slope-out | main',
    main: '. | slope-out | .',
    'slope-out': 'main | . | end',
    end: '. | . | burn-back',
    'burn-back': '. | . | post-gas',
    'post-gas': 'run-in | . | idle',
  },
  latch: {
    idle: 'pre-gas | . | .',
    'pre-gas': '. | post-gas | run-in',
    'run-in': '. | . | main',
    main: 'burn-back | . | .',
    'burn-back': '. | . | post-gas',
    'post-gas': 'run-in | . | idle',
  },
  'latch-levels': {
    idle: 'pre-gas | . | .',
    'pre-gas': '. | post-gas | run-in',
    'run-in': '. | . | start',
    start: '. | slope-in | .',
    'slope-in': 'slope-out | . | main',
    main: 'slope-out | . | .',
    'slope-out': '. | . | end',
    end: '. | burn-back | .',
    'burn-back': '. | . | post-gas',
    'post-gas': 'run-in | . | idle',
  },
  'latch-second': {
    idle: 'pre-gas | . | .',
    'pre-gas': '. | post-gas | run-in',
    'run-in': '. | . | start',
    start: '. | slope-in | .',
    'slope-in': 'slope-out | . | main',
    main: '. | . | .',
    second: '. | . | .',
    'slope-out': '. | . | end',
    end: '. | burn-back | .',
    'burn-back': '. | . | post-gas',
    'post-gas': 'run-in | . | idle',
  },
  spot: {
    idle: 'pre-gas | . | .',
    'pre-gas': '. | post-gas | run-in',
    'run-in': '. | burn-back | main',
    main: '. | burn-back | burn-back',
    'burn-back': '. | . | post-gas',
    'post-gas': 'run-in | . | idle',
  },
  stitch: {
    idle: 'pre-gas | . | .',
    'pre-gas': '. | post-gas | run-in',
    'run-in': '. | burn-back | main',
    main: '. | burn-back | burn-back',
    'burn-back': '. | . | post-gas',
    'post-gas': 'run-in | . | idle',
  },
};

const rows = triggerSchools.flatMap((school) =>
  Object.entries(table[school]).map(([phase, next]) => [school, phase as Phase, next] as const),
);

describe('the state table', () => {
  it.each(rows)('%s in %s: %s', (school, phase, next) => {
    const rules = rulesFor(school);
    const [onPress, onRelease, onTime] = next.split(' | ').map((word) => (word === '.' ? phase : word));
    const isHeldPhase = schoolFacts[school].ends === 'held' && ['run-in', 'start', 'slope-out', 'end'].includes(phase);
    const up = stateIn(phase, false, !isHeldPhase);
    const down = stateIn(phase, true, phase === 'main' || phase === 'second');
    expect(transition(up, { kind: 'press', atS: 10.1 }, rules).phase).toBe(onPress);
    expect(transition(down, { kind: 'release', atS: 10.1 }, rules).phase).toBe(onRelease);
    expect(transition(isHeldPhase ? down : up, { kind: 'time', atS: 1000 }, rules).phase).toBe(onTime);
  });

  it('a held start let go before the arc has settled goes straight to the slope, a held crater let go early to the stop', () => {
    const rules = rulesFor('latch-levels');
    expect(transition(stateIn('run-in', false, true), { kind: 'time', atS: 11 }, rules).phase).toBe('slope-in');
    expect(transition(stateIn('slope-out', false, true), { kind: 'time', atS: 11 }, rules).phase).toBe('burn-back');
  });

  it('is defined everywhere: no pair throws, and none leaves the known phases', () => {
    for (const school of triggerSchools) {
      for (const phase of phases) {
        for (const kind of happenings) {
          for (const held of [true, false]) {
            for (const letGo of [true, false]) {
              const next = transition(stateIn(phase, held, letGo), { kind, atS: 10.2 }, rulesFor(school));
              expect(phases).toContain(next.phase);
              expect(levelAt(next, 10.3, rulesFor(school))).toBeGreaterThanOrEqual(0);
            }
          }
        }
      }
    }
  });

  it('takes a press of a trigger that is down, and a release of one that is up, for nothing', () => {
    const down = stateIn('main', true, false);
    expect(transition(down, { kind: 'press', atS: 11 }, rulesFor('latch'))).toBe(down);
    const up = stateIn('main', false, true);
    expect(transition(up, { kind: 'release', atS: 11 }, rulesFor('hold'))).toBe(up);
  });

  it('lights only where wire runs in', () => {
    for (const phase of phases) {
      const before = { ...stateIn(phase, true, false), litS: null };
      const after = transition(before, { kind: 'arc', atS: 10.4 }, rulesFor('hold'));
      expect(after.litS).toBe(phase === 'run-in' ? 10.4 : null);
    }
  });

  it('gives up after 3 s of wire without an arc', () => {
    const dark = { ...stateIn('run-in', true, false), litS: null };
    expect(deadlineS(dark, rulesFor('latch'))).toBe(13);
    expect(transition(dark, { kind: 'time', atS: 13 }, rulesFor('latch')).phase).toBe('post-gas');
  });
});

describe('taps between main and second level', () => {
  const rules = rulesFor('latch-second');
  const main = stateIn('main', false, true);

  it('a short press changes the level, another changes it back', () => {
    const pressed = transition(main, { kind: 'press', atS: 11 }, rules);
    const second = transition(pressed, { kind: 'release', atS: 11.2 }, rules);
    expect([pressed.phase, second.phase, levelAt(second, 11.3, rules)]).toEqual(['main', 'second', 80]);
    const back = transition(
      transition(second, { kind: 'press', atS: 12 }, rules),
      { kind: 'release', atS: 12.1 },
      rules,
    );
    expect(back.phase).toBe('main');
  });

  it('a longer press is the end, from the level it came at', () => {
    const second = { ...main, phase: 'second' } as const;
    const pressed = transition(second, { kind: 'press', atS: 11 }, rules);
    expect(deadlineS(pressed, rules)).toBeCloseTo(11.3, 9);
    const ending = transition(pressed, { kind: 'time', atS: 11.3 }, rules);
    expect([ending.phase, ending.slopeFrom]).toEqual(['slope-out', 80]);
    expect(levelAt(ending, 11.55, rules)).toBeCloseTo(70, 9);
  });
});

describe('machines that take presses differently under one name', () => {
  const latch = (habit: Partial<typeof usualHabit>) => rulesFor('latch', { habit: { ...usualHabit, ...habit } });

  it('wire at the press, or only when it is let go', () => {
    const rest = atRest;
    const atPress = latch({ startsOn: 'press' });
    const atRelease = latch({ startsOn: 'release' });
    const pressed = transition(rest, { kind: 'press', atS: 0 }, atRelease);
    expect(deadlineS(pressed, atRelease)).toBeNull();
    expect(transition(pressed, { kind: 'release', atS: 0.5 }, atRelease).phase).toBe('run-in');
    expect(transition(pressed, { kind: 'release', atS: 0.1 }, atRelease).phase).toBe('post-gas');
    expect(deadlineS(transition(rest, { kind: 'press', atS: 0 }, atPress), atPress)).toBe(0.2);
    // Pressed again while the gas still flows: the wire starts as soon as it is let go, and the two gases do not overlap.
    const after = stateIn('post-gas', false, false);
    const again = transition(after, { kind: 'press', atS: 10.3 }, atRelease);
    expect(again).toMatchObject({ phase: 'pre-gas', sinceS: 10.3 });
    expect(transition(again, { kind: 'release', atS: 10.35 }, atRelease).phase).toBe('run-in');
  });

  it('stop at the second press, or when that is let go', () => {
    const main = stateIn('main', false, true);
    expect(transition(main, { kind: 'press', atS: 20 }, latch({})).phase).toBe('burn-back');
    const rules = latch({ endsOn: 'release' });
    const pressed = transition(main, { kind: 'press', atS: 20 }, rules);
    expect(pressed.phase).toBe('main');
    expect(transition(pressed, { kind: 'release', atS: 21 }, rules).phase).toBe('burn-back');
  });

  it('a crater held past the machine’s time-out ends by itself', () => {
    const rules = rulesFor('latch-levels', { habit: { ...usualHabit, endLimitS: 5 } });
    const end = stateIn('end', true, false);
    expect(deadlineS(end, rules)).toBe(15);
    expect(transition(end, { kind: 'time', atS: 15 }, rules).phase).toBe('burn-back');
    expect(deadlineS(end, rulesFor('latch-levels'))).toBeNull();
  });
});

describe('phases without a length', () => {
  it('are stepped through at once', () => {
    const plain = rulesFor('hold-timed');
    const none = {
      ...plain,
      sequence: { ...plain.sequence, preGasS: 0, startS: 0, slopeInS: 0, slopeOutS: 0, endS: 0, burnBackMs: 0 },
    };
    expect(transition(atRest, { kind: 'press', atS: 0 }, none).phase).toBe('run-in');
    expect(transition(stateIn('run-in', true, false), { kind: 'time', atS: 11 }, none).phase).toBe('main');
    expect(transition(stateIn('main', true, false), { kind: 'release', atS: 11 }, none).phase).toBe('post-gas');
  });

  it('a slope between two equal levels is none', () => {
    const rules = rulesFor('latch-levels');
    const level = { ...rules, sequence: { ...rules.sequence, startPercent: 100 } };
    expect(transition(stateIn('start', true, false), { kind: 'release', atS: 11 }, level).phase).toBe('main');
  });

  it('self-shielded wire waits for no gas, before or after', () => {
    const rules = rulesFor('hold', { hasGas: false });
    expect(transition(atRest, { kind: 'press', atS: 0 }, rules).phase).toBe('run-in');
    expect(transition(stateIn('burn-back', false, true), { kind: 'time', atS: 11 }, rules).phase).toBe('idle');
  });
});
