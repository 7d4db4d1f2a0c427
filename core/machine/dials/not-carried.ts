/** What a program asks and a machine has no dial for, or runs out of: said with the nearest that it can do. */
import type { Machine, TriggerMode } from '../description/machine.ts';
import type { Program } from '../program.ts';
import { actsIn, quantityFacts, quantityText, type DialQuantity } from '../description/quantities.ts';
import { isNumeric, quantityOf } from '../description/scales.ts';
import type { DialSetting } from './dial-setting.ts';
import { schoolFacts, type SequenceNumber } from '../../sequence/index.ts';
import { triggerModeFor } from '../description/trigger-mode.ts';
import type { Wished } from './wished.ts';

export interface NotCarried {
  readonly quantity: DialQuantity | 'slow-beat' | 'trigger';
  /** What is lost, in words with its figure. */
  readonly what: string;
  /** The nearest that this machine can. */
  readonly nearest: string;
}

export function notCarried(
  machine: Machine,
  program: Program,
  wished: Wished,
  settings: readonly DialSetting[],
): NotCarried[] {
  if (machine.dials.length === 0) return [];
  const lost: NotCarried[] = [];
  const ours = triggerModeFor(machine, program.sequence.trigger);
  for (const { quantity, nearest, when } of demands(program)) {
    const wish = wished.figures[quantity];
    if (!when || wish === undefined || !actsIn(quantity, program.mode)) continue;
    const setting = settings.find((dial) => dial.quantity === quantity);
    const { name } = quantityFacts(quantity);
    const fixed = setting ? undefined : fixedIn(ours?.mode, quantity, wished);
    if (fixed !== undefined && Math.abs(fixed - wish) < quantityFacts(quantity).noticed) continue;
    if (fixed !== undefined) {
      lost.push({
        quantity,
        what: `${name} of ${quantityText(quantity, wish)}`,
        nearest:
          fixed === 0
            ? nearest
            : `${quantityText(quantity, fixed)}, which ${ours?.mode.label ?? machine.name} runs by itself`,
      });
    } else if (!setting) {
      lost.push({ quantity, what: `${name} of ${quantityText(quantity, wish)}`, nearest });
    } else if (setting.clipped && setting.reachedQuantity !== undefined) {
      lost.push({
        quantity,
        what: `${name} of ${quantityText(quantity, wish)}`,
        nearest: `${quantityText(quantity, setting.reachedQuantity)}, the end of ${setting.label}`,
      });
    }
  }
  lost.push(...beatLost(machine, program, wished));
  if (ours && !ours.same) {
    lost.push({
      quantity: 'trigger',
      what: `trigger ${schoolFacts[program.sequence.trigger].name}`,
      nearest: `${ours.mode.label}: ${schoolFacts[ours.mode.school].name}`,
    });
  }
  return lost;
}

function beatLost(machine: Machine, program: Program, wished: Wished): NotCarried[] {
  const beat = program.slowBeat;
  if (!beat) return [];
  const said = `slow beat of ${beat.lowFeedMPerMin.toFixed(1)} to ${beat.highFeedMPerMin.toFixed(1)} m/min, ${Math.round(beat.highShare * 100)} % high, ${beat.frequencyHz.toFixed(1)} Hz`;
  const rates = machine.dials.some(({ scale }) => isNumeric(scale) && quantityOf(scale) === 'beatFrequencyHz');
  if (machine.beatSchool === null || !rates) {
    return [
      {
        quantity: 'slow-beat',
        what: said,
        nearest: `single pulse at the mean feed, ${beat.meanFeedMPerMin.toFixed(1)} m/min`,
      },
    ];
  }
  const miss = wished.beatMiss;
  if (!miss) return [];
  const near = miss.nearest;
  return [
    {
      quantity: 'slow-beat',
      what: `${said}: ${miss.why}`,
      nearest: near
        ? `${near.lowFeedMPerMin.toFixed(1)} to ${near.highFeedMPerMin.toFixed(1)} m/min, ${Math.round(near.highShare * 100)} % high, same mean feed`
        : 'none with the same mean feed',
    },
  ];
}

interface Demand {
  readonly quantity: DialQuantity;
  /** Whether the program asks for anything here beyond what every machine does by itself. */
  readonly when: boolean;
  readonly nearest: string;
}

/** Levels that a mode fixes are percent of main; dials and wishes are feeds. */
const levels: Partial<Record<DialQuantity, SequenceNumber>> = {
  runInFeedMPerMin: 'runInPercent',
  startFeedMPerMin: 'startPercent',
  secondFeedMPerMin: 'secondPercent',
  endFeedMPerMin: 'endPercent',
};

/** A figure that a trigger mode runs by itself, under its dial quantity. */
function fixedIn(mode: TriggerMode | undefined, quantity: DialQuantity, { figures }: Wished): number | undefined {
  const level = levels[quantity];
  if (level === undefined) return mode?.fixed?.[quantity as SequenceNumber];
  const percent = mode?.fixed?.[level];
  // Its own percentage is of what its main dial shows.
  return percent === undefined ? undefined : (percent / 100) * (figures.wireFeedMPerMin ?? 0);
}

function demands({ trimMm, stiffness, sequence, pulse }: Program): Demand[] {
  const { ends, second } = schoolFacts[sequence.trigger];
  const hasEnds = ends !== 'none';
  const hasTaps = second && sequence.tapsAtMm.length > 0;
  return [
    { quantity: 'trimMm', when: Math.abs(trimMm) > 0.05, nearest: 'the machine’s own line' },
    { quantity: 'stiffness', when: Math.abs(stiffness) >= 0.5, nearest: 'the machine’s own stiffness' },
    { quantity: 'peakCurrentA', when: pulse !== null, nearest: 'the peak this chart line makes by itself' },
    { quantity: 'runInFeedMPerMin', when: true, nearest: 'the machine’s own run-in' },
    {
      quantity: 'startFeedMPerMin',
      when: hasEnds && sequence.startPercent !== 100,
      nearest: 'start at the main level',
    },
    { quantity: 'startTrimMm', when: hasEnds && sequence.startTrimMm !== 0, nearest: 'the arc length of main' },
    { quantity: 'startS', when: ends === 'timed' && sequence.startS > 0, nearest: 'the machine’s own start time' },
    { quantity: 'slopeInS', when: hasEnds && sequence.slopeInS > 0, nearest: 'a step to the main level' },
    {
      quantity: 'secondFeedMPerMin',
      when: hasTaps && sequence.secondPercent !== 100,
      nearest: 'stay at main and travel faster where the part is warm',
    },
    { quantity: 'secondTrimMm', when: hasTaps && sequence.secondTrimMm !== 0, nearest: 'the arc length of main' },
    { quantity: 'slopeOutS', when: hasEnds && sequence.slopeOutS > 0, nearest: 'a step to the end level' },
    {
      quantity: 'endFeedMPerMin',
      when: hasEnds && sequence.endPercent !== 100,
      nearest: 'end at the main level, fill the crater by taps',
    },
    { quantity: 'endTrimMm', when: hasEnds && sequence.endTrimMm !== 0, nearest: 'the arc length of main' },
    { quantity: 'endS', when: ends === 'timed' && sequence.endS > 0, nearest: 'the machine’s own end time' },
    { quantity: 'spotS', when: sequence.trigger === 'spot', nearest: 'count it with the finger' },
    { quantity: 'stitchOnS', when: sequence.trigger === 'stitch', nearest: 'press and let go for each stitch' },
    { quantity: 'stitchOffS', when: sequence.trigger === 'stitch', nearest: 'wait with the finger off' },
    { quantity: 'burnBackMs', when: true, nearest: 'the machine’s own burn-back; snip the wire' },
    { quantity: 'preGasS', when: sequence.preGasS > 0.2, nearest: 'the machine’s own gas before' },
    { quantity: 'postGasS', when: sequence.postGasS > 1.5, nearest: 'hold the gun over the end of the seam' },
  ];
}
