import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import type { Run } from '@fox-tempo/contract';
import { answerFetch, order, rowan, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { loadRuns, RunList } from './index.ts';

function run(row: number, change: Partial<Run> = {}): Run {
  return {
    id: `00000000-0000-4000-8000-00000000000${row}`,
    row,
    at: when,
    seamId: 'axle',
    seamName: `Axle plate ${row}`,
    partName: 'Cart frame',
    machineId: 'rowan',
    machineName: 'Rowan',
    orderId: 'o1',
    orderNumber: 'MC 1',
    revision: 1,
    recordedBy: 'Teo Varnholt',
    recordedById: 'teo-varnholt',
    sentBy: null,
    deviceAt: null,
    weldedBy: 'Odile Trennaby',
    body: {},
    loaded: { filler: 'steel-solid', diameterMm: 1, gas: 'C1' },
    held: [],
    state: 'counts',
    decision: null,
    drawn: [],
    ...change,
  };
}
const held = run(1, { state: 'held', held: [{ code: 'gas', words: 'the cylinder holds CO2' }] });

async function open(path: string, table: Record<string, unknown>) {
  const answered = answerFetch({
    'GET /api/machines': { items: [rowan], next: null },
    'GET /api/orders': { items: [order()], next: null },
    ...table,
  });
  showRoutes([{ path: '/runs', Component: RunList, loader: loadRuns, HydrateFallback: () => null }], path);
  await screen.findByRole('heading', { level: 1, name: 'Production' });
  return { ...answered, table };
}

beforeEach(resetSettings);
afterEach(cleanup);

describe('production', () => {
  it('says which seam got which wire and gas, by whom, and why a part is held', async () => {
    await open('/runs', { 'GET /api/runs?limit=60': { items: [held, run(2)], next: null } });
    const [, first, second] = screen.getAllByRole('row');
    expect(first?.textContent).toMatch(/Axle plate 1.*Odile Trennaby.*1\.0 mm.*CO₂.*held.*the cylinder holds CO2/);
    expect(second?.textContent).toContain('✓ counts');
    expect(screen.getAllByRole('button', { name: /^Decide/ })).toHaveLength(1);
  });

  it('a lead hand decides with a reason, and not without one', async () => {
    const decided = {
      ...held,
      state: 'scrapped',
      decision: { decision: 'scrapped', reason: 'wrong gas', by: 'Ilse Brandokor', at: when },
    };
    const { calls } = await open('/runs', {
      'GET /api/runs?limit=60': { items: [held], next: null },
      [`POST /api/runs/${held.id}/decision`]: decided,
    });
    fireEvent.click(screen.getByRole('button', { name: /^Decide/ }));
    fireEvent.change(screen.getByLabelText('Decision'), { target: { value: 'scrapped' } });
    const act = screen.getByRole('button', { name: 'Scrap the part' });
    expect(act.hasAttribute('disabled')).toBe(true);
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'wrong gas' } });
    fireEvent.click(act);
    expect(await screen.findByText('Ilse Brandokor: wrong gas')).toBeTruthy();
    expect(calls.find(({ method }) => method === 'POST')?.body).toEqual({
      decision: 'scrapped',
      reason: 'wrong gas',
      seen: 'held',
    });
  });

  it('asks a welder for a lead hand’s PIN', async () => {
    signInAs('welder');
    await open('/runs', { 'GET /api/runs?limit=60': { items: [held], next: null } });
    fireEvent.click(screen.getByRole('button', { name: /^Decide/ }));
    // Nobody of this small shop has one: said, not an empty list.
    expect(screen.getByText('No lead hand of this shop has a PIN yet.')).toBeTruthy();
  });

  it('goes on to older ones; a page that does not come says so and keeps what stands', async () => {
    const { table } = await open('/runs', {
      'GET /api/runs?limit=60': { items: [run(2)], next: 'abc' },
      'GET /api/runs?limit=60&cursor=abc': new TypeError('gone'),
    });
    fireEvent.click(screen.getByRole('button', { name: 'Older ones' }));
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(screen.getByText('Axle plate 2')).toBeTruthy();
    table['GET /api/runs?limit=60&cursor=abc'] = { items: [run(3)], next: null };
    answerFetch(table);
    fireEvent.click(screen.getByRole('button', { name: 'Older ones' }));
    expect(await screen.findByText('Axle plate 3')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Older ones' })).toBeNull();
  });

  it('is filtered by its address, the table of it too, and says when nothing fits', async () => {
    await open('/runs?state=held', { 'GET /api/runs?state=held&limit=60': { items: [], next: null } });
    expect(screen.getByText(/No production weld matches/)).toBeTruthy();
    expect(within(document.body).getByRole('link', { name: 'CSV' }).getAttribute('href')).toContain('state=held');
  });
});
