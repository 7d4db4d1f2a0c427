/**
 * What a quality class lets a seam be welded with, and what the cheapest of that saves against how it is welded now. The table is a rule of
 * practice, assumed: stricter classes keep to pulse and to gases rich in argon, because dip hides a root that has not fused and CO2 leaves
 * spatter; each class may use what a stricter one uses. The drawing and the shop's qualified procedure come first.
 */
import { gasName, type FillerCode, type MaterialGroup } from '../../metal/consumables/index.ts';
import { modeName, planSeam, type PlanInput, type PlanMode } from '../../setting/plan/index.ts';
import { joined, type Phrase } from '../../base/messages/index.ts';
import { qualityLevels, type QualityLevel } from '../../evidence/trial/index.ts';
import type { CostSite } from './candidates.ts';
import { moneyOf, moneyParts, plus, takesOf, times, type Rates, type Takes } from './costs.ts';
import { thousandth } from '../../base/units/convert.ts';

export interface ClassWay {
  readonly mode: PlanMode;
  readonly gas: string;
}

/** What each class adds to those above it. */
const added: Record<MaterialGroup, Record<QualityLevel, readonly ClassWay[]>> = {
  steel: {
    B: [
      { mode: 'pulse', gas: 'M21-ArC-18' },
      { mode: 'pulse', gas: 'M20-ArC-8' },
      { mode: 'spray', gas: 'M20-ArC-8' },
      { mode: 'cored', gas: 'M21-ArC-18' },
    ],
    C: [
      { mode: 'dip', gas: 'M21-ArC-18' },
      { mode: 'spray', gas: 'M21-ArC-18' },
      { mode: 'cored', gas: 'C1' },
    ],
    D: [{ mode: 'dip', gas: 'C1' }],
  },
  stainless: {
    B: [{ mode: 'pulse', gas: 'M12-ArC-2' }],
    C: [
      { mode: 'dip', gas: 'M12-ArC-2' },
      { mode: 'spray', gas: 'M12-ArC-2' },
    ],
    D: [],
  },
  aluminium: { B: [{ mode: 'pulse', gas: 'I1' }], C: [{ mode: 'spray', gas: 'I1' }], D: [] },
  galvanised: { B: [{ mode: 'pulse', gas: 'I1' }], C: [{ mode: 'dip', gas: 'I1' }], D: [] },
};

/** Every process and gas that a class may use. */
export function waysOfClass(group: MaterialGroup, level: QualityLevel): ClassWay[] {
  return qualityLevels.slice(0, qualityLevels.indexOf(level) + 1).flatMap((one) => added[group][one]);
}

export interface ClassSaving {
  readonly way: ClassWay;
  readonly name: Phrase;
  /** The seam is welded so already. */
  readonly isNow: boolean;
  readonly takes: Takes;
  /** What it takes now less what it would take; negative where nothing cheaper is allowed. */
  readonly saves: Takes;
}

/**
 * The cheapest way that the class allows: by money where the shop has a rate for everything it takes, now and then, else by minutes of work.
 * A way whose wire or gas has no rate is not held to be cheap for it. Null where none can be planned, or the seam itself cannot.
 */
export function savingOfClass(
  input: PlanInput,
  level: QualityLevel,
  site: CostSite,
  rates: Rates | null,
): ClassSaving | null {
  const now = takesAt(input, site);
  if (!now) return null;
  const { wireFeedMPerMin: _feed, ...rest } = input;
  const priced = fullPrice(now, input, rates) !== null;
  const found = waysOfClass(input.seam.materialGroup, level).flatMap((way) => {
    const isNow = way.mode === input.mode && way.gas === input.gas;
    const takes = isNow ? now : takesAt({ ...rest, ...way }, site);
    if (!takes) return [];
    const price = priced ? fullPrice(takes, { filler: input.filler, gas: way.gas }, rates) : takes.workMinutes;
    return price === null ? [] : [{ way, isNow, takes, price }];
  });
  const [first, ...others] = found;
  if (!first) return null;
  const { way, isNow, takes } = others.reduce((best, one) => (one.price < best.price ? one : best), first);
  return {
    way,
    name: joined([modeName(way.mode), gasName(way.gas)], ', '),
    isNow,
    takes,
    saves: plus(now, times(takes, -1)),
  };
}

/** Null where the shop has no rate for something of it: a sum that leaves something out would pass for less. */
export function fullPrice(
  takes: Takes,
  of: { readonly filler: FillerCode; readonly gas: string },
  rates: Rates | null,
): number | null {
  if (!rates) return null;
  const { parts, total } = moneyOf(takes, of, rates);
  return moneyParts.some((part) => parts[part] === undefined) ? null : total;
}

function takesAt(input: PlanInput, site: CostSite): Takes | null {
  const plan = planSeam(input);
  if (!plan.ok) return null;
  const { arcSeconds, slagSeconds, wireGrams, gasLitres, meanCurrentA, voltageV } = plan.value;
  return takesOf(
    { arcSeconds, slagSeconds, wireKg: thousandth(wireGrams), gasL: gasLitres, meanCurrentA, voltageV },
    site,
  );
}
