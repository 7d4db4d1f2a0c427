/** Transfer modes a plan can be asked for. */
export type PlanMode = 'dip' | 'spray' | 'pulse' | 'double-pulse';

export const planModes: readonly PlanMode[] = ['pulse', 'dip', 'spray', 'double-pulse'];
