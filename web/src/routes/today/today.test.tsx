import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { ErrorPage } from '../../app/error-page.tsx';
import { daysUntil, shopDay } from '../../lib/time.ts';
import { answerFetch, hazel, order, parts, rowan, seam, shopState, spec, stock } from '../../testing/shop.ts';
import { sendWaiting } from '../../data/outbox/index.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { loadSeamList, SeamList } from '../seams/index.ts';
import { loadToday, Today } from './index.ts';

const page = (items: unknown[], next: string | null = null) => ({ items, next });
const inDays = (days: number) => shopDay(new Date(Date.now() + days * 86_400_000));

async function open(path: '/today' | '/seams', table: Record<string, unknown>) {
  table['GET /api/stock'] ??= stock;
  table['GET /api/shop'] ??= shopState;
  const answered = answerFetch(table);
  const router = showRoutes(
    [
      { path: '/today', Component: Today, loader: loadToday, ErrorBoundary: ErrorPage, HydrateFallback: () => null },
      {
        path: '/seams',
        Component: SeamList,
        loader: loadSeamList,
        ErrorBoundary: ErrorPage,
        HydrateFallback: () => null,
      },
      { path: '/seams/:id', element: <h1>the sheet</h1> },
    ],
    path,
  );
  await screen.findByRole('heading', { level: 1 });
  return { ...answered, router };
}

beforeEach(resetSettings);
afterEach(cleanup);

describe('Today', () => {
  it('lists orders with their seams, machines as they stand, and what waits', async () => {
    await open('/today', {
      'GET /api/orders': page([
        order({ dueOn: inDays(1) }),
        order({ id: 'o2', number: 'MC 2', partId: 'rail', partName: 'Rail', done: 0, dueOn: inDays(-2) }),
      ]),
      'GET /api/machines': page([rowan, hazel]),
      'GET /api/seams': page([
        seam(),
        seam({ id: 'new', spec: { ...spec, name: 'Post edge' }, choice: null, revision: null }),
      ]),
    });
    expect(screen.getByText(/due tomorrow/)).toBeTruthy();
    expect(screen.getByText(/2 days late/)).toBeTruthy();
    expect(screen.getByRole('img', { name: '5 of 12 done' })).toBeTruthy();
    for (const order of screen.getAllByRole('button', { name: /^Seams of/ })) fireEvent.click(order);
    expect(screen.getAllByRole('link', { name: /Post edge/ }).length).toBe(2);
    expect(screen.getByText('No seam of this part is described yet.')).toBeTruthy();
    expect(screen.getByText(/its dials are missing/)).toBeTruthy();
    // 0.05 bar over the 5 kept back is not enough for one part.
    expect((await screen.findByText('✕ Mix 1')).parentElement?.textContent).toContain('on Rowan: 0 × Axle plate');
  });

  it('counts a part by one tap, and loads what that changed', async () => {
    const table: Record<string, unknown> = {
      'GET /api/orders': page([order()]),
      'GET /api/machines': page([]),
      'GET /api/seams': page([]),
      'POST /api/orders/o1/done': { order: order({ done: 6 }), drawn: [] },
    };
    const { calls } = await open('/today', table);
    table['GET /api/orders'] = page([order({ done: 6 })]);
    fireEvent.click(screen.getByRole('button', { name: 'One more Cart frame done' }));
    expect(await screen.findByRole('img', { name: '6 of 12 done' })).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ count: 1 });
    delete table['POST /api/orders/o1/done'];
    fireEvent.click(screen.getByRole('button', { name: 'Take one Cart frame back' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Not counted.');
  });

  it('says that a count waits on the device, and sends it again under the same key', async () => {
    const keys: (string | undefined)[] = [];
    const table: Record<string, unknown> = {
      'GET /api/orders': page([order()]),
      'GET /api/machines': page([]),
      'GET /api/seams': page([]),
      'POST /api/orders/o1/done': new TypeError('gone'),
    };
    await open('/today', table);
    const { fetch } = globalThis;
    globalThis.fetch = ((path: string, init?: RequestInit) => {
      if (init?.method === 'POST') keys.push(new Headers(init.headers).get('idempotency-key') ?? undefined);
      return fetch(path, init);
    }) as typeof fetch;
    const tap = () => fireEvent.click(screen.getByRole('button', { name: 'One more Cart frame done' }));
    tap();
    expect((await screen.findByText(/1 count waits on this device/)).getAttribute('role')).toBe('status');
    table['POST /api/orders/o1/done'] = { order: order({ done: 6 }), drawn: [] };
    table['GET /api/orders'] = page([order({ done: 6 })]);
    await act(() => sendWaiting());
    expect(await screen.findByRole('img', { name: '6 of 12 done' })).toBeTruthy();
    table['GET /api/orders'] = page([order({ done: 7 })]);
    tap();
    expect(await screen.findByRole('img', { name: '7 of 12 done' })).toBeTruthy();
    expect(keys[0]).toMatch(/^[0-9a-f-]{36}$/);
    expect(keys[1]).toBe(keys[0]);
    expect(keys[2]).not.toBe(keys[0]);
  });

  it('says when the disk runs full and when a night had no backup', async () => {
    await open('/today', {
      'GET /api/orders': page([]),
      'GET /api/machines': page([]),
      'GET /api/seams': page([]),
      'GET /api/shop': {
        ...shopState,
        diskFreeBytes: 1.2e9,
        diskIsLow: true,
        backupTrouble: 'pg_dump could not be run',
      },
    });
    expect(screen.getByText(/1.2 GB left/)).toBeTruthy();
    expect(screen.getByText('pg_dump could not be run')).toBeTruthy();
  });

  it('teaches when it is empty', async () => {
    await open('/today', { 'GET /api/orders': page([]), 'GET /api/machines': page([]), 'GET /api/seams': page([]) });
    expect(screen.getByText('No order is open.')).toBeTruthy();
    expect(screen.getByText('No machine is described yet.')).toBeTruthy();
    expect(screen.queryByText('No setting yet')).toBeNull();
  });

  it('follows the cursor to the end of a list', async () => {
    const { calls } = await open('/today', {
      'GET /api/orders': page([order()], 'abc='),
      'GET /api/orders?cursor=abc%3D': page([order({ id: 'o2', number: 'MC 2' })]),
      'GET /api/machines': page([]),
      'GET /api/seams': page([]),
    });
    expect(screen.getByText(/MC 2/)).toBeTruthy();
    expect(calls.map((call) => call.path)).toContain('/api/orders?cursor=abc%3D');
  });

  it('says when the server is gone, and tries again', async () => {
    const table: Record<string, unknown> = {
      'GET /api/orders': new TypeError('gone'),
      'GET /api/machines': page([]),
      'GET /api/seams': page([]),
    };
    await open('/today', table);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('The server cannot be reached');
    table['GET /api/orders'] = page([]);
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('No order is open.')).toBeTruthy();
  });
});

describe('Seams', () => {
  const lists = {
    'GET /api/parts': page(parts),
    'GET /api/seams': page([
      seam(),
      seam({ id: 'b', partId: 'rail', revision: null, choice: null, spec: { ...spec, name: 'Rail lap' } }),
    ]),
  };

  it('groups seams by part, with the setting in a line', async () => {
    await open('/seams', lists);
    expect(screen.getByRole('heading', { name: 'Cart frame' })).toBeTruthy();
    expect(screen.getByRole('link', { name: /Axle plate/ }).textContent).toContain('5.6 m/min');
    expect(screen.getByRole('link', { name: /Rail lap/ }).textContent).toContain('waits for its first setting');
  });

  it('describes a new seam and goes to its sheet', async () => {
    const { calls, router } = await open('/seams', { ...lists, 'POST /api/seams': seam({ id: 'fresh' }) });
    fireEvent.click(screen.getByRole('button', { name: 'Describe a seam' }));
    fireEvent.click(screen.getByRole('button', { name: 'Go to its sheet' }));
    expect((await screen.findByRole('alert')).textContent).toContain('A seam needs a name');
    fireEvent.change(screen.getByLabelText('On which part'), { target: { value: 'rail' } });
    fireEvent.change(screen.getByLabelText('What it is called'), { target: { value: ' Hood corner ' } });
    expect(screen.getByText(/Still missing: the metal, the joint, the first part’s thickness/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Metal'), { target: { value: 'steel' } });
    fireEvent.change(screen.getByLabelText('Joint'), { target: { value: 'corner-outside' } });
    fireEvent.change(screen.getByLabelText('First part, mm'), { target: { value: '2' } });
    fireEvent.click(screen.getByRole('button', { name: 'Go to its sheet' }));
    expect(await screen.findByText('the sheet')).toBeTruthy();
    expect(router.state.location.pathname).toBe('/seams/fresh');
    expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({
      partId: 'rail',
      spec: { name: 'Hood corner', materialGroup: 'steel', thicknessesMm: [2, 2], position: 'PA' },
    });
  });

  it('keeps what was typed when the server refuses', async () => {
    await open('/seams', {
      ...lists,
      'POST /api/seams': { type: '/problems/unknown-person', title: 'Nobody known', status: 401, detail: 'who?' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Describe a seam' }));
    fireEvent.change(screen.getByLabelText('What it is called'), { target: { value: 'Hood' } });
    fireEvent.change(screen.getByLabelText('Metal'), { target: { value: 'steel' } });
    fireEvent.change(screen.getByLabelText('Joint'), { target: { value: 'corner-outside' } });
    fireEvent.change(screen.getByLabelText('First part, mm'), { target: { value: '2' } });
    fireEvent.click(screen.getByRole('button', { name: 'Go to its sheet' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Nobody known');
    expect(screen.getByLabelText<HTMLInputElement>('What it is called').value).toBe('Hood');
    // A reload in between keeps it too.
    cleanup();
    await open('/seams', lists);
    fireEvent.click(screen.getByRole('button', { name: 'Describe a seam' }));
    expect(screen.getByLabelText<HTMLInputElement>('What it is called').value).toBe('Hood');
    fireEvent.change(screen.getByLabelText('First part, mm'), { target: { value: '300' } });
    expect(screen.getByText(/First part must lie between 0.6 and 25 mm; got 300/)).toBeTruthy();
    expect(screen.getByText(/Still missing: the first part’s thickness/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.queryByLabelText('What it is called')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Describe a seam' }));
    expect(screen.getByLabelText<HTMLInputElement>('First part, mm').value).toBe('');
  });
});

describe('days', () => {
  it('are counted from midnight to midnight', () => {
    // Ten to midnight in the shop, 22:50 in UTC, whatever the clock of the device says.
    const late = new Date('2026-01-10T22:50:00Z');
    expect(daysUntil('2026-01-11', late)).toBe(1);
    expect(daysUntil('2026-01-10', late)).toBe(0);
    expect(daysUntil('2026-01-08', late)).toBe(-2);
  });
});
