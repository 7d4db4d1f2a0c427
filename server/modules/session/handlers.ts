import { message } from '@fox-tempo/words';
import type { Handlers } from '../../http/endpoints.ts';
import { HttpProblem } from '../../http/problem.ts';
import { hashPin } from './pin.ts';
import { endSessionsOf, forgetAllTries, setPin, setPreferences } from './repo.ts';
import type { Tickets } from './tickets.ts';
import { demoSignIn, endOwnSession, makeOwner, ownSessions, sessionState, signIn, signOut } from './service.ts';

export const sessionHandlers = (tickets: Tickets) =>
  ({
    session: ({ db, http }) => sessionState(db, http.request, tickets),
    signIn: async ({ db, http, body }) => {
      await signIn(db, http, body.personId, body.pin);
      return sessionState(db, http.request, tickets);
    },
    demoSignIn: async ({ db, http, body }) => {
      await demoSignIn(db, http, body.personId);
      return sessionState(db, http.request, tickets);
    },
    makeOwner: async ({ db, http, body }) => {
      await makeOwner(db, http, body);
      return sessionState(db, http.request, tickets);
    },
    signOut: async ({ db, http }) => {
      await signOut(http.request);
      return sessionState(db, http.request, tickets);
    },
    savePreferences: async ({ db, http, body, me }) => {
      await setPreferences(db, me.id, body);
      return sessionState(db, http.request, tickets);
    },
    changePin: async ({ db, http, body, me }) => {
      // The old PIN under the same waits as at the endpoint; it also gives this device a new session.
      await signIn(db, http, me.id, body.oldPin);
      if (body.oldPin === body.pin) throw new HttpProblem('invalid-input', message('server.session.error.same-pin'));
      await setPin(db, me.id, await hashPin(body.pin));
      await forgetAllTries(db, me.id);
      await endSessionsOf(db, me.id);
      await signIn(db, http, me.id, body.pin);
      return sessionState(db, http.request, tickets);
    },
    ownSessions: ({ db, http, me }) => ownSessions(db, http.request, me.id),
    endSession: async ({ db, http, params, me }) => {
      await endOwnSession(db, me.id, params.id);
      return ownSessions(db, http.request, me.id);
    },
  }) satisfies Pick<
    Handlers,
    | 'ownSessions'
    | 'endSession'
    | 'session'
    | 'signIn'
    | 'demoSignIn'
    | 'makeOwner'
    | 'signOut'
    | 'savePreferences'
    | 'changePin'
  >;
