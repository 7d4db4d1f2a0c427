/** Cylinders and spools: read anew, moved, and counted down by what is welded. Every change of a level is a movement with an observation. */
import { sameWire } from '@fox-tempo/core/metal/consumables';
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import type { Cylinder, CylinderSave, Revision, Spool, SpoolSave, Stock } from '@fox-tempo/contract';
import {
  contentOfGas,
  cylinderContent,
  gasOfContent,
  isWeighed,
  spoolContent,
  spoolLevel,
} from '@fox-tempo/core/day/consumption';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { findMachine } from '../machines/index.ts';
import { addObservation, type Author } from '../observations/index.ts';
import { useOf } from '../revisions/index.ts';
import {
  addMovements,
  insertCylinder,
  insertSpool,
  listCylinders,
  listSpools,
  lockCylinder,
  lockItems,
  lockSpool,
  updateCylinder,
  updateSpool,
  type Movement,
} from './repo.ts';

export async function readStock(db: Executor): Promise<Stock> {
  const [cylinders, spools] = await Promise.all([listCylinders(db), listSpools(db)]);
  return {
    cylinders: cylinders.map(({ content: _content, ...cylinder }) => cylinder),
    spools: spools.map(({ content: _content, ...spool }) => spool),
  };
}

/** Ids that the caller brings: demo data their own, a write under a key the key. */
interface Chosen {
  readonly id?: string;
  readonly key?: string;
}

export function addCylinder(
  db: Database,
  save: CylinderSave,
  by: Author,
  { id = `cylinder-${randomUUID().slice(0, 8)}`, key = randomUUID() }: Chosen = {},
): Promise<Cylinder> {
  return db.transaction(async (tx) => {
    await refuseCylinder(tx, save);
    await insertCylinder(tx, id, cylinderRow(save), by.id);
    await move(tx, key, by, 'first reading', { cylinderId: id, amount: cylinderContent(save) }, save);
    return requireCylinder(tx, id);
  });
}

export function addSpool(
  db: Database,
  save: SpoolSave,
  by: Author,
  { id = `spool-${randomUUID().slice(0, 8)}`, key = randomUUID() }: Chosen = {},
): Promise<Spool> {
  return db.transaction(async (tx) => {
    await refuseMachine(tx, save.machineId);
    await insertSpool(tx, id, spoolRow(save), by.id);
    await move(tx, key, by, 'first reading', { spoolId: id, amount: spoolContent(save.massKg) }, save);
    return requireSpool(tx, id);
  });
}

/** Saves what was read; the difference to the sum so far is a movement of its own. */
export function saveCylinder(
  db: Database,
  id: string,
  version: number,
  save: CylinderSave,
  key: string,
  by: Author,
): Promise<Cylinder> {
  return db.transaction(async (tx) => {
    await refuseCylinder(tx, save);
    const stored = await lockCylinder(tx, id);
    if (!stored) throw missing('other', id);
    if (stored.version !== version) throw stale(await requireCylinder(tx, id), save);
    const amount = cylinderContent(save) - stored.content;
    if (amount !== 0) await move(tx, key, by, 'read anew', { cylinderId: id, amount }, save);
    const before = await requireCylinder(tx, id);
    await updateCylinder(tx, id, cylinderRow(save), by.id);
    return save.retired === true
      ? { ...before, ...save, retired: true, version: version + 1 }
      : requireCylinder(tx, id);
  });
}

export function saveSpool(
  db: Database,
  id: string,
  version: number,
  save: SpoolSave,
  key: string,
  by: Author,
): Promise<Spool> {
  return db.transaction(async (tx) => {
    await refuseMachine(tx, save.machineId);
    const stored = await lockSpool(tx, id);
    if (!stored) throw missing('spool', id);
    if (stored.version !== version) throw stale(await requireSpool(tx, id), save);
    const amount = spoolContent(save.massKg) - stored.content;
    if (amount !== 0) await move(tx, key, by, 'read anew', { spoolId: id, amount }, save);
    const before = await requireSpool(tx, id);
    await updateSpool(tx, id, spoolRow(save), by.id);
    return save.retired === true ? { ...before, ...save, retired: true, version: version + 1 } : requireSpool(tx, id);
  });
}

export interface Draw {
  readonly what: string;
  readonly amount: number;
  readonly unit: 'L' | 'kg';
  readonly movement: Movement;
  /** How many welds of which seam it stands for. */
  readonly welds?: { readonly seamId: string; readonly count: number };
}

export interface Wanted {
  readonly seamId: string;
  readonly revision: Revision;
  /** How often it is welded; given back when negative. */
  readonly count: number;
  /** Taken from here, whatever else would fit. */
  readonly cylinderId?: string | undefined;
  readonly spoolId?: string | undefined;
  /** Machine it is welded on: what is connected there is taken first. */
  readonly machineId?: string | undefined;
  /** Of the arc time that was planned. */
  readonly timeShare?: number | undefined;
}

/** What welds take from which cylinder and spool. The rows are locked. Figures are those stored with each revision. */
export async function drawFor(db: Executor, wanted: readonly Wanted[]): Promise<Draw[]> {
  const { cylinders, spools } = await readStock(db);
  const draws: Draw[] = [];
  for (const { seamId, revision, count, cylinderId, spoolId, machineId, timeShare = 1 } of wanted) {
    const welds = { seamId, count };
    const use = useOf(revision);
    if (!use || count === 0) continue;
    const { program } = revision;
    const cylinder =
      cylinderId === undefined
        ? connectedFirst(
            cylinders.filter((one) => one.gas === program.gas),
            machineId,
          )
        : cylinders.find(({ id }) => id === cylinderId);
    if (cylinder && use.gasL > 0) {
      // Rounded for one part and then multiplied: taking back is the opposite to the millilitre.
      const amount = -count * contentOfGas(cylinder, use.gasL * timeShare);
      draws.push({
        what: cylinder.name,
        amount: gasOfContent(cylinder, -amount),
        unit: 'L',
        movement: { cylinderId: cylinder.id, amount },
        welds,
      });
    }
    const spool =
      spoolId === undefined
        ? connectedFirst(
            spools.filter((one) => sameWire(one, program)),
            machineId,
          )
        : spools.find(({ id }) => id === spoolId);
    if (spool) {
      const amount = -count * spoolContent(use.wireKg * timeShare);
      draws.push({
        what: spool.name,
        amount: spoolLevel(-amount),
        unit: 'kg',
        movement: { spoolId: spool.id, amount },
        welds,
      });
    }
  }
  const ids = (key: 'cylinderId' | 'spoolId') => [...new Set(draws.flatMap(({ movement }) => movement[key] ?? []))];
  await lockItems(db, ids('cylinderId'), ids('spoolId'));
  return draws;
}

/** Writes the movements under their observation and marks the items as changed. */
export async function writeDrawn(
  db: Executor,
  observationId: string,
  draws: readonly Draw[],
  by: string,
): Promise<void> {
  await addMovements(
    db,
    observationId,
    draws.map((draw) => draw.movement),
  );
  for (const id of new Set(draws.flatMap(({ movement }) => movement.cylinderId ?? [])))
    await updateCylinder(db, id, {}, by);
  for (const id of new Set(draws.flatMap(({ movement }) => movement.spoolId ?? []))) await updateSpool(db, id, {}, by);
}

async function move(
  db: Executor,
  key: string,
  by: Author,
  why: string,
  movement: Movement,
  item: CylinderSave | SpoolSave,
): Promise<void> {
  const { name, machineId } = item;
  // As a person reads it later, whatever becomes of the item.
  const said =
    'gas' in item && !isWeighed(item.gas)
      ? { quantity: gasOfContent(item, movement.amount), unit: 'L' }
      : { quantity: spoolLevel(movement.amount), unit: 'kg' };
  await addObservation(db, {
    id: key,
    kind: 'stock',
    by,
    machineId,
    body: { why, name, ...said, ...movement },
  });
  await addMovements(db, key, [movement]);
}

function cylinderRow({ name, gas, volumeL, pressureBar, convention, machineId, retired }: CylinderSave) {
  return {
    name,
    gas,
    volumeL,
    convention,
    machineId,
    retired: retired ?? false,
    gaugeBar: isWeighed(gas) ? pressureBar : null,
  };
}

function spoolRow({ name, filler, diameterMm, machineId, retired }: SpoolSave) {
  return { name, filler, diameterMm, machineId, retired: retired ?? false };
}

function connectedFirst<T extends { readonly machineId: string | null }>(
  list: readonly T[],
  machineId?: string,
): T | undefined {
  const here = machineId === undefined ? undefined : list.find((one) => one.machineId === machineId);
  return here ?? list.find((one) => one.machineId !== null) ?? list[0];
}

async function requireCylinder(db: Executor, id: string): Promise<Cylinder> {
  const found = (await readStock(db)).cylinders.find((one) => one.id === id);
  if (!found) throw missing('other', id);
  return found;
}

async function requireSpool(db: Executor, id: string): Promise<Spool> {
  const found = (await readStock(db)).spools.find((one) => one.id === id);
  if (!found) throw missing('spool', id);
  return found;
}

function missing(what: 'spool' | 'other', id: string): HttpProblem {
  return new HttpProblem('not-found', message('server.stock.error.no-stock', { what, id }));
}

function stale(current: Cylinder | Spool, yours: unknown): HttpProblem {
  return staleVersion(
    current,
    yours,
    message('server.stock.error.changed-meanwhile', { changedBy: current.changedBy, version: current.version }),
  );
}

async function refuseCylinder(db: Executor, save: CylinderSave): Promise<void> {
  const weighed = isWeighed(save.gas);
  const field = weighed ? 'massKg' : 'pressureBar';
  if (save[field] === null) {
    throw invalidInput([
      {
        path: field,
        code: 'missing',
        message: weighed ? message('server.stock.error.co2-by-mass') : message('server.stock.error.pressure-missing'),
        got: null,
      },
    ]);
  }
  await refuseMachine(db, save.machineId);
}

async function refuseMachine(db: Executor, machineId: string | null): Promise<void> {
  if (machineId === null || (await findMachine(db, machineId))) return;
  throw invalidInput([
    {
      path: 'machineId',
      code: 'unknown-machine',
      message: message('server.stock.error.no-machine', { machineId }),
      got: machineId,
    },
  ]);
}
