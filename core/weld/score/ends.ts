/**
 * First and last 10 mm judged: warmth of the pool's place from all the power laid before it, against the same seam welded at main for ever.
 * Conduction from a moving source: Gaussian of the pool's size on a thick plate (half space) or through a thin one, after Rosenthal and Eagar.
 */
import { message, amount, type Phrase } from '../../base/messages/index.ts';
import { usualBaseMetal } from '../../metal/conduction/index.ts';
import { fillerOf } from '../../metal/consumables/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import { areaForTravel } from '../../setting/bead/travel.ts';
import type { Program } from '../../setting/program/index.ts';
import { isLit, percentAt, phaseAt } from '../sequence/index.ts';
import { beadWidthMm } from './crater.ts';
import { electricalOf, type ElectricalOf } from './electrical.ts';
import { seamScore, type SeamScore } from './intended.ts';
import { phaseTrimMm } from './totals.ts';
import { travelMmPerS } from '../../base/units/convert.ts';

export interface EndJudged {
  /** Mean warmth over the millimetres, 1 = steady main. */
  readonly warmth: number;
  readonly verdict: 'cold' | 'right' | 'hot';
  readonly because: Phrase;
}

export interface EndsJudged {
  readonly first: EndJudged;
  readonly last: EndJudged;
  /** Warmth along the seam, at places from 0 to its end. */
  readonly along: readonly { readonly mm: number; readonly warmth: number }[];
}

export const coldBelow = 0.75;
export const hotAbove = 1.3;
/** First millimetres this warm need no longer start. */
const warmEnough = 0.85;
/** Places judged at each end, and how much of a seam counts as its end, mm. */
const places = 8;
export const endMm = 10;

export function judgeEnds(
  program: Program,
  thicknessMm: number,
  score: SeamScore,
  electrical: ElectricalOf = electricalOf(program),
): EndsJudged {
  const { family } = fillerOf(program.filler);
  const alpha = usualBaseMetal(family).diffusivityMm2PerS;
  const wire = wireInGas(program.filler, program.gas, program.diameterMm);
  const poolMm = beadWidthMm(areaForTravel(wire, program.wireFeedMPerMin, program.travelMmPerMin)) / 2;
  const paceMmPerS = travelMmPerS(program.travelMmPerMin);
  const kernel = kernelOf(alpha, poolMm, thicknessMm);
  const steady = steadyWarmth(kernel, paceMmPerS, alpha, electrical.at(program.wireFeedMPerMin).powerW);
  const power = powers(program, score, electrical);
  const arcEndS = score.played.findLast((phase) => isLit(phase, phase.toS - 1e-6))?.toS ?? score.litS;
  const warmthAt = (mm: number) => {
    const atS = score.gun.timeAt(mm);
    if (atS === undefined) return undefined;
    // The pool has its say until it has passed; at the end of the seam it stands until the arc goes out.
    const passedS = score.gun.timeAt(Math.min(mm + poolMm, score.gun.endMm)) ?? atS;
    const isLast = mm + poolMm >= score.gun.endMm;
    return Math.max(warmth(kernel, power, mm, passedS), isLast ? warmth(kernel, power, mm, arcEndS) : 0) / steady;
  };
  const end = score.gun.endMm;
  const within = Math.min(endMm, end / 2);
  const first = sample(0, within, warmthAt);
  const last = sample(end - within, end, warmthAt);
  const along = Array.from({ length: 41 }, (_, i) => (i / 40) * end).flatMap((mm) => {
    const value = warmthAt(mm);
    return value === undefined ? [] : [{ mm, warmth: value }];
  });
  const regime = poolMm * 2 > thicknessMm ? message('trigger.through-the-sheet') : message('trigger.into-the-plate');
  return {
    first: judged(first, 'first', within, alpha, regime),
    last: judged(last, 'other', within, alpha, regime),
    along,
  };
}

/** Seconds of start that bring the first millimetres to main's warmth, on a grid of 0.1 s; null where no hold up to 5 s does. */
export function holdForWarmth(program: Program, thicknessMm: number, lengthMm: number): number | null {
  const electrical = electricalOf(program);
  const warmthFor = (startS: number) => {
    const tried = { ...program, sequence: { ...program.sequence, startS } };
    return judgeEnds(tried, thicknessMm, seamScore(tried, lengthMm), electrical).first.warmth;
  };
  // Held longer is warmer until the first millimetres are past; the shortest hold that is enough.
  for (let tenths = 0; tenths <= 50; tenths++) if (warmthFor(tenths / 10) >= warmEnough) return tenths / 10;
  return null;
}

function sample(from: number, to: number, warmthAt: (mm: number) => number | undefined): number {
  const found = Array.from({ length: places }, (_, i) => warmthAt(from + ((i + 0.5) / places) * (to - from))).filter(
    (value) => value !== undefined,
  );
  return found.length === 0 ? 1 : found.reduce((a, b) => a + b, 0) / found.length;
}

function judged(warmth: number, end: 'first' | 'other', withinMm: number, alpha: number, regime: Phrase): EndJudged {
  const verdict = warmth < coldBelow ? 'cold' : warmth > hotAbove ? 'hot' : 'right';
  return {
    warmth,
    verdict,
    because: message('trigger.because.warmth', {
      end,
      within: amount('length', withinMm, 0),
      warmth: amount('percent', warmth * 100, 0),
      verdict: verdict === 'right' ? 'other' : verdict,
      regime,
      alpha: amount('diffusivity', alpha),
      coldBelow: amount('percent', coldBelow * 100),
      hotAbove: amount('percent', hotAbove * 100),
    }),
  };
}

type Kernel = (distanceMm: number, ageS: number) => number;

/** Warmth that a joule leaves at a distance after a time, in any unit: only ratios are used. */
function kernelOf(alpha: number, poolMm: number, thicknessMm: number): Kernel {
  const isThin = poolMm * 2 > thicknessMm;
  return (distance, age) => {
    const spread = 2 * alpha * age + (poolMm * poolMm) / 2;
    const plane = Math.exp(-(distance * distance) / (2 * spread)) / spread;
    // Into the depth as well, until the plate is warm through.
    return isThin ? plane : plane / Math.sqrt(2 * alpha * age + 0.05);
  };
}

/** The same sum for a weld that has run at main for ever. */
function steadyWarmth(kernel: Kernel, paceMmPerS: number, alpha: number, powerW: number): number {
  // Long against the time heat needs to fall behind the source.
  const reachS = Math.max(40 * (alpha / paceMmPerS ** 2), 4);
  return integrate(reachS, (age) => kernel(paceMmPerS * age, age)) * powerW;
}

/** ∫ f(age) d age with steps that grow with age, as the kernel flattens. */
function integrate(toS: number, f: (age: number) => number): number {
  const steps = 160;
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const from = toS * (i / steps) ** 3;
    const to = toS * ((i + 1) / steps) ** 3;
    sum += f((from + to) / 2) * (to - from);
  }
  return sum;
}

interface Powers {
  readonly at: (atS: number) => { readonly watts: number; readonly mm: number };
  readonly fromS: number;
}

function powers(program: Program, { played, gun, litS }: SeamScore, electrical: ElectricalOf): Powers {
  return {
    fromS: litS,
    at(atS) {
      const phase = phaseAt(played, atS);
      if (!phase || !isLit(phase, atS)) return { watts: 0, mm: 0 };
      const percent = phase.name === 'burn-back' ? 100 : percentAt(phase, atS, null);
      const watts = electrical.at((program.wireFeedMPerMin * percent) / 100, phaseTrimMm(program, phase.name)).powerW;
      return { watts, mm: gun.mmAt(atS) };
    },
  };
}

function warmth(kernel: Kernel, power: Powers, mm: number, atS: number): number {
  return integrate(Math.max(atS - power.fromS, 0), (age) => {
    const { watts, mm: from } = power.at(atS - age);
    return watts === 0 ? 0 : watts * kernel(Math.abs(mm - from), age);
  });
}
