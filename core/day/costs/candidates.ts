/** The same seam another way: each mode its wire can run, and each size of that wire, planned anew and held side by side. */
import { wireSizeLabel, wireSizes } from '../../metal/consumables/index.ts';
import { modeName, planModes, planSeam, type PlanInput, type PlanMode } from '../../setting/plan/index.ts';
import { joined, type Phrase } from '../../base/messages/index.ts';
import { takesOf, type Takes } from './costs.ts';
import { thousandth } from '../../base/units/convert.ts';

export interface Candidate {
  readonly mode: PlanMode;
  readonly diameterMm: number;
  readonly name: Phrase;
  /** As the seam stands now. */
  readonly isNow: boolean;
  readonly takes: Takes;
}

export interface RuledOut {
  readonly name: Phrase;
  readonly why: Phrase;
}

export interface CostSite {
  readonly circuitMOhm: number;
  readonly handlingMinutes: number;
  readonly tipLife: number;
}

/** Every way, the least work first; what cannot be planned with its first reason. */
export function candidatesFor(
  input: PlanInput,
  site: CostSite,
): { readonly ways: readonly Candidate[]; readonly ruledOut: readonly RuledOut[] } {
  const ways: Candidate[] = [];
  const ruledOut: RuledOut[] = [];
  // Tenths of a millimetre: an inch size beside each would say the same twice.
  const sizes = wireSizes
    .map(({ diameterMm }) => diameterMm)
    .filter((mm) => Math.abs(mm * 10 - Math.round(mm * 10)) < 1e-9);
  const asked = [
    ...planModes.map((mode) => ({ mode, diameterMm: input.diameterMm })),
    ...sizes
      .filter((size) => Math.abs(size - input.diameterMm) > 0.05 && Math.abs(size / input.diameterMm - 1) < 0.45)
      .map((diameterMm) => ({ mode: input.mode, diameterMm })),
  ];
  for (const { mode, diameterMm } of asked) {
    const isNow = mode === input.mode && diameterMm === input.diameterMm;
    const name = joined([modeName(mode), wireSizeLabel(diameterMm)], ', ');
    // A feed chosen for one wire says nothing of another.
    const { wireFeedMPerMin: _feed, ...rest } = input;
    const plan = planSeam(isNow ? input : { ...rest, mode, diameterMm });
    if (!plan.ok) {
      ruledOut.push({ name, why: plan.issues[0]?.message ?? '' });
      continue;
    }
    const { arcSeconds, slagSeconds, wireGrams, gasLitres, meanCurrentA, voltageV } = plan.value;
    ways.push({
      mode,
      diameterMm,
      name,
      isNow,
      takes: takesOf(
        { arcSeconds, slagSeconds, wireKg: thousandth(wireGrams), gasL: gasLitres, meanCurrentA, voltageV },
        site,
      ),
    });
  }
  ways.sort((one, other) => one.takes.workMinutes - other.takes.workMinutes);
  return { ways, ruledOut };
}
