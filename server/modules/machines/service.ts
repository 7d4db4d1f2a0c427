/** What writing a machine means: its file is checked whole, names stay unique, a stale write is refused with both states. */
import { foreignDials } from './foreign-dials.ts';
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import {
  readMachineFile,
  type DirectionSave,
  type MachineFile,
  type MachineResource,
  type StandingSave,
} from '@fox-tempo/contract';
import { withDirection } from '@fox-tempo/core/machine/teaching';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput, orProblem, violates } from '../../http/problem.ts';
import { dayIn } from '@fox-tempo/core/base/calendar';
import { refuseStale } from '../../http/version.ts';
import { addObservation, self, type Author } from '../observations/index.ts';
import { readShop } from '../shop/index.ts';
import { personName } from '../people/index.ts';
import { findMachine, insertMachine, lockMachine, nameTaken, updateMachine } from './repo.ts';

export async function requireMachine(db: Executor, id: string): Promise<MachineResource> {
  const machine = await findMachine(db, id);
  if (!machine) throw new HttpProblem('not-found', message('server.machines.error.no-machine', { id }));
  return machine;
}

/** `id` is chosen only for demo data. */
export async function createMachine(
  db: Database,
  file: unknown,
  authorId: string,
  id = `machine-${randomUUID().slice(0, 8)}`,
): Promise<MachineResource> {
  const read = orProblem(readMachineFile(file));
  await refuseTakenName(db, read.name, id);
  await namedOnce(read.name, () => insertMachine(db, id, read, authorId));
  return requireMachine(db, id);
}

export function saveMachine(
  db: Database,
  id: string,
  basedOn: number,
  { file, retired }: { readonly file: unknown; readonly retired?: boolean | undefined },
  authorId: string,
): Promise<MachineResource> {
  const read = orProblem(readMachineFile(file));
  return changeMachine(db, id, basedOn, read, authorId, async (tx) => {
    await refuseTakenName(tx, read.name, id);
    return { file: read, ...(retired === undefined ? {} : { retired }) };
  });
}

export function saveStanding(
  db: Database,
  id: string,
  basedOn: number,
  standing: StandingSave,
  key: string,
  by: Author,
): Promise<MachineResource> {
  return changeMachine(db, id, basedOn, standing, by.id, async (tx, { file }) => {
    refuseForeign(file, standing);
    const since = by.deviceAt ?? new Date().toISOString();
    await addObservation(tx, {
      id: key,
      kind: 'standing',
      by,
      machineId: id,
      body: { standing },
    });
    return { standing: { from: 'entered', ...standing, since, known: {} } };
  });
}

/** Writes a direction test's result into the machine file, with who and when. */
export function saveDirection(
  db: Database,
  id: string,
  basedOn: number,
  { dialId, result, note }: DirectionSave,
  authorId: string,
): Promise<MachineResource> {
  return changeMachine(db, id, basedOn, { dialId, result }, authorId, async (tx, { file }) => {
    const evidence = {
      result,
      by: await personName(tx, authorId),
      on: dayIn((await readShop(tx)).timeZone, new Date()),
      ...(note === '' ? {} : { note }),
    };
    await addObservation(tx, {
      id: randomUUID(),
      kind: 'direction-test',
      by: self(authorId),
      machineId: id,
      body: { dialId, result, note },
    });
    const turned = orProblem(withDirection(file, dialId, evidence));
    return { file: orProblem(readMachineFile({ ...file, ...turned })) };
  });
}

type Change = Parameters<typeof updateMachine>[2];

async function changeMachine(
  db: Database,
  id: string,
  basedOn: number,
  yours: unknown,
  authorId: string,
  change: (tx: Executor, stored: MachineResource) => Promise<Change>,
): Promise<MachineResource> {
  return db.transaction(async (tx) => {
    const version = await lockMachine(tx, id);
    const stored = await requireMachine(tx, id);
    refuseStale(stored, version, basedOn, yours);
    const changed = await change(tx, stored);
    await namedOnce(changed.file?.name ?? stored.file.name, () => updateMachine(tx, id, changed, authorId));
    return requireMachine(tx, id);
  });
}

async function refuseTakenName(db: Executor, name: string, id: string): Promise<void> {
  if (await nameTaken(db, name, id)) throw takenName(name);
}

/** Two who choose one name at the same moment: the table lets one in, and the other hears the same words. */
async function namedOnce(name: string, write: () => Promise<void>): Promise<void> {
  try {
    await write();
  } catch (error) {
    if (violates(error, 'machines_name_unique')) throw takenName(name);
    throw error;
  }
}

function takenName(name: string): HttpProblem {
  return invalidInput([
    {
      path: 'file.name',
      code: 'name-taken',
      message: message('server.machines.error.name-taken', { name }),
      got: name,
    },
  ]);
}

/** A standing may name only what the machine has. */
function refuseForeign(file: MachineFile, standing: StandingSave): void {
  const feeders = file.feeders.map((feeder) => feeder.id);
  const foreignFeeders = [standing.feederId, ...Object.keys(standing.feeders)].filter((id) => !feeders.includes(id));
  const issues = [
    ...foreignFeeders.map((id) => ({
      path: 'feeders',
      code: 'unknown-feeder' as const,
      message: message('server.machines.has-no-feeder', { file: file.name, id }),
      limit: feeders,
      got: id,
    })),
    ...foreignDials(file, standing.dials, 'dials'),
  ];
  if (issues.length > 0) throw invalidInput(issues);
}
