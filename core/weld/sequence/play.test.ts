/** Whole welds: timestamped presses to phases, gas, wire and level. Odd input as physics.md section 10 defines it. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { beatFactor, isLit, percentAt, phaseAt, playSequence, withoutBounces, type TriggerEvent } from './play.ts';
import { triggerSchools, type TriggerSchool } from './schools.ts';
import { leastPostGasS, usualHabit, type SequenceRules } from './state.ts';
import { countTaps } from './taps.ts';
import { plainSequence, sequenceRanges, type TriggerSequence } from './trigger-sequence.ts';

const rulesOf = (change: Partial<TriggerSequence>, hasGas = true): SequenceRules => ({
  sequence: { ...plainSequence, ...change },
  habit: usualHabit,
  hasGas,
});
const presses = (...times: readonly (readonly [number, number])[]): TriggerEvent[] =>
  times.flatMap(([down, up]) => [
    { atS: down, action: 'press' },
    { atS: up, action: 'release' },
  ]);
const named = (rules: SequenceRules, events: readonly TriggerEvent[], untilS: number, ignitionS = 0.05) =>
  playSequence({ rules, events, untilS, ignitionS }).map(
    ({ name, fromS, toS }) => `${name} ${fromS.toFixed(2)}-${toS.toFixed(2)}`,
  );

describe('playing presses', () => {
  it('an aluminium seam: held start, slope, main, tap to second, held crater', () => {
    const rules = rulesOf({
      trigger: 'latch-second',
      preGasS: 0.5,
      startPercent: 130,
      slopeInS: 0.5,
      slopeOutS: 0.6,
      endPercent: 50,
      burnBackMs: 80,
      postGasS: 3,
    });
    expect(named(rules, presses([0.3, 2], [8, 8.2], [14, 16]), 20)).toEqual([
      'idle 0.00-0.30',
      'pre-gas 0.30-0.80',
      'run-in 0.80-0.95',
      'start 0.95-2.00',
      'slope-in 2.00-2.50',
      'main 2.50-8.20',
      'second 8.20-14.30',
      'slope-out 14.30-14.90',
      'end 14.90-16.00',
      'burn-back 16.00-16.08',
      'post-gas 16.08-19.08',
      'idle 19.08-20.00',
    ]);
  });

  it('let go during the gas before: no wire, straight to the gas after', () => {
    expect(named(rulesOf({ preGasS: 1 }), presses([0, 0.5]), 4)).toEqual([
      'pre-gas 0.00-0.50',
      'post-gas 0.50-2.00',
      'idle 2.00-4.00',
    ]);
  });

  it('a press on the down-slope: held welding resumes main, latching ignores it', () => {
    const slopes = { startPercent: 100, slopeOutS: 1, endPercent: 50, endS: 0.5 } as const;
    const held = named(rulesOf({ ...slopes, trigger: 'hold-timed' }), presses([0, 3], [3.5, 5]), 8);
    expect(held.filter((phase) => phase.startsWith('main'))).toHaveLength(2);
    const latched = named(rulesOf({ ...slopes, trigger: 'latch-levels' }), presses([0, 1], [3, 3.2], [3.5, 4]), 8);
    expect(latched.filter((phase) => phase.startsWith('main'))).toHaveLength(1);
    // Let go on the slope and not held again: no crater is waited for.
    expect(latched.some((phase) => phase.startsWith('end'))).toBe(false);
  });

  it('a trigger held at power-up is locked until it is let go', () => {
    const play = { rules: rulesOf({}), untilS: 3, ignitionS: 0.05, heldAtStart: true };
    expect(playSequence({ ...play, events: [] }).map(({ name }) => name)).toEqual(['idle']);
    const events: TriggerEvent[] = [{ atS: 1, action: 'release' }, ...presses([1.5, 2.5])];
    expect(playSequence({ ...play, events }).map(({ name }) => name)).toContain('main');
  });

  it('presses under 60 ms are none', () => {
    expect(withoutBounces(presses([1, 1.059], [2, 2.06]))).toEqual(presses([2, 2.06]));
    expect(named(rulesOf({}), presses([0, 0.05]), 1)).toEqual(['idle 0.00-1.00']);
  });

  it('a spot takes its time whatever the finger does, and stops when it lets go early', () => {
    const rules = rulesOf({ trigger: 'spot', spotS: 0.8, preGasS: 0.1, burnBackMs: 50 });
    const lit = (events: TriggerEvent[]) => {
      const played = playSequence({ rules, events, untilS: 6, ignitionS: 0.05 });
      const main = played.find(({ name }) => name === 'main');
      const burn = played.find(({ name }) => name === 'burn-back');
      return (burn?.fromS ?? 0) - (main ? 0.15 : 0);
    };
    expect(lit(presses([0, 5]))).toBeCloseTo(0.8, 9);
    expect(lit(presses([0, 0.6]))).toBeCloseTo(0.45, 9);
  });

  it('stitches follow each other with the gas on while the trigger is held', () => {
    const rules = rulesOf({
      trigger: 'stitch',
      stitchOnS: 0.5,
      stitchOffS: 0.4,
      preGasS: 0.2,
      burnBackMs: 50,
      runInAfterS: 0,
    });
    const played = playSequence({ rules, events: presses([0, 3.1]), untilS: 6, ignitionS: 0.05 });
    expect(played.filter(({ name }) => name === 'main')).toHaveLength(3);
    const [from, to] = [played[0]?.fromS ?? 0, played.find(({ name }) => name === 'idle')?.fromS ?? 0];
    expect(played.filter(({ fromS }) => fromS >= from && fromS < to).every(({ gas }) => gas)).toBe(true);
    // The gas after is counted from the arc going out, not from when the hand let go.
    const last = played.filter(({ name }) => name === 'post-gas').at(-1);
    expect((last?.toS ?? 0) - (last?.fromS ?? 0)).toBeCloseTo(1.5, 9);
  });

  it('the slow beat starts high with main and has the mean it says', () => {
    const beat = { meanFeedMPerMin: 7, highFeedMPerMin: 9, lowFeedMPerMin: 5, highShare: 0.5, frequencyHz: 2 };
    const phase = {
      name: 'main',
      fromS: 10,
      toS: 20,
      fromPercent: 100,
      toPercent: 100,
      litS: null,
      gas: true,
    } as const;
    expect(percentAt(phase, 10.1, beat)).toBeCloseTo(128.57, 2);
    expect(percentAt(phase, 10.3, beat)).toBeCloseTo(71.43, 2);
    const mean = Array.from({ length: 1000 }, (_, i) => beatFactor(beat, i / 1000)).reduce((a, b) => a + b) / 1000;
    expect(mean).toBeCloseTo(1, 6);
  });

  it('finds the phase of a moment', () => {
    const played = playSequence({ rules: rulesOf({}), events: presses([1, 4]), untilS: 8, ignitionS: 0.05 });
    for (const phase of played) expect(phaseAt(played, (phase.fromS + phase.toS) / 2)).toBe(phase);
    expect(phaseAt(played, 9)).toBeUndefined();
    expect(phaseAt(played, 8)?.name).toBe('idle');
  });

  it('thousands of presses leave one unbroken row of phases', () => {
    const events = presses(...Array.from({ length: 5000 }, (_, i) => [i * 0.3, i * 0.3 + 0.15] as const));
    const played = playSequence({ rules: rulesOf({ trigger: 'latch-second' }), events, untilS: 1600, ignitionS: 0.02 });
    expect(played.length).toBeGreaterThan(1000);
    played.reduce((before, phase) => (expect(phase.fromS).toBeCloseTo(before.toS, 9), phase));
  });
});

describe('whatever is pressed, whatever is programmed', () => {
  const between = ({ min, max }: { min: number; max: number }) => fc.double({ min, max, noNaN: true });
  const program = fc.record({
    trigger: fc.constantFrom<TriggerSchool[]>(...triggerSchools),
    preGasS: between({ min: 0, max: 2 }),
    runInPercent: between(sequenceRanges.runInPercent),
    runInAfterS: between({ min: 0, max: 0.5 }),
    startPercent: between(sequenceRanges.startPercent),
    startS: between({ min: 0, max: 2 }),
    slopeInS: between({ min: 0, max: 2 }),
    secondPercent: between(sequenceRanges.secondPercent),
    slopeOutS: between({ min: 0, max: 2 }),
    endPercent: between(sequenceRanges.endPercent),
    endS: between({ min: 0, max: 2 }),
    burnBackMs: between(sequenceRanges.burnBackMs),
    postGasS: between({ min: 0, max: 3 }),
    spotS: between({ min: 0.1, max: 2 }),
    stitchOnS: between({ min: 0.1, max: 1 }),
    stitchOffS: between({ min: 0.1, max: 1 }),
  });
  const gaps = fc.array(fc.double({ min: 0, max: 3, noNaN: true }), { maxLength: 40 });
  const habit = fc.record({
    startsOn: fc.constantFrom('press' as const, 'release' as const),
    endsOn: fc.constantFrom('press' as const, 'release' as const),
    endLimitS: fc.constantFrom(null, 1, 5),
  });
  const ignition = fc.constantFrom(0.01, 0.2, 10);

  it('gas is never off with the arc live, no weld ends without gas after it, no level leaves its limits', () => {
    fc.assert(
      fc.property(program, gaps, habit, ignition, (change, times, taken, ignitionS) => {
        let atS = 0;
        const events = times.map((gap, at): TriggerEvent => ({
          atS: (atS += gap),
          action: at % 2 === 0 ? 'press' : 'release',
        }));
        const sequence = { ...plainSequence, ...change };
        const untilS = atS + 20;
        const played = playSequence({ rules: { sequence, habit: taken, hasGas: true }, events, untilS, ignitionS });
        const { runInPercent, startPercent, secondPercent, endPercent } = sequence;
        const highest = Math.max(runInPercent, startPercent, secondPercent, endPercent, 100);
        let lastLitS: number | null = null;
        for (const [at, phase] of played.entries()) {
          for (const share of [0.001, 0.5, 0.999]) {
            const moment = phase.fromS + (phase.toS - phase.fromS) * share;
            if (isLit(phase, moment)) {
              expect(phase.gas).toBe(true);
              lastLitS = phase.toS;
            }
            const level = percentAt(phase, moment, null);
            expect(level).toBeGreaterThanOrEqual(0);
            expect(level).toBeLessThanOrEqual(highest + 1e-9);
          }
          if (at > 0) expect(phase.fromS).toBeCloseTo(played[at - 1]?.toS ?? 0, 9);
          if (phase.name === 'idle' && lastLitS !== null) {
            expect(phase.fromS - lastLitS).toBeGreaterThanOrEqual(leastPostGasS - 1e-9);
          }
        }
      }),
      { numRuns: 400 },
    );
  });
});

describe('counting taps at rest', () => {
  it('groups short presses and forgets them when one is held', () => {
    const events = presses([0, 0.1], [0.3, 0.4], [0.6, 0.7], [3, 3.1], [5, 5.1], [5.4, 7]);
    expect(countTaps(events)).toEqual([
      { taps: 3, atS: 0.7 },
      { taps: 1, atS: 3.1 },
    ]);
  });

  it('does not count bounces', () => {
    expect(countTaps(presses([0, 0.02], [0.3, 0.4]))).toEqual([{ taps: 1, atS: 0.4 }]);
  });
});
