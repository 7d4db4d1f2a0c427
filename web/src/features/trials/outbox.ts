/**
 * Trials that wait for the connection: kept in the browser's database with their photographs and a key of their own, sent when the server
 * answers again, in their order; each arrives once.
 */
import type { Trial, TrialCreate } from '@fox-tempo/contract';
import { createStore as createIdbStore, del, entries, set } from 'idb-keyval';
import { createStore } from 'zustand/vanilla';
import { api, ProblemError } from '../../data/api.ts';
import { sendBlob } from '../../data/blobs.ts';
import { newKey } from '../../data/keys.ts';

export interface WaitingTrial {
  readonly key: string;
  /** Moment it was put here, ms. */
  readonly putAt: number;
  readonly trial: TrialCreate;
  readonly photos: readonly { readonly name: string; readonly bytes: Blob }[];
  /** Why the server would not take it; it waits for a person then. */
  readonly refused?: string;
}

export interface Outbox {
  readonly waiting: readonly WaitingTrial[];
}

export const outbox = createStore<Outbox>()(() => ({ waiting: [] }));

/** A database that a browser forbids (private windows) leaves the page's own memory. */
const memory = new Map<string, WaitingTrial>();
const place = () => (typeof indexedDB === 'undefined' ? null : createIdbStore('fox-tempo', 'outbox'));

async function keepOne(one: WaitingTrial): Promise<void> {
  memory.set(one.key, one);
  const store = place();
  if (store) await set(one.key, one, store).catch(() => undefined);
}

async function dropOne(key: string): Promise<void> {
  memory.delete(key);
  const store = place();
  if (store) await del(key, store).catch(() => undefined);
}

/** What waited when the page was closed. */
export async function loadOutbox(): Promise<void> {
  const store = place();
  const kept = store ? await entries<string, WaitingTrial>(store).catch(() => []) : [];
  for (const [key, one] of kept) memory.set(key, one);
  show();
}

function show(): void {
  outbox.setState({ waiting: [...memory.values()].sort((a, b) => a.putAt - b.putAt) });
}

/** Kept first, sent then: the trial as the server has it, or null while it waits. A refusal is thrown, and nothing of it waits. */
export async function sendTrial(trial: TrialCreate, photos: WaitingTrial['photos']): Promise<Trial | null> {
  const one: WaitingTrial = { key: newKey(), putAt: Date.now(), trial, photos };
  await keepOne(one);
  show();
  try {
    const sent = await pass(one);
    await dropOne(one.key);
    return sent;
  } catch (error) {
    if (error instanceof ProblemError && (error.kind === 'unreachable' || error.kind === 'not-signed-in')) return null;
    await dropOne(one.key);
    throw error;
  } finally {
    show();
  }
}

async function pass({ key, trial, photos }: WaitingTrial): Promise<Trial> {
  const attachments: { sha256: string; name: string }[] = [];
  for (const { name, bytes } of photos) attachments.push({ sha256: await sendBlob(bytes), name });
  return api.addTrial(key, attachments.length > 0 ? { ...trial, attachments } : trial);
}

let isSending = false;

/** Tries everything that waits, the oldest first; stops at the first that the server does not answer. */
export async function flushOutbox(): Promise<void> {
  if (isSending) return;
  isSending = true;
  try {
    for (const one of [...memory.values()].sort((a, b) => a.putAt - b.putAt)) {
      if (one.refused !== undefined) continue;
      try {
        await pass(one);
        await dropOne(one.key);
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error;
        if (error.kind === 'unreachable' || error.kind === 'not-signed-in') return;
        await keepOne({ ...one, refused: error.message });
      }
      show();
    }
  } finally {
    isSending = false;
    show();
  }
}

export async function throwAway(key: string): Promise<void> {
  await dropOne(key);
  show();
}
