import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { fillerCodes } from '../consumables/index.ts';
import { melt } from './index.ts';

function currentFor(
  filler: Parameters<typeof melt>[0]['filler'],
  diameterMm: number,
  extensionMm: number,
  wireFeedMPerMin: number,
): number {
  const result = melt({ filler, diameterMm, extensionMm, wireFeedMPerMin });
  if (!result.ok) throw new Error(inEnglish(result.issues[0]?.message));
  return result.value.currentA;
}

describe('melting, steady current', () => {
  // Reference cases of the model, from widely published operating data; the fit holds to 8 %.
  it.each([
    ['steel-solid', 0.889, 10, 9.53, 195],
    ['steel-solid', 0.889, 10, 12.7, 230],
    ['steel-solid', 0.889, 10, 15.24, 275],
    ['steel-solid', 1.143, 12, 8.89, 285],
    ['steel-solid', 1.143, 12, 12.06, 335],
    ['aluminium-4043', 1.2, 13, 7, 150],
  ] as const)('%s %f mm, extension %f mm, %f m/min: %f A', (filler, diameter, extension, feed, expected) => {
    expect(Math.abs(currentFor(filler, diameter, extension, feed) / expected - 1)).toBeLessThan(0.08);
  });

  it('asks 15 to 20 % more AlMg5 than AlSi5 for the same current', () => {
    const feed = (filler: 'aluminium-4043' | 'aluminium-5356') => {
      const result = melt({ filler, diameterMm: 1.2, extensionMm: 13, currentA: 150 });
      return result.ok ? result.value.wireFeedMPerMin : Number.NaN;
    };
    const more = feed('aluminium-5356') / feed('aluminium-4043');
    expect(more).toBeGreaterThan(1.14);
    expect(more).toBeLessThan(1.2);
  });

  it('comes back from feed to current to feed, for any wire', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...fillerCodes),
        fc.double({ min: 0.6, max: 1.6, noNaN: true }),
        fc.double({ min: 3, max: 40, noNaN: true }),
        fc.double({ min: 10, max: 400, noNaN: true }),
        (filler, diameterMm, extensionMm, currentA) => {
          const there = melt({ filler, diameterMm, extensionMm, currentA });
          if (!there.ok || there.value.wireFeedMPerMin < 0.5 || there.value.wireFeedMPerMin > 30) return;
          const back = melt({ filler, diameterMm, extensionMm, wireFeedMPerMin: there.value.wireFeedMPerMin });
          expect(back.ok && Math.abs(back.value.currentA / currentA - 1) < 1e-9).toBe(true);
        },
      ),
    );
  });

  it('melts more at the same mean current when the rms is higher', () => {
    const steady = melt({ filler: 'steel-solid', diameterMm: 1.2, extensionMm: 13, currentA: 190 });
    const pulsed = melt({ filler: 'steel-solid', diameterMm: 1.2, extensionMm: 13, currentA: 190, rmsCurrentA: 231 });
    expect(pulsed.ok && steady.ok && pulsed.value.wireFeedMPerMin > steady.value.wireFeedMPerMin).toBe(true);
  });

  it('deposits 4.44 kg/h at 8.5 m/min of 1.2 mm steel (reference case)', () => {
    const result = melt({ filler: 'steel-solid', diameterMm: 1.2, extensionMm: 13, wireFeedMPerMin: 8.5 });
    expect(result.ok && result.value.depositionKgPerH).toBeCloseTo(4.44, 2);
  });
});

describe('melting, bad input', () => {
  const base = { filler: 'steel-solid', diameterMm: 1.2, extensionMm: 13 } as const;
  it.each([
    [{ ...base }, 'one-of'],
    [{ ...base, wireFeedMPerMin: 5, currentA: 200 }, 'one-of'],
    [{ ...base, wireFeedMPerMin: Number.NaN }, 'out-of-range'],
    [{ ...base, wireFeedMPerMin: 300 }, 'out-of-range'],
    [{ ...base, currentA: 200, rmsCurrentA: 150 }, 'rms-below-mean'],
    [{ ...base, wireFeedMPerMin: 3, rmsCurrentA: 600 }, 'rms-too-high'],
    [{ ...base, currentA: 200, rmsCurrentA: Number.POSITIVE_INFINITY }, 'out-of-range'],
  ])('%j is refused as %s', (input, expected) => {
    const result = melt(input);
    expect(result.ok ? [] : result.issues.map((issue) => issue.code)).toContain(expected);
  });

  it('lists every issue at once', () => {
    const result = melt({ ...base, diameterMm: 9, extensionMm: 900 });
    expect(result.ok ? 0 : result.issues.length).toBe(3);
  });
});
