/** What a row of observations amounts to: corrections put in the place of what they correct, withdrawn ones left out. */
import type { Observation } from './observations.ts';

/** Rows in any order; the answer in the order of arrival. A correction of a correction counts from its first row's place. */
export function effective(rows: readonly Observation[]): Observation[] {
  const inOrder = [...rows].sort((a, b) => a.row - b.row);
  const firstOf = new Map<string, string>();
  const standing = new Map<string, Observation>();
  for (const row of inOrder) {
    const first = row.corrects === null ? row.id : (firstOf.get(row.corrects) ?? row.corrects);
    firstOf.set(row.id, first);
    if (row.kind === 'withdrawal') standing.delete(first);
    else if (row.corrects === null || standing.has(first)) standing.set(first, row);
  }
  return [...standing.values()];
}
