import { describe, expect, it } from '@jest/globals';
import { nextUniform, randomStream } from '../../base/numeric/random.ts';
import { dueOf, lifeOf, usualLife, wearOf, wearParts, type PartEnd } from './index.ts';

const weld = { arcMinutes: 10, currentA: 200, wireKg: 0.6, isAluminium: false };

describe('wear by use', () => {
  it('counts a tip by minutes and current, a nozzle by minutes, liner and rolls by wire', () => {
    expect(wearOf('contact-tip', weld)).toBe(10);
    expect(wearOf('contact-tip', { ...weld, currentA: 300 })).toBeGreaterThan(wearOf('contact-tip', weld));
    expect(wearOf('contact-tip', { ...weld, currentA: 100 })).toBeLessThan(wearOf('contact-tip', weld));
    expect(wearOf('gas-nozzle', { ...weld, currentA: 300 })).toBe(10);
    expect(wearOf('drive-rolls', weld)).toBe(0.6);
    expect(wearOf('liner', { ...weld, isAluminium: true })).toBeGreaterThan(wearOf('liner', weld));
  });

  it('adds up: two welds wear as one twice as long', () => {
    for (const part of wearParts)
      expect(2 * wearOf(part, weld)).toBeCloseTo(wearOf(part, { ...weld, arcMinutes: 20, wireKg: 1.2 }), 9);
  });
});

describe('what a part lasts here', () => {
  const worn = (used: number): PartEnd => ({ used, isWorn: true });

  it('is the rule until one wore out; taken off while good says nothing of its end', () => {
    expect(lifeOf(240, [])).toMatchObject({ expected: 240, low: 120, high: 480, by: 'rule', n: 0 });
    expect(lifeOf(240, [{ used: 90, isWorn: false }])).toMatchObject({ expected: 240, by: 'rule' });
  });

  it('moves from the rule to the shop’s own mean, its band narrowing', () => {
    const one = lifeOf(240, [worn(100)]);
    const four = lifeOf(240, [worn(100), worn(110), worn(95), worn(105)]);
    expect(one.expected).toBeCloseTo((100 + 240) / 2, 9);
    expect(four.expected).toBeCloseTo((410 + 240) / 5, 9);
    expect((four.high - four.low) / four.expected).toBeLessThan((one.high - one.low) / one.expected);
    // One that was taken off good at 100 beside one worn out at 100: it lasts longer than 100.
    expect(lifeOf(240, [worn(100), { used: 100, isWorn: false }]).expected).toBeGreaterThan(one.expected);
  });

  it('finds the distribution that welds were drawn from, with a third of them taken off early', () => {
    // Weibull, shape 3, scale 200: mean 200 Γ(4/3) = 178.6, one in ten by 94.5, nine in ten by 264.1.
    const stream = randomStream(7);
    const ends = Array.from({ length: 300 }, (): PartEnd => {
      const lasts = 200 * (-Math.log(1 - nextUniform(stream))) ** (1 / 3);
      const takenOff = 120 + 260 * nextUniform(stream);
      return lasts < takenOff ? worn(lasts) : { used: takenOff, isWorn: false };
    });
    expect(ends.filter(({ isWorn }) => !isWorn).length).toBeGreaterThan(40);
    const life = lifeOf(240, ends);
    expect(life.by).toBe('weibull');
    // 300 ends: the mean to about 3 %, the tails to about 8 % (two standard errors).
    expect(Math.abs(life.expected / 178.6 - 1)).toBeLessThan(0.05);
    expect(Math.abs(life.low / 94.5 - 1)).toBeLessThan(0.12);
    expect(Math.abs(life.high / 264.1 - 1)).toBeLessThan(0.08);
  });

  it('stands where every one lasted the same, and where they are all over the place', () => {
    const same = lifeOf(
      240,
      Array.from({ length: 6 }, () => worn(100)),
    );
    expect(Math.abs(same.expected / 100 - 1)).toBeLessThan(0.06);
    const wild = lifeOf(240, [1, 5, 30, 200, 900, 4000].map(worn));
    expect(Number.isFinite(wild.expected)).toBe(true);
    expect(wild.low).toBeLessThan(wild.expected);
  });

  it('is due at what it lasts, soon from where one in ten is gone', () => {
    const life = lifeOf(usualLife['contact-tip'], []);
    expect([10, 130, 250].map((used) => dueOf(used, life))).toEqual(['fine', 'soon', 'due']);
  });
});
