/** A write under the client's key is done once: the answer is kept in the same transaction, and the same key gets the same answer. */
import { message } from '@fox-tempo/words';
import { keptAnswerDays } from '@fox-tempo/contract';
import { eq, lt, sql } from 'drizzle-orm';
import type { Database } from '../db/connection.ts';
import { keptAnswers } from '../db/schema/index.ts';
import { HttpProblem } from './problem.ts';

interface Keyed {
  readonly key: string;
  readonly personId: string;
  readonly endpoint: string;
  readonly requestHash: string;
}

export async function once(
  db: Database,
  keyed: Keyed,
  status: number,
  run: (tx: Database) => Promise<unknown>,
): Promise<unknown> {
  return db.transaction(async (tx) => {
    // Waits here for another request under the same key, and then finds its answer.
    const mine = await tx.insert(keptAnswers).values(keyed).onConflictDoNothing().returning({ key: keptAnswers.key });
    if (mine.length > 0) {
      const answer = await run(tx);
      await tx.update(keptAnswers).set({ status, answer }).where(eq(keptAnswers.key, keyed.key));
      return answer;
    }
    const [kept] = await tx.select().from(keptAnswers).where(eq(keptAnswers.key, keyed.key));
    if (
      kept?.personId !== keyed.personId ||
      kept.endpoint !== keyed.endpoint ||
      kept.requestHash !== keyed.requestHash
    ) {
      throw new HttpProblem('key-reused', message('server.http.error.idempotency-key-reused'));
    }
    return kept.answer;
  });
}

export async function forgetOldAnswers(db: Database): Promise<void> {
  await db.delete(keptAnswers).where(lt(keptAnswers.at, sql`now() - make_interval(days => ${keptAnswerDays})`));
}
