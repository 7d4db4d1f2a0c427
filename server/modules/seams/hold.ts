/** What holds a setting, and what lets a welder past it: lock, window, offset, release on the spot. */
import {
  rights,
  type SeamLock,
  type SeamOffset,
  type SeamRelease,
  type SeamResource,
  type SeamWindow,
} from '@fox-tempo/contract';
import { offsetBeyond } from '@fox-tempo/core/evidence/window';
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import type { Database } from '../../db/connection.ts';
import { HttpProblem } from '../../http/problem.ts';
import { addObservation, self } from '../observations/index.ts';
import { findRevision } from '../revisions/index.ts';
import { confirmPin, type Device } from '../session/index.ts';
import { changeSeam } from './repo.ts';
import { changeVersioned, requireListedSeam, requireSeam } from './require.ts';
import { outside } from './save-setting.ts';

/** Locks or frees the setting: a row of evidence, the newest one holds. */
export function lockSetting(
  db: Database,
  id: string,
  basedOn: number,
  { locked, reason }: SeamLock,
  authorId: string,
): Promise<SeamResource> {
  return changeVersioned(db, id, basedOn, { locked, reason }, async (tx, stored) => {
    await addObservation(tx, {
      id: randomUUID(),
      kind: 'lock',
      by: self(authorId),
      seamId: id,
      revision: stored.revision?.number,
      body: { locked, reason },
    });
    await changeSeam(tx, id, {}, authorId);
  });
}

/** A window that was tested; null takes it away. */
export function writeWindow(
  db: Database,
  id: string,
  basedOn: number,
  { machineId, revision, window, reason }: SeamWindow,
  failureBelow95: number,
  authorId: string,
): Promise<SeamResource> {
  return changeVersioned(db, id, basedOn, { window }, async (tx) => {
    await addObservation(tx, {
      id: randomUUID(),
      kind: 'window',
      by: self(authorId),
      seamId: id,
      machineId,
      revision,
      body: { window, failureBelow95, reason },
    });
    await changeSeam(tx, id, {}, authorId);
  });
}

/** How the one signed in moves the setting for himself; outside the window it is refused. */
export async function saveOffset(
  db: Database,
  id: string,
  { machineId, revision, offset }: SeamOffset,
  welderId: string,
): Promise<SeamResource> {
  const seam = await requireListedSeam(db, id);
  const found = await findRevision(db, id, revision);
  const written = seam.windows.find((one) => one.machineId === machineId && one.revision === revision);
  const moves = Object.keys(offset).length > 0;
  if (moves && (!found || !written))
    throw new HttpProblem('locked', message('server.seams.error.no-window', { spec: seam.spec.name, revision }));
  const [beyond] = found && written ? offsetBeyond(found.program, offset, written.window) : [];
  if (beyond && written) throw outside(seam, written.by, beyond);
  await addObservation(db, {
    id: randomUUID(),
    kind: 'offset',
    by: self(welderId),
    seamId: id,
    machineId,
    revision,
    body: { offset },
  });
  return requireSeam(db, id);
}

/** How long a release on the spot holds, minutes. */
const releaseMinutes = 30;

/** Lets one welder save beyond lock and window for a while. A lead hand's PIN stands for the lead hand. */
export async function releaseSetting(
  db: Database,
  id: string,
  { by, reason }: SeamRelease,
  welderId: string,
  device: Device,
): Promise<{ until: string }> {
  await requireListedSeam(db, id);
  const lead = await confirmPin(db, by, rights.lockSeam.roles, { device, askedBy: welderId });
  const until = new Date(Date.now() + releaseMinutes * 60_000).toISOString();
  await addObservation(db, {
    id: randomUUID(),
    kind: 'release',
    by: self(lead.id),
    weldedBy: welderId,
    seamId: id,
    body: { reason, until },
  });
  return { until };
}
