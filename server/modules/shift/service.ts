/** Every filled slot against what was found on it; a slot that drifted names who was last at the machine before it was read. */
import { foundOn, slotDrift } from '@fox-tempo/core/machine/setup';
import { type ShiftSlot } from '@fox-tempo/contract';
import { slotState } from '@fox-tempo/core/machine/dials';
import type { Executor } from '../../db/connection.ts';
import { listMachines } from '../machines/index.ts';
import { lastHandAt } from '../observations/index.ts';
import { findSeam } from '../seams/index.ts';
import { currentEntries } from '../slots/index.ts';

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
      const found = foundOn(entry, standing);
      const drifted = slotDrift(file, entry, standing)
        .filter(({ verdict }) => verdict === 'drifted')
        .map(({ dialId }) => dialId);
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
