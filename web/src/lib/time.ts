/** A moment in the shop's own zone, as short as it can be said. */
export function shopTime(iso: string): string {
  return new Date(iso).toLocaleString(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
}

/** A date without a time. */
export function shopDate(isoDate: string): string {
  return new Date(`${isoDate}T12:00:00`).toLocaleDateString(undefined, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
  });
}

/** Whole days from today to a date; negative when it has passed. */
export function daysUntil(isoDate: string, now = new Date()): number {
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
  const [year = 0, month = 1, day = 1] = isoDate.split('-').map(Number);
  return Math.round((new Date(year, month - 1, day).getTime() - midnight) / 86_400_000);
}
