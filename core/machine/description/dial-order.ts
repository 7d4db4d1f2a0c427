/** In which order dials are set and read, and which of them act in a transfer mode. */
import type { Dial } from './machine.ts';
import type { Program } from '../../setting/program/program.ts';
import type { TriggerSchool } from '../../weld/sequence/index.ts';
import { actsIn, actsInSchool } from './quantity-words.ts';
import { isNumeric, quantityOf } from './scales.ts';

/** Dials in an order in which every one that leans on another comes after it. */
export function inOrder(dials: readonly Dial[]): Dial[] {
  const rank = ({ scale }: Dial, seen: ReadonlySet<string>): number => {
    // A dial that drags a second quantity along goes before those that can make up for it.
    if (scale.kind === 'linear' && scale.also) return -1;
    if (scale.kind !== 'percent-of' || seen.has(scale.of)) return 0;
    const base = dials.find((dial) => dial.id === scale.of);
    return base ? 1 + Math.max(rank(base, new Set([...seen, scale.of])), 0) : 0;
  };
  return [...dials].sort((a, b) => rank(a, new Set([a.id])) - rank(b, new Set([b.id])));
}

/** Whether a dial does anything in this transfer mode and trigger school. */
export function dialActs({ modes, scale }: Dial, program: Pick<Program, 'mode'>, school: TriggerSchool): boolean {
  if (modes && !modes.includes(program.mode)) return false;
  if (!isNumeric(scale)) return true;
  const quantity = quantityOf(scale);
  return actsIn(quantity, program.mode) && actsInSchool(quantity, school);
}
