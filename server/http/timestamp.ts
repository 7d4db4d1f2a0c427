/** PostgreSQL's text form of a time as ISO 8601 in UTC. */
export function isoTime(databaseTime: string): string {
  return new Date(databaseTime).toISOString();
}
