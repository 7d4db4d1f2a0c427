/** Recording: what an observation names must be there, and a correction corrects the same kind of thing. */
import { recordedKinds, type Observation, type ObservationCreate } from '@fox-tempo/contract';
import { eq, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { blobs, people } from '../../db/schema/index.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { requireMachine } from '../machines/service.ts';
import { requireSeam } from '../seams/service.ts';
import { addObservation, attach, findObservation } from './repo.ts';

export async function record(
  db: Database,
  id: string,
  observation: ObservationCreate,
  recordedBy: string,
): Promise<Observation> {
  const { attachments = [], ...row } = observation;
  if (row.machineId !== undefined) await requireMachine(db, row.machineId);
  const seam = row.seamId === undefined ? undefined : await requireSeam(db, row.seamId);
  if (row.weldedBy !== undefined) {
    const known = await db.select({ id: people.id }).from(people).where(eq(people.id, row.weldedBy));
    if (known.length === 0)
      throw unknown('weldedBy', 'unknown-person', `There is nobody "${row.weldedBy}" here.`, row.weldedBy);
  }
  let before: Observation | undefined;
  if (row.corrects !== undefined) {
    before = await findObservation(db, row.corrects);
    const fits =
      row.kind === 'withdrawal' ? Object.hasOwn(recordedKinds, before?.kind ?? '') : before?.kind === row.kind;
    if (!fits)
      throw unknown(
        'corrects',
        'unknown-observation',
        `There is no ${row.kind} "${row.corrects}" to correct.`,
        row.corrects,
      );
  }
  await requireBlobs(
    db,
    attachments.map((file) => file.sha256),
  );
  await addObservation(db, {
    id,
    recordedBy,
    // A correction stands where the corrected row stood.
    machineId: before?.machineId,
    seamId: before?.seamId,
    ...row,
    revision: seam?.revision?.number,
    contentHash: seam?.revision?.contentHash,
  });
  await attach(db, id, attachments);
  const made = await findObservation(db, id);
  if (!made) throw new HttpProblem('internal', 'The observation was not kept.');
  return made;
}

async function requireBlobs(db: Database, wanted: readonly string[]): Promise<void> {
  if (wanted.length === 0) return;
  const rows = await db
    .select({ sha256: blobs.sha256 })
    .from(blobs)
    .where(inArray(blobs.sha256, [...wanted]));
  const missing = wanted.find((sha256) => !rows.some((row) => row.sha256 === sha256));
  if (missing !== undefined)
    throw unknown(
      'attachments',
      'unknown-file',
      'Send the file to /api/blobs before the observation that names it.',
      missing,
    );
}

function unknown(path: string, code: string, message: string, got: string): HttpProblem {
  return invalidInput([{ path, code, message, got }]);
}
