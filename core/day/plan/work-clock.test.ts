import { describe, expect, it } from '@jest/globals';
import { workMoment } from './index.ts';

// A Thursday.
const at = (day: number, hour: number, minute = 0) => new Date(2026, 10, day, hour, minute);

describe('work on the clock', () => {
  it('runs on within the shift, over night, and over a weekend', () => {
    expect(workMoment(60, at(26, 9))).toEqual(at(26, 10));
    expect(workMoment(360, at(26, 9))).toEqual(at(26, 15));
    expect(workMoment(420, at(26, 9))).toEqual(at(27, 8));
    expect(workMoment(6 * 60 + 480 + 30, at(26, 9))).toEqual(at(30, 7, 30));
  });

  it('waits for the shift before it and after it', () => {
    expect(workMoment(10, at(26, 5))).toEqual(at(26, 7, 10));
    expect(workMoment(10, at(26, 20))).toEqual(at(27, 7, 10));
    expect(workMoment(10, at(28, 12))).toEqual(at(30, 7, 10));
  });

  it('never goes back, whatever the minutes', () => {
    let before = at(26, 9).getTime();
    for (let minute = 0; minute < 5000; minute += 37) {
      const now = workMoment(minute, at(26, 9)).getTime();
      expect(now).toBeGreaterThanOrEqual(before);
      before = now;
    }
  });
});
