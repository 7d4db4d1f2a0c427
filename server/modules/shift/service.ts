/** Every filled slot against what was found on it; a slot that drifted names who was last at the machine before it was read. */
import { newestKnown } from '@fox-tempo/core/setup';
import type { ShiftSlot, MachineStanding, SlotEntry } from '@fox-tempo/contract';
import { driftReport, slotState } from '@fox-tempo/core/machine';
import type { Executor } from '../../db/connection.ts';
import { listMachines } from '../machines/repo.ts';
import { lastHandAt } from '../observations/repo.ts';
import { findSeam } from '../seams/repo.ts';
import { currentEntries } from '../slots/repo.ts';

const mostMachines = { limit: 200, after: undefined };
const mostSlots = { limit: 1000, after: undefined };

export async function readShift(db: Executor): Promise<ShiftSlot[]> {
  const machines = (await listMachines(db, mostMachines)).items.filter(({ retired }) => !retired);
  const slots: ShiftSlot[] = [];
  for (const { id: machineId, file, standing } of machines) {
    for (const entry of (await currentEntries(db, machineId, mostSlots)).items) {
      const seam = await findSeam(db, entry.seamId);
      const issued = seam?.issued.find((one) => one.machineId === machineId)?.revision ?? null;
      const isCalled = standing?.slot === entry.slot;
      const found = isCalled && standing ? asItStands(entry, standing) : entry.found;
      const drifted = found
        ? driftReport(file, entry.dials, found.dials, entry.program)
            .filter(({ verdict }) => verdict === 'drifted')
            .map(({ dialId }) => dialId)
        : [];
      slots.push({
        machineId,
        machineName: file.name,
        slot: entry.slot,
        entryId: entry.id,
        seamId: entry.seamId,
        seamName: entry.seamName,
        revision: entry.revision,
        issued,
        state: slotState(entry.revision, issued),
        isCalled,
        dials: entry.dials,
        storedBy: entry.storedBy,
        storedAt: entry.storedAt,
        found,
        drifted,
        lastBefore: found && drifted.length > 0 ? await lastHandAt(db, machineId, entry.storedAt, found.foundAt) : null,
      });
    }
  }
  return slots;
}

/** The slot in front is read by everything that tells how the machine stands, not only by who read the slot. */
function asItStands({ dials, found }: SlotEntry, { known, dials: now }: MachineStanding): SlotEntry['found'] {
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
