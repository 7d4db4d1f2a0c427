/**
 * Taper plan: how warm the plate ahead of the arc has become at stations along a seam, and what level that leaves to be asked for.
 * Conduction through a sheet from the arc's own past, edges and ends mirrored (heat does not leave a plate at its edge); after Rosenthal.
 * Main is taken as tuned in a trial on a plate at 20 °C. The level answers to the warmth that is there without this arc's own field, which the
 * trial had too. Travel stays, so the leg falls with it.
 */
import { message, amount, type Phrase, sum } from '../../base/messages/index.ts';
import {
  aheadMm,
  levelFor,
  spreadPerMm as spread,
  usualBaseMetal,
  worthPercent,
} from '../../metal/conduction/index.ts';
import { fillerOf } from '../../metal/consumables/index.ts';
import { migEfficiency } from '../../setting/heat-input/index.ts';
import type { Program } from '../../setting/program/index.ts';
import { failure, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { electricalOf } from './electrical.ts';
import { travelMmPerS, thousandth } from '../../base/units/convert.ts';

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
  /** Without this arc's own field, °C: what the level answers to. */
  readonly baseC: number;
  readonly levelPercent: number;
  /** Leg over the leg at main: the metal falls with the level, travel stays. */
  readonly legShare: number;
  /** With every rise a quarter less and more, here and where main was tuned. */
  readonly band: readonly [number, number];
}

export interface Taper {
  readonly stations: readonly TaperStation[];
  /** Where a tap to the second level comes nearest to the taper; null where main fits to the end. */
  readonly tapAtMm: number | null;
  readonly because: Phrase;
}

export const taperRanges = { sideMm: [5, 2000], plateC: [-20, 400] } as const;

const riseBand = 0.25;
const stations = 9;
const steps = 90;
const mirrors = 6;
/** The last station lies so far before the end, where the plate still is something ahead of the arc, mm. */
const endMm = 2 * aheadMm;
/** Plate of the trial that main was tuned in, °C; assumed. */
const trialC = 20;

/** Issues: side and plate temperature out of their limits. */
export function taperPlan({ program, lengthMm, thicknessMm, sideMm, plateC }: TaperInput): Outcome<Taper> {
  const issues = [
    ...limited('sideMm', message('trigger.taper.sides'), sideMm, taperRanges.sideMm, 'mm'),
    ...limited('plateC', message('trigger.plate-temperature'), plateC, taperRanges.plateC, '°C'),
  ];
  if (issues.length > 0) return failure(...issues);
  const metal = usualBaseMetal(fillerOf(program.filler).family);
  const { diffusivityMm2PerS: alpha, meltsAtC } = metal;
  const watts = electricalOf(program).at(program.wireFeedMPerMin).powerW * migEfficiency;
  const pace = travelMmPerS(program.travelMmPerMin);
  const perKelvin = metal.volumetricHeatJPerMm3K * thicknessMm;
  /** Rise ahead of the arc, K: in all, and by its own field alone, as in a plate without ends. */
  const riseAt = (mm: number, endsMm: number): { all: number; own: number } => {
    const ranS = mm / pace;
    const place = mm + aheadMm;
    let all = 0;
    let own = 0;
    for (let step = 0; step < steps; step++) {
      const from = ranS * (step / steps) ** 3;
      const to = ranS * ((step + 1) / steps) ** 3;
      const age = (from + to) / 2;
      const at = mm - age * pace;
      const direct = spread(place - at, age, alpha);
      const turnedBack = spread(place + at, age, alpha) + spread(2 * endsMm - place - at, age, alpha);
      all += (direct + turnedBack) * sideways(sideMm, age, alpha) * (to - from);
      own += direct * spread(0, age, alpha) * (to - from);
    }
    return { all: (watts * all) / perKelvin, own: (watts * own) / perKelvin };
  };
  const levelAt = (rise: number) => levelFor(plateC + rise, meltsAtC, trialC);
  const found = Array.from({ length: stations }, (_, at): TaperStation => {
    const mm = (Math.max(lengthMm - endMm, 0) * at) / (stations - 1);
    const { all, own } = riseAt(mm, lengthMm);
    const back = all - own;
    const levelPercent = levelAt(back);
    return {
      mm,
      aheadC: plateC + all,
      baseC: plateC + back,
      levelPercent,
      legShare: Math.sqrt(levelPercent / 100),
      band: bandOf(levelAt(back * (1 - riseBand)), levelAt(back * (1 + riseBand))),
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
    because: sum(
      message('trigger.because.taper', {
        watts: amount('kilowatts', thousandth(watts), 1),
        thickness: amount('shortLength', thicknessMm),
        side: amount('length', sideMm),
        travel: amount('travel', program.travelMmPerMin, 0),
        alpha: amount('diffusivity', alpha),
        trial: last
          ? message('trigger.because.taper-end', {
              ahead: amount('temperature', last.aheadC, 0),
              base: amount('temperature', last.baseC, 0),
              trial: amount('temperature', trialC),
            })
          : '',
        second: amount('percent', second, 0),
        half: amount('percent', half, 0),
      }),
    ),
  });
}

function bandOf(one: number, other: number): readonly [number, number] {
  return [Math.min(one, other), Math.max(one, other)];
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
  name: Phrase,
  got: number,
  [min, max]: readonly [number, number],
  unit: string,
): Issue[] {
  if (Number.isFinite(got) && got >= min && got <= max) return [];
  return [
    {
      path,
      code: 'out-of-range',
      message: message('trigger.error.out-of-range-with-unit', { name, min, max, unit, got: String(got) }),
      limit: [min, max],
      got,
    },
  ];
}
