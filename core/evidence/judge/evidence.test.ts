import { describe, expect, it } from '@jest/globals';
import { filletAreaMm2 } from '../../setting/bead/index.ts';
import { programFromPlan } from '../../setting/program/index.ts';
import { translate } from '../../machine/dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, hazel, rowan, scenarios } from '../../scenarios/index.ts';
import { symptomCodes } from '../trial/index.ts';
import { backCheck } from './back-check.ts';
import { causeCodes, causes } from './causes/index.ts';
import { dialsOff } from './dials-off.ts';
import { leaks } from './leaks.ts';

const { input } = scenarios.find(({ id }) => id === 'axle-plate-to-tube')!;
const plan = planSeam(input);
if (!plan.ok) throw new Error('no plan');
const program = programFromPlan(input, plan.value);

describe('metal laid against wire fed', () => {
  it('agrees within fifteen percent, by the legs’ geometric mean', () => {
    const fed = filletAreaMm2(5);
    expect(backCheck([5, 5], fed)).toMatchObject({ ratio: 1, agrees: true, words: null });
    // Legs of 4 and 6.25 hold what two of 5 do.
    expect(backCheck([4, 6.25], fed).ratio).toBeCloseTo(1, 9);
    const atLimit = 5 * Math.sqrt(1.15);
    expect(backCheck([atLimit - 0.01, atLimit - 0.01], fed).agrees).toBe(true);
    expect(backCheck([atLimit + 0.01, atLimit + 0.01], fed).agrees).toBe(false);
  });

  it('names the leg, the metal fed and the leg that would fit it', () => {
    const { words } = backCheck([6, 6], filletAreaMm2(4));
    expect(words).toMatchObject({ code: 'judge.leg-too-large' });
    expect(words?.values['fits']).toMatchObject({ value: expect.closeTo(4, 6) });
  });
});

describe('dials as they stood', () => {
  it.each([rowan, hazel, alder])('are nothing off where nobody moved them: $name', (machine) => {
    const card = Object.fromEntries(translate(machine, program).dials.map(({ dialId, value }) => [dialId, value]));
    for (const set of [{}, card]) {
      const off = dialsOff(machine, program, set);
      if (!off.ok) throw new Error('not read');
      expect(off.value.trimMm).toBeCloseTo(0, 9);
      expect(off.value.feedShare).toBeCloseTo(0, 9);
      expect(off.value.stiffness).toBeCloseTo(0, 9);
    }
  });

  it('say a feed that was turned up as a share of what was meant, and leave what was not read', () => {
    const feed = translate(rowan, program).dials.find(({ dialId }) => dialId === 'wire-feed');
    if (!feed) throw new Error('Rowan has a feed');
    const off = dialsOff(rowan, program, { 'wire-feed': feed.value * 1.1 });
    // The dial's own step is all that it may be off by.
    expect(off.ok && Math.abs(off.value.feedShare - 0.1)).toBeLessThan(0.015);
    // The arc's dial is told against a line that moves with the feed: what is left is less than one step of it.
    expect(off.ok && Math.abs(off.value.trimMm)).toBeLessThan(0.15);
  });
});

describe('the table of causes', () => {
  it('holds chances, and each has a look that takes some time', () => {
    for (const code of causeCodes) {
      const { prior, odds, look } = causes[code];
      expect([code, prior > 0 && prior < 0.5]).toEqual([code, true]);
      expect([code, look.minutes > 0]).toEqual([code, true]);
      for (const chance of Object.values(odds)) expect([code, chance > 0 && chance < 1]).toEqual([code, true]);
    }
  });

  it('has opposites that know of each other, and causes that something shows', () => {
    for (const code of causeCodes) {
      const { opposite, odds, model } = causes[code];
      if (opposite) expect(causes[opposite].opposite).toBe(code);
      expect([code, Object.keys(odds).length > 0 || model !== undefined]).toEqual([code, true]);
    }
  });

  it('names symptoms that there are, likelier with the cause than without any', () => {
    for (const code of causeCodes)
      for (const [symptom, chance] of Object.entries(causes[code].odds)) {
        expect(symptomCodes).toContain(symptom);
        expect([code, symptom, chance > leaks[symptom as keyof typeof leaks]]).toEqual([code, symptom, true]);
      }
  });
});
