import { describe, expect, it } from '@jest/globals';
import { levelFor, levelLimits } from './index.ts';

describe('the level that warmth leaves', () => {
  // The design's law on power: (melting - base) / (melting - trial).
  it('is main where the part is as cold as in the trial, and three quarters of it a quarter of the way to melting', () => {
    expect(levelFor(20, 640, 20)).toBe(100);
    expect(levelFor(20 + 620 / 4, 640, 20)).toBe(75);
  });

  it('stays where it is still the same arc, on a part that is nearly melted or colder than the trial', () => {
    expect(levelFor(600, 640, 20)).toBe(levelLimits[0]);
    expect(levelFor(-40, 640, 200)).toBe(levelLimits[1]);
  });
});
