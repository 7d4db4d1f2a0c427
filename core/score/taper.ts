/**
 * Taper plan: how warm the plate ahead of the arc has become at stations along a seam, and what level that leaves to be asked for.
 * Conduction through a sheet from the arc's own past, edges and ends mirrored (heat does not leave a plate at its edge); after Rosenthal.
 * Main is taken as tuned where it runs steadily on a plate that began at 20 °C; the level follows what is left to melting there and here.
 */
import { fillerOf, type FillerFamily } from '../consumables/index.ts';
import type { Program } from '../machine/index.ts';
import { failure, success, type Issue, type Outcome } from '../outcome/index.ts';
import { electricalOf } from './electrical.ts';

export interface TaperInput {
  readonly program: Program;
  readonly lengthMm: number;
  readonly thicknessMm: number;
  /** Metal to each side of the seam, mm. */
  readonly sideMm: number;
  readonly plateC: number;
}

export interface TaperStation {
  readonly mm: number;
  readonly aheadC: number;
  readonly levelPercent: number;
  /** With every rise a quarter less and more, here and where main was tuned. */
  readonly band: readonly [number, number];
}

export interface Taper {
  readonly stations: readonly TaperStation[];
  /** Where a tap to the second level comes nearest to the taper; null where main fits to the end. */
  readonly tapAtMm: number | null;
  readonly because: string;
}

export const taperRanges = { sideMm: [5, 2000], plateC: [-20, 400] } as const;

/** Heat capacity of a volume, J/(mm³ K), diffusivity, mm²/s, and melting, °C: handbook means over the range. */
const metal: Record<FillerFamily, { readonly heat: number; readonly alpha: number; readonly meltsC: number }> = {
  steel: { heat: 5e-3, alpha: 8, meltsC: 1510 },
  stainless: { heat: 4.8e-3, alpha: 5, meltsC: 1440 },
  aluminium: { heat: 2.8e-3, alpha: 65, meltsC: 640 },
  'copper-silicon': { heat: 5e-3, alpha: 8, meltsC: 1510 },
};
const efficiency = 0.8;
const riseBand = 0.25;
const stations = 9;
const steps = 90;
const mirrors = 6;
/** How far before the arc a plate's warmth is felt, mm. */
const aheadMm = 6;
/** The last station lies so far before the end, where the plate still is something ahead of the arc, mm. */
const endMm = 2 * aheadMm;
const steadyMm = 2000;
/** A level nearer to main than this is main, percent. */
const worthPercent = 4;

/** Issues: side and plate temperature out of their limits. */
export function taperPlan({ program, lengthMm, thicknessMm, sideMm, plateC }: TaperInput): Outcome<Taper> {
  const issues = [
    ...limited('sideMm', 'Metal to each side', sideMm, taperRanges.sideMm, 'mm'),
    ...limited('plateC', 'Plate temperature', plateC, taperRanges.plateC, '°C'),
  ];
  if (issues.length > 0) return failure(...issues);
  const { heat, alpha, meltsC } = metal[fillerOf(program.filler).family];
  const watts = electricalOf(program).at(program.wireFeedMPerMin).powerW * efficiency;
  const pace = program.travelMmPerMin / 60;
  const perKelvin = heat * thicknessMm * 2;
  const riseAt = (mm: number, endsMm: number) => {
    const ranS = mm / pace;
    const place = mm + aheadMm;
    let rise = 0;
    for (let step = 0; step < steps; step++) {
      const from = ranS * (step / steps) ** 3;
      const to = ranS * ((step + 1) / steps) ** 3;
      const age = (from + to) / 2;
      const at = mm - age * pace;
      rise +=
        (spread(place - at, age, alpha) +
          spread(place + at, age, alpha) +
          spread(2 * endsMm - place - at, age, alpha)) *
        sideways(sideMm, age, alpha) *
        (to - from);
    }
    return (watts * rise) / perKelvin;
  };
  // Long after its start and far from its end, as main is tuned.
  const steadyC = 20 + riseAt(steadyMm, 2 * steadyMm);
  const steadyRise = steadyC - 20;
  const levelFor = (rise: number, scale = 1) =>
    Math.min(
      Math.max((100 * (meltsC - plateC - rise * scale)) / Math.max(meltsC - 20 - steadyRise * scale, 50), 0),
      150,
    );
  const found = Array.from({ length: stations }, (_, at): TaperStation => {
    const mm = (Math.max(lengthMm - endMm, 0) * at) / (stations - 1);
    const rise = riseAt(mm, lengthMm);
    return {
      mm,
      aheadC: plateC + rise,
      levelPercent: levelFor(rise),
      band: bandOf(levelFor(rise, 1 - riseBand), levelFor(rise, 1 + riseBand)),
    };
  });
  const second = program.sequence.secondPercent;
  const half = (100 + second) / 2;
  const crossed =
    second < 100 - worthPercent ? found.find(({ levelPercent, mm }) => mm > 0 && levelPercent <= half) : undefined;
  const last = found.at(-1);
  return success({
    stations: found,
    tapAtMm: crossed ? Math.round(crossed.mm) : null,
    because: `${(watts / 1000).toFixed(1)} kW into ${thicknessMm} mm of metal, ${sideMm} mm to each side, at ${program.travelMmPerMin.toFixed(0)} mm/min; heat spreads at ${alpha} mm²/s and turns back at edges. ${last ? `Ahead of the arc it is ${last.aheadC.toFixed(0)} °C near the end, ${steadyC.toFixed(0)} °C where main was tuned.` : ''} A tap to ${second.toFixed(0)} % fits from where the taper falls below ${half.toFixed(0)} %.`,
  });
}

function bandOf(one: number, other: number): readonly [number, number] {
  return [Math.min(one, other), Math.max(one, other)];
}

/** Along the seam: share of a joule at a distance after a time, 1/mm. */
function spread(distance: number, age: number, alpha: number): number {
  const width = 4 * alpha * Math.max(age, 1e-3);
  return Math.exp(-(distance * distance) / width) / Math.sqrt(Math.PI * width);
}

/** Across it, on the seam, with the heat that edges have turned back, 1/mm. */
function sideways(sideMm: number, age: number, alpha: number): number {
  let sum = 0;
  for (let mirror = -mirrors; mirror <= mirrors; mirror++) sum += spread(2 * mirror * sideMm, age, alpha);
  // Beyond the mirrors counted the sheet is warm through.
  return Math.max(sum, 1 / (2 * sideMm) / (1 + sideMm / Math.sqrt(4 * alpha * Math.max(age, 1e-3))));
}

function limited(
  path: string,
  name: string,
  got: number,
  [min, max]: readonly [number, number],
  unit: string,
): Issue[] {
  if (Number.isFinite(got) && got >= min && got <= max) return [];
  return [
    {
      path,
      code: 'out-of-range',
      message: `${name} must lie between ${min} and ${max} ${unit}; got ${String(got)} ${unit}.`,
      limit: [min, max],
      got,
    },
  ];
}
