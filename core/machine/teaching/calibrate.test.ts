import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { wireInGas } from '../../metal/arc/index.ts';
import { steadyCurrentA } from '../../metal/melting/index.ts';
import { calibrate, type CalibrationInput, type ObservedPoint } from './index.ts';

const base = { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1.2 } as const;

/** Points that a wire with other constants would show, steady current on its line of 4.5 mm. */
function pointsOf(
  kAFactor: number,
  kBFactor: number,
  feeds: readonly number[],
  ctwds: readonly number[] = [17.5],
): ObservedPoint[] {
  const table = wireInGas(base.filler, base.gas, base.diameterMm);
  const wire = {
    ...table,
    arcMeltMmPerAs: table.arcMeltMmPerAs * kAFactor,
    extensionMeltPerA2s: table.extensionMeltPerA2s * kBFactor,
  };
  return ctwds.flatMap((ctwdMm) =>
    feeds.map((wireFeedMPerMin) => ({
      wireFeedMPerMin,
      ctwdMm,
      meanCurrentA: steadyCurrentA(wire, (wireFeedMPerMin * 1000) / 60, ctwdMm - 4.5),
    })),
  );
}
function fitted(points: ObservedPoint[]) {
  const result = calibrate({ ...base, points });
  if (!result.ok) throw new Error(inEnglish(result.issues[0]?.message));
  return result.value;
}

describe('calibration', () => {
  it('leaves the table alone when the points are the table’s own', () => {
    const fit = fitted(pointsOf(1, 1, [5, 9]));
    expect(fit.kAFactor).toBeCloseTo(1, 6);
    expect(fit.kBFactor).toBeCloseTo(1, 6);
    expect(fit).toMatchObject({ verdict: 'plausible' });
    expect(fit.rmsResidualA).toBeLessThan(0.01);
  });

  it('brings predictions near what was seen, and with many points finds the wire’s own constants', () => {
    const seen = pointsOf(0.95, 1.06, [4, 6, 8, 10, 12], [14, 17.5, 22]);
    const fit = fitted(seen);
    // The table as prior pulls a little: 2 % is well under what it started with.
    expect(Math.abs(fit.kAFactor - 0.95)).toBeLessThan(0.02);
    for (const { residualA, fittedCurrentA } of fit.residuals)
      expect(Math.abs(residualA / fittedCurrentA)).toBeLessThan(0.01);
    expect(fit.verdict).toBe('plausible');
  });

  it('moves the arc by the volts given', () => {
    const [first, second] = pointsOf(1, 1, [5, 9]);
    const table = calibrate({
      ...base,
      points: [
        { ...first!, voltageV: 30 },
        { ...second!, voltageV: 34 },
      ],
    });
    expect(table.ok && Math.abs(table.value.arcVoltageV)).toBeGreaterThan(0.2);
  });

  it('names the point that does not fit, and a correction beyond belief', () => {
    const [first, second, third] = pointsOf(1, 1, [5, 7, 9]);
    const odd = fitted([first!, { ...second!, meanCurrentA: second!.meanCurrentA * 1.3 }, third!]);
    expect(inEnglish(odd)).toMatchObject({ verdict: 'doubtful', because: expect.stringContaining('7 m/min') });
    expect(fitted(pointsOf(0.7, 0.7, [5, 7, 9])).verdict).toBe('doubtful');
  });

  it.each([
    [{ ...base, points: pointsOf(1, 1, [5]) }, 'too-few-points'],
    [
      { ...base, points: [{ wireFeedMPerMin: 5, meanCurrentA: Number.NaN, ctwdMm: 15 }, ...pointsOf(1, 1, [7])] },
      'out-of-range',
    ],
    [
      {
        ...base,
        points: [{ wireFeedMPerMin: 5, meanCurrentA: 190, rmsCurrentA: 100, ctwdMm: 15 }, ...pointsOf(1, 1, [7])],
      },
      'rms-below-mean',
    ],
  ] satisfies [CalibrationInput, string][])('%# is refused as %2$s', (input, code) => {
    const result = calibrate(input);
    expect(result.ok ? [] : result.issues.map((issue) => issue.code)).toContain(code);
  });

  it('never yields NaN', () => {
    const point = fc.record({
      wireFeedMPerMin: fc.double({ min: 0.5, max: 30, noNaN: true }),
      meanCurrentA: fc.double({ min: 5, max: 700, noNaN: true }),
      ctwdMm: fc.double({ min: 6, max: 45, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 6 }), (points) => {
        const result = calibrate({ ...base, points });
        expect(result.ok && [result.value.kA, result.value.kB, result.value.rmsResidualA].every(Number.isFinite)).toBe(
          true,
        );
      }),
      { numRuns: 60 },
    );
  });
});
