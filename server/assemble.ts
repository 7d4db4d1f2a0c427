/** The parts of a running server put together, for the process, the worker and the tests alike. */
import { createKeeper, type Keeper } from './backup/keeper.ts';
import { createComputePool, type ComputePool } from './compute-pool/pool.ts';
import { connect, type Connection } from './db/connection.ts';
import { migrateDatabase } from './db/migrate.ts';
import { forgetOldAnswers } from './http/once.ts';
import { createJobQueue, type JobQueue } from './modules/jobs/index.ts';
import { bringUpRevisions, siteOfOld, useFor } from './modules/revisions/index.ts';
import { shopSite, ensureShop } from './modules/shop/index.ts';
import {
  sessionStore,
  type SessionStore,
  createTickets,
  type Tickets,
  forgetOldTries,
} from './modules/session/index.ts';
import { readShopTexts } from './modules/words/index.ts';

export interface Assembly {
  readonly connection: Connection;
  readonly pool: ComputePool;
  readonly queue: JobQueue;
  readonly keeper: Keeper;
  readonly store: SessionStore;
  readonly tickets: Tickets;
  close(): Promise<void>;
}

export interface AssembleOptions {
  readonly url: string;
  readonly dataFolder?: string | undefined;
  /** Ended sessions are swept away now and then. */
  readonly prunes?: boolean;
  /** A thread for computations is kept ready. */
  readonly keepsOne?: boolean;
}

/** Brings the database up (after a backup, where it holds something) and opens everything over it. */
export async function assemble({
  url,
  dataFolder,
  prunes = false,
  keepsOne = false,
}: AssembleOptions): Promise<Assembly> {
  const connection = connect(url);
  const pool = createComputePool({ keepsOne });
  const keeper = createKeeper({ url, dataFolder });
  const queue = createJobQueue(url, connection);
  try {
    await migrateDatabase(connection.pool, () => keeper.beforeMigration());
    const { sessionSecret } = await ensureShop(connection.db);
    const site = await shopSite(connection.db);
    await bringUpRevisions(connection.db, (revision) => siteOfOld(revision, site), useFor);
    await readShopTexts(connection.db);
    await forgetOldAnswers(connection.db);
    await forgetOldTries(connection.db);
    const store = sessionStore(connection.pool, sessionSecret, prunes);
    return {
      connection,
      pool,
      queue,
      keeper,
      store,
      tickets: createTickets(sessionSecret),
      async close() {
        keeper.close();
        store.close();
        await queue.close();
        await pool.close();
        await connection.close();
      },
    };
  } catch (error) {
    await connection.close();
    throw error;
  }
}
