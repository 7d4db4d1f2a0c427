/** Who is signed in on this device, as the server last said, and what that role may do. */
import { may, type Act, type SessionState, type State } from '@fox-tempo/contract';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { onSignedOut } from '../data/api.ts';
import { askFirst } from '../data/queries.ts';
import { watchOutbox } from '../data/outbox/index.ts';

interface Session {
  readonly state: SessionState | null;
  take: (state: SessionState) => void;
}

export const session = createStore<Session>()((set) => ({ state: null, take: (state) => set({ state }) }));

let tellKnown: () => void = () => undefined;
const known = new Promise<void>((resolve) => {
  tellKnown = resolve;
});
/** Said by whoever asked the server who is here, also when it did not answer: views then ask for themselves. */
export function sessionAsked(): void {
  tellKnown();
}
session.subscribe(sessionAsked);
askFirst(async () => {
  await known;
  const { state } = session.getState();
  return state === null || state.me !== null;
});

// A session ends after a shift, or when a PIN was changed elsewhere: the page then says so and keeps what was typed.
onSignedOut(() => {
  const { state, take } = session.getState();
  if (state?.me) take({ ...state, me: null });
});

// What waits on this device knows who tapped it, and is sent on as soon as somebody is signed in.
watchOutbox(
  () => {
    const me = session.getState().state?.me;
    return me ? { id: me.id, name: me.name, ticket: me.ticket } : null;
  },
  (listener) =>
    void session.subscribe(({ state }, before) => {
      if (state?.me && state.me.id !== before.state?.me?.id) listener();
    }),
);

export type Me = NonNullable<SessionState['me']>;

export function useMe(): Me | null {
  return useStore(session, ({ state }) => state?.me ?? null);
}

/** Whether the person signed in may do it, while what it touches is in these states. */
export function useMay(act: Act, ...inStates: readonly State[]): boolean {
  const me = useMe();
  return me !== null && may(act, me.role, ...inStates);
}

/** The shop's own time zone; the device's until it is known. */
export function shopTimeZone(): string {
  return session.getState().state?.shop.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
}
