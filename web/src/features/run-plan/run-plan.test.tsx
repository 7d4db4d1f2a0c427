import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { alder, answerFetch, order, rowan, seam } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { loadRunPlan, RunPlan } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });

async function open(orders: unknown[] = [order()]) {
  answerFetch({
    'GET /api/orders': page(orders),
    'GET /api/machines': page([rowan, alder]),
    'GET /api/seams': page([seam()]),
  });
  showRoutes(
    [{ path: '/run-plan', Component: RunPlan, loader: loadRunPlan, HydrateFallback: () => null }],
    '/run-plan',
  );
  await screen.findByRole('heading', { level: 1, name: 'Run plan' });
}

beforeEach(resetSettings);
afterEach(cleanup);

describe('the run plan', () => {
  it('puts what is left of the open orders on a machine that can say it', async () => {
    await open();
    const table = within(await screen.findByRole('table'));
    const [, first] = table.getAllByRole('row');
    // 12 asked, 5 done.
    expect(first?.textContent).toContain('7');
    expect(first?.textContent).toMatch(/Rowan|Alder/);
    expect(screen.getByText(/proven: no other order costs less/)).toBeTruthy();
  });

  it('plans again without a machine that is down, and holds what is put first', async () => {
    await open();
    await screen.findByRole('table');
    fireEvent.click(screen.getByRole('button', { name: 'Rowan is down' }));
    expect(screen.getByRole('button', { name: 'Rowan is back' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Rowan is back' }));
    const table = within(await screen.findByRole('table'));
    fireEvent.click((await table.findAllByRole('button', { name: /^Weld .* first on/ }))[0]!);
    expect(await screen.findByRole('button', { name: 'Let go' })).toBeTruthy();
    expect(localStorage.getItem('fox-tempo/form/run-plan')).toContain('fixed');
  });

  it('says when there is nothing to weld', async () => {
    await open([order({ done: 12 })]);
    expect(screen.getByText('No open order has a seam with a saved setting.')).toBeTruthy();
  });
});
