/** Minutes of work put on the clock of the shop's own time zone: shifts of one length from one hour, Monday to Friday. */
import { isoDay } from '../../base/calendar/index.ts';
import { TZDate } from '@date-fns/tz';
import { addDays, addMinutes, differenceInMilliseconds, isWeekend, set, startOfDay } from 'date-fns';

export interface Shifts {
  /** Hour the shift begins, 0 to 23, by the shop's clock. */
  readonly fromHour: number;
  /** Length, min of elapsed time; at most a day. */
  readonly minutes: number;
  /** Days without a shift, as 2026-12-25. */
  readonly holidays: readonly string[];
}

/** Assumed until the shop says otherwise. */
export const usualShifts: Shifts = { fromHour: 7, minutes: 480, holidays: [] };

/** Longest way to the next shift that is looked for: shifts that never come are an error, not an endless loop. */
const daysLookedAt = 4000;

/**
 * The moment after `minute` minutes of work from `now`, by the clock of `timeZone`. A shift belongs to the day on which it begins, so one
 * begun yesterday evening still runs after midnight; its length is elapsed time, also over a change of the clock.
 * @throws RangeError where the shifts leave no time to work in.
 */
export function workMoment(minute: number, now: Date, timeZone: string, shifts: Shifts): Date {
  let left = minute;
  // Yesterday's shift may still run.
  let day = addDays(startOfDay(new TZDate(now, timeZone)), -1);
  for (let looked = 0; looked < daysLookedAt; looked++, day = addDays(day, 1)) {
    if (!isWorkday(day, shifts)) continue;
    const begin = set(day, { hours: shifts.fromHour });
    const end = addMinutes(begin, shifts.minutes);
    const from = begin > now ? begin : now;
    const here = Math.max(differenceInMilliseconds(end, from), 0) / 60_000;
    if (here > 0 && left <= here) return new Date(from.getTime() + left * 60_000);
    left -= here;
  }
  throw new RangeError(`no moment of work after ${minute} min: shifts of ${shifts.minutes} min`);
}

function isWorkday(day: Date, { holidays }: Shifts): boolean {
  return !isWeekend(day) && !holidays.includes(isoDay(day));
}

/** Hours and minutes of work from now, as 3:05; shifts are counted on. */
export function hoursMinutes(minute: number): string {
  const whole = Math.round(minute);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
