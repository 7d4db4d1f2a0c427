/** What a program asks and a machine has no dial for, or runs out of: said with the nearest that it can do. */
import { message, amount, bare, joined, type Phrase } from '../../base/messages/index.ts';
import type { Machine, TriggerMode } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import { actsIn, quantityText } from '../description/quantity-words.ts';
import { quantityFacts, type DialQuantity } from '../description/quantities.ts';
import { isNumeric, quantityOf } from '../description/scales.ts';
import type { DialSetting } from './dial-setting.ts';
import { schoolFacts, type SequenceNumber } from '../../weld/sequence/index.ts';
import { triggerModeFor } from '../description/trigger-mode.ts';
import type { Wished } from './wished.ts';

export interface NotCarried {
  readonly quantity: DialQuantity | 'slow-beat' | 'trigger';
  /** What is lost, in words with its figure. */
  readonly what: Phrase;
  /** The nearest that this machine can. */
  readonly nearest: Phrase;
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
        what: message('machine.of', { name, wish: quantityText(quantity, wish) }),
        nearest:
          fixed === 0
            ? nearest
            : message('machine.gap.set-by-machine', {
                quantity: quantityText(quantity, fixed),
                machine: ours?.mode.label ?? machine.name,
              }),
      });
    } else if (!setting) {
      lost.push({ quantity, what: message('machine.of', { name, wish: quantityText(quantity, wish) }), nearest });
    } else if (setting.clipped && setting.reachedQuantity !== undefined) {
      lost.push({
        quantity,
        what: message('machine.of', { name, wish: quantityText(quantity, wish) }),
        nearest: message('machine.nearest.end-of-range', {
          reachedQuantity: quantityText(quantity, setting.reachedQuantity),
          setting: setting.label,
        }),
      });
    }
  }
  lost.push(...beatLost(machine, program, wished));
  if (ours && !ours.same) {
    lost.push({
      quantity: 'trigger',
      what: message('machine.trigger', { trigger: schoolFacts[program.sequence.trigger].name }),
      nearest: joined([ours.mode.label, schoolFacts[ours.mode.school].name], ': '),
    });
  }
  return lost;
}

function beatLost(machine: Machine, program: Program, wished: Wished): NotCarried[] {
  const beat = program.slowBeat;
  if (!beat) return [];
  const said = message('machine.gap.double-pulse', {
    lowFeed: bare('wireFeed', beat.lowFeedMPerMin, 1),
    highFeed: amount('wireFeed', beat.highFeedMPerMin, 1),
    highShare: amount('percent', beat.highShare * 100, 0),
    frequency: amount('frequency', beat.frequencyHz, 1),
  });
  const rates = machine.dials.some(({ scale }) => isNumeric(scale) && quantityOf(scale) === 'beatFrequencyHz');
  if (machine.beatSchool === null || !rates) {
    return [
      {
        quantity: 'slow-beat',
        what: said,
        nearest: message('machine.nearest.single-pulse', { meanFeed: amount('wireFeed', beat.meanFeedMPerMin, 1) }),
      },
    ];
  }
  const miss = wished.beatMiss;
  if (!miss) return [];
  const near = miss.nearest;
  return [
    {
      quantity: 'slow-beat',
      what: joined([said, miss.why], ': '),
      nearest: near
        ? message('machine.nearest.levels-same-mean', {
            lowFeed: bare('wireFeed', near.lowFeedMPerMin, 1),
            highFeed: amount('wireFeed', near.highFeedMPerMin, 1),
            highShare: amount('percent', near.highShare * 100, 0),
          })
        : message('machine.nearest.none-same-mean'),
    },
  ];
}

interface Demand {
  readonly quantity: DialQuantity;
  /** Whether the program asks for anything here beyond what every machine does by itself. */
  readonly when: boolean;
  readonly nearest: Phrase;
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
    { quantity: 'trimMm', when: Math.abs(trimMm) > 0.05, nearest: message('machine.nearest.own-line') },
    { quantity: 'stiffness', when: Math.abs(stiffness) >= 0.5, nearest: message('machine.nearest.own-stiffness') },
    { quantity: 'peakCurrentA', when: pulse !== null, nearest: message('machine.nearest.chart-line-peak') },
    { quantity: 'runInFeedMPerMin', when: true, nearest: message('machine.nearest.own-run-in') },
    {
      quantity: 'startFeedMPerMin',
      when: hasEnds && sequence.startPercent !== 100,
      nearest: message('machine.nearest.start-at-main'),
    },
    {
      quantity: 'startTrimMm',
      when: hasEnds && sequence.startTrimMm !== 0,
      nearest: message('machine.nearest.main-arc-length'),
    },
    {
      quantity: 'startS',
      when: ends === 'timed' && sequence.startS > 0,
      nearest: message('machine.nearest.own-start-time'),
    },
    { quantity: 'slopeInS', when: hasEnds && sequence.slopeInS > 0, nearest: message('machine.nearest.step-to-main') },
    {
      quantity: 'secondFeedMPerMin',
      when: hasTaps && sequence.secondPercent !== 100,
      nearest: message('machine.nearest.travel-faster'),
    },
    {
      quantity: 'secondTrimMm',
      when: hasTaps && sequence.secondTrimMm !== 0,
      nearest: message('machine.nearest.main-arc-length'),
    },
    { quantity: 'slopeOutS', when: hasEnds && sequence.slopeOutS > 0, nearest: message('machine.nearest.step-to-end') },
    {
      quantity: 'endFeedMPerMin',
      when: hasEnds && sequence.endPercent !== 100,
      nearest: message('machine.nearest.end-at-main'),
    },
    {
      quantity: 'endTrimMm',
      when: hasEnds && sequence.endTrimMm !== 0,
      nearest: message('machine.nearest.main-arc-length'),
    },
    {
      quantity: 'endS',
      when: ends === 'timed' && sequence.endS > 0,
      nearest: message('machine.nearest.own-end-time'),
    },
    { quantity: 'spotS', when: sequence.trigger === 'spot', nearest: message('machine.nearest.count-yourself') },
    {
      quantity: 'stitchOnS',
      when: sequence.trigger === 'stitch',
      nearest: message('machine.nearest.press-each-stitch'),
    },
    { quantity: 'stitchOffS', when: sequence.trigger === 'stitch', nearest: message('machine.nearest.wait-released') },
    { quantity: 'burnBackMs', when: true, nearest: message('machine.nearest.own-burn-back') },
    { quantity: 'preGasS', when: sequence.preGasS > 0.2, nearest: message('machine.nearest.own-gas-before') },
    { quantity: 'postGasS', when: sequence.postGasS > 1.5, nearest: message('machine.nearest.hold-gun-over-end') },
  ];
}
