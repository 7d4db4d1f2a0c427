/** What stands on the dials of a memory slot now, and where that differs from what was stored in it: one answer for every view. */
import { driftReport, type DriftLine } from '../dials/index.ts';
import { type Machine } from '../description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { newestKnown, type DialSource } from './known-dials.ts';

type Dials = Readonly<Record<string, number>>;

/** One storing into a slot, and the dials as somebody last found them. */
export interface StoredSlot {
  readonly slot: number;
  readonly program: Program;
  readonly dials: Dials;
  readonly found: FoundDials | null;
}

/** `foundAt` is an ISO timestamp. */
export interface FoundDials {
  readonly dials: Dials;
  readonly foundAt: string;
  readonly foundBy: string;
}

/** What is known of the dials of a machine, and the slot in front; null: none is. */
export interface KnownOnMachine {
  readonly slot: number | null;
  readonly dials: Dials;
  readonly known: Readonly<Record<string, { readonly source: DialSource; readonly by: string; readonly at: string }>>;
}

/** Last known figures of the slot; the slot in front is known by everything that tells how the machine stands, not only by who read it. */
export function foundOn(entry: StoredSlot, standing: KnownOnMachine | null): FoundDials | null {
  const { found } = entry;
  if (standing?.slot !== entry.slot) return found;
  const { known, dials: now } = standing;
  const told = Object.entries(known).filter(([id]) => now[id] !== undefined);
  const newest = newestKnown({
    dials: Object.fromEntries(told.map(([id, one]) => [id, { ...one, value: now[id] ?? 0 }])),
  });
  if (!newest || (found && Date.parse(found.foundAt) >= Date.parse(newest.at))) return found;
  return {
    dials: Object.fromEntries(told.flatMap(([id]) => (now[id] === undefined ? [] : [[id, now[id]]]))),
    foundAt: newest.at,
    foundBy: newest.by,
  };
}

/** Line by line, drifted ones first; empty where nobody knows what stands there. */
export function slotDrift(machine: Machine, entry: StoredSlot, standing: KnownOnMachine | null): DriftLine[] {
  const found = foundOn(entry, standing);
  return found ? driftReport(machine, entry.dials, found.dials, entry.program) : [];
}
