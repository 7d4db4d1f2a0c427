/**
 * One seam sheet being edited: the sheet, texts that make no sense yet, undo and redo, and what it was based on.
 * Kept on the device while it differs from what is stored, so that a reload, a crash or a dead server loses nothing.
 */
import type { Issue, UnitSystem } from '@fox-tempo/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { numberFields, readNumber, type NumberFieldName, type Sheet } from './sheet-fields.ts';

export interface DraftState {
  readonly sheet: Sheet;
  /** The stored sheet that this one was opened from, with its version. */
  readonly base: { readonly version: number; readonly sheet: Sheet };
  /** What was typed into number fields and cannot be taken, by field. */
  readonly texts: Partial<Record<NumberFieldName, string>>;
  readonly issues: Partial<Record<NumberFieldName, Issue>>;
  readonly past: readonly Sheet[];
  readonly future: readonly Sheet[];
  /** Field of the newest step, so that typing in one field is one step to undo. */
  readonly lastField: string | null;
}

export interface DraftActions {
  /** Takes a change of the sheet as one step; steps on the same field within one visit are one. */
  edit: (change: (sheet: Sheet) => Sheet, field: string) => void;
  /** Takes typed text: parsed where it makes sense, kept where it does not. */
  type: (name: NumberFieldName, text: string, system: UnitSystem) => void;
  /** The hand has let go: what follows is a step of its own. */
  settle: () => void;
  undo: () => void;
  redo: () => void;
  /** Back to what is stored. */
  discard: () => void;
  /** What is stored now, after a save or when the other's version is taken; `sheet` stays when `keepMine`. */
  rebase: (version: number, sheet: Sheet, keepMine?: boolean) => void;
}

export type DraftStore = StoreApi<DraftState & DraftActions>;

const longestHistory = 100;

export function createDraftStore(
  seamId: string,
  stored: { readonly version: number; readonly sheet: Sheet },
  storage: Storage | undefined = safeStorage(),
): DraftStore {
  const key = `fox-tempo/draft/${seamId}`;
  const fresh: DraftState = {
    sheet: stored.sheet,
    base: stored,
    texts: {},
    issues: {},
    past: [],
    future: [],
    lastField: null,
  };
  const store = createStore<DraftState & DraftActions>()((set, get) => ({
    ...fresh,
    ...restored(storage, key),
    edit(change, field) {
      const { sheet, past, lastField } = get();
      const next = change(sheet);
      if (sameSheet(next, sheet)) return;
      set({
        sheet: next,
        past: field === lastField ? past : [...past, sheet].slice(-longestHistory),
        future: [],
        lastField: field,
      });
    },
    type(name, text, system) {
      const { texts, issues, sheet } = get();
      const outcome = readNumber(name, text, sheet, system);
      if (outcome.ok) {
        const { [name]: _text, ...otherTexts } = texts;
        const { [name]: _issue, ...otherIssues } = issues;
        set({ texts: otherTexts, issues: otherIssues });
        get().edit((current) => numberFields[name].write(current, outcome.value), name);
      } else {
        const [issue] = outcome.issues;
        set({ texts: { ...texts, [name]: text }, ...(issue ? { issues: { ...issues, [name]: issue } } : {}) });
      }
    },
    settle() {
      if (get().lastField !== null) set({ lastField: null });
    },
    undo() {
      const { sheet, past, future } = get();
      const previous = past.at(-1);
      if (previous)
        set({
          sheet: previous,
          past: past.slice(0, -1),
          future: [sheet, ...future],
          texts: {},
          issues: {},
          lastField: null,
        });
    },
    redo() {
      const { sheet, past, future } = get();
      const [next, ...rest] = future;
      if (next) set({ sheet: next, past: [...past, sheet], future: rest, texts: {}, issues: {}, lastField: null });
    },
    discard() {
      const { base, sheet, past } = get();
      set({ sheet: base.sheet, past: [...past, sheet], future: [], texts: {}, issues: {}, lastField: null });
    },
    rebase(version, sheet, keepMine = false) {
      set({ base: { version, sheet }, ...(keepMine ? {} : { sheet, texts: {}, issues: {} }), lastField: null });
    },
  }));
  store.subscribe((state) => keep(storage, key, state));
  return store;
}

/** True when the draft holds something that is not stored. */
export function isEdited({ sheet, base, texts }: DraftState): boolean {
  return !sameSheet(sheet, base.sheet) || Object.keys(texts).length > 0;
}

/** Same content, whatever the order of the keys. */
export function sameSheet(one: Sheet, other: Sheet): boolean {
  return canonical(one) === canonical(other);
}

function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}

interface Kept {
  readonly kind: 2;
  readonly sheet: Sheet;
  readonly base: DraftState['base'];
  readonly texts: DraftState['texts'];
  readonly issues: DraftState['issues'];
}

function keep(storage: Storage | undefined, key: string, state: DraftState): void {
  try {
    if (!isEdited(state)) storage?.removeItem(key);
    else {
      const { sheet, base, texts, issues } = state;
      storage?.setItem(key, JSON.stringify({ kind: 2, sheet, base, texts, issues } satisfies Kept));
    }
  } catch {
    // Storage full or closed: the draft still lives in the page, which is all that can be done.
  }
}

function restored(storage: Storage | undefined, key: string): Partial<DraftState> {
  try {
    const kept = JSON.parse(storage?.getItem(key) ?? 'null') as Kept | null;
    if (kept?.kind !== 2) return {};
    const { sheet, base, texts, issues } = kept;
    return { sheet, base, texts, issues };
  } catch {
    return {};
  }
}

/** Reading `localStorage` throws where a browser forbids it. */
function safeStorage(): Storage | undefined {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}
