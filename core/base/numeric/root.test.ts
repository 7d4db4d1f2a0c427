import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { bracketedRoot } from './root.ts';

describe('a bracketed root', () => {
  it('is found for any rising cubic, against its own inverse', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        (x0, steep) => {
          const root = bracketedRoot((x) => steep * ((x - x0) ** 3 + (x - x0)), -10, 11);
          expect(Math.abs((root ?? Number.NaN) - x0)).toBeLessThan(1e-7);
        },
      ),
    );
  });

  it('takes a few evaluations where halving takes dozens', () => {
    let calls = 0;
    bracketedRoot((x) => (calls++, Math.exp(x) - 3), 0, 5);
    expect(calls).toBeLessThan(25);
  });

  it('says when the ends do not bracket one, or one of them is it', () => {
    expect(bracketedRoot((x) => x * x + 1, -1, 1)).toBeUndefined();
    expect(bracketedRoot(() => Number.NaN, 0, 1)).toBeUndefined();
    expect(bracketedRoot((x) => x, 0, 1)).toBe(0);
    expect(bracketedRoot((x) => x - 1, 0, 1)).toBe(1);
  });

  it('comes to an end on a jump', () => {
    expect(bracketedRoot((x) => (x < 0.3 ? -1 : 5), 0, 1)).toBeCloseTo(0.3, 4);
  });

  it('says that it did not converge rather than give the middle of what is left', () => {
    // Finer than the spacing of numbers about 0.3: the interval never gets that narrow.
    expect(() => bracketedRoot((x) => (x < 0.3 ? -1 : 5), 0, 1, 0)).toThrow(/no root within 0/);
    expect(bracketedRoot((x) => (x === 0 ? -1 : x === 1 ? 1 : Number.NaN), 0, 1)).toBeUndefined();
  });
});
