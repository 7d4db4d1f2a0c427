/** Welding positions, ISO 6947 with the US names, and their factor on the feed. Rules of practice for pulse. */
import { jointRule, type Joint } from './joints.ts';

export type Position = 'PA' | 'PB' | 'PC' | 'PD' | 'PE' | 'PF' | 'PG';

export interface PositionRule {
  readonly position: Position;
  readonly name: string;
  readonly pulseFeedFactor: number;
  /** US number; the letter follows the joint. */
  readonly us: string;
}

export const positionRules: readonly PositionRule[] = [
  { position: 'PA', name: 'flat', pulseFeedFactor: 1.05, us: '1' },
  { position: 'PB', name: 'horizontal fillet', pulseFeedFactor: 1, us: '2' },
  { position: 'PC', name: 'horizontal', pulseFeedFactor: 0.9, us: '2' },
  { position: 'PD', name: 'overhead fillet', pulseFeedFactor: 0.75, us: '4' },
  { position: 'PE', name: 'overhead', pulseFeedFactor: 0.75, us: '4' },
  { position: 'PF', name: 'vertical up', pulseFeedFactor: 0.6, us: '3' },
  { position: 'PG', name: 'vertical down', pulseFeedFactor: 0.9, us: '3' },
];

export const positions: readonly Position[] = positionRules.map((rule) => rule.position);

export function positionRule(position: Position): PositionRule {
  const rule = positionRules.find((candidate) => candidate.position === position);
  if (!rule) throw new Error(`unknown position ${position}`);
  return rule;
}

/** For instance "PB / 2F, horizontal fillet". */
export function positionName(position: Position, joint: Joint): string {
  const rule = positionRule(position);
  return `${position} / ${rule.us}${jointRule(joint).isFillet ? 'F' : 'G'}, ${rule.name}`;
}
