/**
 * The numbers of a plan, without words: three wishes, the setting that bends them least, then pulse, arc, travel and heat.
 * Runs a few dozen times per plan with moved constants, so it builds no text beyond the wishes' own.
 */
import { neutralNudges, wireInGas, type Nudges, type WireInGas } from '../../metal/arc/index.ts';
import { seamGasL, trueFlowFactor, fillerOf } from '../../metal/consumables/index.ts';
import { areaForTravel, filletLegMm, travelForArea } from '../bead/index.ts';
import { arcEnergyKjPerMm, migEfficiency } from '../heat-input/index.ts';
import { depositionKgPerH } from '../../metal/melting/index.ts';
import { bestLogArea, leastBending, type Bend } from './bend.ts';
import { usualSequence } from '../../weld/sequence/index.ts';
import { coldestShare, type GasTimes, type PlanInput } from './input.ts';
import { jointRule, thinnerMm } from './joints.ts';
import type { PassSetting } from './passes.ts';
import { rootSetting } from './root-pass.ts';
import { circuitDropV, modeModel, type ArcPoint, type ModeModel } from './mode-model.ts';
import { slagSPerM, weaveMm } from './practice.ts';
import { grooveOf, isGroove, topWidthMm } from './preparation.ts';
import { wantedOf, type Wanted, type WishNudges } from './wanted.ts';
import { currentRule } from './wishes.ts';
import { travelSeconds, wireMetresIn } from '../../base/units/convert.ts';

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
  /** As an argon gauge reads it. */
  readonly gasFlowLPerMin: number;
  readonly travelMmPerMin: number;
  /** Leg of the bead; null where the joint has none. */
  readonly legMm: number | null;
  /** Cross-section of one pass. */
  readonly areaMm2: number;
  /** Of all passes. */
  readonly totalAreaMm2: number;
  readonly passes: number;
  /** Side-to-side width of the hand going up; 0 straight. */
  readonly weaveMm: number;
  /** Width of the leg or groove that the weave is taken from. */
  readonly weaveWidthMm: number;
  readonly heatInputKjPerMm: number;
  readonly depositionKgPerH: number;
  /** Arc time of the whole seam. */
  readonly arcSeconds: number;
  /** Chipping slag between and after passes; 0 for wires without. */
  readonly slagSeconds: number;
  readonly wireGrams: number;
  /** Gas of the whole seam with pre- and post-flow for each pass. */
  readonly gasLitres: number;
  /** The thickness that counts. */
  readonly thicknessMm: number;
  /** The part that burns through first: what show-through is judged on. */
  readonly thinnerMm: number;
}

/** Deliberate errors of the plan's own rules, beside those of the arc. */
export interface PlanNudges extends Nudges, WishNudges {}

export const neutralPlanNudges: PlanNudges = { ...neutralNudges, referenceCurrent: 1, area: 1 };

/** The figures with everything they were made from, for the words. */
export interface Workings {
  readonly figures: PlanFigures;
  readonly wire: WireInGas;
  readonly model: ModeModel;
  readonly wanted: Wanted;
  readonly bend: Bend;
  readonly point: ArcPoint;
  /** The root's own setting; null where every pass is run alike. */
  readonly root: PassSetting | null;
}

/** Why there are no figures: the mode has no feed at all (`feed` absent), or none at the feed chosen or asked for. */
export interface PlanMiss {
  readonly extensionMm: number;
  readonly wireFeedMPerMin?: number;
  readonly wanted: Wanted;
  /** The search for the feed was given up: no fault of the input. */
  readonly gaveUp?: true;
}

/** Figures of an input that has passed `planInputIssues`, or the feed that cannot be run. */
export function planFigures(
  input: PlanInput,
  nudges: PlanNudges = neutralPlanNudges,
): { readonly ok: true; readonly workings: Workings } | { readonly ok: false; readonly miss: PlanMiss } {
  const { seam, filler, gas, diameterMm } = input;
  const wire = wireInGas(filler, gas, diameterMm, nudges);
  const model = modeModel(input, wire);
  const { arc, extensionMm } = model;
  const wanted = wantedOf(input, wire, nudges);
  const logMetalPerFeed = Math.log(1000 * wire.areaMm2 * wire.yield);
  const startFeedMPerMin = model.near(wanted.currentA);
  // Spray on a thickness that asks for far less would go through it.
  if (input.wireFeedMPerMin === undefined && wanted.thicknessCurrentA < currentRule.sprayLeastShare * wanted.currentA) {
    return { ok: false, miss: { extensionMm, wireFeedMPerMin: model.near(wanted.thicknessCurrentA), wanted } };
  }
  const bend = leastBending({
    ...wanted,
    logMetalPerFeed,
    currentAt: (feed) => model.at(feed)?.meanA,
    limits: () => model.limits(),
    startFeedMPerMin,
    leastCurrentShare: coldestShare,
  });
  if (!bend) return { ok: false, miss: { extensionMm, wanted } };
  if (!bend.converged) return { ok: false, miss: { extensionMm, wanted, gaveUp: true } };
  // A wire that gives no more than that would leave the seam cold; one that gives no less is said in a caution.
  const coldest = model.at(bend.feedMPerMin)?.meanA ?? 0;
  if (input.wireFeedMPerMin === undefined && coldest < coldestShare * wanted.currentA * (1 - 1e-3)) {
    return { ok: false, miss: { extensionMm, wireFeedMPerMin: startFeedMPerMin, wanted } };
  }

  const wireFeedMPerMin = input.wireFeedMPerMin ?? bend.feedMPerMin;
  const point = model.at(wireFeedMPerMin);
  if (!point) return { ok: false, miss: { extensionMm, wireFeedMPerMin, wanted } };

  const { passes } = wanted;
  const areaMm2 =
    input.wireFeedMPerMin === undefined
      ? bend.areaMm2
      : chosenAreaMm2(input, wire, wanted, wireFeedMPerMin, logMetalPerFeed);
  const travelMmPerMin = travelForArea(wire, wireFeedMPerMin, areaMm2);
  const totalAreaMm2 = areaMm2 * passes;
  const isFillet = jointRule(seam.joint).isFillet;
  // A bead thinner than the gap has no leg at all.
  const legMm = isFillet ? Math.max(filletLegMm(totalAreaMm2, seam.gapMm), 0) : null;
  const fill = { wireFeedMPerMin, meanCurrentA: point.meanA, voltageV: point.voltageV, travelMmPerMin };
  const root = rootSetting(input, wire, model, fill, passes, areaMm2);
  // Each pass takes its own time; the metal of the seam is the same whichever pace lays it.
  const secondsAt = (travel: number) => travelSeconds(seam.lengthMm, travel);
  const arcSeconds =
    (root ? secondsAt(root.travelMmPerMin) : 0) + (passes - (root ? 1 : 0)) * secondsAt(travelMmPerMin);
  const wireMPerSeam =
    (root ? wireMetresIn(root.wireFeedMPerMin, secondsAt(root.travelMmPerMin)) : 0) +
    ((passes - (root ? 1 : 0)) * wireFeedMPerMin * secondsAt(travelMmPerMin)) / 60;
  const gasTimes = gasTimesOf(input, wanted.thickness.thicknessMm);
  const hasSlag = filler === 'steel-flux-cored' || filler === 'steel-self-shielded';
  const widthMm =
    seam.preparation && isGroove(seam.preparation)
      ? topWidthMm(grooveOf(seam.preparation, thinnerMm(seam.thicknessesMm), seam.gapMm))
      : (legMm ?? 0);

  const workings: Workings = {
    figures: {
      wireFeedMPerMin,
      proposedFeedMPerMin: bend.feedMPerMin,
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
      totalAreaMm2,
      passes,
      weaveMm: weaveMm(seam.position === 'PF', widthMm),
      weaveWidthMm: widthMm,
      heatInputKjPerMm: arcEnergyKjPerMm(point.powerW, travelMmPerMin) * migEfficiency,
      depositionKgPerH: depositionKgPerH(wire, wireFeedMPerMin),
      arcSeconds,
      slagSeconds: hasSlag ? (slagSPerM * passes * seam.lengthMm) / 1000 : 0,
      wireGrams: (wireMPerSeam * wire.areaMm2 * fillerOf(filler).densityKgPerM3) / 1000,
      gasLitres: seamGasL(
        model.flow.flowLPerMin * trueFlowFactor(gas),
        arcSeconds,
        passes,
        gasTimes.preGasS,
        gasTimes.postGasS,
      ),
      thicknessMm: wanted.thickness.thicknessMm,
      thinnerMm: thinnerMm(seam.thicknessesMm),
    },
    wire,
    model,
    wanted,
    bend,
    point,
    root,
  };
  return { ok: true, workings };
}

/** What flows before and after each start: the sequence's own times, else those of the usual one. */
export function gasTimesOf({ gasTimes, filler, seam }: PlanInput, thicknessMm: number): GasTimes {
  return gasTimes ?? usualSequence(filler, thicknessMm, seam.lengthMm);
}

/** A feed that the welder chose leaves pace and size: an asked size is kept, else a pace of one's own, else both bend. */
function chosenAreaMm2(
  { seam }: PlanInput,
  wire: WireInGas,
  wanted: Wanted,
  wireFeedMPerMin: number,
  logMetalPerFeed: number,
): number {
  if (seam.travelMmPerMin !== undefined && wanted.passes === 1) {
    return areaForTravel(wire, wireFeedMPerMin, seam.travelMmPerMin);
  }
  return Math.exp(bestLogArea(wanted.travel, wanted.area, Math.log(wireFeedMPerMin) + logMetalPerFeed));
}
