/** A seam that must be there, on the list, and unchanged since it was seen. */
import type { SeamResource, State } from '@fox-tempo/contract';
import { message } from '@fox-tempo/words';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem } from '../../http/problem.ts';
import { refuseStale } from '../../http/version.ts';
import { findSeam, lockSeam } from './repo.ts';

export async function requireSeam(db: Executor, id: string): Promise<SeamResource> {
  const seam = await findSeam(db, id);
  if (!seam) throw new HttpProblem('not-found', message('server.seams.error.no-seam', { id }));
  return seam;
}

/** The seam as long as it stands on the list: nothing is written about one that was taken off. */
export async function requireListedSeam(db: Executor, id: string): Promise<SeamResource> {
  const seam = await requireSeam(db, id);
  if (seam.deleted)
    throw new HttpProblem('off-the-list', message('server.seams.error.removed', { spec: seam.spec.name }));
  return seam;
}

/** States of a seam that the table of rights knows. */
export function statesOf({ lock, issued }: SeamResource): State[] {
  return [...(lock ? (['locked'] as const) : []), ...(issued.length > 0 ? (['issued'] as const) : [])];
}

export function changeVersioned(
  db: Database,
  id: string,
  basedOn: number,
  yours: unknown,
  change: (tx: Executor, stored: SeamResource) => Promise<void>,
): Promise<SeamResource> {
  return db.transaction(async (tx) => {
    const version = await lockSeam(tx, id);
    const stored = await requireListedSeam(tx, id);
    refuseStale(stored, version, basedOn, yours);
    await change(tx, stored);
    return requireSeam(tx, id);
  });
}
