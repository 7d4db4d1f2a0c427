/**
 * Every CSV that leaves: RFC 4180, and text that a spreadsheet would run as a formula comes with a quote in front, so that it stays text.
 * Figures are written by the caller and pass as they are.
 */
export type CsvCell = string | number;

export function csvOf(heads: readonly string[], rows: Iterable<readonly CsvCell[]>): string {
  const lines = [heads.map(written).join(',')];
  for (const row of rows) lines.push(row.map(written).join(','));
  return `${lines.join('\r\n')}\r\n`;
}

function written(cell: CsvCell): string {
  if (typeof cell === 'number') return String(cell);
  // A figure may begin with a minus sign; anything else that does is not one.
  const isFigure = /^[-+]?\d+(\.\d+)?(e[-+]?\d+)?$/i.test(cell);
  const safe = !isFigure && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}
