/** Welding positions, ISO 6947 with the US names. */
import { message, joined, type Phrase, type Said } from '../../base/messages/index.ts';
import type { PlanMode } from './mode.ts';
import { jointRule, type Joint } from './joints.ts';

export type Position = 'PA' | 'PB' | 'PC' | 'PD' | 'PE' | 'PF' | 'PG';

export interface PositionRule {
  readonly position: Position;
  readonly name: Phrase;
  /** US number; the letter follows the joint. */
  readonly us: string;
  /** Spray's large fluid pool stays where it is laid. */
  readonly holdsSpray: boolean;
}

export const positionRules: readonly PositionRule[] = [
  { position: 'PA', name: message('plan.flat'), us: '1', holdsSpray: true },
  { position: 'PB', name: message('plan.horizontal-fillet'), us: '2', holdsSpray: true },
  { position: 'PC', name: message('plan.horizontal'), us: '2', holdsSpray: false },
  { position: 'PD', name: message('plan.overhead-fillet'), us: '4', holdsSpray: false },
  { position: 'PE', name: message('plan.overhead'), us: '4', holdsSpray: false },
  { position: 'PF', name: message('plan.because.vertical-up'), us: '3', holdsSpray: false },
  { position: 'PG', name: message('plan.vertical-down'), us: '3', holdsSpray: false },
];

export const positions: readonly Position[] = positionRules.map((rule) => rule.position);

export function positionRule(position: Position): PositionRule {
  const rule = positionRules.find((candidate) => candidate.position === position);
  if (!rule) throw new Error(`unknown position ${position}`);
  return rule;
}

/** Whether the mode holds its pool in the position. */
export function allowsPosition(position: Position, mode: PlanMode): boolean {
  return mode !== 'spray' || positionRule(position).holdsSpray;
}

export const isOverhead = (position: Position): boolean => position === 'PD' || position === 'PE';

/** For instance "PB / 2F, horizontal fillet"; a US name exists only for the joint that the position is meant for. */
export function positionName(position: Position, joint: Joint): Said {
  const rule = positionRule(position);
  const isFillet =
    position === 'PB' || position === 'PD' || (position !== 'PC' && position !== 'PE' && jointRule(joint).isFillet);
  return joined([`${position} / ${rule.us}${isFillet ? 'F' : 'G'}`, rule.name], ', ');
}
