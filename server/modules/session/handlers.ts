import { phrase } from '@fox-tempo/words';
import type { Handlers } from '../../http/doors.ts';
import { HttpProblem } from '../../http/problem.ts';
import { hashPin } from './pin.ts';
import { endSessionsOf, setPin, setPreferences } from './repo.ts';
import { demoSignIn, makeOwner, sessionState, signIn, signOut } from './service.ts';

export const sessionHandlers = {
  session: ({ db, http }) => sessionState(db, http.request),
  signIn: async ({ db, http, body }) => {
    await signIn(db, http.request, body.personId, body.pin);
    return sessionState(db, http.request);
  },
  demoSignIn: async ({ db, http, body }) => {
    await demoSignIn(db, http.request, body.personId);
    return sessionState(db, http.request);
  },
  makeOwner: async ({ db, http, body }) => {
    await makeOwner(db, http.request, body);
    return sessionState(db, http.request);
  },
  signOut: async ({ db, http }) => {
    await signOut(http.request);
    return sessionState(db, http.request);
  },
  savePreferences: async ({ db, http, body, me }) => {
    await setPreferences(db, me.id, body);
    return sessionState(db, http.request);
  },
  changePin: async ({ db, http, body, me }) => {
    // The old PIN under the same waits as at the door; it also gives this device a new session.
    await signIn(db, http.request, me.id, body.oldPin);
    if (body.oldPin === body.pin) throw new HttpProblem('invalid-input', phrase('server.session.the-new-pin-is-the'));
    await setPin(db, me.id, await hashPin(body.pin));
    await endSessionsOf(db, me.id);
    await signIn(db, http.request, me.id, body.pin);
    return sessionState(db, http.request);
  },
} satisfies Pick<
  Handlers,
  'session' | 'signIn' | 'demoSignIn' | 'makeOwner' | 'signOut' | 'savePreferences' | 'changePin'
>;
