/** What saving a seam means: the core computes the program, and seam and revision change together or not at all. */
import { may, type ProgramFile, type Revision, type SeamResource, type SeamSave } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { type Range, windowQuantities, type WindowQuantity } from '@fox-tempo/core/evidence/window';
import { settingOf, type Site } from '@fox-tempo/core/site';
import { message } from '@fox-tempo/words';
import { isDeepStrictEqual } from 'node:util';
import type { Database } from '../../db/connection.ts';
import { HttpProblem, orProblem } from '../../http/problem.ts';
import { appendRevision, contentHash, useFor } from '../revisions/index.ts';
import type { SignedIn } from '../session/index.ts';
import { shopSite } from '../shop/index.ts';
import { hasRelease, lockSeam, updateSeam } from './repo.ts';
import { refuseStale } from '../../http/version.ts';
import { requireListedSeam, requireSeam } from './require.ts';

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
export function figuresOf(save: SeamSave & Pick<Revision, 'site'>, program: ProgramFile) {
  return { use: useFor(save), contentHash: contentHash(program) };
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

export function outside(
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
