/** Where records wait: the browser's database, shared by its tabs; where the browser forbids one, the page's own memory. */
import { createStore, del, entries, get, set, type UseStore } from 'idb-keyval';
import type { Entry } from './entry.ts';

export interface EntryStorage {
  all: () => Promise<Entry[]>;
  find: (key: string) => Promise<Entry | undefined>;
  put: (entry: Entry) => Promise<void>;
  remove: (key: string) => Promise<void>;
}

const databaseName = 'fox-tempo-outbox';

/** `whenForbidden` hears that the browser keeps nothing: what waits then lives as long as the page. */
export function browserStorage(whenForbidden: () => void): EntryStorage {
  const memory = new Map<string, Entry>();
  let opened: UseStore | null | undefined;
  const database = () => {
    if (opened === undefined) opened = typeof indexedDB === 'undefined' ? null : createStore(databaseName, 'entries');
    return opened;
  };
  /** What the database says; undefined where there is none. */
  async function ask<T>(act: (store: UseStore) => Promise<T>): Promise<T | undefined> {
    const store = database();
    if (!store) return undefined;
    try {
      return await act(store);
    } catch {
      whenForbidden();
      return undefined;
    }
  }
  return {
    async all() {
      const kept = (await ask((store) => entries<string, Entry>(store))) ?? [];
      return [...new Map([...memory, ...kept]).values()];
    },
    async find(key) {
      return (await ask((store) => get<Entry>(key, store))) ?? memory.get(key);
    },
    async put(entry) {
      const isKept = await ask(async (store) => {
        await set(entry.key, entry, store);
        return true;
      });
      if (isKept) memory.delete(entry.key);
      else memory.set(entry.key, entry);
    },
    async remove(key) {
      memory.delete(key);
      await ask((store) => del(key, store));
    },
  };
}
