import { describe, expect, it } from '@jest/globals';
import { foldAt, foldRoom, foldsOf, timeMap } from './time-map.ts';

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
});
