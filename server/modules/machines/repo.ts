import type { MachineResource } from '@fox-tempo/contract';
import { asc, eq } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { machines, people } from '../../db/schema/index.ts';
import { isoTime } from '../../http/timestamp.ts';

const columns = {
  id: machines.id,
  version: machines.version,
  file: machines.file,
  standing: machines.standing,
  changedAt: machines.changedAt,
  changedBy: people.name,
};

export async function listMachines(db: Executor): Promise<MachineResource[]> {
  const rows = await db
    .select(columns)
    .from(machines)
    .innerJoin(people, eq(people.id, machines.changedBy))
    .orderBy(asc(machines.name));
  return rows.map(toResource);
}

export async function findMachine(db: Executor, id: string): Promise<MachineResource | undefined> {
  const [row] = await db
    .select(columns)
    .from(machines)
    .innerJoin(people, eq(people.id, machines.changedBy))
    .where(eq(machines.id, id));
  return row && toResource(row);
}

function toResource(row: MachineResource): MachineResource {
  return { ...row, changedAt: isoTime(row.changedAt) };
}
