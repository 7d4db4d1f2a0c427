import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { translate } from '@fox-tempo/core/machine';
import type { Run } from '@fox-tempo/contract';
import { answerFetch, order, program, revision, rowan, seam, stock, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { BenchMode, loadBenchMode } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });
const dials = translate(rowan.file, program()).dials;
const logged = (change: Partial<Run> = {}): Partial<Run> => ({
  id: '00000000-0000-4000-8000-000000000009',
  state: 'counts',
  held: [],
  body: {},
  seamId: 'axle',
  ...change,
});

async function open({
  at = '/bench-mode/axle?machine=rowan',
  one = seam(),
  run = logged(),
}: { at?: string; one?: ReturnType<typeof seam>; run?: unknown } = {}) {
  const answered = answerFetch({
    'GET /api/seams/axle': one,
    'GET /api/machines': page([rowan]),
    'GET /api/orders': page([order()]),
    'GET /api/stock': stock,
    'GET /api/seams/axle/revisions': page([revision(2), revision(1)]),
    'POST /api/runs': run,
    'POST /api/runs/00000000-0000-4000-8000-000000000009/decision': logged({ state: 'slip' }),
  });
  showRoutes(
    [
      { path: '/bench-mode/:id', Component: BenchMode, loader: loadBenchMode, HydrateFallback: () => null },
      { path: '/seams/:id', element: <h1>the sheet</h1> },
    ],
    at,
  );
  await screen.findByRole('heading', { level: 1, name: 'Axle plate' });
  return answered;
}
const lines = () => within(screen.getByRole('list', { name: 'Dials to set' })).getAllByRole('listitem');
const pressed = () => lines().filter((line) => line.querySelector('button[aria-pressed=true]') !== null).length;
const posted = (calls: { method: string; path: string; body: unknown }[]) =>
  calls.filter(({ method }) => method === 'POST');

beforeEach(resetSettings);
afterEach(cleanup);

describe('bench mode', () => {
  it('gives every dial of the card one line with its own figure', async () => {
    await open();
    expect(lines()).toHaveLength(dials.length);
    for (const { label, display } of dials)
      expect(lines().some(({ textContent }) => textContent?.includes(label) && textContent.includes(display))).toBe(
        true,
      );
  });

  it('is ticked by tap and by key, and unticked the same way; Escape leaves', async () => {
    await open();
    const before = pressed();
    const isFirst = lines()[0]!.querySelector('button[aria-pressed=true]') !== null;
    fireEvent.keyDown(window, { key: '1' });
    expect(pressed()).toBe(before + (isFirst ? -1 : 1));
    fireEvent.click(lines()[0]!.querySelector('button')!);
    expect(pressed()).toBe(before);
    fireEvent.keyDown(window, { key: 'Escape' });
    expect(await screen.findByText('the sheet')).toBeTruthy();
  });

  it('shows the revision in force, not the newest, and says when a printed card is another', async () => {
    const issued = [{ machineId: 'rowan', revision: 1, reason: 'three passed', by: 'Ilse Brandokor', at: when }];
    await open({ at: '/bench-mode/axle?machine=rowan&revision=2', one: seam({ revision: revision(2), issued }) });
    expect(screen.getByText(/revision 1 in force, issued by Ilse Brandokor: three passed/)).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toContain('It shows revision 2; revision 1 is what counts now');
  });

  it('has steps only inside a written window, and none where nobody wrote one', async () => {
    await open();
    expect(screen.queryByRole('button', { name: /one step more$/ })).toBeNull();
    cleanup();
    const { wireFeedMPerMin: feed } = program();
    const window = { wireFeedMPerMin: [feed - 0.25, feed + 0.05] as [number, number] };
    const written = {
      machineId: 'rowan',
      revision: 1,
      window,
      failureBelow95: 0.05,
      reason: 'tried',
      by: 'Ilse',
      at: when,
    };
    await open({ one: seam({ windows: [written] }) });
    // A step of 0.1 m/min fits below, none above.
    expect(screen.getByRole('button', { name: 'Wire feed: one step less' }).hasAttribute('disabled')).toBe(false);
    expect(screen.getByRole('button', { name: 'Wire feed: one step more' }).hasAttribute('disabled')).toBe(true);
  });

  it('logs a weld with one tap, of the revision and order it stands on; a tap too many needs no reason', async () => {
    const { calls } = await open();
    fireEvent.click(screen.getByRole('button', { name: 'Welded: log it' }));
    expect(await screen.findByText('✓ Recorded')).toBeTruthy();
    expect(posted(calls)[0]?.body).toMatchObject({
      seamId: 'axle',
      machineId: 'rowan',
      revision: 1,
      orderId: 'o1',
      body: {},
    });
    fireEvent.click(screen.getByRole('button', { name: 'Never welded: take it back' }));
    expect(await screen.findByText('Taken back')).toBeTruthy();
    expect(posted(calls)[1]?.body).toEqual({ decision: 'slip', reason: '' });
  });

  it('says why a part is held and asks a lead hand; waits on the device while the server is away', async () => {
    await open({ run: logged({ state: 'held', held: [{ code: 'wire', words: 'the spool is another' }] }) });
    fireEvent.click(screen.getByRole('button', { name: 'Welded: log it' }));
    expect(await screen.findByText('the spool is another')).toBeTruthy();
    expect(screen.getByLabelText('Decision')).toBeTruthy();
    cleanup();
    await open({ run: new TypeError('gone') });
    fireEvent.click(screen.getByRole('button', { name: 'Welded: log it' }));
    expect(await screen.findByText(/weld waits for the connection/)).toBeTruthy();
  });

  it('is not for the office to log in, and says where a seam has no setting', async () => {
    signInAs('office');
    await open();
    expect(screen.queryByRole('button', { name: 'Welded: log it' })).toBeNull();
    cleanup();
    await open({ one: seam({ choice: null, revision: null }) });
    expect(screen.queryByRole('list', { name: 'Dials to set' })).toBeNull();
  });
});
