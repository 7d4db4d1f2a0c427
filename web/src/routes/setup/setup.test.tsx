import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { answerFetch, program, rowan, seam, setFor } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { loadSetup, Setup } from './index.ts';

const standing = rowan.standing!;
const threaded = (change: object) => ({
  ...rowan,
  standing: { ...standing, feeders: { one: { ...standing.feeders['one']!, ...change } } },
});

async function open(machine = rowan, table: Record<string, unknown> = {}) {
  const answered = answerFetch({
    'GET /api/seams/axle': seam(),
    'GET /api/machines': { items: [machine], next: null },
    'GET /api/machines/rowan/step-times': { minutes: {} },
    ...table,
  });
  showRoutes(
    [{ path: '/seams/:id/setup', Component: Setup, loader: loadSetup, HydrateFallback: () => null }],
    '/seams/axle/setup',
  );
  await screen.findByRole('heading', { level: 1 });
  return answered;
}
const loadedTable = () => within(screen.getByRole('group', { name: 'Loaded and selected' }));

beforeEach(resetSettings);
afterEach(cleanup);

describe('the set-up walk', () => {
  it('asks for nothing where the machine stands as the seam needs it', async () => {
    await open(setFor(rowan, program()));
    expect(screen.getByRole('heading', { name: 'Nothing to change' })).toBeTruthy();
    expect(screen.getByText(/what this seam needs agree/)).toBeTruthy();
    expect(loadedTable().queryByText('✕ differs')).toBeNull();
  });

  it('names the dials that nobody has seen stand so as a step of their own, with what they are known to show', async () => {
    await open();
    expect(screen.queryByRole('heading', { name: 'Nothing to change' })).toBeNull();
    expect(screen.getByText(/^Set \d+ dials$/)).toBeTruthy();
  });

  it('names only what differs, and blocks a trial while gas or wire is another', async () => {
    await open(threaded({ gas: 'C1', filler: 'stainless-solid' }));
    expect(screen.getByRole('heading', { name: /^\d+ things to change/ })).toBeTruthy();
    expect(screen.getByText('No test weld yet:')).toBeTruthy();
    expect(loadedTable().getAllByText('✕ differs').length).toBeGreaterThan(0);
  });

  it('writes nothing down before every step is ticked, and keeps ticks over a reload', async () => {
    await open(threaded({ gas: 'C1' }));
    const write = () => screen.getByRole<HTMLButtonElement>('button', { name: 'All done: record it' });
    expect(write().disabled).toBe(true);
    for (const box of screen.getAllByRole('checkbox').filter((one) => one.closest('ol'))) fireEvent.click(box);
    expect(write().disabled).toBe(false);
    cleanup();
    await open(threaded({ gas: 'C1' }));
    expect(write().disabled).toBe(false);
  });

  it('keeps the ticks when writing down fails, and says why', async () => {
    await open(threaded({ gas: 'C1' }), {
      'PUT /api/machines/rowan/standing': {
        type: '/problems/not-allowed',
        title: 'This is for another role',
        status: 403,
        detail: 'Ask a lead hand.',
      },
    });
    for (const box of screen.getAllByRole('checkbox').filter((one) => one.closest('ol'))) fireEvent.click(box);
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: 'All done: record it' }));
    });
    expect(await screen.findByText('Not saved.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'All done: record it' }).disabled).toBe(false);
  });

  it('asks for everything where nobody entered how it stands', async () => {
    await open({ ...rowan, standing: null });
    expect(screen.getByText('Current setting not recorded.')).toBeTruthy();
    expect(
      screen.getByRole('link', { name: 'Enter the current setting: only the differences are then left.' }),
    ).toBeTruthy();
  });

  it('has nothing to walk before a setting is saved', async () => {
    await open(rowan, { 'GET /api/seams/axle': seam({ revision: null }) });
    expect(
      screen.getByRole('link', { name: 'Save one on its sheet: the set-up then shows what the machine needs.' }),
    ).toBeTruthy();
  });
});
