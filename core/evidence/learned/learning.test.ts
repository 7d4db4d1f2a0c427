import { describe, expect, it } from '@jest/globals';
import { feedElsewhere, feedFactor, feedToStart, paceElsewhere, paceOf, trimAt, trimLine } from './index.ts';
import { shrink } from './shrink.ts';

const slow = Math.exp(-0.35);

describe('pace', () => {
  // Design's cases: tau .15, sigma .12, mean of the logarithms -.35; given to three digits.
  it.each([
    [3, -0.288, 0.063],
    [1, -0.213, 0.094],
  ])('of a hand seen %i times', (n, mean, sd) => {
    const pace = paceOf(Array.from({ length: n }, () => ({ planned: 1, found: slow })));
    expect(pace.mean).toBeCloseTo(mean, 3);
    expect(pace.sd).toBeCloseTo(sd, 3);
    expect(pace.factor).toBeCloseTo(Math.exp(mean), 2);
  });

  it('is the plan’s until somebody was timed, and nearly the hand’s own after thirty', () => {
    expect(paceOf([])).toEqual({ mean: 0, sd: 0.15, weight: 0, factor: 1 });
    const many = paceOf(Array.from({ length: 30 }, () => ({ planned: 2, found: 2 * slow })));
    expect(many.weight).toBeGreaterThan(0.97);
    // 2 % of the way from its own to the plan's is left.
    expect(many.factor / slow).toBeLessThan(1.01);
  });

  it('believes a short seam less: the watch is off by most of a second', () => {
    const short = paceOf([{ planned: 1, found: slow, arcS: 2 }]);
    const long = paceOf([{ planned: 1, found: slow, arcS: 60 }]);
    expect(short.weight).toBeLessThan(0.2);
    expect(long.weight).toBeGreaterThan(0.6);
  });

  it('borrows from the welder’s other positions, with more doubt', () => {
    const known = paceOf(Array.from({ length: 10 }, () => ({ planned: 1, found: slow })));
    const here = paceElsewhere(known);
    expect(here.mean).toBe(known.mean);
    expect(here.sd).toBeGreaterThan(known.sd);
    expect(paceOf([], here).factor).toBeCloseTo(known.factor, 12);
  });

  it('counts exact readings for what they are', () => {
    expect(shrink([{ value: 1, sd: 1e-6 }], { mean: 0, sd: 1 }).mean).toBeCloseTo(1, 9);
  });
});

describe('the trim line', () => {
  it('leans on what is usual', () => {
    // Design's case: feed - 6 = -2, -1, 1, 2 with trim -.3, 0, .5, .9; given to three digits.
    const line = trimLine([
      [4, -0.3],
      [5, 0],
      [7, 0.5],
      [8, 0.9],
    ]);
    expect(line.a).toBeCloseTo(0.237, 3);
    expect(line.sdA).toBeCloseTo(0.186, 3);
    expect(line.b).toBeCloseTo(0.1695, 4);
    expect(line.sdB).toBeCloseTo(0.097, 3);
    // The design rounds it to two digits, down.
    expect(Math.abs(trimAt(line, 10) - 0.91)).toBeLessThan(0.01);
  });

  it('is flat at the neutral trim with no point, and lets one wild point pull it little', () => {
    expect(trimLine([])).toMatchObject({ a: 0, b: 0, sdA: 0.5, weight: 0 });
    const calm = Array.from({ length: 8 }, (_, at) => [4 + at * 0.5, 0.5] as const);
    const tame = trimLine(calm);
    const pulled = trimLine([...calm, [6, 6]]);
    // A plain least-squares line would be moved by about 0.55 mm.
    expect(pulled.a - tame.a).toBeLessThan(0.12);
  });
});

describe('wire by joint and position', () => {
  // The same conjugate update as for pace, with tau .12 and sigma .1: w = n tau² / (n tau² + sigma²).
  it('is the rule’s until something passed, and believes five settings by nine tenths', () => {
    expect(feedFactor([]).factor).toBe(1);
    expect(feedToStart(8, { factor: 0.913 })).toBe(7.3);
    const five = feedFactor(Array.from({ length: 5 }, () => ({ rule: 8, passed: 7.2 })));
    expect(five.weight).toBeCloseTo((5 * 0.12 ** 2) / (5 * 0.12 ** 2 + 0.1 ** 2), 9);
    expect(five.mean).toBeCloseTo(five.weight * Math.log(0.9), 9);
    expect(five.factor).toBeGreaterThan(0.9);
  });

  it('borrows from the joint’s other positions, with more doubt', () => {
    const known = feedFactor([{ rule: 8, passed: 7.2 }]);
    const here = feedElsewhere(known);
    expect(here.mean).toBe(known.mean);
    expect(here.sd).toBeGreaterThan(known.sd);
  });
});
