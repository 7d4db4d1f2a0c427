import { eq } from 'drizzle-orm';
import type { Executor } from '../../db/connection.ts';
import { standIns } from '../../db/schema/index.ts';

export type StandIn = typeof standIns.$inferSelect;

/** Locked until the transaction ends: two welds at once would be one. */
export async function lockStandIn(db: Executor, machineId: string): Promise<StandIn | undefined> {
  const [found] = await db.select().from(standIns).where(eq(standIns.machineId, machineId)).for('update');
  return found;
}

export async function lastTrace(db: Executor, machineId: string): Promise<string | null | undefined> {
  const [found] = await db.select({ trace: standIns.trace }).from(standIns).where(eq(standIns.machineId, machineId));
  return found?.trace;
}

export async function keepStandIn(
  db: Executor,
  machineId: string,
  change: { readonly faults: string[]; readonly welds: number; readonly trace: string },
): Promise<void> {
  await db.update(standIns).set(change).where(eq(standIns.machineId, machineId));
}

export async function addStandIn(
  db: Executor,
  row: { machineId: string; faults: string[]; seed: number },
): Promise<void> {
  await db.insert(standIns).values(row);
}
