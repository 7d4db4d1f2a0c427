import { describe, expect, it } from '@jest/globals';
import { materials } from '../../metal/consumables/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { scenarios } from '../../scenarios/index.ts';
import { qualityLevels } from '../../evidence/trial/index.ts';
import { savingOfClass, waysOfClass } from './class-way.ts';
import type { Rates } from './costs.ts';

const site = { circuitMOhm: 15, handlingMinutes: 2, tipLife: 240 };
const rates: Rates = {
  currency: 'cr',
  labourPerHour: 0,
  energyPerKwh: 0,
  tip: 0,
  wirePerKg: { 'steel-solid': 0 },
  gasPerM3: { 'M21-ArC-18': 8, 'M20-ArC-8': 9, C1: 2 },
};
const { input } = scenarios.find(({ id }) => id === 'axle-plate-to-tube') ?? {};
if (!input) throw new Error('the scenario is gone');

describe('what a class allows', () => {
  it('is never less than what a stricter class allows, on every metal', () => {
    for (const { group } of materials)
      for (const [at, level] of qualityLevels.entries()) {
        const stricter = qualityLevels[at - 1];
        if (stricter)
          expect(waysOfClass(group, level)).toEqual(expect.arrayContaining([...waysOfClass(group, stricter)]));
      }
  });

  it('keeps dip out of B, and dip in CO2 out of C, on steel', () => {
    expect(waysOfClass('steel', 'B').some(({ mode }) => mode === 'dip')).toBe(false);
    expect(waysOfClass('steel', 'C')).not.toContainEqual({ mode: 'dip', gas: 'C1' });
    expect(waysOfClass('steel', 'D')).toContainEqual({ mode: 'dip', gas: 'C1' });
  });
});

describe('what a class saves', () => {
  it('is the way that costs least by the rates, and what it takes less than now', () => {
    const found = savingOfClass(input, 'D', site, rates);
    const cheapest = waysOfClass(input.seam.materialGroup, 'D').flatMap(({ mode, gas }) => {
      const { wireFeedMPerMin: _feed, ...rest } = input;
      const plan = planSeam(mode === input.mode && gas === input.gas ? input : { ...rest, mode, gas });
      return plan.ok ? [(plan.value.gasLitres / 1000) * (rates.gasPerM3?.[gas] ?? 0)] : [];
    });
    const gas = found?.way.gas ?? '';
    expect(((found?.takes.gasL ?? 0) / 1000) * (rates.gasPerM3?.[gas] ?? 0)).toBeCloseTo(Math.min(...cheapest), 9);
  });

  it('holds no way to be cheap because its gas has no rate', () => {
    const { 'M20-ArC-8': _unpriced, ...priced } = rates.gasPerM3 ?? {};
    expect(savingOfClass(input, 'B', site, { ...rates, gasPerM3: priced })?.way.gas).toBe('M21-ArC-18');
    // Where the seam's own gas has none, minutes decide.
    const minutes = savingOfClass(input, 'D', site, null);
    expect(savingOfClass(input, 'D', site, { ...rates, gasPerM3: {} })).toEqual(minutes);
  });

  it('without rates is minutes of work, and nothing where the seam is welded so already', () => {
    const found = savingOfClass(input, 'B', site, null);
    expect(found?.saves.workMinutes).toBeGreaterThanOrEqual(0);
    if (found?.isNow)
      expect(found.saves).toEqual({ arcMinutes: 0, workMinutes: 0, wireKg: 0, gasL: 0, kwh: 0, tips: 0 });
  });

  it('grows or stays as the class lets more', () => {
    const minutes = qualityLevels.map(
      (level) => savingOfClass(input, level, site, null)?.takes.workMinutes ?? Infinity,
    );
    expect(minutes[1]).toBeLessThanOrEqual(minutes[0] ?? 0);
    expect(minutes[2]).toBeLessThanOrEqual(minutes[1] ?? 0);
  });
});
