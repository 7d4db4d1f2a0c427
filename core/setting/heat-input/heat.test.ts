import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { bead } from '../bead/index.ts';
import { co2Minutes, compressedMinutes, spoolMinutes } from '../../day/consumption/index.ts';
import { currentAtDuty, dutyPercent } from '../../machine/description/index.ts';
import { seamGasL } from '../../metal/consumables/index.ts';
import {
  carbonEquivalentCet,
  coolingThickS,
  coolingThinS,
  heat,
  preheatAdviceC,
  showThrough,
  type HeatInput,
} from './index.ts';

const base: HeatInput = {
  voltageV: 24.6,
  currentA: 186,
  travelMmPerMin: 420,
  efficiency: 0.8,
  thicknessMm: 6,
  preheatC: 20,
  shape: 'run-on-plate',
};
const composition = { C: 0.16, Mn: 1.4, Mo: 0.02, Cr: 0.1, Cu: 0.1, Ni: 0.1 };

describe('heat, reference cases', () => {
  it('24.6 V, 186 A, 420 mm/min: 0.654 kJ/mm, heat input 0.523', () => {
    const result = heat(base);
    expect(result.ok && result.value.arcEnergyKjPerMm).toBeCloseTo(0.654, 3);
    expect(result.ok && result.value.heatInputKjPerMm).toBeCloseTo(0.523, 3);
  });

  it('Q 1 kJ/mm from 20 °C: thick 5.29 s; 10 mm thin 11.4 s, and the larger governs (EN 1011-2 annex D)', () => {
    expect(coolingThickS(1, 20, 1)).toBeCloseTo(5.29, 2);
    expect(coolingThinS(1, 10, 20, 1)).toBeCloseTo(11.4, 1);
    const result = heat({ ...base, powerW: 1000 * 7 * 1.25, thicknessMm: 10 });
    expect(result).toMatchObject({ ok: true, value: { t85Regime: 'thin' } });
    expect(result.ok && result.value.t85S).toBeCloseTo(11.4, 1);
  });

  it('CET 0.3145; 20 mm, HD 5, Q 1: 67 °C preheat (EN 1011-2 method B)', () => {
    expect(carbonEquivalentCet(composition)).toBeCloseTo(0.3145, 4);
    expect(preheatAdviceC(0.3145, 20, 5, 1)).toBeCloseTo(67, 0);
  });

  it('advises preheat only from 10 mm, cooling time only on steel, and knows the interpass ceilings', () => {
    const thin = heat({ ...base, composition });
    expect(thin.ok && thin.value.preheatAdviceC).toBeUndefined();
    expect(heat({ ...base, composition, thicknessMm: 20 })).toMatchObject({
      ok: true,
      value: { preheatAdviceC: expect.any(Number) },
    });
    const stainless = heat({ ...base, materialGroup: 'stainless' });
    expect(stainless).toMatchObject({ ok: true, value: { interpassCeilingC: [150, 150] } });
    expect(stainless.ok && stainless.value.t85S).toBeUndefined();
  });

  it.each([
    [{ ...base, voltageV: Number.NaN }, 'voltageV'],
    [{ ...base, efficiency: 2 }, 'efficiency'],
    [{ ...base, preheatC: 900 }, 'preheatC'],
    [{ ...base, composition: { C: 3 } }, 'composition.C'],
    [{ ...base, composition, materialGroup: 'aluminium' }, 'composition'],
  ] satisfies [HeatInput, string][])('%# names %2$s', (input, path) => {
    const result = heat(input);
    expect(result.ok ? [] : result.issues.map((issue) => issue.path)).toContain(path);
  });
});

describe('show-through', () => {
  it('grows with current and with a warm plate, and names its verdict', () => {
    const at = (amps: number, ahead = 20) => showThrough('aluminium', amps, 20, 600, 2.5, ahead);
    expect(at(60).index).toBeLessThan(at(110).index);
    expect(at(110, 300).index).toBeGreaterThan(1.1 * at(110).index);
    expect(at(30).verdict).toBe('cold');
    expect(at(250).verdict).toBe('burn-through likely');
    expect(at(110).band[0]).toBeLessThan(at(110).index);
  });
});

describe('bead', () => {
  it('z 6, 1.2 mm at 8.5 m/min: 476 mm/min, 4.44 kg/h (reference case)', () => {
    const result = bead({ filler: 'steel-solid', diameterMm: 1.2, wireFeedMPerMin: 8.5, legMm: 6 });
    expect(result.ok && result.value.travelMmPerMin).toBeCloseTo(476, 0);
    expect(result.ok && result.value.depositionKgPerH).toBeCloseTo(4.44, 2);
  });

  it('finds the third from any two, and comes back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 12, noNaN: true }),
        fc.double({ min: 3, max: 7, noNaN: true }),
        (wireFeedMPerMin, legMm) => {
          const base1 = { filler: 'steel-solid', diameterMm: 1.2 } as const;
          const first = bead({ ...base1, wireFeedMPerMin, legMm });
          if (!first.ok) return;
          const { travelMmPerMin } = first.value;
          const legBack = bead({ ...base1, wireFeedMPerMin, travelMmPerMin });
          const feedBack = bead({ ...base1, travelMmPerMin, legMm });
          expect(legBack.ok && legBack.value.legMm).toBeCloseTo(legMm, 9);
          expect(feedBack.ok && feedBack.value.wireFeedMPerMin).toBeCloseTo(wireFeedMPerMin, 9);
        },
      ),
    );
  });

  it('cutting wire 5 % at the same travel shrinks the leg only about 2.5 %', () => {
    const leg = (wireFeedMPerMin: number) => {
      const result = bead({ filler: 'steel-solid', diameterMm: 1.2, wireFeedMPerMin, travelMmPerMin: 450 });
      return result.ok ? result.value.legMm : Number.NaN;
    };
    expect(1 - leg(7.6) / leg(8)).toBeCloseTo(0.025, 2);
  });

  it.each([
    [{ wireFeedMPerMin: 8 }, 'two-of-three'],
    [{ wireFeedMPerMin: 8, travelMmPerMin: 400, legMm: 4 }, 'two-of-three'],
    [{ legMm: 20, travelMmPerMin: 2000 }, 'no-solution'],
    [{ legMm: Number.NaN, travelMmPerMin: 500 }, 'out-of-range'],
  ])('%j is refused as %s', (input, code) => {
    const result = bead({ filler: 'steel-solid', diameterMm: 1.2, ...input });
    expect(result.ok ? [] : result.issues.map((issue) => issue.code)).toContain(code);
  });
});

describe('duty and stock', () => {
  it('60 % at 250 A is 100 % at 194 A (reference case), and never more', () => {
    expect(currentAtDuty(60, 250, 100)).toBeCloseTo(193.6, 1);
    expect(dutyPercent(60, 250, 194)).toBeCloseTo(99.6, 1);
    expect(dutyPercent(60, 250, 100)).toBe(100);
  });

  it('keeps 5 bar back, counts liquid CO2 by mass, and every start’s flow', () => {
    // 50 L at 200 bar: 195 x 50 L over 15 L/min.
    expect(compressedMinutes(50, 200, 15)).toBeCloseTo(650, 9);
    expect(compressedMinutes(50, 3, 15)).toBe(0);
    expect(co2Minutes(10, 15)).toBe(360);
    // 15 kg of 1.0 mm steel at 8 m/min: 0.785e-6 m2 x 7850 x 8 = 0.0493 kg/min.
    expect(spoolMinutes(15, 1, 7850, 8)).toBeCloseTo(304.1, 1);
    expect(seamGasL(15, 60, 4, 0.5, 2.5)).toBeCloseTo(18, 9);
  });
});
