import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { glossary, lookUp } from './glossary.ts';
import { everywhere, keysAt } from './keys-of-view.ts';
import { settings } from '../../session/settings.ts';
import { answerFetch, rowan, seam, spec } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { found, itemsOf } from './find-items.ts';
import { overlay } from './overlay.ts';
import { Overlays } from './overlays.tsx';

const other = seam({ id: 'sink', partName: 'Sink', spec: { ...spec, name: 'Sink flange' } });
const items = itemsOf([seam(), other], [rowan], [{ name: 'Change the units', also: 'inch', act: () => undefined }]);
const names = (typed: string) => found(items, typed).map(({ name }) => name);

describe('what is found', () => {
  it('holds every word in any order, in name, part, wire or joint', () => {
    expect(names('simulator axle')).toEqual(['Axle plate: arc simulator']);
    expect(names('sink flange sequence')[0]).toBe('Sink flange: Sequence');
    expect(names('tee rowan')).toEqual([]);
    expect(names('1.0 sink')).toContain('Sink flange');
    expect(names('inch')).toEqual(['Change the units']);
  });

  it('offers the sheet of a seam before its other views, and views and sheets before anything is typed', () => {
    expect(names('axle')[0]).toBe('Axle plate');
    expect(names('')).toContain('Arc simulator');
    expect(names('')).toContain('Axle plate');
    expect(names('')).not.toContain('Axle plate: Sequence');
  });
});

describe('words', () => {
  it('say what they mean, the word itself before others that mention it', () => {
    expect(lookUp('heat')[0]?.word).toBe('heat');
    expect(lookUp('pulse').map(({ word }) => word)).toContain('pulse');
    expect(lookUp('pulse')[0]?.means).toContain('without touching the pool');
    expect(lookUp('no such word')).toEqual([]);
  });

  it('are each there once, and what hides something says what to ask', () => {
    expect(new Set(glossary.map(({ word }) => word)).size).toBe(glossary.length);
    for (const { hides, ask } of glossary) expect(hides === undefined).toBe(ask === undefined);
  });
});

describe('keys', () => {
  it('are those of the view one is in', () => {
    expect(keysAt('/simulator/axle').keys.map(({ keys }) => keys)).toContain('← → ↑ ↓ on the map');
    expect(keysAt('/sequence/axle/ends').view).toBe('Sequence');
    expect(keysAt('/seams/axle').view).toBe('Seam sheet');
    expect(keysAt('/seams')).toEqual({ view: null, keys: [] });
    expect(everywhere.map(({ keys }) => keys)).toContain('F1');
  });
});

describe('what lies over the page', () => {
  beforeEach(() => {
    resetSettings();
    overlay.setState({ open: null });
    answerFetch({
      'GET /api/seams': { items: [seam(), other], next: null },
      'GET /api/machines': { items: [rowan], next: null },
    });
  });
  afterEach(cleanup);
  const open = () => showRoutes([{ path: '*', Component: Overlays, HydrateFallback: () => null }], '/simulator/axle');
  const press = (key: string, more: object = {}) => act(() => fireEvent.keyDown(window, { key, ...more }));

  it('is brought by its key and goes where Enter says', async () => {
    const router = open();
    await press('k', { ctrlKey: true });
    const field = await screen.findByPlaceholderText(/Seam, part, machine/);
    fireEvent.change(field, { target: { value: 'sink flange sequence' } });
    await screen.findByRole('option', { name: /Sink flange: Sequence/ });
    fireEvent.keyDown(field, { key: 'Enter' });
    await waitFor(() => expect(router.state.location.pathname).toBe('/sequence/sink'));
    expect(overlay.getState().open).toBeNull();
  });

  it('does acts, too', async () => {
    open();
    await press('k', { ctrlKey: true });
    const field = await screen.findByPlaceholderText(/Seam, part, machine/);
    fireEvent.change(field, { target: { value: 'units' } });
    fireEvent.click(await screen.findByRole('option', { name: /Change the units/ }));
    expect(settings.getState().units).toBe('us');
  });

  it('shows words by F1 and the keys of the view by a question mark, but not while something is typed', async () => {
    open();
    await press('F1');
    fireEvent.change(await screen.findByLabelText('Search the glossary'), { target: { value: 'CTWD' } });
    expect(screen.getByText(/contact tip to work distance while welding/)).toBeTruthy();
    fireEvent.keyDown(screen.getByLabelText('Search the glossary'), { key: '?' });
    expect(overlay.getState().open).toBe('words');
    await press('F1');
    expect(overlay.getState().open).toBeNull();
    await press('?');
    expect(await screen.findByText('Keys: Arc simulator')).toBeTruthy();
  });
});
