/** What a welder should know of a score before it is welded: named with its phase, and with the figure that says so. */
import { absent, amount, bare, joined, type Phrase, message } from '../../base/messages/index.ts';
import { fillerOf, type FillerFamily } from '../../metal/consumables/index.ts';
import type { Program } from '../../setting/program/index.ts';
import { schoolFacts, unusedPhases, type Phase, type SequenceNumber } from '../sequence/index.ts';
import type { CraterFill } from './crater.ts';
import type { ElectricalOf } from './electrical.ts';
import type { EndsJudged } from './ends.ts';
import type { SeamScore } from './intended.ts';
import type { ScoreTotals } from './totals.ts';
import { travelMmPerS } from '../../base/units/convert.ts';

export interface ScoreCheck {
  readonly code: string;
  readonly level: 'note' | 'caution';
  readonly phase: Phase | null;
  /** The number of the sequence to change; null where none alone mends it. */
  readonly field: SequenceNumber | 'tapsAtMm' | 'trigger' | 'endPulse' | null;
  readonly message: Phrase;
}

export function scoreChecks(
  program: Program,
  score: SeamScore,
  totals: ScoreTotals,
  electrical: ElectricalOf,
  crater: CraterFill,
  ends: EndsJudged,
): ScoreCheck[] {
  const { sequence } = program;
  const { family } = fillerOf(program.filler);
  return [
    ...roomChecks(program, score),
    ...pulseChecks(program, electrical),
    ...endChecks(family, sequence, crater, ends),
    ...tapChecks(program, score),
    ...unusedPhases(sequence).map(({ field, message }) => ({
      code: 'without-effect',
      level: 'note' as const,
      phase: null,
      field,
      message,
    })),
    ...gasChecks(program, totals),
  ];
}

/** A short seam: start and slopes need more millimetres than the seam has. */
function roomChecks({ sequence, travelMmPerMin }: Program, { overrunMm, lengthMm }: SeamScore): ScoreCheck[] {
  if (overrunMm <= 0) return [];
  const pace = travelMmPerS(travelMmPerMin);
  const parts = [
    ['start', sequence.runInAfterS + sequence.startS],
    [message('trigger.slope-to-main'), sequence.slopeInS],
    [message('trigger.slope-to-end'), sequence.slopeOutS],
  ] as const;
  const said = parts
    .filter(([, s]) => s > 0)
    .map(([name, s]) => message('trigger.sum', { name, pace: amount('length', s * pace, 0) }));
  return [
    {
      code: 'short-seam',
      level: 'caution',
      phase: 'slope-out',
      field: sequence.startS > sequence.slopeOutS ? 'startS' : 'slopeOutS',
      message: message('trigger.finding.slopes-meet', {
        said,
        length: amount('length', lengthMm, 0),
        overrun: amount('length', overrunMm, 0),
      }),
    },
  ];
}

function pulseChecks({ sequence, wireFeedMPerMin }: Program, { pulseRangeMPerMin }: ElectricalOf): ScoreCheck[] {
  if (!pulseRangeMPerMin) return [];
  const [low, high] = pulseRangeMPerMin;
  const { ends, second } = schoolFacts[sequence.trigger];
  const levels: (readonly [Phase, SequenceNumber, Phrase])[] = [
    ...(ends === 'none'
      ? []
      : ([
          ['start', 'startPercent', 'start'],
          ['end', 'endPercent', 'end'],
        ] as const)),
    ...(second && sequence.tapsAtMm.length > 0
      ? ([['second', 'secondPercent', message('trigger.second-level')]] as const)
      : []),
  ];
  return levels.flatMap(([phase, field, name]) => {
    const feed = (wireFeedMPerMin * sequence[field]) / 100;
    if (feed >= low && feed <= high) return [];
    return [
      {
        code: 'no-pulse-at-level',
        level: 'caution' as const,
        phase,
        field,
        message: message('trigger.finding.level-outside', {
          name,
          feed: amount('wireFeed', feed, 1),
          low: bare('wireFeed', low, 1),
          high: amount('wireFeed', high, 1),
        }),
      },
    ];
  });
}

function endChecks(
  family: FillerFamily,
  sequence: Program['sequence'],
  crater: CraterFill,
  { first, last }: EndsJudged,
): ScoreCheck[] {
  const checks: ScoreCheck[] = [];
  const { ends } = schoolFacts[sequence.trigger];
  const standing = sequence.trigger === 'spot' || sequence.trigger === 'stitch';
  if (first.verdict === 'cold' && !standing) {
    checks.push({
      code: 'cold-start',
      level: 'caution',
      phase: 'start',
      field: ends === 'none' ? 'trigger' : 'startPercent',
      message: joined(
        [
          first.because,
          ends === 'none' ? message('trigger.finding.no-start-level') : message('trigger.finding.start-cold'),
        ],
        ' ',
      ),
    });
  }
  if (first.verdict === 'hot' && !standing) {
    checks.push({ code: 'hot-start', level: 'note', phase: 'start', field: 'startPercent', message: first.because });
  }
  if (last.verdict === 'hot' && !standing) {
    checks.push({ code: 'hot-end', level: 'note', phase: 'slope-out', field: 'slopeOutS', message: last.because });
  }
  if (family === 'aluminium' && !standing) {
    const filledS = ends === 'none' ? 0 : sequence.endS;
    if (filledS < crater.bandS[0]) {
      checks.push({
        code: 'crater-unfilled',
        level: 'caution',
        phase: 'end',
        field: ends === 'none' ? 'trigger' : 'endS',
        message: message('trigger.finding.crater-short', {
          filled: filledS > 0 ? amount('phaseTime', filledS, 1) : absent,
          hold: amount('phaseTime', crater.holdS, 1),
          least: amount('plain', crater.bandS[0], 1),
          most: amount('plain', crater.bandS[1], 1),
        }),
      });
    }
  }
  if (ends !== 'none' && sequence.endS > 0 && sequence.endS > crater.bandS[1] * 1.5) {
    checks.push({
      code: 'crater-overfilled',
      level: 'note',
      phase: 'end',
      field: 'endS',
      message: message('trigger.finding.crater-long', {
        end: amount('phaseTime', sequence.endS, 1),
        hold: amount('phaseTime', crater.holdS, 1),
      }),
    });
  }
  return checks;
}

function tapChecks({ sequence }: Program, { events, lengthMm, gun }: SeamScore): ScoreCheck[] {
  if (!schoolFacts[sequence.trigger].second || sequence.tapsAtMm.length === 0) return [];
  // Each tap is two events; start and end take four.
  const placed = Math.max((events.length - 4) / 2, 0);
  if (placed >= sequence.tapsAtMm.length) return [];
  return [
    {
      code: 'tap-without-room',
      level: 'caution',
      phase: 'second',
      field: 'tapsAtMm',
      message: message('trigger.finding.taps-outside', {
        placed: sequence.tapsAtMm.length - placed,
        tapsAt: sequence.tapsAtMm.length,
        length: amount('length', lengthMm, 0),
        at: amount('length', gun.mmAt(events[1]?.atS ?? 0), 0),
      }),
    },
  ];
}

function gasChecks({ sequence }: Program, { gasL, arcS, seconds }: ScoreTotals): ScoreCheck[] {
  const beside = sequence.preGasS + sequence.postGasS;
  if (arcS <= 0 || beside < 2 * arcS || seconds <= 0) return [];
  return [
    {
      code: 'gas-beside-arc',
      level: 'note',
      phase: 'post-gas',
      field: 'postGasS',
      message: message('trigger.finding.gas-without-arc', {
        seconds: amount('percent', (100 * (seconds - arcS)) / seconds, 0),
        gas: amount('volume', gasL, 1),
        beside: amount('phaseTime', beside, 1),
        arc: amount('phaseTime', arcS, 1),
      }),
    },
  ];
}
