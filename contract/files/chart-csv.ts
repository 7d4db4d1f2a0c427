/** Chart lines from a CSV file: RFC 4180, `;` or tab too, decimal comma, byte order mark. */
import { chartLinesOf, type ChartTable } from '@fox-tempo/core/machine/description';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { cellsOf } from './csv.ts';

/** A door chart is a few kilobytes; a larger file is something else and is not read. */
export const largestChartCsvBytes = 4 * 1024 * 1024;

/** The head of a file to start from, and one line as an example. */
export const chartCsvExample = [
  'number;words;filler;diameter (mm);gas;mode;feed (m/min);current (A);voltage (V)',
  '12;Steel 1.0, argon with 18 CO2;steel-solid;1,0;M21-ArC-18;pulse;5,2;112;23,5',
].join('\r\n');

export function readChartCsv(text: string, taken: readonly number[] = [], system: UnitSystem = 'metric'): ChartTable {
  return chartLinesOf(cellsOf(text), taken, system);
}
