/** One program on two machines, line by line under the physical quantity, differences first. */
import { message, type Phrase } from '../../base/messages/index.ts';
import type { Machine } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import { dialQuantities, quantityFacts, type DialQuantity } from '../description/quantities.ts';
import type { DialSetting } from './dial-setting.ts';
import { cardOf } from './card.ts';
import type { Translation } from './translate.ts';

export interface ComparedLine {
  readonly quantity: string;
  /** The quantity's plain name. */
  readonly name: Phrase;
  readonly left: DialSetting | null;
  readonly right: DialSetting | null;
  /** What the two really reach apart, in the quantity's unit; absent where one has none. */
  readonly apart?: number;
  /** 0 missing on one side, 1 reach differs noticeably, 2 the same physics under other numbers, 3 the same in every word. */
  readonly rank: 0 | 1 | 2 | 3;
}

export interface Comparison {
  readonly left: Translation;
  readonly right: Translation;
  readonly lines: readonly ComparedLine[];
}

export function compareMachines(left: Machine, right: Machine, program: Program): Comparison {
  const one = cardOf(left, program);
  const two = cardOf(right, program);
  const names = [...new Set([...one.dials, ...two.dials].map((dial) => dial.quantity))];
  const lines = names.map((quantity) =>
    comparedLine(
      quantity,
      one.dials.find((dial) => dial.quantity === quantity) ?? null,
      two.dials.find((dial) => dial.quantity === quantity) ?? null,
    ),
  );
  return { left: one, right: two, lines: lines.sort((a, b) => a.rank - b.rank) };
}

function comparedLine(
  quantity: DialSetting['quantity'],
  left: DialSetting | null,
  right: DialSetting | null,
): ComparedLine {
  const known = Object.hasOwn(dialQuantities, quantity) ? (quantity as DialQuantity) : undefined;
  const name = known ? quantityFacts(known).name : (otherNames[quantity] ?? quantity);
  if (!left || !right) return { quantity, name, left, right, rank: 0 };
  const sameWords = left.label === right.label && left.display === right.display && left.unit === right.unit;
  if (left.reachedQuantity === undefined || right.reachedQuantity === undefined || !known) {
    return { quantity, name, left, right, rank: sameWords ? 3 : 2 };
  }
  // A high level and a mean are not to be subtracted from each other.
  if (left.level !== right.level) return { quantity, name, left, right, rank: 2 };
  // Each is held against what it was asked for: machines that are asked for another dial, as by their leads, make the same arc by it.
  const apart =
    left.error !== undefined && right.error !== undefined
      ? right.error - left.error
      : right.reachedQuantity - left.reachedQuantity;
  const noticeable = Math.abs(apart) > quantityFacts(known).noticed;
  return { quantity, name, left, right, apart, rank: noticeable ? 1 : sameWords ? 3 : 2 };
}

const otherNames: Record<string, Phrase> = {
  'chart-line': message('machine.quantity.chart-line'),
  mode: message('machine.other-mode'),
  filler: message('machine.other-wire'),
  trigger: message('machine.other-trigger'),
};
