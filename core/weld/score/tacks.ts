/** Tack and stitch schedules: how many, how far apart, how long each, and what they take. Spacing and length rules are practice, assumed. */
import { message, amount, bare, type Phrase, sum } from '../../base/messages/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import { fillerOf } from '../../metal/consumables/index.ts';
import { areaForTravel } from '../../setting/bead/travel.ts';
import type { Program } from '../../setting/program/index.ts';
import { failure, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { electricalOf } from './electrical.ts';
import { ignitionDelayS } from './intended.ts';
import { feedMmPerS, travelMmPerS, secondsOfMs, litresIn, thousandth, wireGPerMm } from '../../base/units/convert.ts';

export interface TackInput {
  readonly program: Program;
  readonly lengthMm: number;
  readonly thicknessMm: number;
  /** Left out: by rule. */
  readonly spacingMm?: number | undefined;
  readonly tackMm?: number | undefined;
}

export interface TackSchedule {
  readonly count: number;
  readonly spacingMm: number;
  readonly tackMm: number;
  /** Places of their middles, mm. */
  readonly atMm: readonly number[];
  /** Order in which to set them so that the sheet does not creep: ends, middle, halves. Places as indices. */
  readonly order: readonly number[];
  /** Arc time of each, s. */
  readonly arcS: number;
  readonly energyKjEach: number;
  readonly wireGEach: number;
  /** All of them. */
  readonly gasL: number;
  /** Of it, gas that flows without an arc. */
  readonly gasLostL: number;
  readonly seconds: number;
  readonly dressBack: boolean;
  readonly because: { readonly spacing: Phrase; readonly time: Phrase; readonly gas: Phrase; readonly dress: Phrase };
}

export const tackRanges = { spacingMm: [5, 1000], tackMm: [2, 100] } as const;

/** Length of seam that one spot of the program's spot time fills at the bead's own section, mm. */
export function tackMmOf(program: Program): number {
  const wire = wireInGas(program.filler, program.gas, program.diameterMm);
  const areaMm2 = areaForTravel(wire, program.wireFeedMPerMin, program.travelMmPerMin);
  return (feedMmPerS(program.wireFeedMPerMin) * wire.areaMm2 * wire.yield * program.sequence.spotS) / areaMm2;
}

/** Between two tacks the hand moves on, s. Assumed. */
const moveS = 2;

/** Issues: spacing and tack length out of range, tacks that touch. */
export function tackSchedule({ program, lengthMm, thicknessMm, spacingMm, tackMm }: TackInput): Outcome<TackSchedule> {
  const isAluminium = fillerOf(program.filler).family === 'aluminium';
  const rule = Math.min(Math.max((isAluminium ? 25 : 20) * thicknessMm, 25), 150);
  const wantedMm = spacingMm ?? rule;
  const tack = tackMm ?? Math.min(Math.max(3 * thicknessMm, 5), 25);
  const issues = [
    ...limited('spacingMm', message('trigger.spacing'), wantedMm, tackRanges.spacingMm),
    ...limited('tackMm', message('trigger.tack.length'), tack, tackRanges.tackMm),
  ];
  if (issues.length === 0 && tack >= wantedMm) {
    issues.push({
      path: 'tackMm',
      code: 'tacks-touch',
      message: message('trigger.error.tacks-without-gap', {
        tack: amount('shortLength', tack),
        wanted: amount('length', wantedMm),
      }),
      limit: wantedMm,
      got: tack,
    });
  }
  if (issues.length > 0) return failure(...issues);

  const gaps = Math.max(Math.round((lengthMm - tack) / wantedMm), 1);
  const spacing = (lengthMm - tack) / gaps;
  const atMm = Array.from({ length: gaps + 1 }, (_, at) => tack / 2 + at * spacing);
  const wire = wireInGas(program.filler, program.gas, program.diameterMm);
  const areaMm2 = areaForTravel(wire, program.wireFeedMPerMin, program.travelMmPerMin);
  const wireMmPerS = feedMmPerS(program.wireFeedMPerMin);
  // A tack is laid standing or in a short pull with the same section as the bead.
  const arcS = (areaMm2 * tack) / (wireMmPerS * wire.areaMm2 * wire.yield);
  const { powerW } = electricalOf(program).at(program.wireFeedMPerMin);
  const { sequence, gasFlowLPerMin } = program;
  const idleS = sequence.preGasS + ignitionDelayS(program) + secondsOfMs(sequence.burnBackMs) + sequence.postGasS;
  const count = gaps + 1;
  const dressBack = tack > 4 * thicknessMm;
  return success({
    count,
    spacingMm: spacing,
    tackMm: tack,
    atMm,
    order: outsideIn(count),
    arcS,
    energyKjEach: thousandth(powerW * arcS),
    wireGEach: wireMmPerS * arcS * wireGPerMm(wire.areaMm2, wire.densityKgPerM3),
    gasL: litresIn(gasFlowLPerMin, count * (arcS + idleS)),
    gasLostL: litresIn(gasFlowLPerMin, count * idleS),
    seconds: count * (arcS + idleS) + (count - 1) * moveS,
    dressBack,
    because: {
      spacing:
        spacingMm === undefined
          ? sum(
              message('trigger.because.tack-spacing', {
                factor: isAluminium ? 25 : 20,
                thickness: amount('shortLength', thicknessMm),
                most: amount('length', 150),
                gaps,
                length: amount('length', lengthMm),
              }),
              amount('length', spacing),
            )
          : message('trigger.because.tack-gaps', {
              wanted: amount('length', wantedMm),
              gaps,
              length: amount('length', lengthMm),
            }),
      time: message('trigger.because.tack-time', {
        area: amount('area', areaMm2, 1),
        tack: amount('length', tack, 0),
        wireFeed: amount('wireFeed', program.wireFeedMPerMin, 1),
        arc: amount('phaseTime', arcS, 2),
      }),
      gas: message('trigger.each-tack-pays', {
        before: amount('phaseTime', sequence.preGasS, 1),
        between: amount('phaseTime', idleS - sequence.preGasS - sequence.postGasS, 1),
        after: amount('phaseTime', sequence.postGasS, 1),
        flow: amount('gasFlow', gasFlowLPerMin, 0),
      }),
      dress: dressBack ? message('trigger.finding.tack-long') : message('trigger.finding.tack-fine'),
    },
  });
}

function limited(path: string, name: Phrase, got: number, [min, max]: readonly [number, number]): Issue[] {
  if (Number.isFinite(got) && got >= min && got <= max) return [];
  return [
    {
      path,
      code: 'out-of-range',
      message: message('trigger.error.out-of-range', {
        name,
        min: bare('shortLength', min),
        max: amount('shortLength', max),
        got: amount('shortLength', got),
      }),
      limit: [min, max],
      got,
    },
  ];
}

/** Both ends first, then always the middle of the widest stretch left. */
function outsideIn(count: number): number[] {
  const order = count > 1 ? [0, count - 1] : [0];
  const taken = new Set(order);
  while (order.length < count) {
    const sorted = [...taken].sort((a, b) => a - b);
    let best = 0;
    let width = 0;
    for (let at = 1; at < sorted.length; at++) {
      const gap = (sorted[at] ?? 0) - (sorted[at - 1] ?? 0);
      if (gap > width) [best, width] = [at, gap];
    }
    const middle = Math.round(((sorted[best - 1] ?? 0) + (sorted[best] ?? 0)) / 2);
    taken.add(middle);
    order.push(middle);
  }
  return order;
}

export interface StitchPlan {
  readonly stitchMm: number;
  readonly gapMm: number;
  readonly count: number;
  /** Heat against the same seam closed, share. */
  readonly heatShare: number;
  readonly because: Phrase;
}

/** What a stitch rhythm lays along a seam at the program's pace. */
export function stitchPlan(program: Program, lengthMm: number): StitchPlan {
  const { stitchOnS, stitchOffS } = program.sequence;
  const pace = travelMmPerS(program.travelMmPerMin);
  const againS = ignitionDelayS(program);
  const stitchMm = pace * stitchOnS;
  const gapMm = pace * (stitchOffS + againS);
  return {
    stitchMm,
    gapMm,
    count: Math.max(Math.floor((lengthMm + gapMm) / (stitchMm + gapMm)), 1),
    heatShare: stitchMm / (stitchMm + gapMm),
    because: message('trigger.because.stitch', {
      stitchOn: amount('phaseTime', stitchOnS, 2),
      stitchOff: amount('phaseTime', stitchOffS, 2),
      again: amount('phaseTime', againS, 2),
      travel: amount('travel', program.travelMmPerMin, 0),
    }),
  };
}
