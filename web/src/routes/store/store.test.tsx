import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { answerFetch, rowan, revision, seam, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { loadStore, Store } from './index.ts';

const entry = (slot: number, change: object = {}) => ({
  id: 40 + slot,
  slot,
  seamId: 'other',
  seamName: 'Canopy post',
  partName: 'Rail',
  revision: 2,
  program: revision(2).program,
  dials: { line: 14, 'wire-feed': 5, 'arc-index': 40 },
  note: 'passed the bend',
  storedAt: when,
  storedBy: 'Ines Brandal',
  found: null,
  ...change,
});

async function open(table: Record<string, unknown> = {}) {
  const answered = answerFetch({
    'GET /api/seams/axle': seam(),
    'GET /api/machines': { items: [rowan], next: null },
    'GET /api/machines/rowan/slots': { items: [entry(3)], next: null },
    ...table,
  });
  showRoutes(
    [{ path: '/seams/:id/store', Component: Store, loader: loadStore, HydrateFallback: () => null }],
    '/seams/axle/store',
  );
  await screen.findByRole('heading', { level: 1 });
  return answered;
}

beforeEach(resetSettings);
afterEach(cleanup);

describe('storing in a slot', () => {
  it('begins with a free slot, where nothing is overwritten', async () => {
    await open();
    expect(await screen.findByText('Free: nothing is overwritten.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Store in slot 1' })).toBeTruthy();
    expect(screen.getByText('14 free')).toBeTruthy();
  });

  it('shows line by line what an occupied slot would lose', async () => {
    await open();
    fireEvent.click(await screen.findByRole('button', { name: 'Slot 3: Canopy post' }));
    expect(screen.getByText(/This would be overwritten/)).toBeTruthy();
    expect(screen.getByText(/passed the bend/)).toBeTruthy();
    const row = screen.getByRole('row', { name: /^Wire feed/ });
    expect(row.textContent).toMatch(/5\.0.*5\.6/);
    expect(screen.getByRole('button', { name: 'Overwrite slot 3' })).toBeTruthy();
  });

  it('stores with its note, and says what to do at the machine', async () => {
    const answered = await open({
      'POST /api/machines/rowan/slots/1': entry(1, {
        seamId: 'axle',
        seamName: 'Axle plate',
        revision: 1,
        note: 'trial 4',
      }),
    });
    fireEvent.change(await screen.findByRole('textbox', { name: /^Note/ }), { target: { value: 'trial 4' } });
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: 'Store in slot 1' }));
    });
    expect(await screen.findByText(/Slot 1 now holds Axle plate, revision 1/)).toBeTruthy();
    expect(answered.calls.filter(({ method }) => method === 'POST').at(-1)?.body).toMatchObject({
      seamId: 'axle',
      note: 'trial 4',
      replaces: null,
    });
  });

  it('shows theirs when somebody stored there meanwhile, and keeps the note', async () => {
    let asked = 0;
    await open({
      // Free when it was opened, taken when it is read again.
      'GET /api/machines/rowan/slots': () => ({
        items: asked++ === 0 ? [] : [entry(1, { seamName: 'Sink flange' })],
        next: null,
      }),
      'POST /api/machines/rowan/slots/1': {
        type: '/problems/stale-version',
        title: 'The slot holds something else now',
        status: 412,
        detail: 'Slot 1 was stored over.',
        current: entry(1, { seamName: 'Sink flange' }),
      },
    });
    fireEvent.change(await screen.findByRole('textbox', { name: /^Note/ }), { target: { value: 'mine' } });
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: 'Store in slot 1' }));
    });
    expect(await screen.findByText(/Look at what is in it now/)).toBeTruthy();
    expect(await screen.findByText(/Sink flange, Rail, revision 2/)).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: /^Note/ }).value).toBe('mine');
  });

  it('says so when the memory cannot be read, and tries again', async () => {
    await open({
      'GET /api/machines/rowan/slots': { type: '/problems/database-away', title: 'away', status: 503, detail: 'away' },
    });
    expect(await screen.findByText('Its memory could not be read.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
  });

  it('has nothing to store before a setting is saved', async () => {
    await open({ 'GET /api/seams/axle': seam({ revision: null }) });
    expect(screen.getByRole('link', { name: 'Save a setting on the sheet first.' })).toBeTruthy();
  });
});
