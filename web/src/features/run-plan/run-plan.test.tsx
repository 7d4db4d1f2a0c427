import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { alder, answerFetch, order, rowan, seam } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { planCalendar } from './calendar.ts';
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

  it('goes out as a calendar: an event for each job, with its machine, its pieces and a moment of work', () => {
    const program = seam().revision!.program;
    const jobs = [
      {
        id: 'o2/axle',
        seamId: 'axle',
        name: 'Axle plate',
        order: 'MC 1',
        program,
        arcMinutes: 1,
        starts: 1,
        quantity: 7,
      },
    ];
    const bar = { machineId: 'rowan', jobId: 'o2/axle', setupMinutes: 6, fromMinute: 6, toMinute: 27, lateMinutes: 0 };
    const plan = { bars: [bar], setupMinutes: 6, lateMinutes: 0, cost: 6, bound: 6, provenBest: true, unplaced: [] };
    const text = planCalendar(plan, jobs, [rowan], new Date(2026, 10, 26, 9));
    expect(text).toMatch(/^BEGIN:VCALENDAR/);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(1);
    expect(text).toContain('7 × Axle plate');
    expect(text).toMatch(/UID:o2\/axle@fox-tempo/);
    // From nine, changeover first, to 27 minutes past.
    expect(
      new Date(
        /DTSTART:(\d{8}T\d{6}Z?)/
          .exec(text)![1]!
          .replace(/(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)/, '$1-$2-$3T$4:$5:$6'),
      ).getMinutes(),
    ).toBe(0);
  });
});
