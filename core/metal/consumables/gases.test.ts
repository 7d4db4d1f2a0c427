import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { wireInGas, transitionCurrentA } from '../arc/index.ts';
import { carbonEquivalentCet } from '../../setting/heat-input/index.ts';
import { commonGasCodes, fillers, gasOf, parseGas, wireSizes } from './index.ts';
import { grades } from '../grades/index.ts';

describe('gas designations', () => {
  it('reads composition from the designation', () => {
    expect(gasOf('M21-ArC-18')).toMatchObject({ argonPct: 82, co2Pct: 18, o2Pct: 0, heliumPct: 0 });
    expect(gasOf('I3-ArHe-30')).toMatchObject({ argonPct: 70, heliumPct: 30 });
    expect(gasOf('M12-ArHeC-30/2')).toMatchObject({ argonPct: 68, heliumPct: 30, co2Pct: 2 });
    expect(inEnglish(gasOf('C1').name)).toBe('CO₂');
  });

  it('holds the limits of ISO 14175 groups', () => {
    expect(commonGasCodes.every((code) => parseGas(code).ok)).toBe(true);
    // M21 is 15 to 25 % CO2, M20 5 to 15 %.
    for (const wrong of ['M21-ArC-8', 'M20-ArC-18', 'M13-ArO-8', 'I3-ArC-30', 'M21-ArCC-10/8']) {
      expect(parseGas(wrong)).toMatchObject({ ok: false, issues: [{ code: 'gas-group-mismatch' }] });
    }
    for (const unknown of ['', 'argon', 'M21', 'M99-ArC-18', 'M21-ArC-18/2', '__proto__']) {
      expect(parseGas(unknown)).toMatchObject({ ok: false, issues: [{ code: 'unknown-gas' }] });
    }
  });

  it('never throws on any text', () => {
    fc.assert(fc.property(fc.string(), (text) => expect(typeof parseGas(text).ok).toBe('boolean')));
  });
});

describe('transition current', () => {
  // Classical handbook values, Ar + 2 % O2 for steels; tolerance only for the gas factor that this model adds.
  it('gives the table at its own diameters in argon', () => {
    const argon = gasOf('I1');
    expect(transitionCurrentA('steel', 1.2, argon)).toBeCloseTo(220, 6);
    expect(transitionCurrentA('aluminium', 1.6, argon)).toBeCloseTo(180, 6);
    expect(transitionCurrentA('stainless', 1.1, argon)).toBeCloseTo((190 + 225) / 2, 6);
    expect(transitionCurrentA('steel', 0.6, argon)).toBeCloseTo(150 * 0.75 ** 0.8, 6);
  });

  it('rises 0.9 % per percent CO2 to 15 %, then 1.5 %; oxygen above 2 % lowers it', () => {
    expect(transitionCurrentA('steel', 1.2, gasOf('M21-ArC-18'))).toBeCloseTo(220 * (1 + 0.135 + 0.045), 6);
    expect(transitionCurrentA('stainless', 1.0, gasOf('M13-ArO-2'))).toBeCloseTo(190, 6);
    expect(transitionCurrentA('steel', 1.6, gasOf('M22-ArO-5'))).toBeCloseTo(275 * 0.94, 6);
  });
});

describe('arc constants', () => {
  it('run linearly from argon mixes to pure CO2 for steel', () => {
    expect(wireInGas('steel-solid', 'M21-ArC-18', 1.2)).toMatchObject({ v0V: 15.7, eVPerMm: 0.636 });
    const co2 = wireInGas('steel-solid', 'C1', 1.2);
    expect(co2.v0V).toBeCloseTo(18.5, 9);
    expect(co2.eVPerMm).toBeCloseTo(0.85, 9);
  });

  it('raise the arc with helium: 70/30 about +1.5 V and +25 % field', () => {
    const pure = wireInGas('aluminium-5356', 'I1', 1.2);
    const mixed = wireInGas('aluminium-5356', 'I3-ArHe-30', 1.2);
    expect(mixed.v0V - pure.v0V).toBeCloseTo(1.5, 9);
    expect(mixed.eVPerMm / pure.eVPerMm).toBeCloseTo(1.25, 9);
  });
});

describe('wire tables', () => {
  it('keep true diameters: 0.8 mm carries 10 % more metal than 0.030 in', () => {
    const inch = wireSizes.find((size) => size.label === '0.030 in');
    expect((0.8 / (inch?.diameterMm ?? 1)) ** 2).toBeCloseTo(1.1, 2);
  });

  it('hold grades whose steels have a carbon equivalent of weldable steel', () => {
    for (const { group, composition } of grades) {
      if (group !== 'steel') continue;
      // Weldable structural steels lie between 0.1 and 0.35.
      expect(composition && carbonEquivalentCet(composition)).toBeGreaterThan(0.08);
      expect(composition && carbonEquivalentCet(composition)).toBeLessThan(0.35);
    }
    // The reference case of the carbon equivalent is a steel of this grade.
    expect(carbonEquivalentCet(grades.find((grade) => grade.code === 'S355')!.composition!)).toBeCloseTo(0.3145, 4);
  });

  it('list no code twice', () => {
    expect(new Set(fillers.map((filler) => filler.code)).size).toBe(fillers.length);
  });
});
