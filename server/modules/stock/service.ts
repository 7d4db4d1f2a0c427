/** Cylinders and spools: read anew, moved, and counted down by what is welded. */
import { randomUUID } from 'node:crypto';
import type { Cylinder, CylinderSave, SeamResource, Spool, SpoolSave, Stock } from '@fox-tempo/contract';
import { planRequest } from '@fox-tempo/contract';
import { drawnFrom, isWeighed, partUse, planSeam, sameWire, cylinderOutlook, spoolOutlook } from '@fox-tempo/core';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { findMachine } from '../machines/repo.ts';
import {
  insertCylinder,
  insertSpool,
  listCylinders,
  listSpools,
  lockStock,
  setCylinderContent,
  setSpoolMass,
  updateCylinder,
  updateSpool,
} from './repo.ts';

export async function readStock(db: Executor): Promise<Stock> {
  return { cylinders: await listCylinders(db), spools: await listSpools(db) };
}

export async function addCylinder(
  db: Database,
  save: CylinderSave,
  by: string,
  id = `cylinder-${randomUUID().slice(0, 8)}`,
) {
  await refuseCylinder(db, save);
  await insertCylinder(db, id, save, by);
  return requireOne(await listCylinders(db), id, 'cylinder');
}

export async function addSpool(db: Database, save: SpoolSave, by: string, id = `spool-${randomUUID().slice(0, 8)}`) {
  await refuseMachine(db, save.machineId);
  await insertSpool(db, id, save, by);
  return requireOne(await listSpools(db), id, 'spool');
}

export async function saveCylinder(
  db: Database,
  id: string,
  version: number,
  save: CylinderSave,
  by: string,
): Promise<Cylinder> {
  await refuseCylinder(db, save);
  const done = await updateCylinder(db, id, version, save, by);
  const now = requireOne(await listCylinders(db), id, 'cylinder');
  if (!done) throw stale(now, save);
  return now;
}

export async function saveSpool(
  db: Database,
  id: string,
  version: number,
  save: SpoolSave,
  by: string,
): Promise<Spool> {
  await refuseMachine(db, save.machineId);
  const done = await updateSpool(db, id, version, save, by);
  const now = requireOne(await listSpools(db), id, 'spool');
  if (!done) throw stale(now, save);
  return now;
}

export interface Drawn {
  readonly what: string;
  readonly amount: number;
  readonly unit: 'L' | 'kg';
}

/** Takes from cylinders and spools what `count` parts need (gives back when negative); what is connected to a machine is taken first. */
export async function drawForParts(
  db: Executor,
  seams: readonly SeamResource[],
  count: number,
  by: string,
): Promise<Drawn[]> {
  await lockStock(db);
  const drawn: Drawn[] = [];
  for (const { revision } of seams) {
    if (!revision) continue;
    const plan = planSeam(planRequest(revision.spec, revision.choice));
    if (!plan.ok) continue;
    const { program } = revision;
    const use = partUse(program, plan.value.arcSeconds, plan.value.passes);
    const { cylinders, spools } = await readStock(db);
    const cylinder = connectedFirst(cylinders.filter((one) => one.gas === program.gas));
    if (cylinder && use.gasFlowLPerMin > 0) {
      const litres = cylinderOutlook(cylinder, use).perPart * count;
      const { pressureBar, massKg } = drawnFrom(cylinder, litres);
      await setCylinderContent(db, cylinder.id, { pressureBar, massKg }, by);
      drawn.push({ what: cylinder.name, amount: litres, unit: 'L' });
    }
    const spool = connectedFirst(spools.filter((one) => sameWire(one, program)));
    if (spool) {
      const kg = spoolOutlook(spool, use).perPart * count;
      await setSpoolMass(db, spool.id, Math.max(spool.massKg - kg, 0), by);
      drawn.push({ what: spool.name, amount: kg, unit: 'kg' });
    }
  }
  return drawn;
}

function connectedFirst<T extends { readonly machineId: string | null }>(list: readonly T[]): T | undefined {
  return list.find((one) => one.machineId !== null) ?? list[0];
}

function requireOne<T extends { readonly id: string }>(list: readonly T[], id: string, what: string): T {
  const found = list.find((one) => one.id === id);
  if (!found) throw new HttpProblem('not-found', `There is no ${what} "${id}".`);
  return found;
}

function stale(current: Cylinder | Spool, yours: unknown): HttpProblem {
  return new HttpProblem('stale-version', `${current.changedBy} changed it to version ${current.version} meanwhile.`, {
    current,
    yours,
  });
}

async function refuseCylinder(db: Executor, save: CylinderSave): Promise<void> {
  const weighed = isWeighed(save.gas);
  const field = weighed ? 'massKg' : 'pressureBar';
  if (save[field] === null) {
    throw invalidInput([
      {
        path: field,
        code: 'missing',
        message: weighed
          ? 'CO₂ is liquid in its cylinder: enter the mass of gas left; its pressure says nothing.'
          : 'Enter the pressure on the gauge.',
        got: null,
      },
    ]);
  }
  await refuseMachine(db, save.machineId);
}

async function refuseMachine(db: Executor, machineId: string | null): Promise<void> {
  if (machineId === null || (await findMachine(db, machineId))) return;
  throw invalidInput([
    { path: 'machineId', code: 'unknown-machine', message: `There is no machine "${machineId}".`, got: machineId },
  ]);
}
