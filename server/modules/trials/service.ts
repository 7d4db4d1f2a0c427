/** Recording a trial: judged against the limits that stand on the seam at that moment, and kept with what the plan expected. */
import {
  may,
  type Page,
  type Revision,
  type Role,
  type SeamResource,
  type Trial,
  type TrialBody,
  type TrialCreate,
  type TrialQuery,
  type TrialRow,
} from '@fox-tempo/contract';
import type { IssueCode } from '@fox-tempo/core/base/outcome';
import {
  type AcceptanceLimits,
  presetLimits,
  timedFigures,
  trialVerdict,
  usualLevel,
} from '@fox-tempo/core/evidence/trial';
import { planSetting, thinnerMm } from '@fox-tempo/core/setting/plan';
import { ruleQuestion } from '@fox-tempo/core/site';
import { message } from '@fox-tempo/words';
import type { Database, Executor } from '../../db/connection.ts';
import type { PageRequest } from '../../http/paging.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { isoTime } from '../../http/timestamp.ts';
import { missingBlob } from '../blobs/index.ts';
import { requireMachine } from '../machines/index.ts';
import { addObservation, attach, type Author, findObservation, lockObservation } from '../observations/index.ts';
import { findPerson } from '../people/index.ts';
import { findRevision } from '../revisions/index.ts';
import { requireListedSeam } from '../seams/index.ts';
import { readShop } from '../shop/index.ts';
import { findTrial, formsOf, listTrials, putTrial, trialOfObservation } from './repo.ts';

/** What the server adds to a trial when it arrives; kept in its observation, because limits and plan of the day belong to it. */
interface Judged {
  readonly limits: AcceptanceLimits;
  /** Travel and leg that the rule asked for, without any learning. */
  readonly planned: { readonly travelMmPerMin: number; readonly legMm: number | null };
}

type KeptBody = TrialBody & {
  readonly judged: Judged;
  /** Of a correction. */
  readonly why?: string;
};

export async function recordTrial(
  db: Database,
  id: string,
  asked: TrialCreate,
  by: Author & { readonly role: Role },
  at?: string,
): Promise<Trial> {
  const { attachments = [], body, corrects, weldedBy, deviceAt = by.deviceAt, why = '' } = asked;
  const seam = await requireListedSeam(db, asked.seamId);
  await requireMachine(db, asked.machineId);
  const revision = await requireRevision(db, seam, asked.revision);
  if (weldedBy !== undefined && !(await findPerson(db, weldedBy)))
    throw refused('weldedBy', 'unknown-person', message('server.observations.error.no-person', { weldedBy }), weldedBy);
  const root = corrects === undefined ? id : await trialOfObservation(db, corrects);
  if (root === undefined)
    throw refused(
      'corrects',
      'unknown-observation',
      message('server.observations.error.no-record-to-correct', { kind: 'trial', corrects: corrects ?? '' }),
      corrects ?? '',
    );
  const stored = corrects === undefined ? undefined : await lockObservation(db, root);
  if (stored) refuseAnothers(stored, await welderOf(db, root), by, why);
  const missing = await missingBlob(
    db,
    attachments.map(({ sha256 }) => sha256),
  );
  if (missing !== undefined)
    throw refused('attachments', 'unknown-file', message('server.observations.hint.send-file-first'), missing);
  // A correction is held against what stood on the seam when it was welded.
  const first = corrects === undefined ? undefined : ((await formsOf(db, root))[0]?.body as KeptBody | undefined);
  const judged = first?.judged ?? judgedAs(seam, revision);
  const kept: KeptBody = { ...body, judged, ...(stored ? { why } : {}) };
  await addObservation(db, {
    id,
    kind: 'trial',
    by: { id: by.id, sentBy: by.sentBy, deviceAt },
    seamId: asked.seamId,
    machineId: asked.machineId,
    weldedBy,
    corrects,
    revision: revision.number,
    contentHash: revision.contentHash,
    body: kept,
    at,
  });
  await attach(db, id, attachments);
  const welderId = weldedBy ?? (stored ? await welderOf(db, root) : by.id);
  await putTrial(db, {
    id: root,
    observationId: id,
    ...columnsOf(seam, asked.machineId, welderId, revision, kept, attachments.length),
  });
  return requireTrial(db, root);
}

/** A trial is corrected by whoever welded or recorded it, or by a lead hand, who says why. */
function refuseAnothers(
  { recordedBy }: { readonly recordedBy: string },
  welderId: string,
  by: { readonly id: string; readonly role: Role },
  why: string,
): void {
  const isOwn = recordedBy === by.id || welderId === by.id;
  if (!may('correctTrial', by.role, ...(isOwn ? [] : (['anothers'] as const))))
    throw new HttpProblem('not-allowed', message('server.trials.another-ones-trial'));
  if (!isOwn && why.length < 3) throw refused('why', 'missing', message('server.trials.error.reason-to-correct'), why);
}

async function welderOf(db: Executor, id: string): Promise<string> {
  return (await findTrial(db, id))?.weldedById ?? '';
}

function columnsOf(
  seam: SeamResource,
  machineId: string,
  welderId: string,
  { program, spec }: Revision,
  body: KeptBody,
  photos: number,
) {
  const { verdict, byEyeOnly } = trialVerdict(body.judged.limits, body);
  const timed = body.timing && timedFigures(body.timing, {});
  return {
    seamId: seam.id,
    machineId,
    welderId,
    verdict,
    byEyeOnly,
    materialGroup: spec.materialGroup,
    thicknessMm: thinnerMm(spec.thicknessesMm),
    joint: spec.joint,
    position: spec.position,
    mode: program.mode,
    filler: program.filler,
    gas: program.gas,
    diameterMm: program.diameterMm,
    wireFeedMPerMin: program.wireFeedMPerMin,
    trimMm: program.trimMm,
    plannedTravelMmPerMin: body.judged.planned.travelMmPerMin,
    foundTravelMmPerMin: timed?.travelMmPerMin ?? null,
    arcSeconds: body.timing?.seconds ?? null,
    timer: body.timing?.by ?? null,
    legsMm: body.measured.legsMm ?? null,
    symptoms: Object.entries(body.symptoms).flatMap(([code, { answer }]) => (answer === 'yes' ? [code] : [])),
    photos,
  };
}

/** Limits in force and what the rule asked for at the site the setting was planned with. */
function judgedAs(seam: SeamResource, { spec, choice, site, program }: Revision): Judged {
  const plan = planSetting(ruleQuestion(spec, choice, site));
  return {
    limits: seam.limits ?? presetLimits(spec, choice, site, usualLevel),
    planned: {
      travelMmPerMin: plan.ok ? plan.value.travelMmPerMin : program.travelMmPerMin,
      legMm: plan.ok ? plan.value.legMm : null,
    },
  };
}

async function requireRevision(db: Executor, seam: SeamResource, number: number | undefined): Promise<Revision> {
  const found = number === undefined ? seam.revision : await findRevision(db, seam.id, number);
  if (found) return found;
  throw refused(
    'revision',
    'unknown-revision',
    message('server.seams.has-no-revision', { spec: seam.spec.name, revision: number ?? 0 }),
    String(number ?? ''),
  );
}

const uuid = /^[0-9a-f-]{36}$/i;

export async function requireTrial(db: Executor, id: string): Promise<Trial> {
  if (!uuid.test(id)) throw new HttpProblem('not-found', message('server.trials.error.no-trial', { id }));
  const row = await findTrial(db, id);
  const forms = await formsOf(db, id);
  const standing = forms.filter(({ kind }) => kind === 'trial').at(-1);
  if (!row || !standing) throw new HttpProblem('not-found', message('server.trials.error.no-trial', { id }));
  const { judged, why, ...body } = standing.body as unknown as KeptBody;
  const observation = await findObservation(db, standing.id);
  return {
    ...row,
    body,
    deviceAt: standing.deviceAt === null ? null : isoTime(standing.deviceAt),
    limits: judged.limits,
    plannedLegMm: judged.planned.legMm,
    contentHash: standing.contentHash,
    attachments: observation?.attachments ?? [],
    corrected: forms
      .filter((form) => form.kind === 'trial' && form.id !== standing.id)
      .map((form) => ({ id: form.id, at: isoTime(form.at), recordedBy: form.recordedBy })),
    correction:
      observation && standing.id !== id ? { by: observation.recordedBy, at: observation.at, why: why ?? '' } : null,
  };
}

export async function searchTrials(db: Database, query: TrialQuery, page: PageRequest): Promise<Page<TrialRow>> {
  const { timeZone } = await readShop(db);
  return listTrials(db, { ...query, timeZone }, page);
}

function refused(
  path: string,
  code: IssueCode,
  message: Parameters<typeof invalidInput>[0][number]['message'],
  got: string,
) {
  return invalidInput([{ path, code, message, got }]);
}
