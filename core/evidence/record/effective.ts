/** What rows of observations amount to: corrections put in the place of what they correct, withdrawn ones left out. */

/** A row as it arrived: never changed; `corrects` names the row that it corrects or takes back. */
export interface ObservedRow {
  readonly id: string;
  /** Order of arrival. */
  readonly row: number;
  readonly kind: string;
  readonly corrects: string | null;
}

/** Rows in any order; the answer in the order of arrival. A correction of a correction counts from its first row's place. */
export function effective<Row extends ObservedRow>(rows: readonly Row[]): Row[] {
  const inOrder = [...rows].sort((a, b) => a.row - b.row);
  const firstOf = new Map<string, string>();
  const standing = new Map<string, Row>();
  for (const row of inOrder) {
    const first = row.corrects === null ? row.id : (firstOf.get(row.corrects) ?? row.corrects);
    firstOf.set(row.id, first);
    if (row.kind === 'withdrawal') standing.delete(first);
    else if (row.corrects === null || standing.has(first)) standing.set(first, row);
  }
  return [...standing.values()];
}
