/**
 * The outbox: a record is kept first and sent then, and leaves only when the server has confirmed it or a person has said what becomes of
 * it. One tab sends at a time. What a fault of the server stops is sent again; what the server refuses waits for a person, with its reason.
 */
import { fateOf, type AnswerOf, type ObservedEndpoint } from '@fox-tempo/contract';
import type { ProblemError } from '../client.ts';
import { inOrder, isTooOld, supersedes, type Entry, type EntryAuthor, type Refusal } from './entry.ts';
import type { EntryStorage } from './storage.ts';

export type Outcome =
  | { readonly kind: 'sent'; readonly answer: AnswerOf<ObservedEndpoint> }
  | { readonly kind: 'waits' }
  | { readonly kind: 'refused'; readonly error: ProblemError };

export interface OutboxParts {
  readonly storage: EntryStorage;
  /** Who is signed in; null: nobody. */
  readonly me: () => EntryAuthor | null;
  readonly now: () => number;
  /** Sends one record with its files; throws a `ProblemError`. `ticket`: of its author, where somebody else is signed in. */
  readonly pass: (entry: Entry, ticket: string | null) => Promise<AnswerOf<ObservedEndpoint>>;
  /** Keeps every other tab out until the act has ended. */
  readonly alone: <T>(act: () => Promise<T>) => Promise<T>;
  /** Told after every change, with what waits now. */
  readonly changed: (entries: readonly Entry[]) => void;
  /** The reason in words, where the device itself keeps a record back. */
  readonly say: (kind: 'too-old' | 'no-author') => string;
  readonly isProblem: (error: unknown) => error is ProblemError;
  /** The server's refusal that is kept with a record, as it was thrown. */
  readonly refusalOf: (refused: Refusal) => ProblemError;
}

export interface Outbox {
  /** What waits; told to `changed` too. */
  load: () => Promise<void>;
  /** Keeps a record and sends it, after those that wait already; `replaces`: a refused one that this corrects. */
  add: (entry: Entry, replaces?: string) => Promise<Outcome>;
  /** Sends everything that waits, the oldest first; stops where the server does not answer. */
  sendAll: () => Promise<void>;
  /** Takes the refusal off, with changes where something is corrected, and sends. */
  again: (key: string, change?: Partial<Entry>) => Promise<Outcome>;
  discard: (key: string) => Promise<void>;
}

export function createOutbox(parts: OutboxParts): Outbox {
  const { storage, me, now, pass, alone, changed, say, isProblem, refusalOf } = parts;

  /** Records of this page that wait for their turn, and what an earlier turn did with them. */
  const awaited = new Set<string>();
  const answered = new Map<string, Outcome>();
  let shown: readonly Entry[] = [];
  const format = (entries: readonly Entry[]) => {
    shown = inOrder(entries);
    changed(shown);
  };
  const show = async () => format(await storage.all());

  async function refuse(entry: Entry, refused: Refusal): Promise<void> {
    await storage.put({ ...entry, refused });
  }

  /** Whether the next one may be tried. */
  async function sendOne(entry: Entry, here: EntryAuthor): Promise<Outcome> {
    if (entry.by === null) {
      await refuse(entry, { kind: 'no-author', detail: say('no-author'), problem: null });
      return { kind: 'waits' };
    }
    if (isTooOld(entry, now())) {
      await refuse(entry, { kind: 'too-old', detail: say('too-old'), problem: null });
      return { kind: 'waits' };
    }
    try {
      const answer = await pass(entry, entry.by.id === here.id ? null : entry.by.ticket);
      await storage.remove(entry.key);
      for (const earlier of await storage.all()) if (supersedes(entry, earlier)) await storage.remove(earlier.key);
      return { kind: 'sent', answer };
    } catch (error) {
      if (!isProblem(error)) throw error;
      if (fateOf(error.kind) !== 'person') return { kind: 'waits' };
      await refuse(entry, { kind: error.kind as Refusal['kind'], detail: error.message, problem: error.problem });
      return { kind: 'refused', error };
    }
  }

  /**
   * What became of a record while it waited for its turn. An earlier turn of this page may have sent it, or another tab: the server then
   * answers the same key again as it did there.
   */
  async function doneElsewhere(mine: Entry): Promise<Outcome> {
    const before = answered.get(mine.key);
    if (before) return before;
    const kept = await storage.find(mine.key);
    if (kept?.refused?.problem) return { kind: 'refused', error: refusalOf(kept.refused) };
    const here = me();
    return kept || here === null ? { kind: 'waits' } : sendOne(mine, here);
  }

  /** Sends in order; answers what became of the one asked for. */
  async function sendUntil(wanted: Entry | null): Promise<Outcome> {
    if (wanted) awaited.add(wanted.key);
    try {
      return await alone(() => turn(wanted));
    } finally {
      if (wanted) {
        awaited.delete(wanted.key);
        answered.delete(wanted.key);
      }
    }
  }

  async function turn(wanted: Entry | null): Promise<Outcome> {
    let mine: Outcome | null = null;
    try {
      for (const listed of inOrder(await storage.all())) {
        const here = me();
        if (here === null) break;
        // Another tab may have sent it, or a person discarded it, since it was listed.
        const entry = await storage.find(listed.key);
        if (!entry) continue;
        const isBack = entry.refused?.kind === 'author-unknown' && entry.by?.id === here.id;
        if (entry.refused !== null && !isBack) continue;
        const outcome = await sendOne({ ...entry, refused: null }, here);
        if (entry.key === wanted?.key) mine = outcome;
        else if (awaited.has(entry.key) && outcome.kind !== 'waits') answered.set(entry.key, outcome);
        if (outcome.kind === 'waits' && (await storage.find(entry.key))?.refused === null) break;
        await show();
      }
      return mine ?? (wanted ? await doneElsewhere(wanted) : { kind: 'waits' });
    } finally {
      await show();
    }
  }

  return {
    load: show,
    async add(entry, replaces) {
      // Seen at once: a tap that seems to do nothing is made again.
      format([...shown, entry]);
      await storage.put(entry);
      if (replaces !== undefined) await storage.remove(replaces);
      await show();
      const outcome = await sendUntil(entry);
      // A question is put to whoever is there: until it is answered nothing happened. Nor did a count that was refused under the finger:
      // it is an act on an order, nothing that somebody saw.
      if (outcome.kind === 'refused' && (outcome.error.kind === 'ask-first' || entry.name === 'partsDone')) {
        await storage.remove(entry.key);
        await show();
      }
      return outcome;
    },
    async sendAll() {
      await sendUntil(null);
    },
    async again(key, change = {}) {
      const entry = await storage.find(key);
      if (!entry) return { kind: 'waits' };
      // Another body or version under the same key would be taken for another write.
      if (change.key !== undefined && change.key !== key) await storage.remove(key);
      const renewed = { ...entry, ...change, refused: null };
      await storage.put(renewed);
      await show();
      return sendUntil(renewed);
    },
    async discard(key) {
      await storage.remove(key);
      await show();
    },
  };
}
