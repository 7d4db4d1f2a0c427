/** A list of trials as a table for a spreadsheet: RFC 4180, one row a trial, figures in the units their heads name. */
import Papa from 'papaparse';
import type { TrialRow } from './trial.ts';

export function trialsCsv(rows: readonly TrialRow[]): string {
  return Papa.unparse(
    rows.map(({ legsMm, symptoms, ...row }) => ({
      ...row,
      leg1Mm: legsMm?.[0] ?? '',
      leg2Mm: legsMm?.[1] ?? '',
      symptoms: symptoms.join(' '),
    })),
    // A cell that a spreadsheet would run is told to it as text.
    { escapeFormulae: true, newline: '\r\n' },
  );
}
