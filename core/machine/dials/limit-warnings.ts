/** What a machine cannot give: peak, feed, volts, wire size, duty; the slow beat's high level is tested like any other. */
import { dutyPercent } from '../../consumption/index.ts';
import type { Warning } from '../../outcome/index.ts';
import { schoolFacts } from '../../sequence/index.ts';
import type { Machine } from '../description/machine.ts';
import type { Program } from '../program.ts';
import type { Wished } from './wished.ts';

export function limitWarnings({ name, limits }: Machine, program: Program, { figures, arc }: Wished): Warning[] {
  const warnings: Warning[] = [];
  const caution = (code: string, message: string) => warnings.push({ code, level: 'caution', message });
  if (program.pulse && program.pulse.peakCurrentA > limits.peakCurrentA) {
    caution(
      'peak-beyond-machine',
      `The fast pulse peaks at ${round(program.pulse.peakCurrentA)} A; ${name} gives at most ${limits.peakCurrentA} A.`,
    );
  }
  const [slowest, fastest] = limits.wireFeedMPerMin;
  const feeds = program.slowBeat
    ? ([
        ['slow high level', program.slowBeat.highFeedMPerMin],
        ['slow low level', program.slowBeat.lowFeedMPerMin],
      ] as const)
    : ([['feed', program.wireFeedMPerMin]] as const);
  for (const [what, feed] of feeds) {
    if (feed > fastest || feed < slowest) {
      caution(
        'feed-beyond-machine',
        `The ${what} of ${round(feed)} m/min is outside ${name}'s ${slowest} to ${fastest} m/min.`,
      );
    }
  }
  for (const [what, percent] of levelsOf(program.sequence)) {
    const feed = (program.wireFeedMPerMin * percent) / 100;
    // A slow run-in is the drive's own affair; a fast one it may not reach.
    if (feed > fastest || (feed < slowest && what !== 'run-in')) {
      caution(
        'level-beyond-machine',
        `The ${what} at ${round(percent)} %, ${round(feed)} m/min, is outside ${name}'s ${slowest} to ${fastest} m/min.`,
      );
    }
  }
  if (limits.wireSizesMm && !limits.wireSizesMm.some((size) => Math.abs(size - program.diameterMm) < 0.03)) {
    caution(
      'wire-size-not-taken',
      `${name} takes ${limits.wireSizesMm.map((size) => size.toFixed(1)).join(', ')} mm wire, not ${program.diameterMm} mm.`,
    );
  }
  const current = figures.meanCurrentA;
  if (current !== undefined && limits.voltageV) {
    const atTip = arc.lineVoltsAt(figures.wireFeedMPerMin ?? program.wireFeedMPerMin);
    const volts = atTip === undefined ? undefined : atTip + program.trimMm * arc.wire.eVPerMm;
    if (volts !== undefined && (volts < limits.voltageV[0] || volts > limits.voltageV[1])) {
      caution(
        'voltage-beyond-machine',
        `${volts.toFixed(1)} V is outside ${name}'s ${limits.voltageV[0]} to ${limits.voltageV[1]} V.`,
      );
    }
  }
  const duty = current === undefined ? undefined : dutyAt(limits.duty, current);
  if (duty !== undefined && duty < 60) {
    warnings.push({
      code: 'short-duty',
      level: duty < 35 ? 'caution' : 'note',
      message: `At ${round(current ?? 0)} A ${name} may weld ${Math.floor(duty)} % of ten minutes, by its rating plate.`,
    });
  }
  return warnings;
}

/** Levels beside main that the trigger really runs, percent of main. */
function levelsOf(sequence: Program['sequence']): (readonly [string, number])[] {
  const { ends, second } = schoolFacts[sequence.trigger];
  return [
    ['run-in', sequence.runInPercent],
    ...(ends === 'none'
      ? []
      : ([
          ['start', sequence.startPercent],
          ['end', sequence.endPercent],
        ] as const)),
    ...(second && sequence.tapsAtMm.length > 0 ? ([['second level', sequence.secondPercent]] as const) : []),
  ];
}

/** Share of ten minutes at a current, from the nearest point of the rating plate; undefined without one. */
function dutyAt(points: Machine['limits']['duty'], currentA: number): number | undefined {
  const [first, ...rest] = points ?? [];
  if (!first) return undefined;
  const nearest = rest.reduce(
    (best, point) => (Math.abs(point.currentA - currentA) < Math.abs(best.currentA - currentA) ? point : best),
    first,
  );
  return dutyPercent(nearest.percent, nearest.currentA, currentA);
}

function round(value: number): number {
  return Number(value.toFixed(1));
}
