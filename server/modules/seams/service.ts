/** Seams: described, copied, moved, taken off the list and brought back. */
import type { SeamCopy, SeamCreate, SeamResource } from '@fox-tempo/contract';
import { randomUUID } from 'node:crypto';
import type { Database } from '../../db/connection.ts';
import { requirePart } from '../parts/index.ts';
import { appendRevision } from '../revisions/index.ts';
import { changeSeam, insertSeam, lockSeam, updateSeam } from './repo.ts';
import { changeVersioned, requireSeam } from './require.ts';
import { figuresOf } from './save-setting.ts';

/** `id` is chosen only for demo data, so that its addresses stay the same. */
export async function createSeam(
  db: Database,
  request: SeamCreate,
  authorId: string,
  id = `seam-${randomUUID().slice(0, 8)}`,
): Promise<SeamResource> {
  await requirePart(db, request.partId);
  await insertSeam(db, id, request.partId, request.spec, authorId);
  return requireSeam(db, id);
}

/** A copy with its setting as its first revision, on the same or another part. */
export function copySeam(
  db: Database,
  id: string,
  { partId, name }: SeamCopy,
  authorId: string,
): Promise<SeamResource> {
  return db.transaction(async (tx) => {
    const from = await requireSeam(tx, id);
    const copy = await createSeam(tx, { partId, spec: { ...from.spec, name } }, authorId);
    if (from.revision) {
      // The program as it stands, not computed anew: a copy is the same weld.
      const { choice, site, program } = from.revision;
      const save = { spec: copy.spec, choice, site };
      await updateSeam(tx, copy.id, copy.spec, authorId);
      await appendRevision(tx, copy.id, { ...save, program, ...figuresOf(save, program) }, authorId);
    }
    return requireSeam(tx, copy.id);
  });
}

export function moveSeam(
  db: Database,
  id: string,
  basedOn: number,
  partId: string,
  authorId: string,
): Promise<SeamResource> {
  return changeVersioned(db, id, basedOn, { partId }, async (tx) => {
    await requirePart(tx, partId);
    await changeSeam(tx, id, { partId }, authorId);
  });
}

export function deleteSeam(db: Database, id: string, basedOn: number, authorId: string): Promise<SeamResource> {
  return changeVersioned(db, id, basedOn, { deleted: true }, (tx) => changeSeam(tx, id, { deleted: true }, authorId));
}

export function restoreSeam(db: Database, id: string, authorId: string): Promise<SeamResource> {
  return db.transaction(async (tx) => {
    await lockSeam(tx, id);
    if ((await requireSeam(tx, id)).deleted) await changeSeam(tx, id, { deleted: false }, authorId);
    return requireSeam(tx, id);
  });
}
