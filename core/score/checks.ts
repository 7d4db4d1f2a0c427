/** What a welder should know of a score before it is welded: named with its phase, and with the figure that says so. */
import { fillerOf, type FillerFamily } from '../consumables/index.ts';
import type { Program } from '../machine/index.ts';
import { schoolFacts, unusedPhases, type Phase, type SequenceNumber } from '../sequence/index.ts';
import type { CraterFill } from './crater.ts';
import type { ElectricalOf } from './electrical.ts';
import type { EndsJudged } from './ends.ts';
import type { SeamScore } from './intended.ts';
import type { ScoreTotals } from './totals.ts';

export interface ScoreCheck {
  readonly code: string;
  readonly level: 'note' | 'caution';
  readonly phase: Phase | null;
  /** The number of the sequence to change; null where none alone mends it. */
  readonly field: SequenceNumber | 'tapsAtMm' | 'trigger' | 'endPulse' | null;
  readonly message: string;
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
  const pace = travelMmPerMin / 60;
  const parts = [
    ['start', sequence.runInAfterS + sequence.startS],
    ['slope to main', sequence.slopeInS],
    ['slope to end', sequence.slopeOutS],
  ] as const;
  const said = parts.filter(([, s]) => s > 0).map(([name, s]) => `${name} ${(s * pace).toFixed(0)} mm`);
  return [
    {
      code: 'short-seam',
      level: 'caution',
      phase: 'slope-out',
      field: sequence.startS > sequence.slopeOutS ? 'startS' : 'slopeOutS',
      message: `The slopes meet before main is reached: ${said.join(', ')} on a seam of ${lengthMm.toFixed(0)} mm. It runs ${overrunMm.toFixed(0)} mm over the end.`,
    },
  ];
}

function pulseChecks({ sequence, wireFeedMPerMin }: Program, { pulseRangeMPerMin }: ElectricalOf): ScoreCheck[] {
  if (!pulseRangeMPerMin) return [];
  const [low, high] = pulseRangeMPerMin;
  const { ends, second } = schoolFacts[sequence.trigger];
  const levels: (readonly [Phase, SequenceNumber, string])[] = [
    ...(ends === 'none'
      ? []
      : ([
          ['start', 'startPercent', 'start'],
          ['end', 'endPercent', 'end'],
        ] as const)),
    ...(second && sequence.tapsAtMm.length > 0 ? ([['second', 'secondPercent', 'second level']] as const) : []),
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
        message: `The ${name} at ${feed.toFixed(1)} m/min lies outside what this wire pulses at one drop each, ${low.toFixed(1)} to ${high.toFixed(1)} m/min: the arc there is a plain one, rougher, and its figures are those of a plain arc.`,
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
      message: `${first.because} ${ends === 'none' ? 'This trigger has no start level: choose one that has, or dwell a moment at the start.' : 'Raise the start level or hold it longer.'}`,
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
        message: `${filledS > 0 ? `The end is held ${filledS.toFixed(1)} s` : 'The end is not held'}; this crater asks for about ${crater.holdS.toFixed(1)} s (${crater.bandS[0].toFixed(1)} to ${crater.bandS[1].toFixed(1)}). An open crater cracks in aluminium.`,
      });
    }
  }
  if (ends !== 'none' && sequence.endS > 0 && sequence.endS > crater.bandS[1] * 1.5) {
    checks.push({
      code: 'crater-overfilled',
      level: 'note',
      phase: 'end',
      field: 'endS',
      message: `The end is held ${sequence.endS.toFixed(1)} s; the crater is full after about ${crater.holdS.toFixed(1)} s, the rest piles up.`,
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
      message: `${sequence.tapsAtMm.length - placed} of ${sequence.tapsAtMm.length} taps fall into the start, the end or beyond the seam (${lengthMm.toFixed(0)} mm, main from ${gun.mmAt(events[1]?.atS ?? 0).toFixed(0)} mm): they are left out.`,
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
      message: `${((100 * (seconds - arcS)) / seconds).toFixed(0)} % of ${gasL.toFixed(1)} L of gas flows without an arc: before and after together take ${beside.toFixed(1)} s for ${arcS.toFixed(1)} s of arc.`,
    },
  ];
}
