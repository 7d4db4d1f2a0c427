/** The `plan` question: a seam and a wire in, a pulse setting with bands, reasons and warnings out. */
import { failure, success, type Issue, type Outcome, type Warning } from '../outcome/index.ts';
import { solvePulse, type PulseResult } from '../pulse/index.ts';
import { planBands, type Bands } from './bands.ts';
import { becauseLines, fixed, type Because } from './because.ts';
import { hazardWarnings, seamWarnings } from './cautions.ts';
import { planFigures, type PlanFigures, type Workings } from './figures.ts';
import { defaultCircuitMOhm, handTravelMmPerMin, planInputIssues, type PlanInput } from './input.ts';
import { jointRule } from './joints.ts';
import { singlePassLimitMm } from './practice.ts';

export interface Plan extends PlanFigures {
  readonly mode: 'pulse';
  readonly circuitMOhm: number;
  readonly transferMode: 'pulsed-one-drop';
  readonly pulse: PulseResult;
  readonly warnings: readonly Warning[];
  readonly bands: Bands;
  readonly because: Because;
}

/** A whole plan. Issues as in `planInputIssues`, plus those of the pulse. */
export function planSeam(input: PlanInput): Outcome<Plan> {
  const inputIssues = planInputIssues(input);
  if (inputIssues.length > 0) return failure(...inputIssues);
  const outcome = planFigures(input);
  const at = outcome.ok
    ? { extensionMm: outcome.workings.extensionMm, wireFeedMPerMin: outcome.workings.figures.wireFeedMPerMin }
    : outcome.miss;
  if (at.wireFeedMPerMin === undefined) return failure(noPulseIssue(input));
  const { filler, gas, diameterMm } = input;
  const pulse = solvePulse({
    filler,
    gas,
    diameterMm,
    wireFeedMPerMin: at.wireFeedMPerMin,
    extensionMm: at.extensionMm,
  });
  // A feed that cannot be pulsed is refused in the pulse's own words, with the range it could have been.
  if (!pulse.ok) return failure(...pulse.issues.map((issue) => blameForFeed(input, issue)));
  if (!outcome.ok) throw new Error('a plan without figures must have a pulse that cannot be solved');
  const { workings } = outcome;
  const { figures, arc } = workings;
  return success({
    ...figures,
    mode: 'pulse',
    circuitMOhm: input.circuitMOhm ?? defaultCircuitMOhm,
    transferMode: 'pulsed-one-drop',
    pulse: { ...pulse.value, arcLengthMm: arc.arcLengthMm },
    warnings: [
      ...hazardWarnings(input),
      ...seamWarnings(input, figures.thicknessMm),
      ...settingWarnings(input, workings),
      ...pulse.value.warnings,
    ],
    bands: planBands(input, workings),
    because: becauseLines(input, workings),
  });
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
