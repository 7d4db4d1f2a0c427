/**
 * One seam sheet being edited: the sheet, texts that make no sense yet, undo and redo, and what it was based on.
 * Kept on the device while it differs from what is stored, so that a reload, a crash or a dead server loses nothing.
 */
import { t } from '../lib/words.ts';
import type { Issue } from '@fox-tempo/core/base/outcome';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { keep, recall, whenChangedElsewhere } from '../lib/device.ts';
import { numberFields, readNumber, type NumberFieldName, type Sheet } from './sheet-fields.ts';

/** What one step to undo goes back to: the sheet, and the texts that stood beside it. */
interface Written {
  readonly sheet: Sheet;
  /** What was typed into number fields and cannot be taken, by field. */
  readonly texts: Partial<Record<NumberFieldName, string>>;
  readonly issues: Partial<Record<NumberFieldName, Issue>>;
}

export interface DraftState extends Written {
  /** The stored sheet that this one was opened from, with its version. */
  readonly base: { readonly version: number; readonly sheet: Sheet };
  readonly past: readonly Written[];
  readonly future: readonly Written[];
  /** Field of the newest step, so that typing in one field is one step to undo. */
  readonly lastField: string | null;
  /** What another tab of this browser made of the same draft; null while both agree. */
  readonly elsewhere: (Written & Pick<DraftState, 'base'>) | null;
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
  /** What is stored now, after a save or when the other's version is taken; `sheet` stays when `keepMine`. */
  rebase: (version: number, sheet: Sheet, keepMine?: boolean) => void;
  /** Of two tabs with different drafts: the other's, or this one's. */
  settleTabs: (take: 'theirs' | 'mine') => void;
  /** Listens to other tabs until the returned function is called. */
  follow: () => () => void;
}

export type DraftStore = StoreApi<DraftState & DraftActions>;

const longestHistory = 100;

function writtenOf({ sheet, texts, issues }: Written): Written {
  return { sheet, texts, issues };
}

export function createDraftStore(
  seamId: string,
  stored: { readonly version: number; readonly sheet: Sheet },
): DraftStore {
  const key = `draft/${seamId}`;
  const fresh: DraftState = {
    sheet: stored.sheet,
    base: stored,
    texts: {},
    issues: {},
    past: [],
    future: [],
    lastField: null,
    elsewhere: null,
  };
  let keptText: string | null = null;
  const store = createStore<DraftState & DraftActions>()((set, get) => {
    /** One step: what stood before can be had back. */
    const step = (next: Written, field: string) => {
      const { past, lastField } = get();
      set({
        ...next,
        past: field === lastField ? past : [...past, writtenOf(get())].slice(-longestHistory),
        future: [],
        lastField: field,
      });
    };
    return {
      ...fresh,
      ...draftFrom(recall(key)),
      edit(change, field) {
        const { sheet, texts, issues } = get();
        const next = change(sheet);
        if (!sameSheet(next, sheet)) step({ sheet: next, texts, issues }, field);
      },
      type(name, text, system) {
        const { texts, issues, sheet } = get();
        const { [name]: _text, ...otherTexts } = texts;
        const { [name]: _issue, ...otherIssues } = issues;
        const outcome = readNumber(name, text, sheet, system);
        if (outcome.ok) {
          const next = numberFields[name].write(sheet, outcome.value);
          if (!sameSheet(next, sheet)) step({ sheet: next, texts: otherTexts, issues: otherIssues }, name);
          else if (name in texts) set({ texts: otherTexts, issues: otherIssues });
        } else {
          const [issue] = outcome.issues;
          step(
            {
              sheet,
              texts: { ...otherTexts, [name]: text },
              issues: { ...otherIssues, ...(issue && { [name]: issue }) },
            },
            name,
          );
        }
      },
      settle() {
        if (get().lastField !== null) set({ lastField: null });
      },
      undo() {
        const { past, future } = get();
        const previous = past.at(-1);
        if (previous)
          set({ ...previous, past: past.slice(0, -1), future: [writtenOf(get()), ...future], lastField: null });
      },
      redo() {
        const { past, future } = get();
        const [next, ...rest] = future;
        if (next) set({ ...next, past: [...past, writtenOf(get())], future: rest, lastField: null });
      },
      rebase(version, sheet, keepMine = false) {
        set({ base: { version, sheet }, ...(keepMine ? {} : { sheet, texts: {}, issues: {} }), lastField: null });
      },
      settleTabs(take) {
        const { elsewhere } = get();
        if (!elsewhere) return;
        if (take === 'theirs') {
          const { base, ...written } = elsewhere;
          step(written, t('view.sheet.other-tab'));
          set({ base, elsewhere: null });
        } else {
          set({ elsewhere: null });
          keptText = null;
          keepDraft(get());
        }
      },
      follow: () =>
        whenChangedElsewhere(key, (value) => {
          const theirs = draftFrom(value);
          const { base, sheet, texts } = get();
          const written = theirs ?? { sheet: base.sheet, base, texts: {}, issues: {} };
          const isSame = sameSheet(written.sheet, sheet) && JSON.stringify(written.texts) === JSON.stringify(texts);
          set({ elsewhere: isSame ? null : written });
        }),
    };
  });
  function keepDraft(state: DraftState): void {
    // While two tabs disagree nothing of either is written over.
    if (state.elsewhere) return;
    const { sheet, base, texts, issues } = state;
    const draft = isEdited(state) ? ({ kind: 2, sheet, base, texts, issues } satisfies Kept) : null;
    const text = JSON.stringify(draft);
    if (text === keptText) return;
    keptText = text;
    keep(key, draft);
  }
  store.subscribe(keepDraft);
  return store;
}

/** True when the draft holds something that is not stored. */
export function isEdited({ sheet, base, texts }: DraftState): boolean {
  return Object.keys(texts).length > 0 || !sameSheet(sheet, base.sheet);
}

/** Same content, whatever the order of the keys. */
export function sameSheet(one: Sheet, other: Sheet): boolean {
  return one === other || canonical(one) === canonical(other);
}

export function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}

interface Kept extends Written, Pick<DraftState, 'base'> {
  readonly kind: 2;
}

/** A kept draft, or nothing of it where an older or damaged one stands. */
function draftFrom(value: unknown): (Written & Pick<DraftState, 'base'>) | null {
  const kept = value as Kept | null;
  if (typeof kept !== 'object' || kept?.kind !== 2) return null;
  const { sheet, base, texts, issues } = kept;
  return { sheet, base, texts, issues };
}
