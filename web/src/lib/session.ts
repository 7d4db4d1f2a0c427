/** Who is signed in on this device, as the server last said, and what that role may do. */
import { mayPass, type DoorName, type SessionState } from '@fox-tempo/contract';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { onSignedOut } from '../data/api.ts';

interface Session {
  readonly state: SessionState | null;
  take: (state: SessionState) => void;
}

export const session = createStore<Session>()((set) => ({ state: null, take: (state) => set({ state }) }));

// A session ends after a shift, or when a PIN was changed elsewhere: the page then says so and keeps what was typed.
onSignedOut(() => {
  const { state, take } = session.getState();
  if (state?.me) take({ ...state, me: null });
});

export type Me = NonNullable<SessionState['me']>;

export function useMe(): Me | null {
  return useStore(session, ({ state }) => state?.me ?? null);
}

/** Whether the person signed in may pass a door. */
export function useMay(door: DoorName): boolean {
  const me = useMe();
  return me !== null && mayPass(door, me.role);
}

/** The shop's own time zone; the device's until it is known. */
export function shopTimeZone(): string | undefined {
  return session.getState().state?.shop.timeZone;
}
