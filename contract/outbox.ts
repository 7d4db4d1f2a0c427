/**
 * Records that wait on a device until the server has confirmed them: for how long, under which headers they come, and which endpoints take
 * them. A record keeps who made it and when, whoever is signed in when it arrives.
 */
import type { DoorName } from './doors.ts';
import type { ProblemKind } from './problem.ts';

/** A device tries so long to send a record by itself; then a person decides. */
export const outboxDays = 14;
/** Answers to keys are kept so long: longer than any device asks again. */
export const keptAnswerDays = 60;
/** A record may come under somebody else's session so long after its author's session ended, h. */
export const hoursAfterSession = 24;

/** Proves that its author was signed in on the device: the `ticket` of a session's state. */
export const authorHeader = 'fox-tempo-author';
/** Moment at which the record was made, by the device's clock. */
export const madeAtHeader = 'fox-tempo-made-at';

/** What a person observed: it may arrive late, and under another session. */
export const observedDoors = [
  'addRun',
  'addTrial',
  'observe',
  'partsDone',
  'saveStanding',
  'addLeadReading',
  'addStepTime',
  'noteFound',
  'saveCylinder',
  'saveSpool',
] as const satisfies readonly DoorName[];
export type ObservedDoor = (typeof observedDoors)[number];

/** Photographs come before the record that names them. */
export function comesLate(name: DoorName): boolean {
  return name === 'addBlob' || (observedDoors as readonly DoorName[]).includes(name);
}

/** What becomes of a record that the server did not take. */
export type Fate = 'again' | 'signed-in' | 'person';

/**
 * For every refusal: `again`, the fault passes; `signed-in`, as soon as somebody is signed in; `person`, it will be refused again, and
 * whoever made it says what becomes of it.
 */
export const fates: Readonly<Record<ProblemKind | 'unreachable', Fate>> = {
  unreachable: 'again',
  'database-away': 'again',
  busy: 'again',
  internal: 'again',
  'too-many': 'again',
  // Somebody else's page or name: the record is not at fault.
  'cross-site': 'again',
  'wrong-host': 'again',
  'not-signed-in': 'signed-in',
  'author-unknown': 'person',
  'malformed-json': 'person',
  'invalid-input': 'person',
  'wrong-pin': 'person',
  'not-allowed': 'person',
  'not-found': 'person',
  locked: 'person',
  'off-the-list': 'person',
  'ask-first': 'person',
  'method-not-allowed': 'person',
  'stale-version': 'person',
  'too-large': 'person',
  'malformed-request': 'person',
  'unsupported-type': 'person',
  'key-reused': 'person',
  'version-missing': 'person',
  'key-missing': 'person',
};
