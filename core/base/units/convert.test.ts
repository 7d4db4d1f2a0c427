/** Each conversion against a figure that anybody can check, and against its way back. */
import { describe, expect, it } from '@jest/globals';
import {
  feedMmPerS,
  hoursOf,
  litresIn,
  lostVolts,
  minutesOf,
  perMm2,
  secondsOfMs,
  thousandth,
  travelMmPerS,
  travelSeconds,
  wireGPerMm,
  wireKgPerM,
  wireMetresIn,
} from './convert.ts';

describe('conversions', () => {
  it('of speeds: 6 m/min of wire are 100 mm/s, 300 mm/min of travel 5 mm/s', () => {
    expect(feedMmPerS(6)).toBe(100);
    expect(travelMmPerS(300)).toBe(5);
    expect(travelSeconds(100, 300)).toBe(100 / travelMmPerS(300));
  });

  it('of a circuit: 200 A lose 3 V over 15 mΩ', () => {
    expect(lostVolts(200, 15)).toBe(3);
  });

  it('of times and what flows in them: 15 L/min and 6 m/min for half a minute', () => {
    expect([minutesOf(90), hoursOf(90), secondsOfMs(250), thousandth(1500)]).toEqual([1.5, 1.5, 0.25, 1.5]);
    expect([litresIn(15, 30), wireMetresIn(6, 30)]).toEqual([7.5, 3]);
  });

  it('of wire: a metre of 1.2 mm steel is 8.9 g, a millimetre a thousandth of it', () => {
    const areaMm2 = (Math.PI * 1.2 ** 2) / 4;
    // 1.131 mm² times 7850 kg/m³, rounded to the tenth of a gram.
    expect(1000 * wireKgPerM(areaMm2, 7850)).toBeCloseTo(8.9, 1);
    expect(wireGPerMm(areaMm2, 7850)).toBeCloseTo(wireKgPerM(areaMm2, 7850), 12);
  });

  it('of heat lost: 12 W/(m² K) are 12 millionths on a square millimetre', () => {
    expect(perMm2(12)).toBeCloseTo(1.2e-5, 12);
  });
});
