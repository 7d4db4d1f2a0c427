export { gunRanges, gunWords, usualGun, type GunAngles } from './gun-angles.ts';
export type { Band, Bands } from './bands.ts';
export type { Because } from './because.ts';
export { figureKinds } from './figure-kinds.ts';
export type { PlanFigures } from './figures.ts';
export { coldPlateC, planInputIssues, type ArcHabit, type PlanInput, type PlanMode, type Seam } from './input.ts';
export {
  thinnerMm,
  jointRule,
  jointRules,
  joints,
  usualLegMm,
  type Joint,
  type JointRule,
  type Thicknesses,
} from './joints.ts';
export { arcIntents, type ArcIntent } from './arc-intents.ts';
export type { GaveWay, WayOut } from './gave-way.ts';
export { gunWarnings } from './cautions.ts';
export {
  backings,
  bevelHeightMm,
  grooveOf,
  isGroove,
  preparationKinds,
  topWidthMm,
  usualRootFaceMm,
  type Backing,
  type EdgeGroove,
  type Preparation,
  type PreparationKind,
} from './preparation.ts';
export { currentRule, thicknessRules, thicknessThatCounts, type ThicknessRule } from './wishes.ts';
export { positionName, positionRule, positionRules, positions, type Position, type PositionRule } from './positions.ts';
export { planSeam, planSetting, type Plan } from './seam-plan.ts';
export { ripplePuddleWarnings } from './usual-beat.ts';
export { decideMode, type ModeDecision, type ModeVerdict } from './decision.ts';
export { isPulsed, modeName, planModes } from './mode.ts';
export type { Pass, PassKind, PassPlace } from './passes.ts';
export { dipArcMm, dipVoltageV, sprayArcMm } from './mode-model.ts';
export { pulsedFeedForCurrent, steadyCurrentOf, steadyFeedOf } from './feed.ts';
export { flowLimitsLPerMin, gasFlow, stickOutMm } from './practice.ts';
export type { PacedPlan } from './hand-pace.ts';
export { completeSite, standardSite, withoutLearning, type HandPace, type KnownSite, type Site } from './site.ts';
