/**
 * Which transfer mode suits the seam: every mode is planned, those that cannot be are rejected with the reason,
 * the rest are ranked by what practice wants of them. Rules of practice.
 */
import { isSaid, message, amount, joined, type Phrase, type Said } from '../../base/messages/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import type { Issue } from '../../base/outcome/index.ts';
import { lowestPulseFeed } from '../pulse/index.ts';
import { planFigures } from './figures.ts';
import { planInputIssues, type PlanInput } from './input.ts';
import { planModes, type PlanMode } from './mode.ts';
import { modeModel } from './mode-model.ts';

export interface ModeVerdict {
  readonly mode: PlanMode;
  readonly verdict: 'first choice' | 'runner-up' | 'possible' | 'rejected';
  readonly reason: Phrase;
}

export interface ModeDecision {
  readonly modes: readonly ModeVerdict[];
  /** Lowest feed at which this wire still pulses one drop at a time, m/min; null where it is not pulsed. */
  readonly lowestPulseFeedMPerMin: number | null;
}

/** Dip leaves lack of fusion on plate thicker than this, mm. */
const dipToMm = 5;
const thinToMm = 3;
const sprayFromMm = 5;
const wideGapMm = 1;

export function decideMode(input: PlanInput): ModeDecision {
  const ranked: { mode: PlanMode; score: number; reason: Phrase }[] = [];
  const rejected: ModeVerdict[] = [];
  for (const mode of planModes) {
    // A feed chosen for one mode says nothing about another.
    const asked: PlanInput = {
      ...input,
      mode,
      machine: input.machine ?? input.site.limits ?? undefined,
      ...(mode === input.mode ? {} : { wireFeedMPerMin: undefined }),
    };
    const refusal = refusalOf(asked);
    if (isSaid(refusal)) rejected.push({ mode, verdict: 'rejected', reason: refusal });
    else ranked.push({ mode, ...judge(asked, refusal.thicknessMm) });
  }
  ranked.sort((a, b) => b.score - a.score);
  const places = ['first choice', 'runner-up'] as const;
  const pulsed = planInputIssues({ ...input, mode: 'pulse', wireFeedMPerMin: undefined }).length === 0;
  const wire = pulsed ? wireInGas(input.filler, input.gas, input.diameterMm) : undefined;
  return {
    modes: [
      ...ranked.map(({ mode, reason }, index) => ({ mode, verdict: places[index] ?? ('possible' as const), reason })),
      ...rejected,
    ],
    lowestPulseFeedMPerMin: wire
      ? (lowestPulseFeed(wire, modeModel({ ...input, mode: 'pulse' }, wire).extensionMm) ?? null)
      : null,
  };
}

/** The thickness that counts when the mode can be planned, or why it cannot. */
function refusalOf(input: PlanInput): Said | { thicknessMm: number } {
  const issues = planInputIssues(input);
  if (issues.length > 0) return firstSentence(issues);
  const outcome = planFigures(input);
  if (outcome.ok) {
    const { thicknessMm } = outcome.workings.figures;
    if (input.mode === 'dip' && thicknessMm > dipToMm)
      return message('plan.mode-why.over-dip', { dipTo: amount('shortLength', dipToMm) });
    return { thicknessMm };
  }
  const machine = machineRefusal(input, outcome.miss.wireFeedMPerMin, outcome.miss.wanted.currentA);
  if (machine) return machine;
  switch (input.mode) {
    case 'dip':
      return message('plan.mode-why.current-above-dip');
    case 'spray':
      return message('plan.mode-why.current-below-transition');
    default:
      return message('plan.mode-why.feed-outside-pulse');
  }
}

/** The machine's own ceiling, where it and not the wire is in the way. */
function machineRefusal({ machine }: PlanInput, feed: number | undefined, currentA: number): Said | undefined {
  if (machine?.maxCurrentA !== undefined && currentA > machine.maxCurrentA) {
    return message('plan.mode-why.machine-current', {
      current: amount('current', currentA, 0),
      maxCurrent: amount('current', machine.maxCurrentA),
    });
  }
  const feeds = machine?.wireFeedMPerMin;
  if (feeds && feed !== undefined && (feed > feeds[1] || feed < feeds[0])) {
    return message('plan.mode-why.machine-feed', {
      feed: amount('wireFeed', feed, 1),
      least: feeds[0],
      most: feeds[1],
    });
  }
  return undefined;
}

function firstSentence(issues: readonly Issue[]): Said {
  return joined([issues[0]?.message ?? '']);
}

function judge({ mode, seam }: PlanInput, thicknessMm: number): { score: number; reason: Phrase } {
  const isThin = thicknessMm < thinToMm;
  const isWide = seam.gapMm > wideGapMm;
  const isAluminium = seam.materialGroup === 'aluminium';
  switch (mode) {
    case 'pulse':
      return { score: 80 - (isWide ? 15 : 0), reason: message('plan.mode-why.pulse') };
    case 'dip':
      return {
        score: 50 + (isThin ? 20 : 0) + (isWide ? 20 : 0) - (seam.materialGroup === 'stainless' ? 15 : 0),
        reason: isWide
          ? message('plan.mode-why.dip-gap')
          : isThin
            ? message('plan.mode-why.dip-thin')
            : message('plan.mode-why.dip-thicker'),
      };
    case 'spray':
      return {
        score: 55 + (thicknessMm >= sprayFromMm ? 30 : 0),
        reason: message('plan.mode-why.spray'),
      };
    case 'cored':
      return {
        score: 90,
        reason: message('plan.mode-why.cored'),
      };
    case 'double-pulse':
      return {
        score: 45 + (isAluminium ? 30 : 0),
        reason: isAluminium ? message('plan.mode-why.double-pulse') : message('plan.mode-why.double-pulse-ripples'),
      };
  }
}
