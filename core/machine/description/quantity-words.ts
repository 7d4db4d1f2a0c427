/** Quantities of dials in words: a value, a change, and whether it means something here. */
import { amount, joined, message, type Said, signed } from '../../base/messages/index.ts';
import type { PlanMode } from '../../setting/plan/index.ts';
import type { TriggerSchool } from '../../weld/sequence/index.ts';
import { type DialQuantity, kindOfUnit, quantityFacts } from './quantities.ts';

/** A figure of a quantity with its unit, as a sentence takes it. */
export function quantityText(quantity: DialQuantity, value: number): Said {
  const { unit, digits } = quantityFacts(quantity);
  if (quantity === 'beatLowPercent') return message('machine.of-high', { share: amount('percent', value, digits) });
  return joined([amount(kindOfUnit[unit], value, digits)]);
}

/** How far a quantity is from another, with its sign. */
export function quantityChange(quantity: DialQuantity, change: number): Said {
  const { unit, digits } = quantityFacts(quantity);
  return joined([signed(kindOfUnit[unit], change, digits)]);
}

/** Whether a quantity means anything in a transfer mode. */
export function actsIn(quantity: DialQuantity, mode: PlanMode): boolean {
  const { modes } = quantityFacts(quantity);
  return modes === undefined || modes.includes(mode);
}

/** Whether it means anything in a trigger school. */
export function actsInSchool(quantity: DialQuantity, school: TriggerSchool): boolean {
  const { schools } = quantityFacts(quantity);
  return schools === undefined || schools.includes(school);
}
