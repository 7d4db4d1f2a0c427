/** A program that comes as a file stands on a sheet as it was: its choice computes it again. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../setting/program/index.ts';
import { planSeam } from '../setting/plan/index.ts';
import { scenarios } from '../scenarios/index.ts';
import { choiceOfProgram, settingOf, standardSite, type DescribedSeam } from './index.ts';

describe('the program of every demo seam', () => {
  it.each(scenarios)('$id comes back the same from its choice', ({ input }) => {
    const plan = planSeam(input);
    if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
    const before = programFromPlan(input, plan.value);
    const { seam } = input;
    const described: DescribedSeam = {
      ...seam,
      grade: '',
      legMm: seam.legMm ?? null,
      travelMmPerMin: seam.travelMmPerMin ?? null,
    };
    const again = settingOf(described, choiceOfProgram(before), standardSite);
    if (!again.ok) throw new Error(inEnglish(again.issues[0]?.message));
    const { program } = again.value;
    const { wireFeedMPerMin, trimMm, stiffness, ctwdMm, pulse, sequence, mode, gas, filler } = before;
    expect(program).toMatchObject({ mode, gas, filler, sequence });
    // Computed anew from the same figures: what is left is the last digits of a solved equation.
    expect(program.wireFeedMPerMin).toBeCloseTo(wireFeedMPerMin, 6);
    expect(program.trimMm).toBeCloseTo(trimMm, 6);
    expect([program.stiffness, program.ctwdMm]).toEqual([stiffness, ctwdMm]);
    expect(program.pulse === null).toBe(pulse === null);
    if (pulse && program.pulse) {
      expect(program.pulse.peakCurrentA).toBeCloseTo(pulse.peakCurrentA, 6);
      expect(program.pulse.backgroundCurrentA).toBeCloseTo(pulse.backgroundCurrentA, 6);
      // One drop a pulse: the rate follows from the feed, within the solver's own tolerance.
      expect(Math.abs(program.pulse.frequencyHz / pulse.frequencyHz - 1)).toBeLessThan(0.01);
    }
  });
});
