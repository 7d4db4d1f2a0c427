import { describe, expect, it } from '@jest/globals';
import { believe, symptomChance, type CauseEffect, type Evidence } from './belief.ts';

/** Design's case, which pairs every cause with every other: steel 1.2, M21, 5.5 m/min, set-point 24.7 V; shifts of displayed current and voltage. */
const cause = (
  code: string,
  currentA: number,
  voltageV: number,
  prior: number,
  crackle: number,
  more: Partial<CauseEffect> & { readonly wide?: number } = {},
): CauseEffect => ({
  code,
  prior,
  shifts: { currentA, voltageV },
  odds: { crackle, ...(more.wide === undefined ? {} : { wide: more.wide }) },
  ...(more.opposites ? { opposites: more.opposites } : {}),
});
const causes = [
  cause('lead', -10.56, -0.02, 0.05, 0.35),
  cause('slip', -8.05, 0.02, 0.08, 0.02, { wide: 0.4 }),
  cause('out', -16.78, 0.01, 0.15, 0.1, { wide: 0.25 }),
  cause('in', 17.77, -0.03, 0.08, 0.25),
  cause('set-point', -11.64, -2.03, 0.1, 0.6),
];
const noise = { leaks: { crackle: 0.03, wide: 0.05 }, sigmas: { currentA: 5, voltageV: 0.5 } };
const judged = (evidence: Partial<Evidence>): Record<string, number> => {
  const { marginal, none } = believe(causes, { symptoms: {}, measured: {}, ...evidence }, noise);
  return { ...Object.fromEntries(marginal), none };
};
/** The design gives three digits. */
const near = (value: number) => expect.closeTo(value, 3);

describe('belief', () => {
  it('ranks what brings a crackle when that is all that is known', () => {
    expect(judged({ symptoms: { crackle: 'yes' } })).toMatchObject({
      'set-point': near(0.454),
      out: near(0.217),
      in: near(0.187),
      lead: near(0.148),
      none: near(0.139),
    });
  });

  it('tells a bad lead from a low set-point by the volts', () => {
    const seen = { crackle: 'yes', wide: 'no' } as const;
    expect(judged({ symptoms: seen, measured: { currentA: -10, voltageV: 0 } })).toMatchObject({
      lead: near(0.591),
      out: near(0.214),
      none: near(0.123),
    });
    expect(judged({ symptoms: seen, measured: { currentA: -10, voltageV: -2 } })['set-point']).toBeGreaterThan(0.9995);
  });

  it('is the priors where nobody looked', () => {
    const { marginal } = believe(causes, { symptoms: {}, measured: {} }, noise);
    // Sets of three are left out, so that the marginals lie a little off.
    for (const { code, prior } of causes) expect(Math.abs((marginal.get(code) ?? 0) - prior)).toBeLessThan(0.012);
  });

  it('adds to one, and never pairs opposites', () => {
    const apart = causes.map((one) => (one.code === 'out' ? { ...one, opposites: ['in'] } : one));
    const { sets } = believe(apart, { symptoms: { crackle: 'no' }, measured: { currentA: 3 } }, noise);
    expect(sets.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 12);
    // None, 5 single ones, 10 pairs less the one of opposites.
    expect(sets).toHaveLength(15);
    expect(sets.some(({ codes }) => codes.includes('in') && codes.includes('out'))).toBe(false);
  });

  it('holds for figures far outside everything that is modelled', () => {
    const { sets } = believe(causes, { symptoms: {}, measured: { currentA: 900 } }, noise);
    expect(sets.every(({ probability }) => Number.isFinite(probability))).toBe(true);
  });

  it('says what a look would show', () => {
    expect(symptomChance([], 'crackle', noise)).toBeCloseTo(0.03, 12);
    expect(symptomChance([causes[0]!, causes[4]!], 'crackle', noise)).toBeCloseTo(1 - 0.97 * 0.65 * 0.4, 12);
  });
});
