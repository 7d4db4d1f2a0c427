/** The outbox against a made-up server: every refusal of the error table, two tabs, other people, restarts. */
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { fateOf, problems, outboxDays, type AnswerOf, type ObservedEndpoint, type Problem, type ProblemKind } from '@fox-tempo/contract';
import { ProblemError } from '../client.ts';
import type { Entry, EntryAuthor } from './entry.ts';
import { createOutbox, type Outbox, type OutboxParts } from './sending.ts';
import { browserStorage, type EntryStorage } from './storage.ts';

type Kind = ProblemKind | 'unreachable';
const teo: EntryAuthor = { id: 'teo', name: 'Teo', ticket: 'teo-ticket' };
const runa: EntryAuthor = { id: 'runa', name: 'Runa', ticket: 'runa-ticket' };
const noon = Date.parse('2026-05-04T12:00:00Z');

function refusal(kind: Kind, extra: Partial<Problem> = {}): ProblemError {
  return new ProblemError(kind, { type: `/problems/${kind}`, title: kind, status: 400, detail: kind, ...extra });
}

let made = 0;
function entry(change: Partial<Entry> = {}): Entry {
  made += 1;
  return {
    key: `00000000-0000-4000-8000-${String(made).padStart(12, '0')}`,
    name: 'addRun',
    params: {},
    body: { seamId: 'axle', machineId: 'rowan', revision: 1, body: {} },
    basedOn: null,
    files: [],
    about: '',
    by: teo,
    at: new Date(noon + made).toISOString(),
    refused: null,
    ...change,
  };
}

/** What the server got: key and whose ticket came with it, in order. */
interface Server {
  readonly got: { key: string; ticket: string | null; at: string }[];
  answer: (entry: Entry) => Kind | null;
}
const server = (): Server => ({ got: [], answer: () => null });

let storage: EntryStorage;
beforeEach(async () => {
  storage = browserStorage(() => undefined);
  for (const { key } of await storage.all()) await storage.remove(key);
});

let tail: Promise<unknown> = Promise.resolve();
/** One lock for every tab of the browser. */
function alone<T>(act: () => Promise<T>): Promise<T> {
  const next = tail.then(act, act);
  tail = next.catch(() => undefined);
  return next;
}

function tab(at: Server, here: () => EntryAuthor | null = () => teo, change: Partial<OutboxParts> = {}): Outbox {
  return createOutbox({
    storage,
    me: here,
    now: () => noon,
    alone,
    changed: () => undefined,
    say: (kind) => kind,
    isProblem: (error): error is ProblemError => error instanceof ProblemError,
    refusalOf: ({ kind, problem }) => new ProblemError(kind as ProblemKind, problem as Problem),
    pass: async (one, ticket) => {
      await Promise.resolve();
      const kind = at.answer(one);
      if (kind !== null) throw refusal(kind);
      at.got.push({ key: one.key, ticket, at: one.at });
      return { id: one.key } as AnswerOf<ObservedEndpoint>;
    },
    ...change,
  });
}
const waiting = async () => (await storage.all()).map(({ key, refused }) => [key, refused?.kind ?? null]);

describe('a record', () => {
  it('is kept before it is sent, and leaves when the server has confirmed it', async () => {
    const at = server();
    const one = entry();
    let whileSending: Promise<unknown> = Promise.resolve();
    at.answer = () => {
      whileSending = waiting();
      return null;
    };
    expect(await tab(at).add(one)).toEqual({ kind: 'sent', answer: { id: one.key } });
    expect(await whileSending).toEqual([[one.key, null]]);
    expect(await waiting()).toEqual([]);
  });

  const kinds = [...Object.keys(problems), 'unreachable'] as Kind[];
  it.each(kinds)('stays on the device after %s, as the error table says', async (kind) => {
    const at = server();
    at.answer = () => kind;
    const outbox = tab(at);
    const one = entry();
    const outcome = await outbox.add(one);
    if (kind === 'ask-first') {
      // The question is put to whoever tapped: nothing happened yet.
      expect([outcome.kind, await waiting()]).toEqual(['refused', []]);
      return;
    }
    const isFinal = fateOf(kind) === 'person';
    expect(outcome.kind).toBe(isFinal ? 'refused' : 'waits');
    expect(await waiting()).toEqual([[one.key, isFinal ? kind : null]]);
    // The fault has passed: what may go goes under its own key, what was refused waits for a person.
    at.answer = () => null;
    await outbox.sendAll();
    // Its author is signed in again, and then needs no ticket.
    const goes = !isFinal || kind === 'author-unknown';
    expect(at.got.map(({ key }) => key)).toEqual(goes ? [one.key] : []);
    expect(await waiting()).toEqual(goes ? [] : [[one.key, kind]]);
  });

  it('that counts parts and is refused under the finger has not happened; refused later, it waits', async () => {
    const at = server();
    at.answer = () => 'invalid-input';
    const outbox = tab(at);
    const count = () => entry({ name: 'partsDone', params: { id: 'o1' }, body: { count: 1 } });
    expect([(await outbox.add(count())).kind, await waiting()]).toEqual(['refused', []]);
    at.answer = () => 'unreachable';
    const late = count();
    await outbox.add(late);
    at.answer = () => 'invalid-input';
    await outbox.sendAll();
    expect(await waiting()).toEqual([[late.key, 'invalid-input']]);
  });

  it('asked about while nobody was there waits for the answer', async () => {
    const at = server();
    at.answer = () => 'unreachable';
    const outbox = tab(at);
    const one = entry({ name: 'partsDone', params: { id: 'o1' }, body: { count: 1 } });
    await outbox.add(one);
    at.answer = ({ body }) => ('confirmed' in body ? null : 'ask-first');
    await outbox.sendAll();
    expect(await waiting()).toEqual([[one.key, 'ask-first']]);
    const key = '11111111-0000-4000-8000-000000000000';
    expect((await outbox.again(one.key, { key, body: { count: 1, confirmed: ['unlogged'] } })).kind).toBe('sent');
    expect([at.got.map((got) => got.key), await waiting()]).toEqual([[key], []]);
  });

  it('goes under its author’s ticket where somebody else is signed in, and not at all where nobody is', async () => {
    const at = server();
    let here: EntryAuthor | null = null;
    const outbox = tab(at, () => here);
    const one = entry();
    expect((await outbox.add(one)).kind).toBe('waits');
    here = runa;
    await outbox.sendAll();
    expect(at.got).toEqual([{ key: one.key, ticket: 'teo-ticket', at: one.at }]);
  });

  it('of nobody knows whom, or too old, waits for a person', async () => {
    const at = server();
    const outbox = tab(at);
    const old = entry({ at: new Date(noon - (outboxDays + 1) * 86_400_000).toISOString() });
    const unsigned = entry({ by: null });
    await storage.put(old);
    await storage.put(unsigned);
    await outbox.sendAll();
    expect((await waiting()).sort()).toEqual([[old.key, 'too-old'], [unsigned.key, 'no-author']].sort());
    await outbox.again(unsigned.key, { by: teo });
    expect(at.got.map(({ key }) => key)).toEqual([unsigned.key]);
  });

  it('that was refused is replaced by its correction, and only when that was kept', async () => {
    const at = server();
    at.answer = ({ body }) => ('revision' in body && body.revision === 9 ? 'invalid-input' : null);
    const outbox = tab(at);
    const wrong = entry({ body: { seamId: 'axle', machineId: 'rowan', revision: 9, body: {} } });
    await outbox.add(wrong);
    await outbox.add(entry(), wrong.key);
    expect(await waiting()).toEqual([]);
  });

  it('of how something stands takes the place of a refused one; a further weld does not', async () => {
    const at = server();
    at.answer = () => 'stale-version';
    const outbox = tab(at);
    const standing = { name: 'saveStanding' as const, params: { id: 'rowan' }, basedOn: 3 };
    const weld = entry();
    await outbox.add(entry(standing));
    await outbox.add(weld);
    at.answer = () => null;
    await outbox.add(entry({ ...standing, basedOn: 4 }));
    await outbox.add(entry());
    expect(await waiting()).toEqual([[weld.key, 'stale-version']]);
  });
});

describe('several records', () => {
  it.each([null, 'off-the-list', 'ask-first'] as const)(
    'of two tabs: what the other tab sends first is answered here as the server answered it there (%s)',
    async (kind) => {
      const at = server();
      at.answer = () => kind;
      const [one, other] = [entry(), entry()];
      // The other tab has the turn and finds this tab's record beside its own.
      let listed = false;
      const patient: EntryStorage = {
        ...storage,
        async put(kept) {
          await storage.put(kept);
          if (listed || kept.key !== one.key) return;
          listed = true;
          await tab(at).sendAll();
        },
      };
      const outcomes = [await tab(at, () => teo, { storage: patient }).add(one), await tab(at).add(other)];
      expect(listed).toBe(true);
      expect(outcomes.map((outcome) => outcome.kind)).toEqual(kind === null ? ['sent', 'sent'] : ['refused', 'refused']);
      if (kind === null) expect(outcomes[0]).toEqual({ kind: 'sent', answer: { id: one.key } });
    },
  );

  it('made in quick succession are sent once each, and each tap hears its own answer', async () => {
    const at = server();
    const taps = [entry(), entry(), entry()];
    const outbox = tab(at);
    const outcomes = await Promise.all(taps.map((one) => outbox.add(one)));
    expect(outcomes).toEqual(taps.map(({ key }) => ({ kind: 'sent', answer: { id: key } })));
    expect(at.got.map(({ key }) => key)).toEqual(taps.map(({ key }) => key));
  });

  it('go in the order they were made, and stop where the server does', async () => {
    const at = server();
    const all = [entry(), entry(), entry()];
    for (const one of [...all].reverse()) await storage.put(one);
    at.answer = ({ key }) => (key === all[1]?.key ? 'busy' : null);
    const outbox = tab(at);
    await outbox.sendAll();
    expect(at.got.map(({ key }) => key)).toEqual([all[0]?.key]);
    at.answer = () => null;
    await outbox.sendAll();
    expect(at.got.map(({ key }) => key)).toEqual(all.map(({ key }) => key));
  });

  it('of twelve taps by three people, through faults, two tabs and a restart, arrive once each with author and moment', async () => {
    const at = server();
    const people = [teo, runa, { id: 'odile', name: 'Odile', ticket: 'odile-ticket' }];
    let here: EntryAuthor | null = teo;
    let tabs = [tab(at, () => here), tab(at, () => here)];
    const faults: (Kind | null)[] = ['unreachable', 'database-away', 'too-many', 'internal'];
    const taps: Entry[] = [];
    for (let tap = 0; tap < 12; tap++) {
      here = people[tap % 3] ?? teo;
      const fault = faults[tap % faults.length] ?? null;
      at.answer = () => fault;
      const one = entry({ by: here });
      taps.push(one);
      await tabs[tap % 2]?.add(one);
      // The browser is closed and opened: what it kept is all there is.
      if (tap === 6) {
        storage = browserStorage(() => undefined);
        tabs = [tab(at, () => here), tab(at, () => here)];
      }
    }
    expect(await waiting()).toHaveLength(12);
    at.answer = () => null;
    here = runa;
    await Promise.all([...tabs, ...tabs].map((one) => one.sendAll()));
    expect(at.got.map(({ key }) => key)).toEqual(taps.map(({ key }) => key));
    expect(at.got.map(({ ticket }) => ticket)).toEqual(
      taps.map(({ by }) => (by?.id === 'runa' ? null : (by?.ticket ?? null))),
    );
    expect(at.got.map((got) => got.at)).toEqual(taps.map((one) => one.at));
    expect(await waiting()).toEqual([]);
  });

  it('live in the page where the browser keeps nothing, and it says so', async () => {
    const heard: string[] = [];
    const broken = indexedDB.open.bind(indexedDB);
    indexedDB.open = () => {
      throw new DOMException('no', 'SecurityError');
    };
    try {
      storage = browserStorage(() => heard.push('forbidden'));
      const at = server();
      at.answer = () => 'unreachable';
      const outbox = tab(at);
      await outbox.add(entry());
      expect(await waiting()).toHaveLength(1);
      expect(heard).not.toHaveLength(0);
      at.answer = () => null;
      await outbox.sendAll();
      expect(at.got).toHaveLength(1);
    } finally {
      indexedDB.open = broken;
    }
  });
});
