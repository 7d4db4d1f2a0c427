import { describe, expect, it } from '@jest/globals';
import { timeMap } from '@fox-tempo/core/weld/score';
import { fitted, held, tickStep, zoomed } from './window.ts';

describe('the window over a score', () => {
  const map = timeMap(70, [{ fromS: 3.6, toS: 20.4 }]);

  it('zooms about a point and never leaves the paper', () => {
    const whole = fitted(map, 800);
    const near = zoomed(whole, 4, 400, map, 800);
    expect(near.pxPerS).toBeCloseTo(4 * whole.pxPerS, 9);
    expect(near.from + 400 / near.pxPerS).toBeCloseTo(400 / whole.pxPerS, 9);
    expect(zoomed(near, 0.01, 0, map, 800)).toEqual(whole);
    expect(held({ ...near, from: -5 }, map, 800).from).toBe(0);
    expect(held({ ...near, from: 1e6 }, map, 800).from).toBeCloseTo(map.room - 800 / near.pxPerS, 9);
    expect(zoomed(whole, 1e9, 0, map, 800).pxPerS).toBe(800 / 0.02);
  });

  it('sets ticks far enough apart for their figures', () => {
    expect(tickStep(80)).toBe(1);
    expect(tickStep(30)).toBe(5);
    expect(tickStep(700)).toBe(0.1);
  });
});
