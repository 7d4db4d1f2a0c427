/** Records that people's own names are the keys of: a dial called "constructor" must not find what every object inherits. */

/** The record's own value under a key; undefined where it has none. */
export function own<T>(record: Readonly<Record<string, T>> | undefined, key: string): T | undefined {
  return record !== undefined && Object.hasOwn(record, key) ? record[key] : undefined;
}
