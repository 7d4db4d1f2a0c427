/** Moments and days in the shop's own time zone, wherever the screen stands. */
import { dayIn, daysBetween } from '@fox-tempo/core/base/calendar';
import { spoken } from './words.ts';
import { shopTimeZone } from '../session/session.ts';

/** Months and weekdays in the language of the page; in English as the device writes them. */
function tongue(): string | undefined {
  const { language } = spoken();
  return language === 'en' ? undefined : language;
}

/** A moment, as short as it can be said. */
export function shopTime(iso: string): string {
  return new Date(iso).toLocaleString(tongue(), {
    timeZone: shopTimeZone(),
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
}

/** A date without a time. */
export function shopDate(isoDate: string): string {
  return new Date(`${isoDate}T12:00:00Z`).toLocaleDateString(tongue(), {
    timeZone: 'UTC',
    weekday: 'short',
    day: 'numeric',
    month: 'short',
  });
}

/** The shop's day of a moment, as 2026-11-26. */
export function shopDay(moment = new Date()): string {
  return dayIn(shopTimeZone(), moment);
}

/** Today in words. */
export function todayInWords(): string {
  return new Date().toLocaleDateString(tongue(), {
    timeZone: shopTimeZone(),
    weekday: 'long',
    day: 'numeric',
    month: 'long',
  });
}

/** Whole days from today to a date; negative when it has passed. */
export function daysUntil(isoDate: string, now = new Date()): number {
  return daysBetween(shopDay(now), isoDate);
}
