import { describe, expect, it } from '@jest/globals';
import {
  edgeAreaMm2,
  filletAreaMm2,
  filletLegMm,
  outsideCornerAreaMm2,
  squareButtAreaMm2,
  throatMm,
} from '../bead/index.ts';
import { defaultLegMm, jointArea, jointRule, jointRules, thicknessThatCounts } from './joints.ts';
import { planModes } from './mode.ts';
import { passTable } from './passes.ts';
import { positionFactor, positionName, positions } from './positions.ts';
import {
  dipGasFlow,
  dipStickOutMm,
  gapFactor,
  materialFactor,
  pulseGasFlow,
  pulseStickOutMm,
  referenceCurrentA,
  widestGapMm,
} from './practice.ts';

/** Shares of the fillet's current, from the model. */
const currentFactors = { tee: 1, lap: 1, butt: 0.9, 'corner-outside': 0.75, edge: 0.65 };

describe('joints', () => {
  it.each(Object.entries(currentFactors))('%s wants %f of the fillet’s current', (joint, factor) => {
    expect(jointRules.find((rule) => rule.joint === joint)?.currentFactor).toBe(factor);
  });

  it('count the thickness that takes the heat, and say how', () => {
    expect(thicknessThatCounts('tee', [2, 3])).toEqual({ thicknessMm: 2.5, because: 'mean of 2 and 3 = 2.5 mm' });
    expect(thicknessThatCounts('lap', [1, 6])).toEqual({ thicknessMm: 2, because: 'twice the thinner, 2 × 1 = 2 mm' });
    expect(thicknessThatCounts('corner-outside', [3, 2]).thicknessMm).toBe(2);
  });

  it('ask for a leg of the thinner plate, at least 3 mm', () => {
    expect(defaultLegMm([1, 5])).toBe(3);
    expect(defaultLegMm([4, 6])).toBe(4);
  });

  it('have areas by geometry or by rule of practice', () => {
    // z²/2 x 1.10; g t + 0.67 (t + 3)(0.1 t + 0.8); t²/2 + 0.75 t; 1.2 (t1 + t2).
    expect(filletAreaMm2(6)).toBeCloseTo(19.8, 9);
    expect(squareButtAreaMm2(3, 1)).toBeCloseTo(3 + 0.67 * 6 * 1.1, 9);
    expect(outsideCornerAreaMm2(2)).toBeCloseTo(3.5, 9);
    expect(edgeAreaMm2(1, 1.5)).toBeCloseTo(3, 9);
    expect(throatMm(6)).toBeCloseTo(4.243, 3);
    expect(filletLegMm(filletAreaMm2(5, 1), 1)).toBeCloseTo(5, 9);
    for (const { joint } of jointRules) {
      const { areaMm2, because } = jointArea(joint, [2, 3], 0.5, 3);
      expect(areaMm2).toBeGreaterThan(0);
      expect(because).not.toBe('');
    }
  });

  it('stand their arcs where practice has them: inside corners short, outside corners long', () => {
    expect(jointRule('tee').arcMm[1]).toBeLessThanOrEqual(jointRule('butt').arcMm[0]);
    expect(jointRule('butt').arcMm[1]).toBeLessThanOrEqual(jointRule('corner-outside').arcMm[0]);
  });
});

describe('positions', () => {
  it('carry the US name of the joint’s kind', () => {
    expect(positionName('PB', 'tee')).toBe('PB / 2F, horizontal fillet');
    expect(positionName('PF', 'butt')).toBe('PF / 3G, vertical up');
  });

  it('allow spray flat and in horizontal fillets only, and never more wire than flat', () => {
    expect(positions.filter((position) => positionFactor(position, 'spray') !== null)).toEqual(['PA', 'PB']);
    for (const mode of planModes) {
      for (const position of positions)
        expect(positionFactor(position, mode) ?? 0).toBeLessThanOrEqual(positionFactor('PA', mode) ?? 0);
    }
    // Vertical up in pulse: 0.55 to 0.65.
    expect(positionFactor('PF', 'pulse')).toBe(0.6);
    expect(positionFactor('PF', 'double-pulse')).toBe(0.6);
  });
});

describe('rules of practice', () => {
  it('take less current over a gap, and name the widest worth filling', () => {
    expect(gapFactor(0.5)).toBe(1);
    expect(gapFactor(1)).toBeCloseTo(0.95, 9);
    expect(gapFactor(2)).toBeCloseTo(0.85, 9);
    expect(gapFactor(12)).toBe(0.5);
    expect(widestGapMm(3)).toBe(2.5);
  });

  it('stop raising the current at 8 mm', () => {
    expect(referenceCurrentA(8)).toBeCloseTo(260, -1);
    expect(referenceCurrentA(20)).toBe(referenceCurrentA(8));
  });

  it('know what metal and wire want of it', () => {
    expect(materialFactor('aluminium', 'aluminium-4043', 3).factor).toBe(0.95);
    expect(materialFactor('aluminium', 'aluminium-4043', 5).factor).toBe(1);
    expect(materialFactor('galvanised', 'cusi3', 1).factor).toBe(0.85);
    expect(materialFactor('galvanised', 'steel-solid', 1).factor).toBe(1);
  });

  it('hold stick-out and flow inside their usual ranges', () => {
    for (const diameterMm of [0.6, 0.8, 1, 1.2, 1.6]) {
      expect(pulseStickOutMm(diameterMm)).toBeGreaterThanOrEqual(15);
      expect(pulseStickOutMm(diameterMm)).toBeLessThanOrEqual(20);
      expect(dipStickOutMm(diameterMm)).toBeGreaterThanOrEqual(10);
      expect(dipStickOutMm(diameterMm)).toBeLessThanOrEqual(12);
      const { flowLPerMin, range } = pulseGasFlow('aluminium-5356', diameterMm);
      expect(flowLPerMin >= range[0] && flowLPerMin <= range[1]).toBe(true);
      // Under 8 L/min air is drawn in.
      expect(dipGasFlow(diameterMm).flowLPerMin).toBeGreaterThanOrEqual(8);
    }
    expect(pulseGasFlow('steel-self-shielded', 1.2).flowLPerMin).toBe(0);
  });
});

describe('passes', () => {
  it('fill the leg asked for, each from its own side', () => {
    const table = passTable('tee', 3, filletAreaMm2(12) / 3, 0);
    expect(table.map((pass) => pass.pass)).toEqual([1, 2, 3]);
    expect(table[2]?.legAfterMm).toBeCloseTo(12, 9);
    expect(table[0]?.gun).toContain('root');
    expect(table[1]?.gun).toContain('lower toe');
    expect(table[2]?.gun).toContain('upper toe');
    expect(passTable('butt', 2, 10, 0)[1]).toMatchObject({ legAfterMm: null, throatAfterMm: null });
  });
});
