import { describe, expect, it } from '@jest/globals';
import { planSeam } from '../../setting/plan/index.ts';
import { scenarios } from '../../scenarios/index.ts';
import { candidatesFor, foundOf, moneyOf, moneySum, nothingTaken, plus, takesOf, times, type Rates } from './index.ts';

const site = { circuitMOhm: 15, handlingMinutes: 2, tipLife: 240 };
const work = { arcSeconds: 60, wireKg: 0.05, gasL: 14, meanCurrentA: 200, voltageV: 24 };
const rates: Rates = {
  currency: 'cr',
  labourPerHour: 60,
  energyPerKwh: 0.3,
  tip: 2,
  wirePerKg: { 'steel-solid': 3 },
  gasPerM3: { 'M21-ArC-18': 8 },
};
const steel = { filler: 'steel-solid', gas: 'M21-ArC-18' } as const;

describe('what a seam takes', () => {
  it('is its arc, its handling, and the power at the tip and in the leads over what the source hands on', () => {
    const takes = takesOf(work, site);
    expect(takes.workMinutes).toBe(3);
    // 200 A x (24 V + 200 A x 15 mΩ) = 5400 W for a minute, over 0.85.
    expect(takes.kwh).toBeCloseTo(5.4 / 60 / 0.85, 9);
    expect(takes.tips).toBeCloseTo(1 / 240, 9);
  });

  it('adds up and multiplies', () => {
    const one = takesOf(work, site);
    const three = plus(one, plus(one, one));
    expect(three.kwh).toBeCloseTo(times(one, 3).kwh, 12);
    expect(plus(nothingTaken, one)).toEqual(one);
  });

  it('in money is each amount by its rate; what has no rate is left out of the sum and said to be', () => {
    const takes = takesOf(work, site);
    const { parts, total } = moneyOf(takes, steel, rates);
    expect(parts.labour).toBe(3);
    expect(parts.wire).toBeCloseTo(0.15, 9);
    expect(parts.gas).toBeCloseTo(0.112, 9);
    expect(total).toBeCloseTo(3 + 0.15 + 0.112 + takes.kwh * 0.3 + 2 / 240, 9);
    const bare = moneyOf(takes, { ...steel, filler: 'cusi3' }, { currency: 'cr', labourPerHour: 60 });
    expect(bare.parts.labour).toBe(3);
    expect([bare.parts.wire, bare.parts.energy, bare.total]).toEqual([undefined, undefined, 3]);
    const both = moneySum([bare, moneyOf(takes, steel, rates)]).parts;
    expect(both.labour).toBe(6);
    // One of the two has no rate for its wire: the sum must not pass for the whole.
    expect(both.wire).toBeUndefined();
  });
});

describe('what was found', () => {
  const piece = takesOf(work, site);

  it('is the plan where nobody timed anything and nothing was drawn', () => {
    const { welds, timed, planned, found } = foundOf([{}, {}], piece);
    expect([welds, timed]).toEqual([2, 0]);
    expect(found.wireKg).toBeCloseTo(planned.wireKg, 12);
    expect(found.workMinutes).toBeCloseTo(planned.workMinutes, 12);
  });

  it('follows timed seconds in arc, energy and tips, and stock in wire and gas; handling stays', () => {
    const { found, planned } = foundOf([{ seconds: 90, wireKg: 0.08, gasL: 20 }], piece);
    expect(found.arcMinutes).toBeCloseTo(1.5, 12);
    expect(found.workMinutes).toBeCloseTo(3.5, 12);
    expect(found.kwh).toBeCloseTo(1.5 * planned.kwh, 12);
    expect([found.wireKg, found.gasL]).toEqual([0.08, 20]);
  });
});

describe('the same seam another way', () => {
  const input = scenarios.find(({ id }) => id === 'axle-plate-to-tube')!.input;

  it('stands beside how it is now, the least work first, and what cannot be planned says why', () => {
    const { ways, ruledOut } = candidatesFor(input, site);
    const now = ways.find(({ isNow }) => isNow);
    const plan = planSeam(input);
    expect(now?.takes.arcMinutes).toBeCloseTo((plan.ok ? plan.value.arcSeconds : 0) / 60, 9);
    expect(ways.length).toBeGreaterThan(2);
    for (let at = 1; at < ways.length; at++)
      expect(ways[at]!.takes.workMinutes).toBeGreaterThanOrEqual(ways[at - 1]!.takes.workMinutes);
    // Mass is kept: the same joint takes the same metal within what legs and passes differ by.
    for (const { takes } of ways) expect(takes.wireKg / now!.takes.wireKg).toBeGreaterThan(0.4);
    for (const { why } of ruledOut) expect(why).not.toBe('');
  });
});
