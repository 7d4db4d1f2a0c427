/** What a machine can be told: its dials, and before them the number of the chart where no dial picks it, because then a hand sets it inside the door. */
import type { Dial, Machine } from './machine.ts';

/** A hand reads and sets it like a dial, so it is kept, ticked and compared like one. */
export const chartNumber: Dial = { id: 'chart-number', label: '№', where: '', unit: '', scale: { kind: 'chart-line' } };

/** The dials of a machine with its chart's number first; a machine that is only outlined has none. */
export function toldDials({ dials, chartLines }: Pick<Machine, 'dials' | 'chartLines'>): readonly Dial[] {
  if (dials.length === 0 || chartLines.length === 0 || dials.some(({ scale }) => scale.kind === 'chart-line'))
    return dials;
  return [chartNumber, ...dials];
}

/** The dial that says which line of the chart runs; undefined where there is no chart. */
export function lineDial(machine: Pick<Machine, 'dials' | 'chartLines'>): Dial | undefined {
  return toldDials(machine).find(({ scale }) => scale.kind === 'chart-line');
}
