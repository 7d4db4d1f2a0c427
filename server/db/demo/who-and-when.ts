/** Who is on the demo shop’s floor, and moments of the last weeks. */
import { people as demoPeople } from './shop.ts';

export const [lead, firstWelder, secondWelder] = demoPeople.map((person) => person.id) as [string, string, string];

/** In the morning's hours of that day, some twenty minutes after the one before it; never ahead of now. */
export function momentOf(daysAgo: number, ofTheDay: number): string {
  const midnight = Math.floor((Date.now() - daysAgo * 86_400_000) / 86_400_000) * 86_400_000;
  const moment = midnight + (7 * 60 + 25 + 21 * ofTheDay + ((daysAgo * 37) % 150)) * 60_000;
  return new Date(Math.min(moment, Date.now() - 20 * 60_000)).toISOString();
}

/** Settings are older than the trials that were made of them. */
export function longAgo(days: number): string {
  return new Date(Date.now() - days * 86_400_000).toISOString();
}

export function inDays(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}
