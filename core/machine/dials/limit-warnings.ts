/** What a machine cannot give: peak, feed, volts, wire size, duty; the slow beat's high level is tested like any other. */
import { message, amount, bare, oneOf, type Phrase } from '../../base/messages/index.ts';
import { wireSizeLabel } from '../../metal/consumables/index.ts';
import { dutyFromPlate } from '../description/index.ts';
import type { Warning } from '../../base/outcome/index.ts';
import { schoolFacts } from '../../weld/sequence/index.ts';
import type { Machine } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import type { Wished } from './wished.ts';

/** Wire, rolls and motor follow a swing of the feed to about this; beyond it both levels run together. Rule of practice, assumed. */
const fastestFedBeatHz = 3;

export function limitWarnings(
  { name, limits, beatMoves }: Machine,
  program: Program,
  { figures, arc }: Wished,
): Warning[] {
  const warnings: Warning[] = [];
  const caution = (code: string, message: Phrase) => warnings.push({ code, level: 'caution', message });
  if (program.pulse && program.pulse.peakCurrentA > limits.peakCurrentA) {
    caution(
      'peak-beyond-machine',
      message('machine.gap.peak-current', {
        wanted: amount('current', round(program.pulse.peakCurrentA)),
        name,
        most: amount('current', limits.peakCurrentA),
      }),
    );
  }
  const [slowest, fastest] = limits.wireFeedMPerMin;
  const feeds = program.slowBeat
    ? ([
        [message('machine.slow-high-level'), program.slowBeat.highFeedMPerMin],
        [message('machine.slow-low-level'), program.slowBeat.lowFeedMPerMin],
      ] as const)
    : ([['feed', program.wireFeedMPerMin]] as const);
  for (const [what, feed] of feeds) {
    if (feed > fastest || feed < slowest) {
      caution(
        'feed-beyond-machine',
        message('machine.gap.feed-outside', {
          what,
          feed: amount('wireFeed', round(feed)),
          name,
          slowest: bare('wireFeed', slowest),
          fastest: amount('wireFeed', fastest),
        }),
      );
    }
  }
  const beatHz = program.slowBeat?.frequencyHz ?? 0;
  if (beatMoves === 'feed' && beatHz > fastestFedBeatHz)
    caution(
      'beat-faster-than-feed',
      message('machine.caution.double-pulse-too-fast', {
        beat: amount('frequency', beatHz, 1),
        most: amount('frequency', fastestFedBeatHz, 1),
      }),
    );
  for (const [what, percent] of levelsOf(program.sequence)) {
    const feed = (program.wireFeedMPerMin * percent) / 100;
    // A slow run-in is the drive's own affair; a fast one it may not reach.
    if (feed > fastest || (feed < slowest && what !== 'run-in')) {
      caution(
        'level-beyond-machine',
        message('machine.gap.level-outside', {
          what,
          percent: amount('percent', round(percent)),
          feed: amount('wireFeed', round(feed)),
          name,
          slowest: bare('wireFeed', slowest),
          fastest: amount('wireFeed', fastest),
        }),
      );
    }
  }
  if (limits.wireSizesMm && !limits.wireSizesMm.some((size) => Math.abs(size - program.diameterMm) < 0.03)) {
    caution(
      'wire-size-not-taken',
      message('machine.gap.wire-size', {
        name,
        size: oneOf(limits.wireSizesMm.map(wireSizeLabel)),
        diameter: wireSizeLabel(program.diameterMm),
      }),
    );
  }
  const current = figures.meanCurrentA;
  if (current !== undefined && limits.voltageV) {
    const atTip = arc.lineVoltsAt(figures.wireFeedMPerMin ?? program.wireFeedMPerMin);
    const volts = atTip === undefined ? undefined : atTip + program.trimMm * arc.wire.eVPerMm;
    if (volts !== undefined && (volts < limits.voltageV[0] || volts > limits.voltageV[1])) {
      caution(
        'voltage-beyond-machine',
        message('machine.gap.voltage', {
          volts: amount('voltage', volts, 1),
          name,
          least: bare('voltage', limits.voltageV[0]),
          most: amount('voltage', limits.voltageV[1]),
        }),
      );
    }
  }
  const duty = current === undefined ? undefined : dutyFromPlate(limits.duty, current);
  if (duty !== undefined && duty < 60) {
    warnings.push({
      code: 'short-duty',
      level: duty < 35 ? 'caution' : 'note',
      message: message('machine.gap.duty-cycle', {
        current: amount('current', round(current ?? 0)),
        name,
        duty: amount('percent', Math.floor(duty)),
      }),
    });
  }
  return warnings;
}

/** Levels beside main that the trigger really runs, percent of main. */
function levelsOf(sequence: Program['sequence']): (readonly [Phrase, number])[] {
  const { ends, second } = schoolFacts[sequence.trigger];
  return [
    ['run-in', sequence.runInPercent],
    ...(ends === 'none'
      ? []
      : ([
          ['start', sequence.startPercent],
          ['end', sequence.endPercent],
        ] as const)),
    ...(second && sequence.tapsAtMm.length > 0
      ? ([[message('machine.second-level'), sequence.secondPercent]] as const)
      : []),
  ];
}

function round(value: number): number {
  return Number(value.toFixed(1));
}
