/** What is found on the dials against what was meant to stand there: the drift of a memory slot, and what storing over it would lose. */
import { own } from '../../base/record/index.ts';
import { type Phrase, message, whether } from '../../base/messages/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import type { Dial, Machine } from '../description/machine.ts';
import type { WireAndMode } from './arc-of.ts';
import { quantityFacts, type DialQuantity } from '../description/quantities.ts';
import { quantityChange } from '../description/quantity-words.ts';
import { displayed, isNumeric, quantityAt, quantityOf, type ScaleContext } from '../description/scales.ts';
import { toldDials } from '../description/told-dials.ts';
import { inOrder } from '../description/dial-order.ts';

export interface DriftLine {
  readonly dialId: string;
  readonly label: string;
  readonly unit: string;
  /** As stored; null where only the other is known. */
  readonly reference: string | null;
  readonly found: string | null;
  /** What the difference does, in words; absent where they agree. */
  readonly means?: Phrase;
  readonly verdict: 'same' | 'drifted' | 'not read' | 'not stored';
}

type Dials = Readonly<Record<string, number>>;

/** Line by line, drifted ones first. A dial that stands otherwise by any step has drifted: a memory has no tolerance. */
export function driftReport(
  machine: Machine,
  reference: Dials,
  found: Dials,
  wire: Omit<WireAndMode, 'mode'>,
): DriftLine[] {
  const { eVPerMm } = wireInGas(wire.filler, wire.gas, wire.diameterMm);
  const [meant, read] = [quantitiesAt(machine, reference, eVPerMm), quantitiesAt(machine, found, eVPerMm)];
  const lines = toldDials(machine).flatMap((dial): DriftLine[] => {
    const [stored, now] = [own(reference, dial.id), own(found, dial.id)];
    if (stored === undefined && now === undefined) return [];
    const shown = (value: number | undefined) => (value === undefined ? null : displayed(dial.scale, value));
    const face = { dialId: dial.id, label: dial.label, unit: dial.unit, reference: shown(stored), found: shown(now) };
    if (stored === undefined) return [{ ...face, verdict: 'not stored' }];
    if (now === undefined) return [{ ...face, verdict: 'not read' }];
    if (Math.abs(stored - now) < 1e-9) return [{ ...face, verdict: 'same' }];
    return [{ ...face, verdict: 'drifted', means: meaning(dial, meant.get(dial.id), read.get(dial.id)) }];
  });
  const rank = { drifted: 0, 'not stored': 1, 'not read': 2, same: 3 } as const;
  return lines.sort((a, b) => rank[a.verdict] - rank[b.verdict]);
}

function meaning(dial: Dial, meant: number | undefined, read: number | undefined): Phrase {
  if (!isNumeric(dial.scale) || meant === undefined || read === undefined) return message('machine.another-choice');
  const quantity: DialQuantity = quantityOf(dial.scale);
  const { name, more, less, noticed } = quantityFacts(quantity);
  const by = read - meant;
  return message('machine.name-change-sense', {
    name,
    change: quantityChange(quantity, by),
    sense: by > 0 ? more : less,
    size: whether(Math.abs(by) < noticed),
  });
}

/** Physical figure of every numeric dial that is given. */
function quantitiesAt(machine: Machine, values: Dials, fieldVPerMm: number): Map<string, number> {
  const reached = new Map<string, number>();
  const context: ScaleContext = { fieldVPerMm, reached: (id) => reached.get(id) };
  for (const { id, scale } of inOrder(toldDials(machine))) {
    const value = own(values, id);
    if (value === undefined || !isNumeric(scale)) continue;
    const figure = quantityAt(scale, value, context);
    if (figure !== undefined && Number.isFinite(figure)) reached.set(id, figure);
  }
  return reached;
}
