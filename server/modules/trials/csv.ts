/** A list of test welds as a table for a spreadsheet: one row a weld, figures in the units their heads name. */
import { csvOfRecords, type CsvColumns, type TrialRow } from '@fox-tempo/contract';

const columns = {
  id: ({ id }) => id,
  row: ({ row }) => row,
  at: ({ at }) => at,
  seamId: ({ seamId }) => seamId,
  seamName: ({ seamName }) => seamName,
  partName: ({ partName }) => partName,
  machineId: ({ machineId }) => machineId,
  machineName: ({ machineName }) => machineName,
  revision: ({ revision }) => revision,
  recordedBy: ({ recordedBy }) => recordedBy,
  weldedBy: ({ weldedBy }) => weldedBy,
  weldedById: ({ weldedById }) => weldedById,
  verdict: ({ verdict }) => verdict,
  byEyeOnly: ({ byEyeOnly }) => byEyeOnly,
  materialGroup: ({ materialGroup }) => materialGroup,
  thicknessMm: ({ thicknessMm }) => thicknessMm,
  position: ({ position }) => position,
  mode: ({ mode }) => mode,
  filler: ({ filler }) => filler,
  gas: ({ gas }) => gas,
  diameterMm: ({ diameterMm }) => diameterMm,
  wireFeedMPerMin: ({ wireFeedMPerMin }) => wireFeedMPerMin,
  trimMm: ({ trimMm }) => trimMm,
  plannedTravelMmPerMin: ({ plannedTravelMmPerMin }) => plannedTravelMmPerMin,
  foundTravelMmPerMin: ({ foundTravelMmPerMin }) => foundTravelMmPerMin,
  arcSeconds: ({ arcSeconds }) => arcSeconds,
  photos: ({ photos }) => photos,
  leg1Mm: ({ legsMm }) => legsMm?.[0],
  leg2Mm: ({ legsMm }) => legsMm?.[1],
  symptoms: ({ symptoms }) => symptoms.join(' '),
} satisfies CsvColumns<TrialRow>;

export const trialsCsv = (rows: readonly TrialRow[]) => csvOfRecords<TrialRow>(columns, rows);
