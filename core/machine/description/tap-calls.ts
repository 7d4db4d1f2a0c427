/** What taps at rest call on a machine, and whether each called memory is for the wire and gas that are on it. */
import { message, joined, type Phrase } from '../../base/messages/index.ts';
import { fillerOf, gasName, wireSizeLabel, sameWire } from '../../metal/consumables/index.ts';
import type { Machine } from './machine.ts';
import type { Program } from '../../setting/program/program.ts';

export interface HeldInSlot {
  readonly slot: number;
  readonly name: string;
  readonly program: Pick<Program, 'filler' | 'diameterMm' | 'gas'>;
}

export interface TapTarget {
  readonly taps: number;
  readonly slot: number;
  /** What the memory holds; null while it is empty. */
  readonly name: string | null;
  /** Why it must not be called now; null where it may. */
  readonly warning: Phrase | null;
}

export function tapTargets(
  { tapCalls = [] }: Pick<Machine, 'tapCalls'>,
  slots: readonly HeldInSlot[],
  loaded: Pick<Program, 'filler' | 'diameterMm' | 'gas'>,
): TapTarget[] {
  return tapCalls.map(({ taps, slot }) => {
    const held = slots.find((one) => one.slot === slot);
    if (!held) return { taps, slot, name: null, warning: message('machine.gap.memory-empty', { slot }) };
    const wrong = [
      ...(sameWire(held.program, loaded)
        ? []
        : [joined([fillerOf(held.program.filler).name, wireSizeLabel(held.program.diameterMm)], ', ')]),
      ...(held.program.gas === loaded.gas ? [] : [gasName(held.program.gas)]),
    ];
    return {
      taps,
      slot,
      name: held.name,
      warning: wrong.length === 0 ? null : message('machine.gap.memory-wrong', { slot, wrong: joined(wrong, ' / ') }),
    };
  });
}
