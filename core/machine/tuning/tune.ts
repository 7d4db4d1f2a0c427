/** What a welder moved away from the plan, and the program that comes of it. Only what was moved is kept, so that the rest follows a changed seam. */
import type { CanonicalBeat } from '../../setting/double-pulse/index.ts';
import { arcOf } from '../dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { failure, rangeIssues, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { isPulsed } from '../../setting/plan/index.ts';
import { solvePulse, type PulseResult } from '../../setting/pulse/index.ts';

/** The four numbers of a fast pulse; null: solved. */
export const pulseNumbers = ['peakCurrentA', 'peakTimeMs', 'backgroundCurrentA', 'frequencyHz'] as const;
export type PulseNumber = (typeof pulseNumbers)[number];
type PulseTune = Readonly<Record<PulseNumber, number | null>>;

/** null: as planned. */
export interface Tune extends PulseTune {
  readonly trimMm: number | null;
  readonly stiffness: number | null;
  readonly ctwdMm: number | null;
  readonly slowBeat: CanonicalBeat | null;
}

export const noTune: Tune = {
  trimMm: null,
  stiffness: null,
  ctwdMm: null,
  peakCurrentA: null,
  peakTimeMs: null,
  backgroundCurrentA: null,
  frequencyHz: null,
  slowBeat: null,
};

export function isUntuned(tune: Tune): boolean {
  return Object.values(tune).every((value) => value === null);
}

/** The program with what was moved in it; the fast pulse is solved again. Issues: ranges, and the pulse's own. */
export function tuned(program: Program, tune: Tune, wireFeedMPerMin = program.wireFeedMPerMin): Outcome<Program> {
  const issues: Issue[] = [
    ...rangeIssues({
      wireFeedMPerMin,
      ctwdMm: tune.ctwdMm ?? undefined,
      peakCurrentA: tune.peakCurrentA ?? undefined,
      peakTimeMs: tune.peakTimeMs ?? undefined,
      backgroundCurrentA: tune.backgroundCurrentA ?? undefined,
      frequencyHz: tune.frequencyHz ?? undefined,
      trimMm: tune.trimMm ?? undefined,
      stiffness: tune.stiffness ?? undefined,
    }),
  ];
  if (issues.length > 0) return failure(...issues);
  const trimMm = tune.trimMm ?? program.trimMm;
  const ctwdMm = tune.ctwdMm ?? program.ctwdMm;
  const slowBeat = beatAt(tune.slowBeat ?? program.slowBeat, wireFeedMPerMin);
  const moved: Program = {
    ...program,
    wireFeedMPerMin,
    trimMm,
    ctwdMm,
    stiffness: tune.stiffness ?? program.stiffness,
    slowBeat: program.mode === 'double-pulse' ? slowBeat : null,
  };
  if (!isPulsed(program.mode)) return success({ ...moved, pulse: null });
  const solved = tunedPulse(moved, tune);
  if (!solved.ok) return solved;
  const { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz, slewAPerMs } = solved.value;
  return success({ ...moved, pulse: { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz, slewAPerMs } });
}

/** The fast pulse of a program with as many of its four numbers as were fixed; the rest is solved for the feed. Issues: the pulse's own. */
export function tunedPulse(
  program: Program,
  { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz }: PulseTune,
): Outcome<PulseResult> {
  const { filler, gas, diameterMm, wireFeedMPerMin, ctwdMm, trimMm } = program;
  const { lineMm } = arcOf(program, ctwdMm, trimMm);
  return solvePulse({
    filler,
    gas,
    diameterMm,
    wireFeedMPerMin,
    extensionMm: Math.max(ctwdMm - lineMm - trimMm, 3),
    peakCurrentA: peakCurrentA ?? undefined,
    peakTimeMs: peakTimeMs ?? undefined,
    backgroundCurrentA: backgroundCurrentA ?? undefined,
    frequencyHz: frequencyHz ?? undefined,
  });
}

/** The same beat around another mean. */
function beatAt(beat: CanonicalBeat | null, meanFeedMPerMin: number): CanonicalBeat | null {
  if (!beat) return null;
  const by = meanFeedMPerMin / beat.meanFeedMPerMin;
  return {
    ...beat,
    meanFeedMPerMin,
    highFeedMPerMin: beat.highFeedMPerMin * by,
    lowFeedMPerMin: beat.lowFeedMPerMin * by,
  };
}
