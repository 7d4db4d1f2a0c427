/** A revision issued as the reference of a seam on one machine. */
import type { SeamIssue, SeamResource } from '@fox-tempo/contract';
import type { Phrase } from '@fox-tempo/core/base/messages';
import { message } from '@fox-tempo/words';
import type { Database, Executor } from '../../db/connection.ts';
import { invalidInput } from '../../http/problem.ts';
import { requireMachine } from '../machines/index.ts';
import { addObservation, self } from '../observations/index.ts';
import { findRevision } from '../revisions/index.ts';
import { evidenceOf } from '../trials/index.ts';
import { changeSeam, lockSeam } from './repo.ts';
import { requireListedSeam, requireSeam } from './require.ts';

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
