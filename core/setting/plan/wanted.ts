/** The three wishes of a seam, worked out from its data, each with the sum behind it; and the area it asks for. */
import { materialOf } from '../../metal/consumables/index.ts';
import { message, amount, joined, inSentence, type Phrase } from '../../base/messages/index.ts';
import type { WireInGas } from '../../metal/arc/index.ts';
import { filletAreaMm2 } from '../bead/index.ts';
import type { Wish } from './bend.ts';
import type { PlanInput, Seam } from './input.ts';
import { jointArea, jointRule, usualLegMm, thinnerMm } from './joints.ts';
import type { PlanMode } from './mode.ts';
import { isOverhead } from './positions.ts';
import { gapFactor, singlePassLimitMm } from './practice.ts';
import { isGroove, preparedArea } from './preparation.ts';
import {
  currentRule,
  give,
  metalFactor,
  paceOf,
  sizeRule,
  thicknessThatCounts,
  travelRule,
  type CountedThickness,
} from './wishes.ts';

/** Deliberate errors of the wishes, shares. */
export interface WishNudges {
  readonly referenceCurrent: number;
  readonly area: number;
}

export interface Wanted {
  readonly thickness: CountedThickness;
  readonly currentA: number;
  readonly currentBecause: Phrase;
  /** What the thickness alone would wish; less than `currentA` only where spray's transition asks for more. */
  readonly thicknessCurrentA: number;
  readonly travelMmPerMin: number;
  readonly travelBecause: Phrase;
  /** The welder's own pace, not practice's. */
  readonly isOwnPace: boolean;
  /** Of one pass. */
  readonly areaMm2: number;
  readonly totalAreaMm2: number;
  readonly passes: number;
  readonly areaBecause: Phrase;
  /** Leg that makes the area; null where the joint has none. */
  readonly legMm: number | null;
  readonly isSizeAsked: boolean;
  readonly current: Wish;
  readonly travel: Wish;
  readonly area: Wish;
}

export function wantedOf(input: PlanInput, wire: WireInGas, nudges: WishNudges): Wanted {
  const { seam } = input;
  const isUp = seam.position === 'PF';
  const thickness = thicknessThatCounts(seam.thicknessesMm, isUp, input.site.thicknessRule);
  const current = currentWish(input, wire, thickness);
  const currentA = current.value * nudges.referenceCurrent;
  const travel = travelWish(input, wire);
  const size = sizeWish(seam, wire);
  const areaMm2 = (size.totalAreaMm2 / size.passes) * nudges.area;
  const isOwnPace = seam.travelMmPerMin !== undefined;
  return {
    thickness,
    currentA,
    currentBecause: current.because,
    thicknessCurrentA: current.thicknessValue,
    travelMmPerMin: travel.value,
    travelBecause: travel.because,
    isOwnPace,
    areaMm2,
    totalAreaMm2: size.totalAreaMm2,
    passes: size.passes,
    areaBecause: size.because,
    legMm: size.legMm,
    isSizeAsked: size.isExact,
    current: { log: Math.log(currentA), ...give.current },
    travel: {
      log: Math.log(travel.value),
      ...(isOwnPace
        ? { free: give.ownPace.free, spread: Math.max(input.site.paceSpread, give.ownPace.spread) }
        : give.travel),
    },
    area: { log: Math.log(areaMm2), ...(size.isExact ? { free: 0, spread: 0 } : size.give) },
  };
}

interface Worked {
  readonly value: number;
  readonly because: Phrase;
}

function product(first: Worked, factors: readonly (readonly [words: Phrase, factor: number])[], unit: string): Worked {
  const used = factors.filter(([, factor]) => factor !== 1);
  const value = used.reduce((sum, [, factor]) => sum * factor, first.value);
  return {
    value,
    because:
      used.length === 0
        ? first.because
        : message('plan.because.times-factor', {
            because: first.because,
            factor: joined(
              used.map(([words, factor]) => joined([words, Number(factor.toFixed(2))], ' ')),
              ' × ',
            ),
            value: amount('plain', value, 0),
            unit,
          }),
  };
}

function currentWish(
  input: PlanInput,
  wire: WireInGas,
  { thicknessMm }: CountedThickness,
): Worked & { readonly thicknessValue: number } {
  const { seam } = input;
  const { baseA, exponent } = currentRule;
  const base = baseA * thicknessMm ** exponent;
  const isPrepared = isGroove(seam.preparation);
  const metal = metalFactor(seam.materialGroup, wire.family);
  const isOut = seam.position === 'PF' || isOverhead(seam.position);
  const wish = product(
    {
      value: base,
      because: message('plan.because.current-from-thickness', {
        factor: baseA,
        thickness: Number(thicknessMm.toFixed(2)),
        exponent,
        current: amount('current', base, 0),
      }),
    },
    [
      [metal.name, metal.factor],
      isPrepared
        ? [message('plan.groove-word'), currentRule.prepared]
        : [inSentence(jointRule(seam.joint).name), jointShare(seam)],
      [message('plan.out-of-position'), isOut ? currentRule.outOfPosition : 1],
      [message('plan.gap-word'), isPrepared ? 1 : gapFactor(seam.gapMm)],
    ],
    'A',
  );
  const least = leastCurrentA(input.mode, wire);
  return wish.value >= least
    ? { ...wish, thicknessValue: wish.value }
    : {
        value: least,
        thicknessValue: wish.value,
        because: message('plan.because.spray-current', {
          because: wish.because,
          sprayAboveTransition: currentRule.sprayAboveTransition,
          transition: amount('current', wire.transitionA, 0),
          least: amount('current', least, 0),
        }),
      };
}

/** Spray that falls under its transition is spray no more, A. */
export function leastCurrentA(mode: PlanMode, wire: WireInGas): number {
  return mode === 'spray' ? currentRule.sprayAboveTransition * wire.transitionA : 0;
}

function jointShare({ joint }: Seam): number {
  if (joint === 'edge') return currentRule.edge;
  return joint === 'butt' || joint === 'corner-outside' ? currentRule.cornerOrButt : 1;
}

function travelWish({ seam }: PlanInput, wire: WireInGas): Worked {
  if (seam.travelMmPerMin !== undefined) {
    return {
      value: seam.travelMmPerMin,
      because: message('plan.because.own-travel', { travel: amount('travel', seam.travelMmPerMin, 0) }),
    };
  }
  const isPrepared = isGroove(seam.preparation);
  const base = isPrepared ? travelRule.prepared : paceOf(wire.family);
  const up = seam.materialGroup === 'aluminium' ? travelRule.verticalUpAluminium : travelRule.verticalUp;
  const wideMm = Math.max(seam.gapMm - travelRule.gapFromMm, 0);
  return product(
    {
      value: base,
      because: message('plan.because.travel-base', {
        materialGroup: isPrepared
          ? message('plan.in-a-groove')
          : message('plan.because.manual-travel', {
              materialGroup:
                seam.materialGroup === 'aluminium'
                  ? message('plan.aluminium')
                  : wire.family === 'copper-silicon'
                    ? message('plan.a-brazed-seam')
                    : inSentence(materialOf(seam.materialGroup).name),
            }),
        base: amount('travel', base),
      }),
    },
    [
      [message('plan.joint.outside-corner'), seam.joint === 'corner-outside' ? travelRule.cornerOrDown : 1],
      [message('plan.going-down'), seam.position === 'PG' ? travelRule.cornerOrDown : 1],
      [message('plan.overhead-word'), isOverhead(seam.position) ? travelRule.overhead : 1],
      [message('plan.factor.vertical-up'), seam.position === 'PF' ? up : 1],
      [message('plan.gap-word'), seam.joint === 'butt' && !isPrepared ? 1 / (1 + travelRule.perGapMm * wideMm) : 1],
    ],
    'mm/min',
  );
}

function sizeWish(
  seam: Seam,
  wire: WireInGas,
): {
  totalAreaMm2: number;
  passes: number;
  because: Phrase;
  legMm: number | null;
  isExact: boolean;
  give: { free: number; spread: number };
} {
  const { joint, thicknessesMm, gapMm, preparation } = seam;
  const thinner = thinnerMm(thicknessesMm);
  if (preparation && isGroove(preparation)) {
    const { areaMm2, because } = preparedArea(preparation, thinner, gapMm);
    const passes = Math.max(2, Math.ceil(areaMm2 / sizeRule.mostPassMm2 - 1e-9));
    return { totalAreaMm2: areaMm2, passes, because, legMm: null, isExact: true, give: give.corner };
  }
  const isFillet = jointRule(joint).isFillet;
  const legMm = isFillet ? (seam.legMm ?? usualLegMm(thicknessesMm, wire.family, seam.position === 'PF')) : null;
  const { areaMm2, because } = jointArea(joint, thicknessesMm, gapMm, legMm ?? 0);
  // A leg of exactly the limit is one pass, whatever rounding says.
  const passes = Math.max(1, Math.ceil(areaMm2 / filletAreaMm2(singlePassLimitMm) - 1e-9));
  return {
    totalAreaMm2: areaMm2,
    passes,
    because,
    legMm,
    isExact: isFillet && seam.legMm !== undefined,
    give: isFillet ? give.fillet : joint === 'butt' ? give.squareButt : give.corner,
  };
}
