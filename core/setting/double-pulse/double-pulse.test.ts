import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  beatForPitchHz,
  canonicalOf,
  doublePulse,
  sayBeat,
  type BeatInput,
  type BeatSchool,
  type CanonicalBeat,
} from './index.ts';

function canonical(beat: BeatInput): CanonicalBeat {
  const result = canonicalOf(beat);
  if (!result.ok) throw new Error(inEnglish(result.issues[0]?.message));
  return result.value;
}

const schools: BeatSchool[] = ['top', 'two-level', 'swing'];

describe('the slow beat between schools', () => {
  it('top 10 m/min, low 60 %, duty 40 %: mean 7.6 m/min; at 300 mm/min and 1.5 Hz the pitch is 3.33 mm (reference case)', () => {
    const result = doublePulse({
      from: { school: 'top', setFeedMPerMin: 10, lowPercent: 60, highSharePercent: 40, frequencyHz: 1.5 },
      to: 'two-level',
      travelMmPerMin: 300,
    });
    expect(result).toMatchObject({
      ok: true,
      value: { representable: true, to: { highFeedMPerMin: 10, lowFeedMPerMin: 6, highSharePercent: 40 } },
    });
    if (!result.ok) return;
    expect(result.value.canonical.meanFeedMPerMin).toBeCloseTo(7.6, 9);
    expect(result.value.ripplePitchMm).toBeCloseTo(3.333, 3);
    expect(beatForPitchHz(300, 10 / 3)).toBeCloseTo(1.5, 9);
  });

  it('comes back unchanged through every school that can say it', () => {
    const beats = fc.record({
      high: fc.double({ min: 4, max: 12, noNaN: true }),
      ratio: fc.double({ min: 0.3, max: 1, noNaN: true }),
      share: fc.double({ min: 10, max: 90, noNaN: true }),
      frequencyHz: fc.double({ min: 0.2, max: 10, noNaN: true }),
    });
    fc.assert(
      fc.property(beats, fc.constantFrom(...schools), ({ high, ratio, share, frequencyHz }, school) => {
        const beat = canonical({
          school: 'two-level',
          highFeedMPerMin: high,
          lowFeedMPerMin: high * ratio,
          highSharePercent: share,
          frequencyHz,
        });
        const said = sayBeat(beat, school);
        const back = canonical(said.to);
        // Whatever the school can or cannot say, the wire laid stays.
        expect(back.meanFeedMPerMin).toBeCloseTo(beat.meanFeedMPerMin, 6);
        if (!said.representable) {
          expect(said.nearest).toEqual(back);
          expect(said.why).toBeTruthy();
          return;
        }
        for (const key of ['highFeedMPerMin', 'lowFeedMPerMin', 'highShare', 'frequencyHz'] as const)
          expect(back[key]).toBeCloseTo(beat[key], 6);
      }),
    );
  });

  it('knows that a swing has equal times only, and offers the nearest', () => {
    const beat = canonical({ school: 'top', setFeedMPerMin: 10, lowPercent: 60, highSharePercent: 30, frequencyHz: 2 });
    expect(sayBeat(beat, 'swing')).toMatchObject({
      representable: false,
      to: { meanFeedMPerMin: beat.meanFeedMPerMin },
    });
  });

  it('reads levels in A by what they melt; a share of 30 % of 200/100 A is 130 A or 170 A by its sense', () => {
    const beat = (highSharePercent: number) =>
      canonical({
        school: 'two-level',
        highCurrentA: 200,
        lowCurrentA: 100,
        filler: 'aluminium-4043',
        diameterMm: 1.2,
        extensionMm: 13,
        highSharePercent,
        frequencyHz: 2,
      });
    expect(beat(70).meanFeedMPerMin / beat(30).meanFeedMPerMin).toBeGreaterThan(1.2);
  });

  it('says what the beat does: mean current, power against a single pulse, equivalent thickness, and levels that cannot be pulsed', () => {
    const wire = { filler: 'aluminium-5356', gas: 'I1', diameterMm: 1.2, extensionMm: 13 } as const;
    const result = doublePulse({
      from: { school: 'swing', meanFeedMPerMin: 7, swingPercent: 20, frequencyHz: 2 },
      to: 'top',
      wire,
    });
    const effect = result.ok ? result.value.effect : undefined;
    expect(effect!.high.meanCurrentA).toBeGreaterThan(effect!.meanCurrentA);
    expect(effect!.low.meanCurrentA).toBeLessThan(effect!.meanCurrentA);
    // Wholly a matter of the numbers: within 2 % of the single pulse here.
    expect(Math.abs(effect!.meanPowerW / effect!.singlePowerW - 1)).toBeLessThan(0.02);
    // The thickness whose reference current is the beat's mean: 73 te^0.64 on steel, 0.85 of it on aluminium.
    expect(0.85 * 73 * effect!.equivalentThicknessMm ** 0.64).toBeCloseTo(effect!.meanCurrentA, 6);
    const steel = doublePulse({
      from: { school: 'swing', meanFeedMPerMin: 7, swingPercent: 20, frequencyHz: 2 },
      to: 'top',
      wire: { filler: 'steel-solid', gas: 'M21-ArC-18', diameterMm: 1, extensionMm: 12 },
    });
    const onSteel = steel.ok ? steel.value.effect : undefined;
    expect(73 * onSteel!.equivalentThicknessMm ** 0.64).toBeCloseTo(onSteel!.meanCurrentA, 6);
    const wild = doublePulse({
      from: { school: 'swing', meanFeedMPerMin: 11, swingPercent: 70, frequencyHz: 2 },
      to: 'top',
      wire,
      feedLimitsMPerMin: [2, 15],
      travelMmPerMin: 60,
    });
    expect(inEnglish(wild.ok && wild.value.warnings.map((warning) => warning.code))).toEqual(
      expect.arrayContaining(['high-not-pulsable', 'high-beyond-limits', 'ripple-pitch']),
    );
  });

  it.each([
    [{ school: 'top', setFeedMPerMin: 10, lowPercent: 5, highSharePercent: 40, frequencyHz: 1 }, 'out-of-range'],
    [
      { school: 'top', setFeedMPerMin: Number.NaN, lowPercent: 50, highSharePercent: 40, frequencyHz: 1 },
      'out-of-range',
    ],
    [
      { school: 'two-level', highFeedMPerMin: 5, lowFeedMPerMin: 8, highSharePercent: 50, frequencyHz: 1 },
      'low-above-high',
    ],
    [{ school: 'two-level', highFeedMPerMin: 5, lowCurrentA: 80, highSharePercent: 50, frequencyHz: 1 }, 'one-of'],
    [{ school: 'two-level', highCurrentA: 200, lowCurrentA: 80, highSharePercent: 50, frequencyHz: 1 }, 'missing'],
    [{ school: 'swing', meanFeedMPerMin: 7, swingPercent: 90, frequencyHz: 100 }, 'out-of-range'],
  ] satisfies [BeatInput, string][])('%j is refused as %s', (beat, code) => {
    const result = canonicalOf(beat);
    expect(result.ok ? [] : result.issues.map((issue) => issue.code)).toContain(code);
  });
});
