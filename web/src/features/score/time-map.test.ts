import { describe, expect, it } from '@jest/globals';
import { fitted, foldAt, foldRoom, foldsOf, held, tickStep, timeMap, zoomed } from './time-map.ts';

describe('the time map', () => {
  const folds = foldsOf([
    { fromS: 2, toS: 22 },
    { fromS: 22, toS: 60 },
    { fromS: 61, toS: 64 },
  ]);
  const map = timeMap(70, folds);

  it('folds long steady stretches and leaves their ends and the short ones', () => {
    expect(folds).toEqual([
      { fromS: 3.6, toS: 20.4 },
      { fromS: 23.6, toS: 58.4 },
    ]);
    expect(map.room).toBeCloseTo(70 - 16.8 - 34.8 + 2 * foldRoom, 9);
  });

  it('goes to paper and back everywhere', () => {
    for (let atS = 0; atS <= 70; atS += 0.37) expect(map.moment(map.place(atS))).toBeCloseTo(atS, 6);
    expect(map.place(70)).toBeCloseTo(map.room, 9);
  });

  it('keeps the order of moments', () => {
    let before = -1;
    for (let atS = 0; atS <= 70; atS += 0.1) {
      expect(map.place(atS)).toBeGreaterThan(before);
      before = map.place(atS);
    }
  });

  it('knows what lies in a fold', () => {
    expect(foldAt(map, 10)).toEqual(folds[0]);
    expect(foldAt(map, 22)).toBeUndefined();
  });

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
