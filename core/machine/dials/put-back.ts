/** Turning a dial that drifted back to its reference, in the machine's own steps. */
import { own } from '../../base/record/index.ts';
import { message, type Said } from '../../base/messages/index.ts';
import type { Machine } from '../description/machine.ts';
import { toldDials } from '../description/told-dials.ts';
import { displayed, isNumeric } from '../description/scales.ts';

export interface PutBack {
  readonly dialId: string;
  readonly label: string;
  /** Whole steps of the dial, negative towards lower figures; null for switches. */
  readonly steps: number | null;
  readonly words: Said;
}

type Dials = Readonly<Record<string, number>>;

/** Only dials that were found otherwise than stored. */
export function putBack(machine: Machine, reference: Dials, found: Dials): PutBack[] {
  return toldDials(machine).flatMap(({ id, label, scale }): PutBack[] => {
    const [meant, now] = [own(reference, id), own(found, id)];
    if (meant === undefined || now === undefined || Math.abs(meant - now) < 1e-9) return [];
    const values = { label, from: displayed(scale, now), to: displayed(scale, meant) };
    if (!isNumeric(scale) || scale.kind === 'stepped')
      return [{ dialId: id, label, steps: null, words: message('machine.switch-back', values) }];
    const steps = Math.round((meant - now) / scale.step);
    const words = steps > 0 ? 'machine.step.turn-up' : 'machine.turn-down';
    return [{ dialId: id, label, steps, words: message(words, { ...values, steps: Math.abs(steps) }) }];
  });
}
