/** Writing a window: tested at every corner on the server when it is written; one that does not hold is refused with its corner and what would hold. */
import { thinnerMm } from '@fox-tempo/core/setting/plan';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { type SeamResource, type SeamWindow } from '@fox-tempo/contract';
import type { Said } from '@fox-tempo/core/base/messages';
import type { WindowTested } from '@fox-tempo/core/evidence/window';
import { message } from '@fox-tempo/words';
import type { ComputePool } from '../../compute-pool/pool.ts';
import type { Database } from '../../db/connection.ts';
import { invalidInput } from '../../http/problem.ts';
import { requireMachine } from '../machines/index.ts';
import { findRevision } from '../revisions/index.ts';
import { requireSeam, writeWindow } from '../seams/index.ts';

export async function saveWindow(
  db: Database,
  pool: ComputePool,
  id: string,
  basedOn: number,
  asked: SeamWindow,
  authorId: string,
  signal: AbortSignal,
): Promise<SeamResource> {
  const seam = await requireSeam(db, id);
  const machine = await requireMachine(db, asked.machineId);
  const revision = await findRevision(db, id, asked.revision);
  if (!revision)
    throw invalidInput([
      {
        path: 'revision',
        code: 'unknown-revision',
        message: message('server.seams.has-no-revision', { spec: seam.spec.name, revision: asked.revision }),
        got: asked.revision,
      },
    ]);
  if (asked.window === null) return writeWindow(db, id, basedOn, asked, 0, authorId);
  const { corrections: _corrections, ...file } = asStands(machine);
  const bytes = await pool.run(
    {
      kind: 'verb',
      verb: 'window',
      inCodes: true,
      input: {
        program: revision.program,
        machine: file,
        window: asked.window,
        thicknessMm: thinnerMm(revision.spec.thicknessesMm),
      },
    },
    signal,
  );
  const tested = JSON.parse(bytes.toString('utf8')) as Pick<WindowTested, 'largestThatHolds' | 'failureBelow95'> & {
    readonly worst: { readonly ok: boolean; readonly why?: Said };
  };
  if (!tested.worst.ok)
    throw invalidInput([
      {
        path: 'window',
        code: 'window-does-not-hold',
        message: message('server.windows.a-corner-fails', { why: tested.worst.why ?? '' }),
        limit: Object.values(tested.largestThatHolds).flat(),
      },
    ]);
  return writeWindow(db, id, basedOn, asked, tested.failureBelow95, authorId);
}
