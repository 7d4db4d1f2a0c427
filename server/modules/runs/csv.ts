/** Logged welds as a table for a spreadsheet: which seam got which wire and gas, by whom, from which spool and cylinder. */
import { csvOfRecords, type CsvColumns, type Run } from '@fox-tempo/contract';

const columns = {
  id: ({ id }) => id,
  row: ({ row }) => row,
  at: ({ at }) => at,
  seamId: ({ seamId }) => seamId,
  seamName: ({ seamName }) => seamName,
  partName: ({ partName }) => partName,
  machineId: ({ machineId }) => machineId,
  machineName: ({ machineName }) => machineName,
  orderId: ({ orderId }) => orderId,
  orderNumber: ({ orderNumber }) => orderNumber,
  revision: ({ revision }) => revision,
  recordedBy: ({ recordedBy }) => recordedBy,
  recordedById: ({ recordedById }) => recordedById,
  sentBy: ({ sentBy }) => sentBy,
  deviceAt: ({ deviceAt }) => deviceAt,
  weldedBy: ({ weldedBy }) => weldedBy,
  state: ({ state }) => state,
  filler: ({ loaded }) => loaded?.filler,
  diameterMm: ({ loaded }) => loaded?.diameterMm,
  gas: ({ loaded }) => loaded?.gas,
  spoolId: ({ body }) => body.spoolId,
  cylinderId: ({ body }) => body.cylinderId,
  seconds: ({ body }) => body.seconds,
  cleanedMinutesAgo: ({ body }) => body.cleanedMinutesAgo,
  soot: ({ body }) => body.soot,
  plateC: ({ body }) => body.plateC,
  held: ({ held }) => held.map(({ code }) => code).join(' '),
  decidedBy: ({ decision }) => decision?.by,
  reason: ({ decision }) => decision?.reason,
  wireKg: ({ drawn }) => drawnIn(drawn, 'kg'),
  gasL: ({ drawn }) => drawnIn(drawn, 'L'),
  note: ({ body }) => body.note,
} satisfies CsvColumns<Run>;

export const runsCsv = (rows: readonly Run[]) => csvOfRecords<Run>(columns, rows);

function drawnIn(drawn: Run['drawn'], unit: 'kg' | 'L'): number {
  return Number(drawn.reduce((all, one) => all + (one.unit === unit ? one.amount : 0), 0).toFixed(4));
}
