/** A record that waits on this device: what is to be sent, who made it and when, and why the server would not take it. */
import {
  outboxDays,
  type SendOf,
  type ObservedEndpoint,
  type Problem,
  type ProblemKind,
} from '@fox-tempo/contract';

export interface EntryAuthor {
  readonly id: string;
  readonly name: string;
  /** Proves to the server who was signed in, whoever is when it is sent. */
  readonly ticket: string;
}

export interface Entry {
  /** Idempotency key; at most endpoints the id of the observation too. */
  readonly key: string;
  readonly name: ObservedEndpoint;
  readonly params: Readonly<Record<string, string>>;
  readonly body: SendOf<ObservedEndpoint>;
  /** Version that it was based on; null where the endpoint asks for none. */
  readonly basedOn: number | null;
  /** Sent before the record that names them. */
  readonly files: readonly { readonly name: string; readonly bytes: Blob }[];
  /** What it is about, in the words of its moment. */
  readonly about: string;
  /** Null on what an earlier version of the application kept: it did not say. */
  readonly by: EntryAuthor | null;
  /** ISO moment by this device's clock. */
  readonly at: string;
  /** Why it waits for a person; null while it is sent as soon as the server answers. */
  readonly refused: Refusal | null;
}

export interface Refusal {
  /** `too-old`: it waited longer than the device sends by itself. `no-author`: nobody knows who made it. */
  readonly kind: ProblemKind | 'too-old' | 'no-author';
  readonly detail: string;
  readonly problem: Problem | null;
}

/** Of these a later record of the same thing takes the place of a refused one: they say how something stands. */
const standings: readonly ObservedEndpoint[] = [
  'saveStanding',
  'saveCylinder',
  'saveSpool',
  'noteFound',
  'addLeadReading',
  'addStepTime',
];

export function supersedes(later: Entry, earlier: Entry): boolean {
  return (
    earlier.refused !== null &&
    earlier.key !== later.key &&
    standings.includes(later.name) &&
    earlier.name === later.name &&
    earlier.by?.id === later.by?.id &&
    JSON.stringify(earlier.params) === JSON.stringify(later.params)
  );
}

/** Longer than this a device does not send by itself. */
export function isTooOld({ at }: Pick<Entry, 'at'>, now: number): boolean {
  return now - Date.parse(at) > outboxDays * 86_400_000;
}

/** In the order they were made. */
export function inOrder(entries: readonly Entry[]): Entry[] {
  return [...entries].sort((a, b) => a.at.localeCompare(b.at) || a.key.localeCompare(b.key));
}
