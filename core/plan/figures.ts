/**
 * The numbers of a plan, without words: thickness that counts, current for metal, joint and gap, feed for position and pace,
 * then pulse, arc, travel and heat. Runs a few dozen times per plan with moved constants, so it builds no text.
 */
import { neutralNudges, wireInGas, type Nudges, type WireInGas } from '../arc/index.ts';
import { seamGasL } from '../consumption/index.ts';
import { areaForTravel, filletAreaMm2, filletLegMm, travelForArea } from '../bead/index.ts';
import { arcEnergyKjPerMm, migEfficiency } from '../heat/index.ts';
import { depositionKgPerH } from '../melting/index.ts';
import { proposeFeed, type FeedProposal, type ReferenceFeed } from './feed.ts';
import type { PlanInput } from './input.ts';
import { defaultLegMm, jointArea, jointRule, thicknessThatCounts } from './joints.ts';
import { circuitDropV, modeModel, type ArcPoint, type ModeModel } from './mode-model.ts';
import { positionFactor } from './positions.ts';
import {
  flowAfterS,
  flowBeforeS,
  gapFactor,
  materialFactor,
  referenceCurrentA,
  singlePassLimitMm,
} from './practice.ts';

export interface PlanFigures {
  readonly wireFeedMPerMin: number;
  /** What the rules propose, whatever feed was chosen. */
  readonly proposedFeedMPerMin: number;
  readonly meanCurrentA: number;
  readonly rmsCurrentA: number;
  /** Fast pulse; null in modes without one. */
  readonly frequencyHz: number | null;
  readonly backgroundCurrentA: number | null;
  /** Mean at the contact tip. */
  readonly voltageV: number;
  readonly machineVoltageV: number;
  /** Mean of instantaneous u i at the contact tip. */
  readonly meanPowerW: number;
  readonly arcLengthMm: number;
  /** Arc length minus the line. */
  readonly trimMm: number;
  readonly ctwdMm: number;
  readonly tipRecessMm: number;
  readonly gasFlowLPerMin: number;
  readonly travelMmPerMin: number;
  /** Leg of the bead; null where the joint has none. */
  readonly legMm: number | null;
  /** Cross-section of one pass. */
  readonly areaMm2: number;
  readonly passes: number;
  readonly heatInputKjPerMm: number;
  readonly depositionKgPerH: number;
  /** Arc time of the whole seam. */
  readonly arcSeconds: number;
  readonly wireGrams: number;
  /** Gas of the whole seam with pre- and post-flow for each pass. */
  readonly gasLitres: number;
  /** The thickness that counts. */
  readonly thicknessMm: number;
}

/** Deliberate errors of the plan's own rules, beside those of the arc. */
export interface PlanNudges extends Nudges {
  readonly referenceCurrent: number;
  readonly area: number;
}

export const neutralPlanNudges: PlanNudges = { ...neutralNudges, referenceCurrent: 1, area: 1 };

/** The figures with everything they were made from, for the words. */
export interface Workings {
  readonly figures: PlanFigures;
  readonly wire: WireInGas;
  readonly model: ModeModel;
  readonly targetA: number;
  readonly reference: ReferenceFeed;
  readonly proposal: FeedProposal;
  readonly point: ArcPoint;
  /** True when travel was computed from the size, false when it is the welder's own. */
  readonly travelFollowsSize: boolean;
}

/** Why there are no figures: this wire pulses at no feed at all (`feed` absent), or not at the feed chosen or asked for by the pace. */
export interface PlanMiss {
  readonly extensionMm: number;
  readonly wireFeedMPerMin?: number;
}

/** Figures of an input that has passed `planInputIssues`, or the feed that cannot be pulsed. */
export function planFigures(
  input: PlanInput,
  nudges: PlanNudges = neutralPlanNudges,
): { readonly ok: true; readonly workings: Workings } | { readonly ok: false; readonly miss: PlanMiss } {
  const { seam, filler, gas, diameterMm } = input;
  const wire = wireInGas(filler, gas, diameterMm, nudges);
  const joint = jointRule(seam.joint);
  const { thicknessMm } = thicknessThatCounts(seam.joint, seam.thicknessesMm);
  const model = modeModel(input, wire);
  const { arc, extensionMm } = model;

  const targetA =
    referenceCurrentA(thicknessMm) *
    materialFactor(seam.materialGroup, filler, thicknessMm).factor *
    joint.currentFactor *
    gapFactor(seam.gapMm) *
    nudges.referenceCurrent;
  const reference = model.feedForCurrent(targetA);
  if (!reference) return { ok: false, miss: { extensionMm } };

  const legAskedMm = joint.isFillet ? (seam.legMm ?? defaultLegMm(seam.thicknessesMm)) : null;
  const whole = jointArea(seam.joint, seam.thicknessesMm, seam.gapMm, legAskedMm ?? 0).areaMm2;
  // A leg of exactly the limit is one pass, whatever rounding says.
  const passes = Math.max(1, Math.ceil(whole / filletAreaMm2(singlePassLimitMm) - 1e-9));
  const passAreaMm2 = (whole / passes) * nudges.area;
  const positioned = reference.feedMPerMin * (positionFactor(seam.position, input.mode) ?? 1);
  const proposal = proposeFeed(
    wire,
    (feed) => model.at(feed)?.meanA ?? Number.NaN,
    positioned,
    passAreaMm2,
    seam.gapMm,
    seam.travelMmPerMin,
  );

  const wireFeedMPerMin = input.wireFeedMPerMin ?? proposal.feedMPerMin;
  const point = model.at(wireFeedMPerMin);
  if (!point) return { ok: false, miss: { extensionMm, wireFeedMPerMin } };

  const pace = seam.travelMmPerMin;
  const travelFollowsSize =
    pace === undefined || (proposal.tooSlow !== undefined && input.wireFeedMPerMin === undefined);
  const travelMmPerMin = travelFollowsSize ? travelForArea(wire, wireFeedMPerMin, passAreaMm2) : pace;
  const areaMm2 = travelFollowsSize ? passAreaMm2 : areaForTravel(wire, wireFeedMPerMin, travelMmPerMin);
  const legMm = legAskedMm === null || travelFollowsSize || passes > 1 ? legAskedMm : filletLegMm(areaMm2, seam.gapMm);
  const arcSeconds = (passes * seam.lengthMm * 60) / travelMmPerMin;

  const workings: Workings = {
    figures: {
      wireFeedMPerMin,
      proposedFeedMPerMin: proposal.feedMPerMin,
      meanCurrentA: point.meanA,
      rmsCurrentA: point.rmsA,
      frequencyHz: point.pulse?.frequencyHz ?? null,
      backgroundCurrentA: point.pulse?.backgroundCurrentA ?? null,
      voltageV: point.voltageV,
      machineVoltageV: point.voltageV + circuitDropV(input, point.meanA),
      meanPowerW: point.powerW,
      arcLengthMm: arc.arcLengthMm,
      trimMm: arc.arcLengthMm - arc.lineMm,
      ctwdMm: model.ctwdMm,
      tipRecessMm: model.tipRecessMm,
      gasFlowLPerMin: model.flow.flowLPerMin,
      travelMmPerMin,
      legMm,
      areaMm2,
      passes,
      heatInputKjPerMm: arcEnergyKjPerMm(point.powerW, travelMmPerMin) * migEfficiency,
      depositionKgPerH: depositionKgPerH(wire, wireFeedMPerMin),
      arcSeconds,
      wireGrams: ((wireFeedMPerMin * wire.areaMm2 * wire.densityKgPerM3) / 1000) * (arcSeconds / 60),
      gasLitres: seamGasL(model.flow.flowLPerMin, arcSeconds, passes, flowBeforeS, flowAfterS),
      thicknessMm,
    },
    wire,
    model,
    targetA,
    reference,
    proposal,
    point,
    travelFollowsSize,
  };
  return { ok: true, workings };
}
