/** The `plan` question: a seam and a wire in, a pulse setting with bands, reasons and warnings out. */
import { failure, success, type Issue, type Outcome, type Warning } from '../outcome/index.ts';
import { beatForPitchHz, usualPitchMm } from '../double-pulse/ripple.ts';
import type { CanonicalBeat } from '../double-pulse/canonical.ts';
import { showThrough, type ShowThrough } from '../heat/index.ts';
import { gasWarnings, solvePulse, type PulseResult } from '../pulse/index.ts';
import { planBands, type Bands } from './bands.ts';
import { becauseLines, fixed, type Because } from './because.ts';
import { hazardWarnings, seamWarnings } from './cautions.ts';
import { decideMode, type ModeDecision } from './decision.ts';
import { planFigures, type PlanFigures, type Workings } from './figures.ts';
import { defaultCircuitMOhm, handTravelMmPerMin, planInputIssues, type PlanInput } from './input.ts';
import { jointRule } from './joints.ts';
import type { PlanMode } from './mode.ts';
import { isPulsed } from './mode-model.ts';
import { passTable, type Pass } from './passes.ts';
import { singlePassLimitMm } from './practice.ts';

export interface Plan extends PlanFigures {
  readonly mode: PlanMode;
  readonly circuitMOhm: number;
  readonly transferMode: 'pulsed-one-drop' | 'dip' | 'spray';
  /** Null in modes without a fast pulse. */
  readonly pulse: PulseResult | null;
  /** Only for double pulse. */
  readonly slowBeat: (CanonicalBeat & { readonly ripplePitchMm: number }) | null;
  readonly heatPaths: number;
  /** How far the bead reaches through the part. */
  readonly showThrough: ShowThrough;
  readonly passTable: readonly Pass[];
  readonly decision: ModeDecision;
  readonly warnings: readonly Warning[];
  readonly bands: Bands;
  readonly because: Because;
}

/** A whole plan. Issues as in `planInputIssues`, plus those of the mode. */
export function planSeam(input: PlanInput): Outcome<Plan> {
  const inputIssues = planInputIssues(input);
  if (inputIssues.length > 0) return failure(...inputIssues);
  const outcome = planFigures(input);
  const pulse = isPulsed(input.mode) ? pulseOf(input, outcome) : undefined;
  // A feed that cannot be pulsed is refused in the pulse's own words, with the range it could have been.
  if (pulse && !pulse.ok) return failure(...pulse.issues.map((issue) => blameForFeed(input, issue)));
  if (!outcome.ok) return failure(steadyMissIssue(input, outcome.miss.wireFeedMPerMin));
  const { workings } = outcome;
  const { figures, model } = workings;
  const beat = input.mode === 'double-pulse' ? usualBeat(figures) : null;
  return success({
    ...figures,
    mode: input.mode,
    circuitMOhm: input.circuitMOhm ?? defaultCircuitMOhm,
    transferMode: input.mode === 'dip' || input.mode === 'spray' ? input.mode : 'pulsed-one-drop',
    pulse: pulse ? { ...pulse.value, arcLengthMm: model.arc.arcLengthMm } : null,
    slowBeat: beat,
    heatPaths: jointRule(input.seam.joint).heatPaths,
    showThrough: showThrough(
      workings.wire.family,
      figures.meanCurrentA,
      figures.voltageV,
      figures.travelMmPerMin,
      figures.thicknessMm,
      input.seam.plateC ?? 20,
    ),
    passTable: passTable(input.seam.joint, figures.passes, figures.areaMm2, input.seam.gapMm),
    decision: decideMode(input),
    warnings: [
      ...hazardWarnings(input),
      ...seamWarnings(input, figures.thicknessMm),
      ...settingWarnings(input, workings),
      ...(beat ? beatWarnings(input, workings, beat) : []),
      ...(pulse ? pulse.value.warnings : gasWarnings(input.filler, input.gas)),
    ],
    bands: planBands(input, workings),
    because: becauseLines(input, workings),
  });
}

type FiguresOutcome = ReturnType<typeof planFigures>;

function pulseOf(input: PlanInput, outcome: FiguresOutcome): Outcome<PulseResult> {
  const at = outcome.ok
    ? { extensionMm: outcome.workings.model.extensionMm, wireFeedMPerMin: outcome.workings.figures.wireFeedMPerMin }
    : outcome.miss;
  if (at.wireFeedMPerMin === undefined) return failure(noPulseIssue(input));
  const { filler, gas, diameterMm } = input;
  return solvePulse({ filler, gas, diameterMm, wireFeedMPerMin: at.wireFeedMPerMin, extensionMm: at.extensionMm });
}

/** Dip above its ceiling, or spray below the transition. */
function steadyMissIssue(input: PlanInput, feed: number | undefined): Issue {
  const isDip = input.mode === 'dip';
  return {
    path: input.wireFeedMPerMin === undefined ? 'mode' : 'wireFeedMPerMin',
    code: isDip ? 'too-hot-for-dip' : 'below-transition',
    message: isDip
      ? `No solution, because ${fixed(feed ?? 0, 1)} m/min needs more current than this wire dips at.`
      : `No solution, because ${fixed(feed ?? 0, 1)} m/min needs less current than this wire’s transition: the drops would be large and unsteady.`,
    got: feed,
    hint: isDip ? 'Use pulse or spray, or a thicker wire.' : 'Use pulse or dip, or a thinner wire.',
  };
}

/** A beat to start from: a fifth up and down in equal times, ripples in the middle of what is usual. */
function usualBeat(figures: PlanFigures): CanonicalBeat & { ripplePitchMm: number } {
  const pitch = (usualPitchMm[0] + usualPitchMm[1]) / 2;
  const frequencyHz = Math.min(Math.max(beatForPitchHz(figures.travelMmPerMin, pitch), 0.2), 10);
  const mean = figures.wireFeedMPerMin;
  return {
    meanFeedMPerMin: mean,
    highFeedMPerMin: 1.2 * mean,
    lowFeedMPerMin: 0.8 * mean,
    highShare: 0.5,
    frequencyHz,
    ripplePitchMm: figures.travelMmPerMin / 60 / frequencyHz,
  };
}

function beatWarnings(input: PlanInput, { model }: Workings, beat: CanonicalBeat): Warning[] {
  return (
    [
      ['high', beat.highFeedMPerMin],
      ['low', beat.lowFeedMPerMin],
    ] as const
  ).flatMap(([name, feed]): Warning[] =>
    model.at(feed)
      ? []
      : [
          {
            code: `${name}-not-pulsable`,
            level: 'caution',
            message: `The slow ${name} level of ${fixed(feed, 1)} m/min cannot be pulsed with ${input.diameterMm} mm wire; take a weaker beat.`,
          },
        ],
  );
}

/** When nobody chose the feed, it was the pace or the size that asked for it. */
function blameForFeed(input: PlanInput, issue: Issue): Issue {
  const pace = input.seam.travelMmPerMin;
  if (issue.path !== 'wireFeedMPerMin' || input.wireFeedMPerMin !== undefined) return issue;
  if (pace === undefined) return { ...issue, path: 'diameterMm' };
  return {
    ...issue,
    path: 'seam.travelMmPerMin',
    code: 'outside-pulse-range',
    message: `This size at ${fixed(pace, 0)} mm/min asks for more wire than can be pulsed. ${issue.message}`,
    hint: 'Travel slower, ask for a smaller size, or take another wire diameter.',
  };
}

function noPulseIssue(input: PlanInput): Issue {
  return {
    path: 'diameterMm',
    code: 'no-solution',
    message: `No solution, because no feed pulses a ${input.diameterMm} mm wire one drop at a time in ${input.gas} for this seam.`,
    got: input.diameterMm,
    hint: 'Take another wire diameter, or another pace.',
  };
}

/** What the welder should know about feed, pace and size as they came out. */
function settingWarnings(
  input: PlanInput,
  { figures, reference, proposal, targetA, travelFollowsSize }: Workings,
): Warning[] {
  const warnings: Warning[] = [];
  const caution = (code: string, message: string, level: Warning['level'] = 'caution') =>
    warnings.push({ code, level, message });
  const isFillet = jointRule(input.seam.joint).isFillet;
  if (reference.held === 'lowest') {
    caution(
      'wire-too-thick-for-seam',
      `The seam asks for ${fixed(targetA, 0)} A, less than this wire can pulse. Take a thinner wire.`,
    );
  } else if (reference.held === 'highest') {
    caution(
      'wire-too-thin-for-seam',
      `The seam asks for ${fixed(targetA, 0)} A, more than this wire can pulse. Take a thicker wire or more passes.`,
    );
  }
  const pace = input.seam.travelMmPerMin;
  if (proposal.tooSlow && pace !== undefined) {
    const { wantedMPerMin, travelMmPerMin, legMm } = proposal.tooSlow;
    caution(
      'travel-faster',
      `At ${fixed(pace, 0)} mm/min this size needs only ${fixed(wantedMPerMin, 1)} m/min, too cold to fuse. Travel at ${fixed(travelMmPerMin, 0)} mm/min, or accept ` +
        (isFillet ? `a leg of ${fixed(legMm, 1)} mm at your pace.` : 'a fuller bead at your pace.'),
    );
  }
  if (proposal.excess !== undefined && pace !== undefined) {
    caution(
      'pace-asks-hot',
      `At ${fixed(pace, 0)} mm/min this size needs ${fixed(proposal.feedMPerMin, 1)} m/min, ${fixed(100 * proposal.excess, 0)} % more wire than the thickness wants: look at the back for print-through.`,
    );
  }
  const [slowest, fastest] = handTravelMmPerMin;
  const travel = figures.travelMmPerMin;
  if (travel > fastest) {
    caution(
      'travel-by-hand',
      `${fixed(travel, 0)} mm/min is faster than a hand holds (${fastest}): ask for a larger size, or take less feed.`,
    );
  } else if (travel < slowest) {
    caution(
      'travel-by-hand',
      `${fixed(travel, 0)} mm/min is slower than a hand holds steady (${slowest}): take more feed, or plan more passes.`,
    );
  }
  const ratio = figures.wireFeedMPerMin / figures.proposedFeedMPerMin;
  if (input.wireFeedMPerMin !== undefined && (ratio > 1.25 || ratio < 0.75)) {
    caution(
      'feed-far-from-plan',
      `${fixed(figures.wireFeedMPerMin, 1)} m/min is ${fixed(Math.abs(100 * (ratio - 1)), 0)} % ${ratio > 1 ? 'above' : 'below'} what the seam asks for (${fixed(figures.proposedFeedMPerMin, 1)}): ${ratio > 1 ? 'burn-through on thin parts' : 'poor fusion'} is likely.`,
    );
  }
  if (figures.passes > 1) {
    caution(
      'several-passes',
      `Over ${singlePassLimitMm} mm of leg the seam is planned in ${figures.passes} passes; the figures are for one of them.`,
      'note',
    );
  }
  if (
    !travelFollowsSize &&
    figures.legMm !== null &&
    input.seam.legMm !== undefined &&
    figures.legMm < input.seam.legMm - 0.15
  ) {
    caution(
      'leg-too-small',
      `At this feed and pace the leg is ${fixed(figures.legMm, 1)} mm; ${fixed(input.seam.legMm, 1)} was asked for.`,
    );
  }
  return warnings;
}
