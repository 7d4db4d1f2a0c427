/** What saving a seam means: the core computes the program, and seam and revision change together or not at all. */
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { programOf, type ProgramFile, type SeamCreate, type SeamResource, type SeamSave } from '@fox-tempo/contract';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, orProblem } from '../../http/problem.ts';
import { findPart } from '../parts/repo.ts';
import { appendRevision, findSeam, insertSeam, lockSeam, updateSeam } from './repo.ts';

export async function requireSeam(db: Executor, id: string): Promise<SeamResource> {
  const seam = await findSeam(db, id);
  if (!seam) throw new HttpProblem('not-found', `There is no seam "${id}".`);
  return seam;
}

/** `id` is chosen only for demo data, so that its addresses stay the same. */
export async function createSeam(
  db: Database,
  request: SeamCreate,
  authorId: string,
  id = `seam-${randomUUID().slice(0, 8)}`,
): Promise<SeamResource> {
  if (!(await findPart(db, request.partId))) {
    throw new HttpProblem('invalid-input', `There is no part "${request.partId}".`, {
      issues: [
        { path: 'partId', code: 'unknown-part', message: `There is no part "${request.partId}".`, got: request.partId },
      ],
    });
  }
  await insertSeam(db, id, request.partId, request.spec, authorId);
  return requireSeam(db, id);
}

/** Saves the seam and its next program revision. A stale version is refused with both states; saving what is stored already adds nothing. */
export async function saveSeam(
  db: Database,
  id: string,
  basedOn: number,
  save: SeamSave,
  authorId: string,
): Promise<SeamResource> {
  // Planned outside the transaction: the row is locked only for the writing.
  const program = programFor(save);
  return db.transaction(async (tx) => {
    const version = await lockSeam(tx, id);
    const stored = await requireSeam(tx, id);
    if (version !== basedOn) {
      throw new HttpProblem(
        'stale-version',
        `${stored.changedBy} saved version ${stored.version}; yours was based on ${basedOn}.`,
        {
          current: stored,
          yours: save,
        },
      );
    }
    const { revision } = stored;
    if (
      revision &&
      isDeepStrictEqual([revision.program, revision.choice, stored.spec], [program, save.choice, save.spec])
    )
      return stored;
    await updateSeam(tx, id, save.spec, authorId);
    await appendRevision(tx, id, { ...save, program }, authorId);
    return requireSeam(tx, id);
  });
}

/** The program a save amounts to; an impossible chain is refused with every reason. */
function programFor({ spec, choice }: SeamSave): ProgramFile {
  const { program } = orProblem(programOf(spec, choice));
  // Through JSON once, so that it compares equal to what the database hands back.
  return JSON.parse(JSON.stringify({ format: 'fox-tempo/program', version: 2, ...program })) as ProgramFile;
}
