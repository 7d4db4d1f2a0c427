import { message, type Said } from '../../base/messages/index.ts';

/** Transfer modes a plan can be asked for. */
export type PlanMode = 'dip' | 'spray' | 'pulse' | 'double-pulse' | 'cored';

export const planModes: readonly PlanMode[] = ['pulse', 'dip', 'spray', 'double-pulse', 'cored'];

/** Modes whose current flows in pulses. */
export function isPulsed(mode: PlanMode): boolean {
  return mode === 'pulse' || mode === 'double-pulse';
}

/** A mode as it stands in a sentence. */
export function modeName(mode: PlanMode): Said {
  return message(`plan.mode-${mode}`);
}
