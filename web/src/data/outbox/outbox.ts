/** The page's own outbox: the browser's storage and locks, the server's endpoints, and the moments at which it is tried again. */
import {
  needsVersion,
  type AnswerOf,
  type SendOf,
  type ObservedEndpoint,
  type Problem,
  type ProblemKind,
} from '@fox-tempo/contract';
import { createStore } from 'zustand/vanilla';
import { deviceTrouble, recall } from '../../lib/device.ts';
import { announce } from '../../lib/notices.ts';
import { t } from '../../lib/words.ts';
import { sendBlob } from '../blobs.ts';
import { pass, ProblemError } from '../client.ts';
import { newKey } from '../keys.ts';
import { queryClient } from '../queries.ts';
import { aboutOf } from './about.ts';
import type { Entry, EntryAuthor } from './entry.ts';
import { createOutbox, type Outcome } from './sending.ts';
import { browserStorage } from './storage.ts';
import { endpointFacts } from '../endpoint-facts.ts';

/** What waits on this device, in the order it was made. */
export const waitingRecords = createStore<{ readonly entries: readonly Entry[] }>()(() => ({ entries: [] }));

/** Set by the session, which knows; nobody until then. */
let whoIsHere: () => EntryAuthor | null = () => null;

const storage = browserStorage(() => deviceTrouble.setState({ trouble: 'forbidden' }));
const channelName = 'fox-tempo/outbox';
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(channelName);

let tail: Promise<unknown> = Promise.resolve();
/** One tab at a time where the browser can say so; else one call of this page at a time. */
function alone<T>(act: () => Promise<T>): Promise<T> {
  const locks = (globalThis.navigator as Partial<Navigator> | undefined)?.locks;
  if (locks) return locks.request(channelName, act);
  const next = tail.then(act, act);
  tail = next.catch(() => undefined);
  return next;
}

async function send(entry: Entry, ticket: string | null): Promise<AnswerOf<ObservedEndpoint>> {
  const author = { ...(ticket === null ? {} : { author: ticket }), madeAt: entry.at };
  const attachments: { sha256: string; name: string }[] = [];
  for (const { name, bytes } of entry.files)
    attachments.push({ sha256: await sendBlob(bytes, ticket ?? undefined), name });
  const body = attachments.length > 0 ? { ...(entry.body as object), attachments } : entry.body;
  return pass(entry.name, {
    params: entry.params as never,
    body: body as never,
    key: entry.key,
    ...(entry.basedOn === null ? {} : { basedOn: entry.basedOn }),
    ...author,
  });
}

const outbox = createOutbox({
  storage,
  me: () => whoIsHere(),
  now: () => Date.now(),
  pass: send,
  alone,
  changed: (entries) => {
    const before = JSON.stringify(waitingRecords.getState().entries.map(({ key, refused }) => [key, refused?.kind]));
    waitingRecords.setState({ entries });
    if (before !== JSON.stringify(entries.map(({ key, refused }) => [key, refused?.kind]))) channel?.postMessage('changed');
  },
  say: (kind) => kind === 'too-old' ? t('view.outbox.too-old') : t('view.outbox.no-author'),
  isProblem: (error): error is ProblemError => error instanceof ProblemError,
  refusalOf: ({ kind, problem }) => new ProblemError(kind as ProblemKind, problem as Problem),
});

/** What goes with a record beside its content. */
export interface Observing<K extends ObservedEndpoint> {
  readonly params?: Readonly<Record<string, string>>;
  readonly body: SendOf<K>;
  readonly basedOn?: number;
  /** Made by the caller where something may name this record later. */
  readonly key?: string;
  readonly files?: Entry['files'];
  /** A refused record that this one corrects. */
  readonly replaces?: string | undefined;
}

/** A refusal whose record stays on the device until it is corrected, handed over or discarded. */
export class RefusedRecord extends ProblemError {
  readonly key: string;
  constructor(key: string, { kind, problem }: ProblemError) {
    super(kind, problem);
    this.key = key;
  }
}

/** Records what somebody observed: the server's answer, or null while it waits on this device. A refusal is thrown. */
export async function observed<K extends ObservedEndpoint>(
  name: K,
  { params = {}, body, basedOn, key = newKey(), files = [], replaces }: Observing<K>,
): Promise<AnswerOf<K> | null> {
  if (needsVersion(endpointFacts[name]) && basedOn === undefined)
    throw new Error(`${name} is sent without its version`);
  const entry: Entry = {
    key,
    name,
    params,
    body: body as Entry['body'],
    basedOn: basedOn ?? null,
    files,
    about: aboutOf(name, params, body),
    by: whoIsHere() ?? lastHere,
    at: new Date().toISOString(),
    refused: null,
  };
  return answerOf(await outbox.add(entry, replaces), key) as AnswerOf<K> | null;
}

function answerOf(outcome: Outcome, key: string): AnswerOf<ObservedEndpoint> | null {
  if (outcome.kind === 'sent') return outcome.answer;
  if (outcome.kind === 'refused') throw new RefusedRecord(key, outcome.error);
  announce({ level: 'note', text: t('view.outbox.kept-here') });
  return null;
}

/** Whoever was here when the session ended under their hands: what they tap until they sign in again is still theirs. */
let lastHere: EntryAuthor | null = null;

/** Tries everything again, on whatever occasion. */
export function sendWaiting(): Promise<void> {
  return outbox.sendAll();
}

/** A person corrects a refused record, or says that it is to be tried as it is. */
export async function sendAgain(key: string, change?: Partial<Entry>): Promise<boolean> {
  return answerOf(await outbox.again(key, change), key) !== null;
}

export function discardRecord(key: string): Promise<void> {
  return outbox.discard(key);
}

/** What an earlier version kept on this device: looked for first, since few devices have any and nobody waits for the code. */
async function bringUp(): Promise<void> {
  const databases = typeof indexedDB === 'undefined' ? [] : ((await indexedDB.databases?.()) ?? []);
  if (recall('waiting-runs') === null && !databases.some(({ name }) => name === 'fox-tempo')) return;
  const { bringUpOlder } = await import('./older.ts');
  await bringUpOlder(storage, () => Date.now());
}

const everyMs = 15_000;

/** Begins to watch: sends at the start, when the network returns, when the page is looked at, when somebody signs in, and now and then. */
export function watchOutbox(here: () => EntryAuthor | null, whenSignedIn: (listener: () => void) => void): void {
  whoIsHere = () => {
    const now = here();
    if (now) lastHere = now;
    return now;
  };
  const flush = () => {
    if (waitingRecords.getState().entries.some(({ refused }) => refused === null || refused.kind === 'author-unknown'))
      void outbox.sendAll();
  };
  void bringUp().then(outbox.load).then(flush);
  globalThis.addEventListener('online', flush);
  globalThis.addEventListener('focus', flush);
  setInterval(flush, everyMs);
  whenSignedIn(flush);
  channel?.addEventListener('message', () => {
    void outbox.load();
    void queryClient.invalidateQueries();
  });
}
