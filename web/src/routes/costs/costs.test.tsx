import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { moneyOf, takesOf } from '@fox-tempo/core/day/costs';
import { handlingMinutes } from '@fox-tempo/core/day/plan';
import { usualLife } from '@fox-tempo/core/machine/wear';
import { answerFetch, order, planned, program, rowan, seam, shopState } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { Costs, loadCosts } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });
const rates = {
  currency: 'cr',
  labourPerHour: 60,
  energyPerKwh: 0.3,
  tip: 2,
  wirePerKg: { 'steel-solid': 3 },
  gasPerM3: { 'M21-ArC-18': 8 },
};

async function open(change: object = {}, runs: unknown[] = [], orders: unknown[] = [order()]) {
  const answered = answerFetch({
    'GET /api/orders': page(orders),
    'GET /api/seams': page([seam()]),
    'GET /api/machines': page([rowan]),
    'GET /api/shop': { ...shopState, ...change },
    'GET /api/runs?order=o1': { items: runs.slice(0, 1), next: runs.length > 1 ? 'abc' : null },
    'GET /api/runs?order=o1&cursor=abc': page(runs.slice(1)),
    'GET /api/wear': { parts: [] },
    'PUT /api/shop/rates': { ...shopState, version: 2 },
  });
  showRoutes([{ path: '/costs', Component: Costs, loader: loadCosts, HydrateFallback: () => null }], '/costs');
  await screen.findByRole('heading', { level: 1, name: 'Costs' });
  return answered;
}
const rowOf = (table: string, name: RegExp) =>
  within(screen.getByRole('group', { name: table })).getByRole('row', { name });
const numbers = (row: HTMLElement) =>
  within(row)
    .getAllByRole('cell')
    .flatMap(({ textContent }) => (textContent?.endsWith(' cr') ? [Number.parseFloat(textContent)] : []));
const run = (change: object) => ({
  id: '00000000-0000-4000-8000-000000000001',
  seamId: 'axle',
  state: 'counts',
  body: {},
  drawn: [],
  ...change,
});

beforeEach(resetSettings);
afterEach(cleanup);

describe('costs', () => {
  it('shows the core’s own sum in money, a piece, a metre and the order', async () => {
    await open({ rates });
    const { meanCurrentA, voltageV, slagSeconds } = planned();
    const piece = takesOf(
      { arcSeconds: 24, wireKg: 0.02, gasL: 6, meanCurrentA, voltageV, slagSeconds },
      { circuitMOhm: 15, handlingMinutes, tipLife: usualLife['contact-tip'] },
    );
    const { total } = moneyOf(piece, program(), rates);
    const plan = 'By the plan: 12 × Cart frame';
    const [cost, metre] = numbers(rowOf(plan, /^Axle plate/));
    expect(cost).toBeCloseTo(total, 2);
    expect(metre).toBeCloseTo(total / 0.16, 1);
    expect(numbers(rowOf(plan, /The order, 12 parts/))[0]).toBeCloseTo(12 * total, 1);
    // Two minutes of handling and 24 s of arc.
    expect(rowOf(plan, /^Axle plate/).textContent).toContain('2.4 min');
  });

  it('says beside a sum what has no rate, and shows no money where nobody wrote a rate down', async () => {
    await open({ rates: { currency: 'cr', labourPerHour: 60 } });
    expect(rowOf('By the plan: 12 × Cart frame', /^Axle plate/).textContent).toContain(
      'without Wire, Gas, Energy, Tips: no rate',
    );
    cleanup();
    await open();
    expect(screen.queryByText('Cost')).toBeNull();
  });

  it('holds what was logged, on every page of it, against as many by the plan; a slip is none', async () => {
    await open({}, [
      run({ id: '00000000-0000-4000-8000-000000000003', body: { seconds: 36 } }),
      run({ body: { seconds: 36 } }),
      run({ id: '00000000-0000-4000-8000-000000000002', state: 'slip', body: { seconds: 900 } }),
    ]);
    const logged = await screen.findByRole('heading', { name: 'Actual for 2 logged welds' });
    expect(logged).toBeTruthy();
    // 36 s where 24 s were planned: half as much again, in arc, wire and gas.
    expect(rowOf('Actual for 2 logged welds', /^2 × Axle plate/).textContent?.match(/\+50 %/g)).toHaveLength(5);
  });

  it('puts each other way beside how it is, once, in tenths of per millimetre', async () => {
    await open();
    const ways = within(screen.getByRole('group', { name: 'Alternatives' }))
      .getAllByRole('rowheader')
      .map((head) => head.textContent ?? '');
    expect(ways.filter((name) => name.includes('as it is'))).toHaveLength(1);
    expect(new Set(ways).size).toBe(ways.length);
    expect(ways.join(' ')).not.toContain(' in');
  });

  it('saves rates of who may, leaving out what is empty; a welder has no form', async () => {
    const { calls } = await open();
    fireEvent.change(screen.getByLabelText('An hour of work'), { target: { value: '52' } });
    fireEvent.blur(screen.getByLabelText('An hour of work'));
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByRole('heading', { level: 1 });
    expect(calls.find(({ method }) => method === 'PUT')?.body).toEqual({ rates: { currency: '€', labourPerHour: 52 } });
    cleanup();
    signInAs('welder');
    await open();
    expect(screen.queryByText('Rates of this shop')).toBeNull();
  });

  it('says so where there is no order, and where no seam has a setting', async () => {
    await open({}, [], []);
    expect(screen.getByText('No order is open.')).toBeTruthy();
    cleanup();
    await open({}, [], [order({ partId: 'rail', partName: 'Rail' })]);
    expect(screen.getByText('No seam of this order has a setting yet.')).toBeTruthy();
  });
});
