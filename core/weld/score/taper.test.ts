import { inEnglish } from '@fox-tempo/words/english';
import { spreadPerMm } from '../../metal/conduction/index.ts';
import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { startLag } from '../../machine/dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, rowan, scenarios } from '../../scenarios/index.ts';
import { holdForWarmth, judgeEnds } from './ends.ts';
import { seamScore } from './intended.ts';
import { taperPlan, type Taper } from './taper.ts';

const rail = scenarios.find(({ id }) => id === 'trike-frame-rail')!;
const plan = planSeam(rail.input);
if (!plan.ok) throw new Error('no plan');
const made = programFromPlan(rail.input, plan.value);
const program = { ...made, sequence: { ...made.sequence, trigger: 'latch-second' as const, secondPercent: 80 } };
const taper = (change: Partial<Parameters<typeof taperPlan>[0]> = {}): Taper => {
  const outcome = taperPlan({ program, lengthMm: 420, thicknessMm: 4, sideMm: 40, plateC: 20, ...change });
  if (!outcome.ok) throw new Error(inEnglish(outcome.issues[0]?.message));
  return outcome.value;
};

describe('the taper plan', () => {
  it('asks for main while the plate is as it was in the trial, less near the end where its edges turn the heat back', () => {
    const { stations } = taper();
    const levels = stations.map((station) => station.levelPercent);
    // Within the sum's own steps.
    for (const level of levels.slice(0, -1)) expect(Math.abs(level - 100)).toBeLessThan(1);
    expect(levels.at(-1)).toBeLessThan(97);
    expect(levels.at(-1)).toBeGreaterThanOrEqual(60);
    // The metal falls with the level while travel stays.
    expect(stations.at(-1)?.legShare).toBeCloseTo(Math.sqrt((levels.at(-1) ?? 0) / 100), 9);
  });

  it('sums the field of a moving line source to 223 K six millimetres ahead (published case)', () => {
    // 1689 W at 12.5 mm/s into 3 mm of metal with 65 mm²/s and 2.8e-3 J/(mm³ K).
    let rise = 0;
    for (let age = 5e-4; age < 60; age += 1e-3)
      rise += spreadPerMm(6 + 12.5 * age, age, 65) * spreadPerMm(0, age, 65) * 1e-3;
    // The sum steps by a millisecond.
    expect(Math.abs((rise * 1689) / (2.8e-3 * 3) / 223 - 1)).toBeLessThan(0.01);
  });

  it('on steel, whose heat stays behind the arc, asks for main from end to end', () => {
    const bracket = scenarios.find(({ id }) => id === 'hitch-bracket-fillet')!;
    const steel = planSeam(bracket.input);
    if (!steel.ok) throw new Error('no plan');
    const outcome = taperPlan({
      program: programFromPlan(bracket.input, steel.value),
      lengthMm: 240,
      thicknessMm: 6,
      sideMm: 60,
      plateC: 20,
    });
    if (!outcome.ok) throw new Error('refused');
    for (const { levelPercent } of outcome.value.stations) expect(levelPercent).toBeCloseTo(100, 0);
  });

  it('starts lower on a warm plate, by what is left to melting', () => {
    const cold = taper();
    const warm = taper({ plateC: 120 });
    // 620 K are left from 20 °C to melting, 520 K from 120 °C; two hundredths for the first millimetres' own end.
    expect(
      Math.abs((warm.stations[0]?.levelPercent ?? 0) / (cold.stations[0]?.levelPercent ?? 1) - 520 / 620),
    ).toBeLessThan(0.02);
  });

  it('is warmer in a narrow part than in a wide one, never hotter than melting in the middle', () => {
    const middle = (of: Taper) => of.stations[4]?.aheadC ?? 0;
    expect(middle(taper({ sideMm: 8 }))).toBeGreaterThan(middle(taper({ sideMm: 200 })));
    expect(middle(taper({ sideMm: 8, lengthMm: 3000 }))).toBeLessThan(640);
  });

  it('places a tap where second level fits, none where main does to the end', () => {
    expect(taper({ plateC: 150 }).tapAtMm).toBeGreaterThan(0);
    expect(
      taper({ program: { ...program, sequence: { ...program.sequence, secondPercent: 100 } } }).tapAtMm,
    ).toBeNull();
  });

  it('refuses sides and temperatures out of reach by name', () => {
    const outcome = taperPlan({ program, lengthMm: 420, thicknessMm: 4, sideMm: 1, plateC: 900 });
    expect(outcome.ok ? [] : outcome.issues.map(({ path }) => path)).toEqual(['sideMm', 'plateC']);
  });
});

describe('the hold that warms the first millimetres', () => {
  it('is the shortest that does', () => {
    const hot = { ...program, sequence: { ...program.sequence, startPercent: 130, startS: 0, slopeInS: 0.3 } };
    const hold = holdForWarmth(hot, 4, 420);
    if (hold === null) throw new Error('no hold does it');
    const first = (startS: number) => {
      const tried = { ...hot, sequence: { ...hot.sequence, startS } };
      return judgeEnds(tried, 4, seamScore(tried, 420)).first.warmth;
    };
    expect(first(hold)).toBeGreaterThanOrEqual(0.85);
    if (hold > 0) expect(first(hold - 0.1)).toBeLessThan(0.85);
  });
});

describe('an absolute start left behind by main', () => {
  it('is named with both feeds, and only where the dial is absolute', () => {
    expect(inEnglish(startLag(rowan, { 'first-feed': 6 }, program)?.message)).toMatch(
      /First feed on Rowan is set to 6\.0 m\/min, below the main feed/,
    );
    expect(startLag(rowan, { 'first-feed': 20 }, program)).toBeNull();
    expect(startLag(rowan, {}, program)).toBeNull();
    expect(startLag(alder, { 'lead-in': 60 }, program)).toBeNull();
  });
});
