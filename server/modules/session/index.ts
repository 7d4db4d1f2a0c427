export { type Device, deviceOf } from './device.ts';
export { hashPin } from './pin.ts';
export { endSessionsOf, findHere, forgetAllTries, forgetOldTries, untoldTries } from './repo.ts';
export { confirmPin, renewOwnerCode } from './service.ts';
export { type SessionStore, sessionStore } from './store.ts';
export { type SignedIn, personOf } from './who.ts';
export { type Tickets, createTickets } from './tickets.ts';
