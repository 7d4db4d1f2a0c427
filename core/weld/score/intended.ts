/** The presses that weld a whole seam as its sequence means it, and what then happens when: the score as it is drawn. */
import { fillerOf } from '../../metal/consumables/index.ts';
import type { Program } from '../../setting/program/index.ts';
import {
  longestTapS,
  playSequence,
  schoolFacts,
  usualHabit,
  type PlayedPhase,
  type SequenceRules,
  type TriggerEvent,
  type TriggerHabit,
} from '../sequence/index.ts';
import { gunPath, type GunPath } from './gun-path.ts';
import { feedMmPerS, travelMmPerS } from '../../base/units/convert.ts';

export interface SeamScore {
  readonly rules: SequenceRules;
  readonly events: readonly TriggerEvent[];
  readonly ignitionS: number;
  readonly untilS: number;
  readonly played: readonly PlayedPhase[];
  readonly gun: GunPath;
  /** When the arc first lights. */
  readonly litS: number;
  readonly lengthMm: number;
  /** Weld beyond the end of the seam because start and slopes need more room than it has, mm; 0 where all fits. */
  readonly overrunMm: number;
}

/** Before the first press, s. */
export const leadS = 0.3;
/** A plain press and a tap of an easy hand, s. */
const pressS = 0.25;
const tapS = 0.15;
/** Wire end to plate before a start, mm, and what a drive needs to come up to speed, s: as the arc simulation starts cold. */
export const startGapMm = 5;
const driveUpS = 0.02;

/** From wire start to arc, s: the gap at run-in feed. */
export function ignitionDelayS({ wireFeedMPerMin, sequence }: Pick<Program, 'wireFeedMPerMin' | 'sequence'>): number {
  return driveUpS + startGapMm / (feedMmPerS(wireFeedMPerMin) * (sequence.runInPercent / 100));
}

export function rulesOf(
  program: Pick<Program, 'filler' | 'sequence' | 'gas'>,
  habit: TriggerHabit = usualHabit,
): SequenceRules {
  return {
    sequence: program.sequence,
    habit,
    hasGas: program.gas !== 'none' && fillerOf(program.filler).shielding === 'gas',
  };
}

/** The score of a seam of so many mm at the program's own pace. */
export function seamScore(program: Program, lengthMm: number, habit: TriggerHabit = usualHabit): SeamScore {
  const rules = rulesOf(program, habit);
  const { sequence } = program;
  const ignitionS = ignitionDelayS(program);
  const weldS = lengthMm / travelMmPerS(program.travelMmPerMin);
  const wireS = leadS + (rules.hasGas ? sequence.preGasS : 0);
  const startsAtS = sequence.trigger === 'latch' && habit.startsOn === 'release' ? wireS + 0.05 : wireS;
  const litS = startsAtS + ignitionS;
  const settledS = litS + sequence.runInAfterS;
  const slopeInS = hasSlopeIn(sequence) ? sequence.slopeInS : 0;
  const fastest = settledS + sequence.startS + slopeInS;
  const paceMmPerS = travelMmPerS(program.travelMmPerMin);
  const events = eventsFor(rules, { startsAtS, litS, settledS, weldS, paceMmPerS, fastestS: fastest });
  const longest = fastest + weldS + sequence.slopeOutS + sequence.endS + sequence.postGasS + sequence.spotS + 5;
  const whole = playSequence({ rules, events, untilS: longest, ignitionS });
  const untilS = (whole.findLast(({ name }) => name === 'post-gas' || name === 'burn-back')?.toS ?? longest) + 0.2;
  const played = playSequence({ rules, events, untilS, ignitionS });
  const gun = gunPath(played, program.travelMmPerMin, sequence.trigger !== 'spot');
  const isSpot = sequence.trigger === 'spot';
  return {
    rules,
    events,
    ignitionS,
    untilS,
    played,
    gun,
    litS,
    lengthMm,
    // Half a millimetre is within what a hand stops at.
    overrunMm: isSpot || gun.endMm - lengthMm < 0.5 ? 0 : gun.endMm - lengthMm,
  };
}

function hasSlopeIn({ trigger, startPercent }: SequenceRules['sequence']): boolean {
  return schoolFacts[trigger].ends !== 'none' && startPercent !== 100;
}

interface Moments {
  readonly startsAtS: number;
  readonly litS: number;
  readonly settledS: number;
  readonly weldS: number;
  readonly paceMmPerS: number;
  /** Earliest moment at which main is reached. */
  readonly fastestS: number;
}

function eventsFor(
  { sequence, habit }: SequenceRules,
  { startsAtS, litS, settledS, weldS, paceMmPerS, fastestS }: Moments,
): TriggerEvent[] {
  const endsS = litS + weldS;
  const hold = (fromS: number, toS: number): TriggerEvent[] => [
    { atS: fromS, action: 'press' },
    { atS: Math.max(toS, fromS + 0.07), action: 'release' },
  ];
  const level = sequence.tapsAtMm.length % 2 === 1 ? sequence.secondPercent : 100;
  const slopeOutS = sequence.endPercent === level ? 0 : sequence.slopeOutS;
  switch (sequence.trigger) {
    case 'hold':
    case 'stitch':
      return hold(leadS, endsS);
    case 'spot':
      return hold(leadS, litS + sequence.spotS + 0.2);
    case 'hold-timed':
      return hold(leadS, Math.max(endsS - slopeOutS, fastestS));
    case 'latch': {
      const first = hold(leadS, habit.startsOn === 'release' ? startsAtS : Math.max(startsAtS + 0.05, leadS + pressS));
      const stopS = Math.max(endsS, settledS + 0.1);
      return [
        ...first,
        ...(habit.endsOn === 'press'
          ? hold(stopS, stopS + pressS)
          : hold(Math.max(stopS - pressS, settledS + 0.02), stopS)),
      ];
    }
    case 'latch-levels':
    case 'latch-second': {
      const letGoS = settledS + sequence.startS;
      const second = sequence.trigger === 'latch-second';
      // Where a tap means something the machine waits to see whether a press is one.
      const waitS = second ? longestTapS : 0;
      const outS = Math.max(endsS - slopeOutS, fastestS + waitS + 0.02);
      const taps = second ? tapEvents(sequence.tapsAtMm, litS, paceMmPerS, fastestS, outS - waitS) : [];
      return [...hold(leadS, letGoS), ...taps, ...hold(outS - waitS, outS + slopeOutS + sequence.endS)];
    }
  }
}

/** Taps so that each takes effect at its place, left out where start or end are still in the way. */
function tapEvents(
  tapsAtMm: readonly number[],
  litS: number,
  paceMmPerS: number,
  fromS: number,
  toS: number,
): TriggerEvent[] {
  return tapsAtMm.flatMap((mm): TriggerEvent[] => {
    const atS = litS + mm / paceMmPerS;
    return atS - tapS > fromS && atS < toS - 0.1
      ? [
          { atS: atS - tapS, action: 'press' },
          { atS, action: 'release' },
        ]
      : [];
  });
}
