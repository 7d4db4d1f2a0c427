/** Sessions in PostgreSQL, so that they outlive a restart and hold on every server of the shop. They end after a shift. */
import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import type pg from 'pg';
import type { SignedIn } from './who.ts';

export const cookieName = 'tempo';
/** A shift with its overtime, h. */
const shiftHours = 10;

export interface SessionStore {
  readonly handler: RequestHandler;
  close(): void;
}

/** Reads a session and who it belongs to in one question: both are asked for at every request. */
const sessionWithPerson = `
  select s.sess, case when p.id is null then null else json_build_object('id', p.id, 'name', p.name, 'role', p.role) end as me
  from sessions s left join people p on p.id = s.sess->>'personId' and not p.retired
  where s.sid = $1 and s.expire > now()`;

function storeWithPerson(pool: pg.Pool) {
  return class extends connectPgSimple(session) {
    override get(sid: string, done: (error: unknown, found?: session.SessionData | null) => void): void {
      pool
        .query<{ sess: session.SessionData; me: SignedIn | null }>({
          name: 'session_with_person',
          text: sessionWithPerson,
          values: [sid],
        })
        .then(
          ({ rows: [row] }) => done(null, row ? { ...row.sess, ...(row.me ? { me: row.me } : {}) } : null),
          (error: unknown) => done(error),
        );
    }
  };
}

export function sessionStore(pool: pg.Pool, secret: string, prunes: boolean): SessionStore {
  const store = new (storeWithPerson(pool))({
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
    close: () => store.close(),
  };
}
