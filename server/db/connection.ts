/** The pool and Drizzle over it. Connections are few and give up soon: a welder waits for an answer, not for a socket. */
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { log } from '../http/log.ts';
import * as schema from './schema/index.ts';

/** The database, or a transaction on it. */
export type Database = Pick<
  NodePgDatabase<typeof schema>,
  'select' | 'insert' | 'update' | 'delete' | 'execute' | '$count' | 'transaction'
>;
/** What a repo needs. */
export type Executor = Omit<Database, 'transaction'>;

export interface Connection {
  readonly db: Database;
  readonly pool: pg.Pool;
  close(): Promise<void>;
}

export function connect(url: string): Connection {
  const pool = new pg.Pool({
    connectionString: url,
    max: 10,
    connectionTimeoutMillis: 3000,
    idleTimeoutMillis: 30_000,
    statement_timeout: 10_000,
    // The server's own limit is worth nothing when the server is what hangs.
    query_timeout: 15_000,
    keepAlive: true,
    // Named questions are planned once for each connection, not five times first.
    options: '-c plan_cache_mode=force_generic_plan',
  });
  // The pool hears idle connections only; one that is lost in the middle of a transaction would end the process.
  pool.on('connect', (client) =>
    client.on('error', (error) => log.warn('database connection lost', { error: error.message })),
  );
  // A connection lost while idle is replaced at the next query; without a listener it would end the process.
  pool.on('error', (error) => log.warn('idle database connection lost', { error: error.message }));
  return { db: drizzle(pool, { schema }), pool, close: () => pool.end() };
}
