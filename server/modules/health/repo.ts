import type { Executor } from '../../db/connection.ts';
import { people } from '../../db/schema/index.ts';

export async function countPeople(db: Executor): Promise<number> {
  return db.$count(people);
}
