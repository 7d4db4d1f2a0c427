/** Welding positions, ISO 6947 with the US names, and their factor on the feed. Rules of practice for pulse. */
import type { PlanMode } from './mode.ts';
import { jointRule, type Joint } from './joints.ts';

export type Position = 'PA' | 'PB' | 'PC' | 'PD' | 'PE' | 'PF' | 'PG';

export interface PositionRule {
  readonly position: Position;
  readonly name: string;
  /** Factor on the feed by mode; null where the mode is not usable. Pulse from the model, dip and spray assumed. */
  readonly feedFactor: { readonly pulse: number; readonly dip: number; readonly spray: number | null };
  /** US number; the letter follows the joint. */
  readonly us: string;
}

export const positionRules: readonly PositionRule[] = [
  { position: 'PA', name: 'flat', feedFactor: { pulse: 1.05, dip: 1.05, spray: 1.05 }, us: '1' },
  { position: 'PB', name: 'horizontal fillet', feedFactor: { pulse: 1, dip: 1, spray: 1 }, us: '2' },
  { position: 'PC', name: 'horizontal', feedFactor: { pulse: 0.9, dip: 0.95, spray: null }, us: '2' },
  { position: 'PD', name: 'overhead fillet', feedFactor: { pulse: 0.75, dip: 0.85, spray: null }, us: '4' },
  { position: 'PE', name: 'overhead', feedFactor: { pulse: 0.75, dip: 0.85, spray: null }, us: '4' },
  { position: 'PF', name: 'vertical up', feedFactor: { pulse: 0.6, dip: 0.8, spray: null }, us: '3' },
  { position: 'PG', name: 'vertical down', feedFactor: { pulse: 0.9, dip: 1, spray: null }, us: '3' },
];

export const positions: readonly Position[] = positionRules.map((rule) => rule.position);

export function positionRule(position: Position): PositionRule {
  const rule = positionRules.find((candidate) => candidate.position === position);
  if (!rule) throw new Error(`unknown position ${position}`);
  return rule;
}

/** Factor on the feed for a mode, or null where the position does not allow it. */
export function positionFactor(position: Position, mode: PlanMode): number | null {
  return positionRule(position).feedFactor[mode === 'double-pulse' ? 'pulse' : mode];
}

/** For instance "PB / 2F, horizontal fillet". */
export function positionName(position: Position, joint: Joint): string {
  const rule = positionRule(position);
  return `${position} / ${rule.us}${jointRule(joint).isFillet ? 'F' : 'G'}, ${rule.name}`;
}
