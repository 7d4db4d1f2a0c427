/** The shop's part of every question to the plan. A setting belongs to the seam: no machine stands in it. */
import { completeSite, type Site } from '@fox-tempo/core/site';
import type { Executor } from '../../db/connection.ts';
import { readShop } from './repo.ts';

export async function shopSite(db: Executor): Promise<Site> {
  const { thicknessRule } = await readShop(db);
  return completeSite({ thicknessRule });
}
