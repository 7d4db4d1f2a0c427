/** The shop as its people see it: name, time zone, whether the disk runs full, which backups there are. */
import { statfs } from 'node:fs/promises';
import type { ShopState } from '@fox-tempo/contract';
import type { Executor } from '../../db/connection.ts';
import type { Keeper } from '../../backup/keeper.ts';
import { lanFromStart, lanOrigin } from '../../http/lan.ts';
import { readShop } from './repo.ts';

/** Under this, a photograph-rich week may fill the disk. */
const lowBytes = 2 * 1024 ** 3;

export async function shopState(db: Executor, keeper: Keeper): Promise<ShopState> {
  const { version, name, timeZone, thicknessRule, rates, demo } = await readShop(db);
  const lan = lanFromStart();
  const diskFreeBytes = await freeBytes(keeper.folder);
  return {
    version,
    name,
    timeZone,
    thicknessRule,
    rates,
    demo,
    diskFreeBytes,
    diskIsLow: diskFreeBytes !== null && diskFreeBytes < lowBytes,
    lan: lan ? { origin: lanOrigin(lan), fingerprint: lan.fingerprint } : null,
    backups: await keeper.list(),
    backupTrouble: keeper.trouble(),
  };
}

async function freeBytes(folder: string | undefined): Promise<number | null> {
  if (folder === undefined) return null;
  try {
    const { bavail, bsize } = await statfs(folder);
    return bavail * bsize;
  } catch {
    return null;
  }
}
