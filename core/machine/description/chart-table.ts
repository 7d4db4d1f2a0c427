/** Chart lines from the cells of a table; units in the heads or in the cells. Every row is read or refused by name before anything is written. */
import { fillerCodes, fillers, parseGas, type FillerCode } from '../../metal/consumables/index.ts';
import { rangeIssue, type RangedField } from '../../base/outcome/index.ts';
import { planModes, type PlanMode } from '../../setting/plan/index.ts';
import { message, type Phrase } from '../../base/messages/index.ts';
import { parseQuantity, type QuantityName, type UnitSystem } from '../../base/units/index.ts';
import type { ChartLine, ChartPoint } from './machine.ts';

/** More than any machine's door holds; keeps a file within what one request carries. */
export const mostChartLines = 1000;
/** Points of one line; more would say the same again. */
export const mostPoints = 40;

export interface TableProblem {
  /** Row of the table, its head being the first; 0 for the whole table. */
  readonly row: number;
  readonly column: string;
  readonly message: Phrase;
}

export interface ChartTable {
  readonly lines: readonly ChartLine[];
  readonly problems: readonly TableProblem[];
  /** Rows that were looked at. */
  readonly rows: number;
}

/** Heads by which a column is known, in any order and case. */
const columns = {
  number: ['number', 'no', 'nr', 'line'],
  words: ['words', 'name', 'text'],
  filler: ['filler', 'wire'],
  diameter: ['diameter', 'size'],
  gas: ['gas'],
  mode: ['mode', 'transfer'],
  feed: ['feed', 'wire feed'],
  thickness: ['thickness'],
  amps: ['current', 'amps', 'a'],
  volts: ['voltage', 'volts', 'v'],
} as const;
type Column = keyof typeof columns;
const needed: readonly Column[] = ['number', 'filler', 'diameter', 'gas', 'mode'];

const measures: Partial<Record<Column, { of: QuantityName; range: RangedField | null; key: keyof ChartPoint | null }>> =
  {
    diameter: { of: 'diameter', range: 'diameterMm', key: null },
    feed: { of: 'wireFeed', range: 'wireFeedMPerMin', key: 'wireFeedMPerMin' },
    thickness: { of: 'thickness', range: 'thicknessMm', key: 'thicknessMm' },
    amps: { of: 'current', range: 'currentA', key: 'currentA' },
    volts: { of: 'voltage', range: null, key: 'voltageV' },
  };

/** `cells` row by row, the head first; `taken` are the numbers of lines that are there already. */
export function chartLinesOf(
  cells: readonly (readonly string[])[],
  taken: readonly number[],
  system: UnitSystem,
): ChartTable {
  const [head, ...rows] = cells;
  const whole = (message: Phrase): ChartTable => ({ lines: [], problems: [{ row: 0, column: '', message }], rows: 0 });
  if (!head) return whole(message('machine.chart-table.empty'));
  const places = new Map<Column, { at: number; unit: string }>();
  for (const [at, cell] of head.entries()) {
    const { name, unit } = headOf(cell);
    const column = (Object.keys(columns) as Column[]).find((one) => (columns[one] as readonly string[]).includes(name));
    if (column && !places.has(column)) places.set(column, { at, unit });
  }
  const missing = needed.filter((column) => !places.has(column));
  if (missing.length > 0) return whole(message('machine.chart-table.columns-missing', { missing }));

  const problems: TableProblem[] = [];
  const lines = new Map<number, Omit<ChartLine, 'points'> & { points?: ChartPoint[] }>();
  const known = new Set(taken);
  let looked = 0;
  for (const [index, cells] of rows.entries()) {
    const row = index + 2;
    if (cells.every((cell) => cell.trim() === '')) continue;
    looked += 1;
    const found = readRow(cells, places, system, (column, message) => problems.push({ row, column, message }));
    if (!found) continue;
    const { line, point } = found;
    const before = lines.get(line.number);
    if (known.has(line.number)) {
      problems.push({
        row,
        column: 'number',
        message: message('machine.chart-table.line-exists', { number: line.number }),
      });
    } else if (!before) {
      lines.set(line.number, point ? { ...line, points: [point] } : line);
    } else if (!sameLine(before, line)) {
      problems.push({
        row,
        column: 'number',
        message: message('machine.chart-table.line-differs-above', { number: line.number }),
      });
    } else if (!point) {
      problems.push({
        row,
        column: 'number',
        message: message('machine.chart-table.line-above', { number: line.number }),
      });
    } else if ((before.points?.length ?? 0) >= mostPoints) {
      problems.push({
        row,
        column: 'number',
        message: message('machine.chart-table.points-full', { number: line.number, most: mostPoints }),
      });
    } else {
      (before.points ??= []).push(point);
    }
  }
  if (lines.size + known.size > mostChartLines) {
    problems.unshift({
      row: 0,
      column: '',
      message: message('machine.chart-table.lines-full', { most: mostChartLines, count: lines.size + known.size }),
    });
  }
  return { lines: [...lines.values()], problems, rows: looked };
}

/** Name and unit of a head such as "feed (m/min)"; found by looking for the bracket, once over the text. */
function headOf(cell: string): { readonly name: string; readonly unit: string } {
  const text = cell.toLowerCase().trim();
  const opens = text.search(/[([]/);
  if (opens < 0) return { name: text, unit: '' };
  const inside = text.slice(opens + 1);
  const closes = inside.search(/[)\]]/);
  return { name: text.slice(0, opens).trim(), unit: (closes < 0 ? inside : inside.slice(0, closes)).trim() };
}

function readRow(
  cells: readonly string[],
  places: ReadonlyMap<Column, { at: number; unit: string }>,
  system: UnitSystem,
  complain: (column: string, message: Phrase) => void,
): { line: Omit<ChartLine, 'points'>; point: ChartPoint | null } | null {
  const cell = (column: Column) => (cells[places.get(column)?.at ?? -1] ?? '').trim();
  let sound = true;
  const refuse = (column: Column, message: Phrase) => {
    sound = false;
    complain(column, message);
  };
  const measured = (column: Column): number | undefined => {
    const measure = measures[column];
    const place = places.get(column);
    const text = cell(column);
    if (!measure || !place || text === '') return undefined;
    // A unit in the head counts for every bare figure below it.
    const typed = place.unit !== '' && /^[\d.,\s/+-]+$/.test(text) ? `${text} ${place.unit}` : text;
    const read = parseQuantity(typed, measure.of, { system, name: column, path: column });
    if (!read.ok) {
      refuse(column, read.issues[0]?.message ?? message('machine.chart-table.cannot-be-read', { text }));
      return undefined;
    }
    const outside = measure.range && rangeIssue(measure.range, read.value, column);
    if (outside) refuse(column, outside.message);
    return read.value;
  };

  const number = Number(cell('number'));
  if (cell('number') === '' || !Number.isInteger(number) || number < 0 || number > 9999) {
    refuse('number', message('machine.chart-table.number-range', { cell: cell('number') }));
  }
  const filler = fillerFrom(cell('filler'));
  if (!filler)
    refuse('filler', message('machine.chart-table.unknown-wire', { text: cell('filler'), known: fillerCodes }));
  const diameterMm = measured('diameter');
  if (cell('diameter') === '') refuse('diameter', message('machine.chart-table.no-diameter'));
  const gas = parseGas(cell('gas'));
  if (!gas.ok) refuse('gas', gas.issues[0]?.message ?? message('machine.chart-table.unknown-gas'));
  const mode = planModes.find((one) => one === cell('mode').toLowerCase().replace(/\s+/g, '-'));
  if (!mode) refuse('mode', message('machine.chart-table.unknown-mode', { text: cell('mode'), known: planModes }));
  const point: Record<string, number> = {};
  for (const column of ['feed', 'thickness', 'amps', 'volts'] as const) {
    const value = measured(column);
    const key = measures[column]?.key;
    if (value !== undefined && key) point[key] = value;
  }
  if (!sound || !filler || diameterMm === undefined || !gas.ok || !mode) return null;
  const line = {
    number,
    words: cell('words') || `${filler} ${diameterMm}, ${gas.value.code}`,
    filler,
    diameterMm,
    gas: gas.value.code,
    mode: mode satisfies PlanMode,
  };
  return { line, point: Object.keys(point).length > 0 ? point : null };
}

/** A filler by its code, or by a class as printed on the spool. */
function fillerFrom(text: string): FillerCode | undefined {
  const said = text.toLowerCase();
  if (said === '') return undefined;
  return (
    fillerCodes.find((code) => code === said) ??
    fillers.find(({ classes }) =>
      classes.split(' · ').some((one) => one.toLowerCase() === said || one.toLowerCase().split(' ').at(-1) === said),
    )?.code
  );
}

function sameLine(a: Omit<ChartLine, 'points'>, b: Omit<ChartLine, 'points'>): boolean {
  return a.filler === b.filler && a.diameterMm === b.diameterMm && a.gas === b.gas && a.mode === b.mode;
}
