/**
 * Questions asked all day: built once for each database, and planned once for each connection under their name. A transaction builds its
 * own. `build` must give the same SQL every time; what varies comes in as placeholders.
 */
import type { Executor } from './connection.ts';

interface Preparable<S> {
  prepare(name: string): S;
}

export function prepared<S>(name: string, build: (db: Executor) => Preparable<S>): (db: Executor) => S {
  const made = new WeakMap<object, S>();
  return (db) => {
    const known = made.get(db);
    if (known) return known;
    const statement = build(db).prepare(name);
    made.set(db, statement);
    return statement;
  };
}
