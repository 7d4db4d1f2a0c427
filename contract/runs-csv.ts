/** Run records as a table for a spreadsheet: which seam got which wire and gas, by whom, from which spool and cylinder. */
import Papa from 'papaparse';
import type { Run } from './run.ts';

export function runsCsv(rows: readonly Run[]): string {
  return Papa.unparse(
    rows.map(({ body, loaded, held, decision, drawn, ...row }) => ({
      ...row,
      filler: loaded?.filler ?? '',
      diameterMm: loaded?.diameterMm ?? '',
      gas: loaded?.gas ?? '',
      spoolId: body.spoolId ?? '',
      cylinderId: body.cylinderId ?? '',
      seconds: body.seconds ?? '',
      cleanedMinutesAgo: body.cleanedMinutesAgo ?? '',
      soot: body.soot ?? '',
      plateC: body.plateC ?? '',
      held: held.map(({ code }) => code).join(' '),
      decidedBy: decision?.by ?? '',
      reason: decision?.reason ?? '',
      wireKg: sum(drawn, 'kg'),
      gasL: sum(drawn, 'L'),
      note: body.note ?? '',
    })),
    // A cell that a spreadsheet would run is told to it as text.
    { escapeFormulae: true, newline: '\r\n' },
  );
}

function sum(drawn: Run['drawn'], unit: 'kg' | 'L'): number {
  return Number(drawn.reduce((all, one) => all + (one.unit === unit ? one.amount : 0), 0).toFixed(4));
}
