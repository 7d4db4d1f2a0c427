import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { usualShifts, workMoment, type Shifts } from './index.ts';

const berlin = 'Europe/Berlin';
const night: Shifts = { fromHour: 22, minutes: 480, holidays: [] };

/** A moment by Berlin's winter clock; the 26th of November 2026 is a Thursday. */
const at = (day: number, hour: number, minute = 0) => new Date(Date.UTC(2026, 10, day, hour - 1, minute));
const from = (minute: number, now: Date, shifts = usualShifts) => workMoment(minute, now, berlin, shifts);

describe('work on the clock', () => {
  it('runs on within the shift, over night, and over a weekend', () => {
    expect(from(60, at(26, 9))).toEqual(at(26, 10));
    expect(from(360, at(26, 9))).toEqual(at(26, 15));
    expect(from(420, at(26, 9))).toEqual(at(27, 8));
    expect(from(6 * 60 + 480 + 30, at(26, 9))).toEqual(at(30, 7, 30));
  });

  it('waits for the shift before it and after it', () => {
    expect(from(10, at(26, 5))).toEqual(at(26, 7, 10));
    expect(from(10, at(26, 20))).toEqual(at(27, 7, 10));
    expect(from(10, at(28, 12))).toEqual(at(30, 7, 10));
  });

  it('counts a night shift to the day it begins: Friday’s runs into Saturday, and none is left out', () => {
    expect(from(60, at(26, 2), night)).toEqual(at(26, 3));
    expect(from(300, at(26, 2), night)).toEqual(at(26, 23));
    expect(from(480, at(26, 22), night)).toEqual(at(27, 6));
    expect(from(481, at(26, 22), night)).toEqual(at(27, 22, 1));
    expect(from(961, at(26, 22), night)).toEqual(at(30, 22, 1));
    expect(from(300, at(28, 2), night)).toEqual(at(30, 23));
  });

  it('loses no shift that begins at 18:00 or later', () => {
    for (const fromHour of [18, 20, 23])
      expect(from(481, at(24, fromHour), { ...night, fromHour })).toEqual(at(25, fromHour, 1));
  });

  it('keeps the hour of the shift by the shop’s clock where the clock is put back and forward', () => {
    // Berlin puts its clock back on Sunday the 25th of October and forward on Sunday the 28th of March.
    expect(workMoment(481, new Date('2026-10-23T05:00:00Z'), berlin, usualShifts)).toEqual(
      new Date('2026-10-26T06:01:00Z'),
    );
    expect(workMoment(481, new Date('2027-03-26T06:00:00Z'), berlin, usualShifts)).toEqual(
      new Date('2027-03-29T05:01:00Z'),
    );
    // Auckland's night over the change of a Sunday: eight hours of work are eight hours.
    const friday = new Date('2026-04-02T09:00:00Z');
    expect(workMoment(480, friday, 'Pacific/Auckland', night).getTime() - friday.getTime()).toBe(480 * 60_000);
  });

  it('leaves holidays out', () => {
    expect(from(420, at(26, 9), { ...usualShifts, holidays: ['2026-11-27'] })).toEqual(at(30, 8));
  });

  it('says so where there is never a shift', () => {
    expect(() => from(1, at(26, 9), { ...usualShifts, minutes: 0 })).toThrow(RangeError);
  });

  it('goes forward by exactly the minutes worked, in any zone and from any hour', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 6000 }),
        fc.integer({ min: 1, max: 600 }),
        fc.integer({ min: 0, max: 23 }),
        fc.constantFrom('Europe/Berlin', 'America/St_Johns', 'Asia/Kathmandu', 'Pacific/Auckland'),
        fc.date({ min: new Date('2026-01-01'), max: new Date('2027-12-31'), noInvalidDate: true }),
        (minute, more, fromHour, zone, now) => {
          const shifts = { ...night, fromHour };
          const one = workMoment(minute, now, zone, shifts);
          const other = workMoment(minute + more, now, zone, shifts);
          expect(one >= now).toBe(true);
          // To the end of the work from there is the rest, however the days fall.
          expect(Math.abs(workMoment(more, one, zone, shifts).getTime() - other.getTime())).toBeLessThan(1);
        },
      ),
    );
  });
});
