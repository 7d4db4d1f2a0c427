/** What earlier versions of the application kept on a device, brought into the outbox: who made it was not written down then. */
import type { RunCreate, TrialCreate } from '@fox-tempo/contract';
import { createStore, del, entries } from 'idb-keyval';
import { keep, recall } from '../../lib/device.ts';
import type { Entry } from './entry.ts';
import type { EntryStorage } from './storage.ts';

const runsPlace = 'waiting-runs';

interface OldTrial {
  readonly key: string;
  readonly putAt: number;
  readonly trial: TrialCreate;
  readonly photos: Entry['files'];
}

const common = { params: {}, basedOn: null, about: '', by: null, refused: null } as const;

export async function bringUpOlder(storage: EntryStorage, now: () => number): Promise<void> {
  const runs = (recall(runsPlace) ?? []) as readonly { readonly key: string; readonly run: RunCreate }[];
  for (const { key, run } of runs)
    await storage.put({
      ...common,
      key,
      name: 'addRun',
      body: run,
      files: [],
      at: run.deviceAt ?? new Date(now()).toISOString(),
    });
  if (runs.length > 0) keep(runsPlace, null);
  if (typeof indexedDB === 'undefined') return;
  const old = createStore('fox-tempo', 'outbox');
  // A browser that forbids its database kept nothing there either.
  const trials = await entries<string, OldTrial>(old).catch(() => []);
  for (const [key, { trial, photos, putAt }] of trials) {
    await storage.put({
      ...common,
      key,
      name: 'addTrial',
      body: trial,
      files: photos,
      at: trial.deviceAt ?? new Date(putAt).toISOString(),
    });
    await del(key, old);
  }
}
