/** What stands on the dials of a memory slot now, and where that differs from what was stored in it: one answer for every view. */
import { driftReport, type DriftLine, type Machine } from '@fox-tempo/core/machine';
import { newestKnown } from '@fox-tempo/core/setup';
import type { SlotEntry } from './shop-floor.ts';
import type { MachineStanding } from './standing.ts';

/** Last known figures of the slot; the slot in front is known by everything that tells how the machine stands, not only by who read it. */
export function foundOn(entry: SlotEntry, standing: MachineStanding | null): SlotEntry['found'] {
  const { dials, found } = entry;
  if (standing?.slot !== entry.slot) return found;
  const { known, dials: now } = standing;
  const told = Object.entries(known).filter(([id]) => dials[id] !== undefined);
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
export function slotDrift(machine: Machine, entry: SlotEntry, standing: MachineStanding | null): DriftLine[] {
  const found = foundOn(entry, standing);
  return found ? driftReport(machine, entry.dials, found.dials, entry.program) : [];
}
