/** Parts: what orders ask for and seams belong to. */
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import type { Part, PartCreate, PartSave } from '@fox-tempo/contract';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { findPart, findPartByName, insertPart, updatePart } from './repo.ts';

/** A part that something new may be put on; 422 at `path` when there is none. */
export async function requirePart(db: Executor, id: string, path = 'partId'): Promise<Part> {
  const part = await findPart(db, id);
  if (!part)
    throw invalidInput([
      { path, code: 'unknown-part', message: message('server.parts.error.no-part', { id }), got: id },
    ]);
  return part;
}

export async function addPart(db: Database, part: PartCreate, by: string): Promise<Part> {
  await refuseTaken(db, part.name);
  const id = `part-${randomUUID().slice(0, 8)}`;
  await insertPart(db, id, part, by);
  return requirePart(db, id);
}

export async function savePart(db: Database, id: string, version: number, save: PartSave, by: string): Promise<Part> {
  await refuseTaken(db, save.name, id);
  const done = await updatePart(db, id, version, save, by);
  const now = await findPart(db, id);
  if (!now) throw new HttpProblem('not-found', message('server.parts.error.no-part', { id }));
  if (!done) throw staleVersion(now, save, message('server.parts.was-changed-meanwhile', { now: now.name }));
  return now;
}

async function refuseTaken(db: Executor, name: string, exceptId?: string): Promise<void> {
  const taken = await findPartByName(db, name);
  if (taken && taken.id !== exceptId)
    throw invalidInput([
      { path: 'name', code: 'name-taken', message: message('server.parts.error.name-taken', { name }), got: name },
    ]);
}
