/** Storing into a machine's memory: what stands there is kept for ever, and nobody overwrites what they have not seen. */
import type { SlotEntry, SlotStore } from '@fox-tempo/contract';
import { translate } from '@fox-tempo/core';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { lockMachine } from '../machines/repo.ts';
import { requireMachine } from '../machines/service.ts';
import { programIdOf } from '../seams/repo.ts';
import { requireSeam } from '../seams/service.ts';
import { currentEntries, insertEntry, setFound, slotHistory } from './repo.ts';

export async function storeInSlot(
  db: Database,
  machineId: string,
  slot: number,
  { seamId, note, replaces }: SlotStore,
  authorId: string,
): Promise<SlotEntry> {
  return db.transaction(async (tx) => {
    await lockMachine(tx, machineId);
    const { file } = await requireMachine(tx, machineId);
    requireSlot(file, slot);
    const seam = await requireSeam(tx, seamId);
    if (!seam.revision) {
      throw invalidInput([
        {
          path: 'seamId',
          code: 'no-revision',
          message: `${seam.spec.name} has no saved setting to store.`,
          got: seamId,
        },
      ]);
    }
    const [present] = await slotHistory(tx, machineId, slot);
    if ((present?.id ?? null) !== replaces) {
      throw new HttpProblem('stale-version', `Slot ${slot} holds something else than you saw.`, {
        current: present ?? null,
        yours: { seamId, replaces },
      });
    }
    const { program, number } = seam.revision;
    const { dials } = translate(file, program);
    await insertEntry(tx, {
      machineId,
      slot,
      seamId,
      programId: programIdOf(seamId),
      revision: number,
      program,
      dials: Object.fromEntries(dials.map((dial) => [dial.dialId, dial.value])),
      note,
      storedBy: authorId,
    });
    return requireEntry(tx, machineId, slot);
  });
}

/** Notes what somebody found on the dials, beside what is meant to stand there. */
export async function noteFound(
  db: Database,
  machineId: string,
  slot: number,
  dials: Record<string, number>,
  authorId: string,
): Promise<SlotEntry> {
  return db.transaction(async (tx) => {
    const { file } = await requireMachine(tx, machineId);
    const entry = await requireEntry(tx, machineId, slot);
    const foreign = Object.keys(dials).filter((id) => !file.dials.some((dial) => dial.id === id));
    if (foreign.length > 0) {
      throw invalidInput(
        foreign.map((id) => ({
          path: `dials.${id}`,
          code: 'unknown-dial',
          message: `${file.name} has no dial "${id}".`,
          got: id,
        })),
      );
    }
    await setFound(tx, entry.id, dials, authorId);
    return requireEntry(tx, machineId, slot);
  });
}

export async function slotMap(db: Executor, machineId: string): Promise<SlotEntry[]> {
  await requireMachine(db, machineId);
  return currentEntries(db, machineId);
}

async function requireEntry(db: Executor, machineId: string, slot: number): Promise<SlotEntry> {
  const [entry] = await slotHistory(db, machineId, slot);
  if (!entry) throw new HttpProblem('not-found', `Nothing is stored in slot ${slot}.`);
  return entry;
}

function requireSlot({ name, slots }: { name: string; slots: { count: number; first: number } }, slot: number): void {
  const last = slots.first + slots.count - 1;
  if (slot >= slots.first && slot <= last) return;
  throw invalidInput([
    {
      path: 'slot',
      code: 'no-such-slot',
      message:
        slots.count === 0
          ? `${name} has no memory slots.`
          : `${name} has slots ${slots.first} to ${last}; got ${slot}.`,
      limit: [slots.first, last],
      got: slot,
    },
  ]);
}
