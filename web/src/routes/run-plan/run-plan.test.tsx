import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { alder, answerFetch, order, rowan, seam } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { planCalendar } from './calendar.ts';
import { loadRunPlan, RunPlan } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });

async function open(orders: unknown[] = [order()], stock: unknown = { cylinders: [], spools: [] }) {
  answerFetch({
    'GET /api/orders': page(orders),
    'GET /api/machines': page([rowan, alder]),
    'GET /api/seams': page([seam()]),
    'GET /api/stock': stock,
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
    expect(await screen.findByRole('button', { name: 'Release' })).toBeTruthy();
    expect(localStorage.getItem('fox-tempo/form/run-plan')).toContain('fixed');
  });

  it('moves a bar by key to another machine, holds it there, and lets it go by Enter', async () => {
    await open([order(), order({ id: 'o3', number: 'MC 3' })]);
    await screen.findByRole('table');
    const bar = () => screen.getByRole('button', { name: /, MC 3: / });
    // Whichever of the two machines it stands on, one of these leads to the other.
    fireEvent.keyDown(bar(), { key: 'ArrowUp' });
    if (!screen.queryByText(/: put on/)) fireEvent.keyDown(bar(), { key: 'ArrowDown' });
    expect(screen.getByText(/: put on (?:Rowan|Alder) at place \d; the rest is planned again/)).toBeTruthy();
    expect(bar().getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(bar());
    expect(bar().getAttribute('aria-pressed')).toBe('false');
    expect(localStorage.getItem('fox-tempo/form/run-plan')).not.toContain('o3');
  });

  it('says before which piece a spool is to be changed, and leads to its change', async () => {
    const { filler, diameterMm } = seam().revision!.program;
    const spool = { id: 's', version: 1, name: 'Last turns', filler, diameterMm, massKg: 0.03, retired: false };
    // On whichever machine the plan puts the job.
    const spools = [rowan, alder].map(({ id }) => ({ ...spool, id, machineId: id }));
    await open([order()], { cylinders: [], spools });
    expect(await screen.findByText(/change it before piece \d+ of Axle plate, after 0:\d\d h of work/)).toBeTruthy();
    expect(screen.getByRole('link', { name: /Last turns/ }).getAttribute('href')).toMatch(
      /^\/machines\/(?:rowan|alder)\/refill$/,
    );
  });

  it('names an order whose day is over, and the way out', async () => {
    await open([order({ number: 'MC 9', dueOn: '2020-01-02' })]);
    expect(await screen.findByText(/MC 9 was due on .*: no order of work meets that/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'agree on another day' }).getAttribute('href')).toBe('/shop/orders');
  });

  it('says that only what is down can weld it, or what keeps the machine that comes nearest', async () => {
    await open();
    await screen.findByRole('table');
    fireEvent.click(screen.getByRole('button', { name: 'Rowan is down' }));
    fireEvent.click(screen.getByRole('button', { name: 'Alder is down' }));
    expect(await screen.findByText(/only what is down can weld it \(Rowan/)).toBeTruthy();
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
        dueOn: '2026-11-27',
        program,
        arcMinutes: 1,
        takes: { arcSeconds: 60, passes: 1, wireKg: 0.02, gasL: 15 },
        quantity: 7,
      },
    ];
    const bar = { machineId: 'rowan', jobId: 'o2/axle', setupMinutes: 6, fromMinute: 6, toMinute: 27, lateMinutes: 0 };
    const plan = {
      bars: [bar],
      setupMinutes: 6,
      lateMinutes: 0,
      cost: 6,
      bound: 6,
      provenBest: true,
      unplaced: [],
      halfDescribed: [],
    };
    const text = planCalendar(plan, jobs, [rowan], new Date('2026-11-26T08:00:00Z'), 'Europe/Berlin');
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
