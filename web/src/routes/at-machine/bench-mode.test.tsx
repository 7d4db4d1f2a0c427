import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { translate } from '@fox-tempo/core/machine/dials';
import type { Run } from '@fox-tempo/contract';
import { answerFetch, order, program, revision, rowan, seam, setFor, stock, when } from '../../testing/shop.ts';
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
  at = '/at-machine/axle?machine=rowan',
  one = seam(),
  run = logged(),
  machine = setFor(rowan, program()),
  tick = {},
}: {
  at?: string;
  one?: ReturnType<typeof seam>;
  run?: unknown;
  machine?: typeof rowan;
  tick?: unknown;
} = {}) {
  const answered = answerFetch({
    'GET /api/seams/axle': one,
    'GET /api/machines': page([machine]),
    'POST /api/observations': tick,
    'GET /api/orders': page([order()]),
    'GET /api/stock': stock,
    'GET /api/seams/axle/revisions': page([revision(2), revision(1)]),
    'POST /api/runs': run,
    'POST /api/runs/00000000-0000-4000-8000-000000000009/decision': logged({ state: 'slip' }),
  });
  showRoutes(
    [
      { path: '/at-machine/:id', Component: BenchMode, loader: loadBenchMode, HydrateFallback: () => null },
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
    await open({ machine: rowan });
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
    await open({ at: '/at-machine/axle?machine=rowan&revision=2', one: seam({ revision: revision(2), issued }) });
    expect(screen.getByText(/revision 1 in force, issued by Ilse Brandokor: three passed/)).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toContain('It shows revision 2; revision 1 is in force');
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
      // Every line stood as on the card: the record says so.
      body: { dials: Object.fromEntries(dials.map(({ dialId, value }) => [dialId, value])) },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Not welded: take it back' }));
    expect(await screen.findByText('Taken back')).toBeTruthy();
    expect(posted(calls)[1]?.body).toEqual({ decision: 'slip', reason: '', seen: 'counts' });
  });

  it('says why a part is held and asks a lead hand; waits on the device while the server is away', async () => {
    await open({ run: logged({ state: 'held', held: [{ code: 'wire', words: 'the spool is another' }] }) });
    fireEvent.click(screen.getByRole('button', { name: 'Welded: log it' }));
    expect(await screen.findByText('the spool is another')).toBeTruthy();
    expect(screen.getByLabelText('Decision')).toBeTruthy();
    cleanup();
    await open({ run: new TypeError('gone') });
    fireEvent.click(screen.getByRole('button', { name: 'Welded: log it' }));
    expect(await screen.findByText(/1 record waits to be sent/)).toBeTruthy();
  });

  it('records each tick as evidence of how the dial stands, and takes it back when it is unticked', async () => {
    const { calls } = await open({ machine: rowan });
    const at = lines().findIndex((one) => one.querySelector('button[aria-pressed=false]') !== null);
    const tap = () => fireEvent.click(lines()[at]!.querySelector('button')!);
    tap();
    // A weld of an earlier session may be sent beside it.
    const ticks = () => calls.filter(({ path, method }) => method === 'POST' && path === '/api/observations');
    await waitFor(() => expect(ticks()).toHaveLength(1));
    const sent = ticks()[0]?.body as { kind: string; machineId: string; body: { dials: Record<string, number> } };
    expect(sent).toMatchObject({ kind: 'dials-set', machineId: 'rowan' });
    const [[id, value] = ['', 0]] = Object.entries(sent.body.dials);
    expect(dials.find(({ dialId }) => dialId === id)?.value).toBe(value);
    tap();
    await waitFor(() => expect(ticks()[1]?.body).toMatchObject({ kind: 'withdrawal' }));
  });

  it('asks once how the machine was set where lines are not ticked: all as on the card', async () => {
    const { calls } = await open({ machine: { ...rowan, standing: { ...rowan.standing!, dials: {} } } });
    fireEvent.click(screen.getByRole('button', { name: 'Welded: log it' }));
    expect(screen.getByText(/lines are not ticked\. How was the machine set\?/)).toBeTruthy();
    expect(posted(calls)).toHaveLength(0);
    fireEvent.click(screen.getByRole('button', { name: 'All as on the card' }));
    expect(await screen.findByText('✓ Recorded')).toBeTruthy();
    expect((posted(calls)[0]?.body as { body: { dials: object } }).body.dials).toEqual(
      Object.fromEntries(dials.map(({ dialId, value }) => [dialId, value])),
    );
  });

  it('or one was different: what is read is logged, what was not read is left unsaid', async () => {
    const { calls } = await open({ machine: { ...rowan, standing: { ...rowan.standing!, dials: {} } } });
    fireEvent.click(screen.getByRole('button', { name: 'Welded: log it' }));
    fireEvent.click(screen.getByRole('button', { name: 'One was different' }));
    const group = within(screen.getByRole('group', { name: 'How the dials were set' }));
    const feed = dials.find(({ quantity }) => quantity === 'wireFeedMPerMin')!;
    const field = group.getByLabelText(/^Wire feed/);
    fireEvent.change(field, { target: { value: String(feed.value + 1) } });
    fireEvent.blur(field);
    fireEvent.click(screen.getByRole('button', { name: 'Welded: log it' }));
    expect(await screen.findByText('✓ Recorded')).toBeTruthy();
    expect((posted(calls)[0]?.body as { body: { dials: object } }).body.dials).toEqual({
      [feed.dialId]: expect.closeTo(feed.value + 1, 6),
    });
  });

  it('says when the chart line that was set is another, until it is ticked', async () => {
    const other = setFor(rowan, program());
    const standing = { ...other.standing!, dials: { ...other.standing!.dials, line: 21 } };
    await open({ machine: { ...other, standing } });
    expect(screen.getByText(/the part is held until a lead hand decides/)).toBeTruthy();
    fireEvent.click(lines()[0]!.querySelector('button')!);
    expect(screen.queryByText(/the part is held until a lead hand decides/)).toBeNull();
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
