/**
 * Rows that never change under their key (a revision, a slot's entry, a machine's version) are read, parsed and checked once, and then
 * kept. The oldest leave first.
 */
export interface RowCache<T> {
  /** Values by key; what is not kept is loaded in one go. Keys that `load` does not know are absent. */
  get(
    keys: readonly string[],
    load: (missing: readonly string[]) => Promise<ReadonlyMap<string, T>>,
  ): Promise<ReadonlyMap<string, T>>;
}

export function createRowCache<T>(size: number): RowCache<T> {
  // A map keeps the order of insertion.
  const kept = new Map<string, T>();
  return {
    async get(keys, load) {
      const found = new Map<string, T>();
      const missing: string[] = [];
      for (const key of new Set(keys)) {
        const value = kept.get(key);
        if (value === undefined) missing.push(key);
        else found.set(key, value);
      }
      if (missing.length === 0) return found;
      for (const [key, value] of await load(missing)) {
        found.set(key, value);
        kept.set(key, value);
        if (kept.size > size) kept.delete(kept.keys().next().value ?? '');
      }
      return found;
    },
  };
}
