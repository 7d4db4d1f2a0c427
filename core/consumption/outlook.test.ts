import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { cylinderOutlook, drawnFrom, isWeighed, spoolOutlook, usableGasL } from './index.ts';

const use = { wireFeedMPerMin: 8, gasFlowLPerMin: 16, arcSeconds: 60, starts: 2, preGasS: 0.5, postGasS: 2 };
const argon = { gas: 'I1', volumeL: 50, pressureBar: 105, massKg: null };

describe('what is left', () => {
  it('of compressed gas: volume × pressure over flow, the last 5 bar kept back, gas around each start counted', () => {
    const left = cylinderOutlook(argon, use);
    expect(left.arcMinutes).toBeCloseTo((50 * 100) / 16, 9);
    // 16 L/min for 60 s and 2 × 2.5 s around it.
    expect(left.perPart).toBeCloseTo((16 * 65) / 60, 9);
    expect(left.partsLeft).toBe(Math.floor(5000 / ((16 * 65) / 60)));
    expect(cylinderOutlook({ ...argon, pressureBar: 5 }, use)).toMatchObject({
      partsLeft: 0,
      words: 'not enough for one part',
    });
  });

  it('of liquid CO₂: by its mass at 540 L/kg, whatever the gauge says', () => {
    const co2 = { gas: 'C1', volumeL: 40, pressureBar: 57, massKg: 2 };
    expect(isWeighed('C1')).toBe(true);
    expect(usableGasL(co2)).toBe(1080);
    expect(cylinderOutlook(co2, use).arcMinutes).toBeCloseTo(1080 / 16, 9);
  });

  it('on a spool: mass over area × density × feed', () => {
    const left = spoolOutlook({ filler: 'steel-solid', diameterMm: 1.2, massKg: 1 }, use);
    // 1.131 mm² × 7850 kg/m³ = 8.878 g/m.
    expect(left.arcMinutes).toBeCloseTo(1 / (0.008878 * 8), 1);
    expect(left.perPart).toBeCloseTo(0.008878 * 8, 4);
    expect(left.partsLeft).toBe(14);
  });

  it('counts down by what was drawn and never below empty', () => {
    expect(drawnFrom(argon, 500).pressureBar).toBeCloseTo(95, 9);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), fc.constantFrom('I1', 'C1'), (litres, gas) => {
        const after = drawnFrom({ gas, volumeL: 40, pressureBar: 100, massKg: 10 }, litres);
        expect(usableGasL(after)).toBeGreaterThanOrEqual(0);
        expect(usableGasL(after)).toBeLessThanOrEqual(usableGasL({ gas, volumeL: 40, pressureBar: 100, massKg: 10 }));
      }),
    );
  });
});
