/** PostgreSQL's text form of a time as ISO 8601 in UTC. */
export function isoTime(databaseTime: string): string {
  return new Date(databaseTime).toISOString();
}

/** The day that a moment falls on in a time zone, as 2026-11-26. */
export function dayIn(timeZone: string, moment: Date): string {
  // Swedish dates are written as ISO 8601 writes them.
  return new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short' }).format(moment);
}
