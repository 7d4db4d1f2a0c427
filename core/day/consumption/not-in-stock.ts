/** Wires and gases that saved settings need and the shop has none of: nothing of them can be said to last. */
import { fillerOf, gasName, sameWire, wireSizeLabel, type FillerCode } from '../../metal/consumables/index.ts';
import { joined, type Phrase } from '../../base/messages/index.ts';

interface NeedsStock {
  readonly revision: {
    readonly program: { readonly filler: FillerCode; readonly diameterMm: number; readonly gas: string };
  } | null;
}

interface InStock {
  readonly cylinders: readonly { readonly gas: string; readonly retired: boolean }[];
  readonly spools: readonly { readonly filler: FillerCode; readonly diameterMm: number; readonly retired: boolean }[];
}

export interface Missing {
  readonly what: Phrase;
  /** How many seams need it. */
  readonly seams: number;
}

/** In the order in which seams name them, wires before gases. */
export function notInStock(seams: readonly NeedsStock[], { cylinders, spools }: InStock): Missing[] {
  const missing = new Map<string, Missing>();
  const count = (key: string, what: Phrase) => missing.set(key, { what, seams: (missing.get(key)?.seams ?? 0) + 1 });
  const programs = seams.flatMap(({ revision }) => (revision ? [revision.program] : []));
  for (const { filler, diameterMm } of programs)
    if (!spools.some((one) => !one.retired && sameWire(one, { filler, diameterMm })))
      count(`${filler} ${diameterMm}`, joined([fillerOf(filler).name, wireSizeLabel(diameterMm)], ', '));
  for (const { gas } of programs)
    if (gas !== 'none' && !cylinders.some((one) => !one.retired && one.gas === gas)) count(gas, gasName(gas));
  return [...missing.values()];
}
