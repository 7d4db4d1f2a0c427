/** What saving a seam means: the core computes the program, and seam and revision change together or not at all. */
import { amount, joined, type Phrase } from '@fox-tempo/core/base/messages';
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import {
  may,
  rights,
  type ProgramFile,
  type SeamCopy,
  type SeamCreate,
  type SeamIssue,
  type SeamLock,
  type SeamOffset,
  type SeamRelease,
  type SeamResource,
  type SeamSave,
  type SeamWindow,
  type Revision,
  type State,
  type SeamLimits,
} from '@fox-tempo/contract';
import { settingOf, type Site } from '@fox-tempo/core/site';
import { offsetBeyond, windowQuantities, type Range, type WindowQuantity } from '@fox-tempo/core/evidence/window';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput, orProblem } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { requireMachine } from '../machines/service.ts';
import { addObservation } from '../observations/repo.ts';
import { evidenceOf } from '../trials/repo.ts';
import { requirePart } from '../parts/service.ts';
import type { SignedIn } from '../session/who.ts';
import { shopSite } from '../shop/site.ts';
import { confirmPin } from '../session/service.ts';
import { changeSeam, findSeam, hasRelease, insertSeam, lockSeam, updateSeam } from './repo.ts';
import { appendRevision, findRevision } from '../revisions/repo.ts';
import { contentHash, useFor } from '../revisions/use.ts';
import { self } from '../observations/author.ts';
import { loosened, presetLimits, usualLevel } from '@fox-tempo/core/evidence/trial';
import type { Device } from '../session/device.ts';

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
function statesOf({ lock, issued }: SeamResource): State[] {
  return [...(lock ? (['locked'] as const) : []), ...(issued.length > 0 ? (['issued'] as const) : [])];
}

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

/** Saves the seam and its next program revision. A stale version is refused with both states; saving what is stored already adds nothing. */
export async function saveSeam(
  db: Database,
  id: string,
  basedOn: number,
  save: SeamSave,
  me: Pick<SignedIn, 'id' | 'role'>,
  /** Left out: now. */
  at?: string,
): Promise<SeamResource> {
  // Planned outside the transaction: the row is locked only for the writing.
  const site = await shopSite(db);
  const program = programFor(save, site);
  return db.transaction(async (tx) => {
    const version = await lockSeam(tx, id);
    const stored = await requireListedSeam(tx, id);
    refuseStale(stored, version, basedOn, save);
    if (!(await hasRelease(tx, id, me.id))) {
      refuseLocked(stored, me);
      refuseOutsideWindows(stored, program, me);
    }
    const { revision } = stored;
    if (
      revision &&
      isDeepStrictEqual([revision.program, revision.choice, stored.spec], [program, save.choice, save.spec])
    )
      return stored;
    await updateSeam(tx, id, save.spec, me.id);
    await appendRevision(tx, id, { ...save, site, program, ...figuresOf({ ...save, site }, program) }, me.id, at);
    return requireSeam(tx, id);
  });
}

/** Wire, gas and minutes as they are computed today, kept with the revision. */
function figuresOf(save: SeamSave & Pick<Revision, 'site'>, program: ProgramFile) {
  return { use: useFor(save), contentHash: contentHash(program) };
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

/** What a weld may look like, from now on; trials keep the limits of their day. */
export function saveLimits(
  db: Database,
  id: string,
  basedOn: number,
  { limits, reason }: SeamLimits,
  me: Pick<SignedIn, 'id' | 'role'>,
): Promise<SeamResource> {
  return changeVersioned(db, id, basedOn, { limits }, async (tx, stored) => {
    if (isDeepStrictEqual(stored.limits, limits)) return;
    refuseLooser(stored, limits, reason, me);
    await addObservation(tx, {
      id: randomUUID(),
      kind: 'limits',
      by: self(me.id),
      seamId: id,
      revision: stored.revision?.number,
      body: { limits, reason },
    });
    await changeSeam(tx, id, {}, me.id);
  });
}

/** A reference is held to the limits it was issued on: only a lead hand lets more pass, and says why. */
function refuseLooser(
  seam: SeamResource,
  limits: SeamResource['limits'],
  reason: string,
  me: Pick<SignedIn, 'role'>,
): void {
  const inStates = statesOf(seam);
  const before =
    seam.limits ?? (seam.revision && presetLimits(seam.spec, seam.revision.choice, seam.revision.site, usualLevel));
  if (inStates.length === 0 || !before) return;
  // What is taken away is no limit any more.
  const looser = limits === null ? (seam.limits === null ? [] : ['level' as const]) : loosened(before, limits);
  if (looser.length === 0) return;
  if (!may('loosenLimits', me.role, ...inStates))
    throw new HttpProblem('locked', message('server.seams.error.limits-of-reference', { spec: seam.spec.name }));
  if (reason.length >= 3) return;
  throw invalidInput([
    {
      path: 'reason',
      code: 'missing',
      message: message('server.seams.error.reason-looser', {
        limits: joined(
          looser.map((name) => message(`server.seams.limit-${name}`)),
          ', ',
        ),
      }),
      limit: 3,
      got: reason,
    },
  ]);
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

/** Makes a revision the reference on one machine; `key` is the observation's id. */
export async function issueRevision(
  db: Database,
  id: string,
  key: string,
  { revision, machineId, reason, evidence }: SeamIssue,
  authorId: string,
): Promise<SeamResource> {
  return db.transaction(async (tx) => {
    await lockSeam(tx, id);
    const stored = await requireListedSeam(tx, id);
    await requireMachine(tx, machineId);
    const found = await findRevision(tx, id, revision);
    if (!found) {
      throw invalidInput([
        {
          path: 'revision',
          code: 'unknown-revision',
          message: message('server.seams.has-no-revision', { spec: stored.spec.name, revision }),
          got: revision,
        },
      ]);
    }
    if (stored.limits === null) {
      throw invalidInput([
        {
          path: 'limits',
          code: 'limits-not-written',
          message: message('server.seams.nobody-wrote-limits', { spec: stored.spec.name }),
          got: null,
        },
      ]);
    }
    await refuseWithoutEvidence(tx, { seamId: id, machineId, revision, evidence });
    await addObservation(tx, {
      id: key,
      kind: 'issue',
      by: self(authorId),
      seamId: id,
      machineId,
      revision,
      contentHash: found.contentHash,
      body: { reason, evidence, limits: stored.limitsWritten?.number },
    });
    await changeSeam(tx, id, {}, authorId);
    return requireSeam(tx, id);
  });
}

/** A reference stands on trials that passed with this very revision on this machine; a root that must be proved is not passed by eye. */
async function refuseWithoutEvidence(
  db: Executor,
  asked: {
    readonly seamId: string;
    readonly machineId: string;
    readonly revision: number;
    readonly evidence: readonly string[];
  },
): Promise<void> {
  const refuse = (message: Phrase, got: string) =>
    invalidInput([{ path: 'evidence', code: 'no-evidence', message, got }]);
  const trials = await evidenceOf(db, asked.evidence);
  const missing = asked.evidence.find((one) => !trials.some(({ id }) => id === one));
  if (missing !== undefined) throw refuse(message('server.trials.error.no-trial', { id: missing }), missing);
  for (const { id, seamId, machineId, revision, verdict } of trials) {
    const stands = seamId === asked.seamId && machineId === asked.machineId && revision === asked.revision;
    if (!stands || verdict !== 'pass') throw refuse(message('server.seams.error.trial-does-not-count'), id);
  }
  if (trials.some(({ rootFusion }) => rootFusion) && trials.every(({ byEyeOnly }) => byEyeOnly))
    throw refuse(message('server.seams.error.by-eye-only'), asked.evidence[0] ?? '');
}

function changeVersioned(
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

function refuseStale(stored: SeamResource, version: number | undefined, basedOn: number, yours: unknown): void {
  if (version === basedOn) return;
  throw staleVersion(
    stored,
    yours,
    message('server.machines.error.version-conflict', {
      changedBy: stored.changedBy,
      version: stored.version,
      basedOn,
    }),
  );
}

function refuseLocked({ lock, spec }: SeamResource, me: Pick<SignedIn, 'role'>): void {
  if (!lock || may('saveSeam', me.role, 'locked')) return;
  throw new HttpProblem(
    'locked',
    message('server.seams.error.locked', { by: lock.by, spec: spec.name, reason: lock.reason }),
  );
}

/** Where a window is written, a welder moves the setting inside it; beyond it is a lead hand's. */
function refuseOutsideWindows(seam: SeamResource, program: ProgramFile, me: Pick<SignedIn, 'role'>): void {
  if (may('saveSeam', me.role, 'locked')) return;
  for (const { window, by } of seam.windows) {
    for (const quantity of windowQuantities) {
      const range = window[quantity];
      const value = program[quantity];
      if (!range || (value >= range[0] - 1e-6 && value <= range[1] + 1e-6)) continue;
      throw outside(seam, by, { quantity, value, range });
    }
  }
}

function outside(
  { spec }: SeamResource,
  by: string,
  { quantity, value, range }: { readonly quantity: WindowQuantity; readonly value: number; readonly range: Range },
): HttpProblem {
  return new HttpProblem(
    'locked',
    message('server.seams.outside-the-window', {
      by,
      spec: spec.name,
      quantity: message(`server.seams.q-${quantity}`),
      value: shownOf(quantity, value),
      low: shownOf(quantity, range[0]),
      high: shownOf(quantity, range[1]),
    }),
  );
}

function shownOf(quantity: WindowQuantity, value: number) {
  if (quantity === 'wireFeedMPerMin') return amount('wireFeed', value, 1);
  return quantity === 'trimMm' ? amount('shortLength', value, 1) : amount('plain', value, 1);
}

/** The program a save amounts to; an impossible chain is refused with every reason. */
function programFor({ spec, choice }: SeamSave, site: Site): ProgramFile {
  const { program } = orProblem(settingOf(spec, choice, site));
  // Through JSON once, so that it compares equal to what the database hands back.
  return JSON.parse(JSON.stringify({ format: 'fox-tempo/program', version: 2, ...program })) as ProgramFile;
}
