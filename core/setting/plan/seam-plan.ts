/** The `plan` question: a seam and a wire in, a setting with bands, reasons, warnings, passes and ways out. */
import { amount, joined, message, type Phrase } from '../../base/messages/index.ts';
import { failure, type Issue, type Outcome, success, type Warning } from '../../base/outcome/index.ts';
import { wireSizeLabel } from '../../metal/consumables/index.ts';
import type { CanonicalBeat } from '../double-pulse/canonical.ts';
import { type ShowThrough, showThrough } from '../heat-input/index.ts';
import { gasWarnings, type PulseResult, solvePulse } from '../pulse/index.ts';
import { type Bands, planBands } from './bands.ts';
import { type Because, becauseLines } from './because.ts';
import { gunWarnings, hazardWarnings, seamWarnings } from './cautions.ts';
import { decideMode, type ModeDecision } from './decision.ts';
import { type PlanFigures, planFigures, type Workings } from './figures.ts';
import { type GaveWay, gaveWay } from './gave-way.ts';
import { usualGun } from './gun-angles.ts';
import { type PacedPlan, paceWords, withHandPace } from './hand-pace.ts';
import { coldPlateC, handTravelMmPerMin, type PlanInput, planInputIssues } from './input.ts';
import { jointRule, thinnerMm } from './joints.ts';
import { isPulsed, type PlanMode } from './mode.ts';
import { type Pass, type PassSetting, passTable } from './passes.ts';
import { singlePassLimitMm } from './practice.ts';
import { feedForCurrent } from './root-pass.ts';
import { beatWarnings, usualBeat } from './usual-beat.ts';

export interface Plan extends PlanFigures {
  readonly mode: PlanMode;
  readonly circuitMOhm: number;
  readonly transferMode: 'pulsed-one-drop' | 'pulsed-multi-drop' | 'dip' | 'spray';
  /** Null in modes without a fast pulse. */
  readonly pulse: PulseResult | null;
  /** Only for double pulse. */
  readonly slowBeat: (CanonicalBeat & { readonly ripplePitchMm: number }) | null;
  readonly heatPaths: number;
  /** How far the bead reaches through the part. */
  readonly showThrough: ShowThrough;
  readonly passTable: readonly Pass[];
  /** Wishes that bent beyond their free share, each with its ways out. */
  readonly gaveWay: readonly GaveWay[];
  readonly decision: ModeDecision;
  readonly warnings: readonly Warning[];
  readonly bands: Bands;
  readonly because: Because;
  /** Null where the plan's own pace counts. */
  readonly pace: (PacedPlan & { readonly words: Phrase }) | null;
}

/** Just the figures of a plan: what a key press, a ranking or a map asks for. Issues as in `planSeam`. */
export function planSetting(input: PlanInput): Outcome<PlanFigures> {
  const inputIssues = planInputIssues(input);
  if (inputIssues.length > 0) return failure(...inputIssues);
  const paced = withHandPace(input);
  const outcome = planFigures(paced.input);
  return outcome.ok ? success(outcome.workings.figures) : failure(missIssue(paced.input, outcome));
}

function missIssue(input: PlanInput, outcome: FiguresOutcome & { readonly ok: false }): Issue {
  if (outcome.miss.gaveUp) return { path: '', code: 'not-converged', message: message('plan.error.not-converged') };
  if (!isPulsed(input.mode)) return steadyMissIssue(input, outcome.miss.wireFeedMPerMin);
  const pulse = pulseOf(input, outcome);
  return pulse.ok ? noPulseIssue(input) : blameForFeed(input, pulse.issues[0] ?? noPulseIssue(input));
}

/** A whole plan. Issues as in `planInputIssues`, plus those of the mode. */
export function planSeam(asked: PlanInput): Outcome<Plan> {
  const inputIssues = planInputIssues(asked);
  if (inputIssues.length > 0) return failure(...inputIssues);
  const { input, paced } = withHandPace(asked);
  const outcome = planFigures(input);
  if (!outcome.ok) return failure(missIssue(input, outcome));
  const pulse = isPulsed(input.mode) ? pulseOf(input, outcome) : undefined;
  if (pulse && !pulse.ok) return failure(...pulse.issues.map((issue) => blameForFeed(input, issue)));
  const { workings } = outcome;
  const { figures, model } = workings;
  const beat = input.mode === 'double-pulse' ? usualBeat(workings) : null;
  const thinner = thinnerMm(input.seam.thicknessesMm);
  const through = showThrough(
    workings.wire.family,
    figures.meanCurrentA,
    figures.voltageV,
    figures.travelMmPerMin,
    thinner,
    input.seam.plateC ?? coldPlateC,
  );
  const ways = gaveWay(
    input,
    workings,
    feedForCurrent(input, workings.wire, model, workings.wanted.currentA, figures.wireFeedMPerMin),
  );
  return success({
    ...figures,
    mode: input.mode,
    circuitMOhm: input.site.circuitMOhm,
    transferMode: transferModeOf(input, workings),
    pulse: pulse ? { ...pulse.value, arcLengthMm: model.arc.arcLengthMm } : null,
    slowBeat: beat,
    heatPaths: jointRule(input.seam.joint).heatPaths,
    showThrough: through,
    passTable: passTable(input, figures.passes, figures.areaMm2, (kind) =>
      kind === 'root' && workings.root ? workings.root : fillSetting(figures),
    ),
    gaveWay: ways,
    decision: decideMode(input),
    warnings: [
      ...hazardWarnings(input),
      ...seamWarnings(input),
      ...gunWarnings(
        input.seam.joint,
        input.mode,
        input.filler,
        usualGun(input.seam.joint, input.seam.thicknessesMm, input.filler),
      ),
      ...settingWarnings(input, workings),
      ...throughWarnings(through, figures.passes, input),
      ...(beat ? beatWarnings(figures, beat) : []),
      ...(pulse ? pulse.value.warnings : gasWarnings(input.filler, input.gas)),
    ],
    bands: planBands(input, workings),
    because: becauseLines(input, workings),
    pace:
      paced && input.site.pace ? { ...paced, words: paceWords(input.site.pace, paced, figures.wireFeedMPerMin) } : null,
  });
}

function transferModeOf({ mode }: PlanInput, { point }: Workings): Plan['transferMode'] {
  if (mode === 'dip') return 'dip';
  if (mode === 'spray' || mode === 'cored') return 'spray';
  return (point.pulse?.dropsPerPulse ?? 1) > 1.35 ? 'pulsed-multi-drop' : 'pulsed-one-drop';
}

function fillSetting({ wireFeedMPerMin, meanCurrentA, voltageV, travelMmPerMin }: PlanFigures): PassSetting {
  return { wireFeedMPerMin, meanCurrentA, voltageV, travelMmPerMin };
}

type FiguresOutcome = ReturnType<typeof planFigures>;

function pulseOf(input: PlanInput, outcome: FiguresOutcome): Outcome<PulseResult> {
  const at = outcome.ok
    ? { extensionMm: outcome.workings.model.extensionMm, wireFeedMPerMin: outcome.workings.figures.wireFeedMPerMin }
    : outcome.miss;
  if (at.wireFeedMPerMin === undefined) return failure(noPulseIssue(input));
  const { filler, gas, diameterMm, machine } = input;
  return solvePulse({
    filler,
    gas,
    diameterMm,
    wireFeedMPerMin: at.wireFeedMPerMin,
    extensionMm: at.extensionMm,
    machine,
  });
}

/** Why a mode without pulses has no feed for the seam. */
function steadyMissIssue(input: PlanInput, feed: number | undefined): Issue {
  const path = input.wireFeedMPerMin === undefined ? 'mode' : 'wireFeedMPerMin';
  const asked = joined([amount('wireFeed', feed ?? 0, 1)]);
  if (input.mode === 'dip') {
    return {
      path,
      code: 'too-hot-for-dip',
      message: message('plan.error.above-dip', { asked }),
      got: feed,
      hint: message('plan.hint.pulse-or-thicker-wire'),
    };
  }
  if (input.mode === 'cored') {
    return {
      path,
      code: 'outside-cored-range',
      message: message('plan.error.outside-cored', { asked }),
      got: feed,
      hint: message('plan.hint.other-wire-size'),
    };
  }
  return {
    path,
    code: 'below-transition',
    message: message('plan.error.below-transition', { asked }),
    got: feed,
    hint: message('plan.hint.pulse-or-thinner-wire'),
  };
}

/** A back that the bead reaches is the part's loss: said as a caution, not only as a figure. */
function throughWarnings(through: ShowThrough, passes: number, { filler, seam }: PlanInput): Warning[] {
  const isBacked = (seam.preparation?.backing ?? 'none') !== 'none';
  if (passes > 1 || isBacked || filler === 'cusi3') return [];
  if (through.verdict !== 'prints through on the back' && through.verdict !== 'burn-through likely') return [];
  return [
    {
      code: through.verdict === 'burn-through likely' ? 'burn-through' : 'prints-through',
      level: 'caution',
      message: message('plan.because.penetration', {
        index: amount('percent', 100 * through.index, 0),
        verdict: message(`name.${through.verdict}`),
      }),
    },
  ];
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
    message: message('plan.error.size-over-pulse', { pace: amount('travel', pace, 0), message: issue.message }),
    hint: message('plan.hint.slower-or-smaller'),
  };
}

function noPulseIssue(input: PlanInput): Issue {
  return {
    path: 'diameterMm',
    code: 'no-solution',
    message: message('plan.error.no-feed-pulses', {
      diameter: wireSizeLabel(input.diameterMm),
      gas: input.gas,
    }),
    got: input.diameterMm,
    hint: message('plan.hint.other-wire-size-or-travel'),
  };
}

/** What the welder should know about feed, pace and size as they came out. */
function settingWarnings(input: PlanInput, { figures, wanted, bend }: Workings): Warning[] {
  const warnings: Warning[] = [];
  const caution = (code: string, message: Phrase, level: Warning['level'] = 'caution') =>
    warnings.push({ code, level, message });
  const { seam } = input;
  if (bend.held === 'lowest' && figures.meanCurrentA > 1.05 * wanted.currentA) {
    caution(
      'wire-too-thick-for-seam',
      message('plan.error.current-below-wire', { current: amount('current', wanted.currentA, 0) }),
    );
  } else if (bend.held === 'highest' && figures.meanCurrentA < 0.95 * wanted.currentA) {
    caution(
      'wire-too-thin-for-seam',
      message('plan.error.current-above-wire', { current: amount('current', wanted.currentA, 0) }),
    );
  }
  const [slowest, fastest] = handTravelMmPerMin(seam);
  const travel = figures.travelMmPerMin;
  if (travel > fastest) {
    caution(
      'travel-by-hand',
      message('plan.caution.travel-too-fast', { travel: amount('travel', travel, 0), fastest }),
    );
  } else if (travel < slowest) {
    caution(
      'travel-by-hand',
      message('plan.caution.travel-too-slow', { travel: amount('travel', travel, 0), slowest }),
    );
  }
  const pace = seam.travelMmPerMin;
  if (pace !== undefined && input.wireFeedMPerMin === undefined && Math.abs(travel / pace - 1) > 0.03) {
    caution(
      travel > pace ? 'travel-faster' : 'pace-asks-hot',
      travel > pace
        ? message('plan.error.too-cold-to-fuse', {
            pace: amount('travel', pace, 0),
            travel: amount('travel', travel, 0),
          })
        : message('plan.error.too-much-wire', { pace: amount('travel', pace, 0), travel: amount('travel', travel, 0) }),
    );
  }
  const ratio = figures.wireFeedMPerMin / figures.proposedFeedMPerMin;
  if (input.wireFeedMPerMin !== undefined && (ratio > 1.25 || ratio < 0.75)) {
    caution(
      'feed-far-from-plan',
      message('plan.because.feed-against-need', {
        wireFeed: amount('wireFeed', figures.wireFeedMPerMin, 1),
        ratio: amount('percent', Math.abs(100 * (ratio - 1)), 0),
        side: ratio > 1 ? 'above' : 'other',
        proposedFeed: amount('wireFeed', figures.proposedFeedMPerMin, 1),
      }),
    );
  }
  if (figures.passes > 1) {
    caution(
      'several-passes',
      seam.joint === 'butt'
        ? message('plan.because.groove-passes', { passes: figures.passes })
        : message('plan.because.fillet-passes', {
            singlePassLimit: amount('shortLength', singlePassLimitMm),
            passes: figures.passes,
          }),
      'note',
    );
  }
  if (figures.legMm !== null && seam.legMm !== undefined && figures.legMm < seam.legMm - 0.15) {
    caution(
      'leg-too-small',
      message('plan.caution.leg-differs', {
        leg: amount('shortLength', figures.legMm, 1),
        required: amount('plain', seam.legMm, 1),
      }),
    );
  }
  return warnings;
}
