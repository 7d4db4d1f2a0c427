/** What a weld of a seam may look like, and who may let more pass. */
import { may, type SeamLimits, type SeamResource } from '@fox-tempo/contract';
import { joined } from '@fox-tempo/core/base/messages';
import { loosened, presetLimits, usualLevel } from '@fox-tempo/core/evidence/trial';
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { Database } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { addObservation, self } from '../observations/index.ts';
import type { SignedIn } from '../session/index.ts';
import { changeSeam } from './repo.ts';
import { changeVersioned, statesOf } from './require.ts';

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
