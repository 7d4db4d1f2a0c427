import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, scenarios } from '../../scenarios/index.ts';
import { programFromPlan } from '../../setting/program/index.ts';
import { swingFromTests, type SwingReading } from './index.ts';
import { translate } from '../dials/index.ts';
import { type Dial } from '../description/index.ts';

const strength = alder.dials.find((dial) => dial.id === 'strength')!;
const at = (dialValue: number, highFeedMPerMin: number, lowFeedMPerMin: number): SwingReading => ({
  dialValue,
  highFeedMPerMin,
  lowFeedMPerMin,
});

describe('a swing dial of one number', () => {
  // Each way of the mean: (8.8 - 7.2) / 16 = 10 % at 2, (10.4 - 5.6) / 16 = 30 % at 8; a unit is 20 / 6 %.
  const two = [at(2, 8.8, 7.2), at(8, 10.4, 5.6)] as const;

  it('takes its unit from two tests, with swing and mean of each', () => {
    const found = swingFromTests(strength, two);
    if (!found.ok) throw new Error(inEnglish(found.issues[0]?.message));
    expect(found.value.perUnitPercent).toBeCloseTo(20 / 6, 9);
    expect(found.value.swingPercent[0]).toBeCloseTo(10, 9);
    expect(found.value.swingPercent[1]).toBeCloseTo(30, 9);
    expect(found.value.meanFeedMPerMin).toEqual([8, 8]);
    // A program that wants 20 % each way is then dialled half way between the two tests.
    const seam = scenarios.find((one) => one.id === 'trike-lid-seam')!.input;
    const plan = planSeam(seam);
    if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
    const program = programFromPlan(seam, plan.value);
    const mean = program.slowBeat!.meanFeedMPerMin;
    const slowBeat = { ...program.slowBeat!, highFeedMPerMin: 1.2 * mean, lowFeedMPerMin: 0.8 * mean, highShare: 0.5 };
    const tested = { ...strength, scale: { ...strength.scale, ...found.value.scale } } as Dial;
    const machine = { ...alder, dials: alder.dials.map((dial) => (dial.id === 'strength' ? tested : dial)) };
    const dialled = translate(machine, { ...program, slowBeat }).dials.find((dial) => dial.dialId === 'strength')!;
    expect(dialled.value).toBe(5);
  });

  it.each([
    ['the same value twice', [at(4, 9, 7), at(4, 9, 7)], 'readings.1.dialValue', 'same-value'],
    ['swings too near to tell', [at(4, 9, 7), at(5, 9.05, 7)], 'readings.1.highFeedMPerMin', 'too-near'],
    ['levels taken for one another', [at(2, 7, 9), at(8, 10, 6)], 'readings.0.highFeedMPerMin', 'high-below-low'],
    ['a value the dial has not got', [at(2, 9, 7), at(14, 10, 6)], 'dials.strength', 'not-on-dial'],
    ['a feed no drive has', [at(2, 900, 7), at(8, 10, 6)], 'readings.0.highFeedMPerMin', 'out-of-range'],
  ] as const)('refuses %s', (_name, readings, path, code) => {
    expect(swingFromTests(strength, readings)).toMatchObject({ ok: false, issues: [{ path, code }] });
  });

  it('is no test for a dial of something else', () => {
    const speed = alder.dials.find((dial) => dial.id === 'speed')!;
    expect(swingFromTests(speed, two)).toMatchObject({ ok: false, issues: [{ code: 'no-swing-dial' }] });
  });
});
