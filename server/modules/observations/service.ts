/** Recording: what an observation names must be there, and a correction corrects the same kind of thing. */
import type { Phrase } from '@fox-tempo/core/base/messages';
import { message } from '@fox-tempo/words';
import { type IssueCode } from '@fox-tempo/core/base/outcome';
import { may, recordedKinds, type Observation, type ObservationCreate, type Role } from '@fox-tempo/contract';
import type { Database } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { missingBlob } from '../blobs/index.ts';
import { refuseForeignDials, requireMachine } from '../machines/index.ts';
import { findPerson } from '../people/index.ts';
import { requireSeam } from '../seams/index.ts';
import { withdrawTrial } from '../trials/index.ts';
import { addObservation, attach, findObservation, lockObservation, withdrawalOf } from './repo.ts';
import type { Author } from './author.ts';

export async function record(
  db: Database,
  id: string,
  observation: ObservationCreate,
  by: Author,
  role: Role,
): Promise<Observation> {
  const { attachments = [], deviceAt = by.deviceAt, ...row } = observation;
  const machine = row.machineId === undefined ? undefined : await requireMachine(db, row.machineId);
  if (machine && row.kind === 'dials-set') refuseForeignDials(machine.file, row.body.dials, 'body.dials');
  const seam = row.seamId === undefined ? undefined : await requireSeam(db, row.seamId);
  if (row.weldedBy !== undefined) {
    if (!(await findPerson(db, row.weldedBy)))
      throw unknown(
        'weldedBy',
        'unknown-person',
        message('server.observations.error.no-person', { weldedBy: row.weldedBy }),
        row.weldedBy,
      );
  }
  let before: Observation | undefined;
  if (row.corrects !== undefined) {
    // Two who correct the same row come one after the other.
    const made = await lockObservation(db, row.corrects);
    before = made && (await findObservation(db, row.corrects));
    const fits =
      row.kind === 'withdrawal'
        ? before?.kind === 'trial' || Object.hasOwn(recordedKinds, before?.kind ?? '')
        : before?.kind === row.kind;
    if (!fits)
      throw unknown(
        'corrects',
        'unknown-observation',
        message('server.observations.error.no-record-to-correct', { kind: row.kind, corrects: row.corrects }),
        row.corrects,
      );
    const own = made?.recordedBy === by.id || made?.weldedBy === by.id;
    const right =
      before?.kind === 'handed-over' ? may('settleHandedOver', role) : own || may('withdraw', role, 'anothers');
    if (!right) throw new HttpProblem('not-allowed', message('server.observations.another-ones-record'));
    const already = row.kind === 'withdrawal' ? await withdrawalOf(db, row.corrects) : undefined;
    if (already) return already;
  }
  const missing = await missingBlob(
    db,
    attachments.map((file) => file.sha256),
  );
  if (missing !== undefined)
    throw unknown('attachments', 'unknown-file', message('server.observations.hint.send-file-first'), missing);
  await addObservation(db, {
    id,
    by: { ...by, deviceAt },
    // A correction stands where the corrected row stood.
    machineId: before?.machineId,
    seamId: before?.seamId,
    ...row,
    revision: seam?.revision?.number,
    contentHash: seam?.revision?.contentHash,
  });
  await attach(db, id, attachments);
  if (row.kind === 'withdrawal' && before?.kind === 'trial') await withdrawTrial(db, before.id);
  const made = await findObservation(db, id);
  if (!made) throw new HttpProblem('internal', message('server.observations.error.not-kept'));
  return made;
}

function unknown(path: string, code: IssueCode, message: Phrase, got: string): HttpProblem {
  return invalidInput([{ path, code, message, got }]);
}
