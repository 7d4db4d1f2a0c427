/** Storing into a machine's memory: what stands there is kept for ever, and nobody overwrites what they have not seen. */
import { refuseForeignDials, lockMachine, requireMachine } from '../machines/index.ts';
import { message } from '@fox-tempo/words';
import { type SlotEntry, type SlotFound, type SlotStore } from '@fox-tempo/contract';
import { cardOf, whyNotWords } from '@fox-tempo/core/machine/dials';
import { asStands } from '@fox-tempo/core/machine/teaching';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { addObservation, type Author } from '../observations/index.ts';
import { programIdOf } from '../revisions/index.ts';
import { requireListedSeam } from '../seams/index.ts';
import { insertEntry, slotHistory } from './repo.ts';

export async function storeInSlot(
  db: Database,
  machineId: string,
  slot: number,
  { seamId, note, replaces }: SlotStore,
  authorId: string,
): Promise<SlotEntry> {
  return db.transaction(async (tx) => {
    await lockMachine(tx, machineId);
    const machine = await requireMachine(tx, machineId);
    const file = asStands(machine);
    requireSlot(file, slot);
    const seam = await requireListedSeam(tx, seamId);
    if (!seam.revision) {
      throw invalidInput([
        {
          path: 'seamId',
          code: 'no-revision',
          message: message('server.slots.error.nothing-to-store', { spec: seam.spec.name }),
          got: seamId,
        },
      ]);
    }
    const present = await newest(tx, machineId, slot);
    if ((present?.id ?? null) !== replaces) {
      throw new HttpProblem('stale-version', message('server.slots.error.slot-changed', { slot }), {
        current: present ?? null,
        yours: { seamId, replaces },
      });
    }
    const { program, number } = seam.revision;
    const { dials, cannot } = cardOf(file, program);
    if (cannot && dials.length === 0) {
      throw invalidInput([
        { path: 'seamId', code: 'cannot-weld', message: whyNotWords(file, program, cannot), got: seamId },
      ]);
    }
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

/** Notes what somebody found on the dials, beside the entry that was seen there; `key` is the observation's id. */
export async function noteFound(
  db: Database,
  machineId: string,
  slot: number,
  key: string,
  { entryId, dials, putBack }: SlotFound,
  by: Author,
): Promise<SlotEntry> {
  return db.transaction(async (tx) => {
    await lockMachine(tx, machineId);
    const { file } = await requireMachine(tx, machineId);
    const entry = await requireEntry(tx, machineId, slot);
    if (entry.id !== entryId)
      throw staleVersion(entry, { entryId, dials }, message('server.slots.error.slot-changed', { slot }));
    refuseForeignDials(file, dials, 'dials');
    await addObservation(tx, {
      id: key,
      kind: 'slot-found',
      by,
      machineId,
      seamId: entry.seamId,
      revision: entry.revision,
      body: { slot, entryId, dials, ...(putBack === true ? { putBack } : {}) },
    });
    return requireEntry(tx, machineId, slot);
  });
}

async function newest(db: Executor, machineId: string, slot: number): Promise<SlotEntry | undefined> {
  return (await slotHistory(db, machineId, slot, { limit: 1, after: undefined })).items[0];
}

async function requireEntry(db: Executor, machineId: string, slot: number): Promise<SlotEntry> {
  const entry = await newest(db, machineId, slot);
  if (!entry) throw new HttpProblem('not-found', message('server.slots.error.slot-empty', { slot }));
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
          ? message('server.slots.error.no-slots', { name })
          : message('server.slots.error.slot-range', { name, first: slots.first, last, slot }),
      limit: [slots.first, last],
      got: slot,
    },
  ]);
}
