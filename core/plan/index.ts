export type { Band, Bands } from './bands.ts';
export type { Because } from './because.ts';
export type { PlanFigures } from './figures.ts';
export { planInputIssues, type ArcHabit, type PlanInput, type PlanMode, type Seam } from './input.ts';
export { defaultLegMm, jointRule, jointRules, joints, type Joint, type JointRule, type Thicknesses } from './joints.ts';
export { positionName, positionRule, positionRules, positions, type Position, type PositionRule } from './positions.ts';
export { planSeam, type Plan } from './seam-plan.ts';
