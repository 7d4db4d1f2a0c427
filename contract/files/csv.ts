/**
 * Every CSV file that the product reads or writes: RFC 4180. Written, text that a spreadsheet would run as a formula gets a quote in front, so that it stays text;
 * figures pass as they are, also those that the caller formatted. An absent cell is empty.
 */
import Papa from 'papaparse';

export type CsvCell = string | number | boolean | null | undefined;

/** What a column is called, and what it takes from a row; columns stand in the order of their names here. */
export type CsvColumns<Row> = Readonly<Record<string, (row: Row) => CsvCell>>;

/** A figure may begin with a sign; anything else that does could be run. */
const couldRun = /^(?![-+]?\d+(\.\d+)?(e[-+]?\d+)?$)[=+\-@\t\r]/i;
const newline = '\r\n';

export function csvOf(heads: readonly string[], rows: Iterable<readonly CsvCell[]>): string {
  return `${Papa.unparse({ fields: [...heads], data: Array.from(rows, (row) => [...row]) }, { escapeFormulae: couldRun, newline })}${newline}`;
}

/** The same from records; a table without a row still has its heads. */
export function csvOfRecords<Row>(columns: CsvColumns<Row>, records: readonly Row[]): string {
  const cells = Object.values(columns);
  return csvOf(
    Object.keys(columns),
    records.map((record) => cells.map((cell) => cell(record))),
  );
}

/** The cells of a CSV text, row by row: separated by `;`, tab, comma or `|`, with or without a byte order mark. */
export function cellsOf(text: string): string[][] {
  return Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimitersToGuess: [';', '\t', ',', '|'] }).data;
}
