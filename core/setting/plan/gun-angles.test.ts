import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { gunWords, usualGun } from './gun-angles.ts';

describe('where the gun points', () => {
  it('looks into a fillet, a little more at the thicker plate, and straight down on a butt', () => {
    expect(usualGun('tee', [4, 4], 'steel-solid').workDeg).toBe(45);
    expect(usualGun('tee', [2.5, 5], 'steel-solid').workDeg).toBeLessThan(45);
    expect(usualGun('butt', [3, 3], 'steel-solid').workDeg).toBe(90);
  });

  it('pushes solid wire and aluminium, drags flux-cored wire', () => {
    expect(inEnglish(gunWords(usualGun('tee', [4, 4], 'aluminium-5356')))).toBe('45°, push 12°');
    expect(inEnglish(gunWords(usualGun('tee', [4, 4], 'steel-flux-cored')))).toBe('45°, drag 10°');
    expect(inEnglish(gunWords({ workDeg: 90, travelDeg: 0 }))).toBe('90°, upright');
  });
});
