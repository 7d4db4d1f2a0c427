import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  contentOfGas,
  cylinderContent,
  cylinderLevel,
  cylinderOutlook,
  gasOfContent,
  isWeighed,
  spoolContent,
  spoolLevel,
  spoolOutlook,
  usableGasL,
} from './index.ts';

// 60 s at 8 m/min of 1.2 mm steel (8.878 g/m); 16 L/min for 60 s and 2 × 2.5 s around it.
const use = { wireFeedMPerMin: 8, gasFlowLPerMin: 16, starts: 2, gasL: (16 * 65) / 60, wireKg: 0.008878 * 8 };
const argon = { gas: 'I1', volumeL: 50, pressureBar: 105, massKg: null };

describe('what is left', () => {
  it('of compressed gas: volume × pressure over flow, the last 5 bar kept back, gas around each start counted', () => {
    const left = cylinderOutlook(argon, use);
    expect(left.arcMinutes).toBeCloseTo((50 * 100) / 16, 9);
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

  it('is none, not less than none, where more was drawn than was read', () => {
    expect(usableGasL({ gas: 'C1', volumeL: 40, pressureBar: null, massKg: -1 })).toBe(0);
    expect(cylinderOutlook({ gas: 'I1', volumeL: 50, pressureBar: -3, massKg: null }, use).partsLeft).toBe(0);
    expect(spoolOutlook({ filler: 'steel-solid', diameterMm: 1.2, massKg: -0.2 }, use)).toMatchObject({
      arcMinutes: 0,
      partsLeft: 0,
    });
  });
});

describe('content in whole millilitres and milligrams', () => {
  it('stands for the reading it came from', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('I1', 'M21-ArC-18', 'C1'),
        fc.double({ min: 1, max: 1000, noNaN: true }),
        fc.double({ min: 0, max: 350, noNaN: true }),
        (gas, volumeL, figure) => {
          const read = { gas, volumeL, pressureBar: figure, massKg: figure };
          const level = cylinderLevel(read, cylinderContent(read));
          // Half a millilitre of gas, half a milligram of CO2.
          const off = isWeighed(gas)
            ? Math.abs(level.massKg! - figure) * 1e6
            : Math.abs(level.pressureBar! - figure) * volumeL * 1000;
          expect(off).toBeLessThanOrEqual(0.5 + 1e-6);
        },
      ),
    );
    expect(spoolLevel(spoolContent(6.4))).toBe(6.4);
  });

  it('sums to the same in any order, and back to nought', () => {
    const use = fc.double({ min: 0.001, max: 500, noNaN: true });
    fc.assert(
      fc.property(fc.array(use, { minLength: 1, maxLength: 40 }), (litres) => {
        const parts = litres.map((each) => contentOfGas({ gas: 'I1' }, each));
        const sum = (list: readonly number[]) => list.reduce((total, each) => total + each, 0);
        expect(sum(parts)).toBe(sum([...parts].reverse()));
        expect(sum([...parts, ...parts.map((each) => -each)])).toBe(0);
      }),
    );
  });

  it('of liquid CO₂ counts by mass at 540 L/kg', () => {
    expect(contentOfGas({ gas: 'C1' }, 540)).toBe(1_000_000);
    expect(gasOfContent({ gas: 'C1' }, 1_000_000)).toBe(540);
  });
});
