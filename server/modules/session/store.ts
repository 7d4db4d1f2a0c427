/** Sessions in PostgreSQL, so that they outlive a restart and hold on every server of the shop. They end after a shift. */
import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import type pg from 'pg';

export const cookieName = 'tempo';
/** A shift with its overtime, h. */
const shiftHours = 10;

export interface SessionStore {
  readonly handler: RequestHandler;
  close(): void;
}

export function sessionStore(pool: pg.Pool, secret: string, prunes: boolean): SessionStore {
  const Store = connectPgSimple(session);
  const store = new Store({
    pool,
    tableName: 'sessions',
    createTableIfMissing: false,
    // Sessions end at a fixed time; writing at each request would buy nothing.
    disableTouch: true,
    pruneSessionInterval: prunes ? 900 : false,
    errorLog: () => undefined,
  });
  const handler = session({
    store,
    secret,
    name: cookieName,
    resave: false,
    saveUninitialized: false,
    proxy: process.env['FOX_TEMPO_PROXY'] !== undefined,
    cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: shiftHours * 3_600_000 },
  });
  return {
    handler,
    close: () => {
      void store.close();
    },
  };
}
