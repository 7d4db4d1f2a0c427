/** Days as ISO 8601 writes them (2026-11-26), and the day on which a moment falls in a time zone. */
import { TZDate } from '@date-fns/tz';
import { differenceInCalendarDays, lightFormat, parseISO } from 'date-fns';

/** The day that a moment falls on in a time zone. */
export function dayIn(timeZone: string, moment: Date): string {
  return isoDay(new TZDate(moment, timeZone));
}

/** Hour and minute of a moment in a time zone, as 09:05. */
export function clockIn(timeZone: string, moment: Date): string {
  return lightFormat(new TZDate(moment, timeZone), 'HH:mm');
}

/** The day of a date by its own clock. */
export function isoDay(date: Date): string {
  return lightFormat(date, 'yyyy-MM-dd');
}

/** Whole days from one ISO day to another; negative when it lies before. */
export function daysBetween(from: string, to: string): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from));
}
