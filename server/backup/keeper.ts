/** Backups that make themselves: one a night, seven kept, and one before every migration, beside the data folder. */
import { mkdir, mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, dirname, join, resolve } from 'node:path';
import { factsOf, log } from '../http/log.ts';
import { makeBackup } from './backup.ts';

const nightsKept = 7;
const ending = '.foxbackup';
const hourMs = 3_600_000;

export interface Keeper {
  readonly folder: string | undefined;
  /** A backup for somebody to take away; `remove` deletes it afterwards. */
  make(signal?: AbortSignal): Promise<{ path: string; name: string; remove: () => Promise<void> }>;
  list(): Promise<{ name: string; bytes: number; madeAt: string }[] | null>;
  /** Why the last one failed; null when it did not. */
  trouble(): string | null;
  beforeMigration(): Promise<void>;
  /** Looks every hour whether a night has passed. */
  watch(): void;
  close(): void;
}

/** `data-backups` beside `data`: deleting one does not delete the other. */
export function backupFolder(dataFolder: string): string {
  const whole = resolve(dataFolder);
  return join(dirname(whole), `${basename(whole)}-backups`);
}

export function createKeeper({
  url,
  dataFolder,
}: {
  readonly url: string;
  readonly dataFolder?: string | undefined;
}): Keeper {
  const folder = dataFolder === undefined ? undefined : backupFolder(dataFolder);
  let timer: NodeJS.Timeout | undefined;
  let trouble: string | null = null;
  const stamp = () => new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-');

  async function list() {
    if (folder === undefined) return null;
    const names = await readdir(folder).catch(() => [] as string[]);
    const found = names
      .filter((name) => name.endsWith(ending))
      .map(async (name) => {
        const { size, mtime } = await stat(join(folder, name));
        return { name, bytes: size, madeAt: mtime.toISOString() };
      });
    return (await Promise.all(found)).sort((a, b) => b.madeAt.localeCompare(a.madeAt));
  }

  async function keep(kind: 'night' | 'before-migration'): Promise<void> {
    if (folder === undefined) return;
    await mkdir(folder, { recursive: true, mode: 0o700 });
    await makeBackup(url, join(folder, `${kind}-${stamp()}${ending}`));
    const nights = ((await list()) ?? []).filter(({ name }) => name.startsWith('night-'));
    for (const { name } of nights.slice(nightsKept)) await rm(join(folder, name), { force: true });
  }

  async function tick(): Promise<void> {
    const nights = ((await list()) ?? []).filter(({ name }) => name.startsWith('night-'));
    const newest = nights[0] ? Date.parse(nights[0].madeAt) : 0;
    if (Date.now() - newest < 23 * hourMs) return;
    try {
      await keep('night');
      trouble = null;
    } catch (error) {
      trouble = error instanceof Error ? error.message.slice(0, 300) : String(error);
      log.error('the nightly backup failed', factsOf(error));
    }
  }

  return {
    folder: dataFolder,
    list,
    trouble: () => trouble,
    async make(signal) {
      const place = await mkdtemp(join(tmpdir(), 'fox-tempo-backup-'));
      const name = `fox-tempo-${stamp()}${ending}`;
      const remove = () => rm(place, { recursive: true, force: true });
      try {
        await makeBackup(url, join(place, name), signal);
      } catch (error) {
        await remove();
        throw error;
      }
      return { path: join(place, name), name, remove };
    },
    beforeMigration: () => keep('before-migration'),
    watch() {
      if (folder === undefined) return;
      // Not in the first minutes: a shop that was just opened has nothing to lose yet and is looked at first.
      const first = setTimeout(() => {
        void tick();
        timer = setInterval(() => void tick(), hourMs);
        timer.unref();
      }, 10 * 60_000);
      first.unref();
      timer = first;
    },
    close: () => clearTimeout(timer),
  };
}
