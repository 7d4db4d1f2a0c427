/** Minutes of work put on the clock: shifts of one length from one hour, Monday to Friday; what of today's is over is over. */

export interface Shifts {
  /** Hour the shift begins, 0 to 23. */
  readonly fromHour: number;
  readonly minutes: number;
}

/** Assumed until the shop says otherwise. */
export const usualShifts: Shifts = { fromHour: 7, minutes: 480 };

const dayMs = 86_400_000;

/** The moment after so many minutes of work from `now`, in local time. */
export function workMoment(minute: number, now: Date, { fromHour, minutes }: Shifts = usualShifts): Date {
  let left = minute;
  let day = new Date(now);
  for (;;) {
    const begin = new Date(day);
    begin.setHours(fromHour, 0, 0, 0);
    const isWorkday = begin.getDay() !== 0 && begin.getDay() !== 6;
    const end = begin.getTime() + minutes * 60_000;
    const from = Math.max(begin.getTime(), now.getTime());
    const here = isWorkday ? Math.max(end - from, 0) / 60_000 : 0;
    if (left < here || (left === here && here > 0)) return new Date(from + left * 60_000);
    left -= here;
    day = new Date(begin.getTime() + dayMs + dayMs / 4);
    day.setHours(0, 0, 0, 0);
  }
}

/** Hours and minutes of work from now, as 3:05; shifts are counted on. */
export function hoursMinutes(minute: number): string {
  const whole = Math.round(minute);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
