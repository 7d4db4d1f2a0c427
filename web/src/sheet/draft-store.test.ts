import { steelPulse, steelTee } from '@fox-tempo/core/scenarios';
import { inEnglish } from '@fox-tempo/words/english';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { createDraftStore, isEdited, sameSheet } from './draft-store.ts';
import type { Sheet } from './sheet-fields.ts';
import { followMetal, usualWire } from './wire-defaults.ts';

const sheet: Sheet = { spec: { ...steelTee, name: 'Corner', lengthMm: 100 }, choice: steelPulse };
const open = () => createDraftStore('s1', { version: 3, sheet });

beforeEach(() => localStorage.clear());

describe('a draft', () => {
  it('takes typed text live, and keeps half-typed text over a reload', () => {
    const store = open();
    store.getState().type('thickness1', '14 ga', 'metric');
    expect(store.getState().sheet.spec.thicknessesMm[0]).toBeCloseTo(1.897, 3);
    store.getState().type('thickness2', '2,', 'metric');
    store.getState().type('gap', 'half a', 'metric');
    expect(store.getState().issues.gap).toMatchObject({ code: 'unknown-unit' });

    const reloaded = open().getState();
    expect(reloaded.sheet.spec.thicknessesMm[0]).toBeCloseTo(1.897, 3);
    expect(reloaded.texts.gap).toBe('half a');
    expect(inEnglish(reloaded.issues.gap?.message)).toContain('half');
    expect(isEdited(reloaded)).toBe(true);
  });

  it('reads a gauge from the table of the metal chosen, and refuses what is out of range with its limits', () => {
    const store = open();
    store.getState().edit((now) => ({ ...now, spec: { ...now.spec, materialGroup: 'stainless' } }), 'material');
    store.getState().type('thickness1', '14 ga', 'us');
    expect(store.getState().sheet.spec.thicknessesMm[0]).toBeCloseTo(1.984, 3);
    store.getState().type('thickness1', '400', 'metric');
    expect(inEnglish(store.getState().issues.thickness1?.message)).toBe(
      'Thickness must lie between 0.6 and 25 mm; got 400 mm.',
    );
    // The last good value stands, so that drawing and plan go on.
    expect(store.getState().sheet.spec.thicknessesMm[0]).toBeCloseTo(1.984, 3);
  });

  it('empties an optional field back to the plan', () => {
    const store = open();
    store.getState().type('feed', '6,5', 'metric');
    expect(store.getState().sheet.choice.wireFeedMPerMin).toBe(6.5);
    store.getState().type('feed', ' ', 'metric');
    expect(store.getState().sheet.choice.wireFeedMPerMin).toBeNull();
  });

  it('undoes typing in one field as one step, and redoes it', () => {
    const store = open();
    for (const text of ['3', '3.', '3.2']) store.getState().type('thickness1', text, 'metric');
    store.getState().type('gap', '1', 'metric');
    store.getState().undo();
    expect(store.getState().sheet.spec).toMatchObject({ gapMm: 0, thicknessesMm: [3.2, 2] });
    store.getState().undo();
    expect(sameSheet(store.getState().sheet, sheet)).toBe(true);
    store.getState().redo();
    store.getState().redo();
    expect(store.getState().sheet.spec).toMatchObject({ gapMm: 1, thicknessesMm: [3.2, 2] });
  });

  it('leaves nothing on the device once it is what is stored', () => {
    const store = open();
    store.getState().type('gap', '1', 'metric');
    expect(localStorage.length).toBe(1);
    store.getState().rebase(4, store.getState().sheet);
    expect(localStorage.length).toBe(0);
    expect(isEdited(store.getState())).toBe(false);
  });

  it('keeps mine on a newer base when told to', () => {
    const store = open();
    store.getState().type('gap', '1', 'metric');
    const theirs = { ...sheet, spec: { ...sheet.spec, gapMm: 2 } };
    store.getState().rebase(4, theirs, true);
    expect(store.getState()).toMatchObject({ base: { version: 4 }, sheet: { spec: { gapMm: 1 } } });
  });

  it('survives a store that is full of something else', () => {
    localStorage.setItem('fox-tempo/draft/s1', '{"kind":');
    expect(sameSheet(open().getState().sheet, sheet)).toBe(true);
  });
});

describe('wire and gas', () => {
  it('follow the metal only where the wire does not join it, and drop the feed chosen for the old wire', () => {
    const chosen = { ...sheet.choice, wireFeedMPerMin: 8 };
    expect(followMetal(chosen, 'galvanised', '')).toBe(chosen);
    expect(followMetal(chosen, 'aluminium', '')).toEqual({
      ...chosen,
      ...usualWire('aluminium', ''),
      wireFeedMPerMin: null,
    });
  });
});

describe('one draft in two tabs', () => {
  const other = { ...sheet, spec: { ...sheet.spec, gapMm: 2 } };
  const fromTheOther = (value: unknown) =>
    globalThis.dispatchEvent(
      new StorageEvent('storage', {
        key: 'fox-tempo/draft/s1',
        newValue: value === null ? null : JSON.stringify({ keptAt: 1, value }),
      }),
    );
  const theirs = { kind: 2, sheet: other, base: { version: 3, sheet }, texts: {}, issues: {} };

  it('asks which goes on, writes over neither until then, and takes the other with an undo', () => {
    const store = open();
    const stop = store.getState().follow();
    store.getState().type('gap', '1', 'metric');
    fromTheOther(theirs);
    expect(store.getState().elsewhere?.sheet.spec.gapMm).toBe(2);
    const kept = localStorage.getItem('fox-tempo/draft/s1');
    store.getState().type('gap', '1.5', 'metric');
    expect(localStorage.getItem('fox-tempo/draft/s1')).toBe(kept);
    store.getState().settleTabs('theirs');
    expect(store.getState()).toMatchObject({ elsewhere: null, sheet: { spec: { gapMm: 2 } } });
    store.getState().undo();
    expect(store.getState().sheet.spec.gapMm).toBe(1.5);
    stop();
  });

  it('goes on with this one when told to, and is quiet when both say the same', () => {
    const store = open();
    const stop = store.getState().follow();
    store.getState().type('gap', '1', 'metric');
    fromTheOther(theirs);
    store.getState().settleTabs('mine');
    expect(store.getState().elsewhere).toBeNull();
    expect(localStorage.getItem('fox-tempo/draft/s1')).toContain('"gapMm":1');
    fromTheOther({ ...theirs, sheet: { ...sheet, spec: { ...sheet.spec, gapMm: 1 } } });
    expect(store.getState().elsewhere).toBeNull();
    stop();
  });
});

describe('undo', () => {
  it('brings back what was half typed, too', () => {
    const store = open();
    store.getState().type('gap', 'half a', 'metric');
    store.getState().type('thickness1', '3', 'metric');
    store.getState().undo();
    expect(store.getState().texts.gap).toBe('half a');
    store.getState().undo();
    expect(store.getState().texts.gap).toBeUndefined();
    store.getState().redo();
    expect(store.getState().texts.gap).toBe('half a');
    expect(store.getState().issues.gap).toBeDefined();
  });
});
