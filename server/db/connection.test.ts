/** A connection that is lost in the middle of a transaction is an error of that request, not the end of the process. */
import { afterAll, beforeAll, expect, it } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { openTestApp } from '../testing/test-app.ts';
import { people } from './schema/index.ts';

let test: Awaited<ReturnType<typeof openTestApp>>;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

it('ends the transaction with an error, eight times of eight, and the next one works', async () => {
  const { db, pool } = test.connection;
  for (let round = 0; round < 8; round++) {
    const lost = db.transaction(async (tx) => {
      const [own] = await tx
        .select({ pid: sql<number>`pg_backend_pid()` })
        .from(people)
        .limit(1);
      await pool.query('select pg_terminate_backend($1)', [own?.pid]);
      // The socket's end arrives while nobody waits for an answer: here it was that Node died.
      await new Promise((resolve) => setTimeout(resolve, 30));
      await tx.update(people).set({ theme: 'night' });
    });
    await expect(lost).rejects.toThrow();
    expect(await db.$count(people, sql`theme = 'night'`)).toBe(0);
  }
});
