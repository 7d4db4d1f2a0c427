import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { answerFetch, rowan, stock } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { Refill } from './refill.tsx';

const [mix] = stock.cylinders;
if (!mix) throw new Error('the small shop has a cylinder');
const full = { ...mix, id: 'mix-2', name: 'Mix 2', machineId: null, pressureBar: 190, version: 4 };
const times = { minutes: {} };

async function open(table: Record<string, unknown>) {
  const answered = answerFetch({ [`GET /api/machines/${rowan.id}/step-times`]: times, ...table });
  showRoutes([{ path: '/', Component: () => <Refill machine={rowan} /> }], '/');
  await screen.findByRole('heading', { name: 'Cylinder and spool' });
  return answered;
}
const tickAll = () => screen.getAllByRole('checkbox').forEach((box) => fireEvent.click(box));
const writeDown = () => screen.getByRole('button', { name: 'Changed: record it' });

beforeEach(() => {
  resetSettings();
  localStorage.clear();
});
afterEach(cleanup);

describe('a bottle changed for another of its kind', () => {
  it('is written down when every step is ticked: the old one off with what is left, the new one on as read', async () => {
    const { calls } = await open({
      'GET /api/stock': { cylinders: [mix, full, { ...full, id: 'coal', name: 'Coal 1', gas: 'C1' }], spools: [] },
      'PUT /api/stock/cylinders/mix': mix,
      'PUT /api/stock/cylinders/mix-2': full,
    });
    fireEvent.click(screen.getByRole('button', { name: 'Change Mix 1' }));
    expect(await screen.findByText(/Cylinder chained and capped/)).toBeTruthy();
    expect((writeDown() as HTMLButtonElement).disabled).toBe(true);
    // Another gas is no other of its kind.
    const choice = screen.getByLabelText<HTMLSelectElement>('Replaced by');
    expect([...choice.options].map(({ text }) => text)).toEqual(['Mix 2, 190 bar', 'a new one']);
    tickAll();
    fireEvent.change(screen.getByLabelText('Left in the old one, bar'), { target: { value: '3' } });
    fireEvent.change(screen.getByLabelText('Read on the new one, bar'), { target: { value: '185' } });
    fireEvent.click(writeDown());
    expect(await screen.findByText(/Mix 2 is on Rowan; Mix 1 is in the stock/)).toBeTruthy();
    const puts = calls.filter(({ method }) => method === 'PUT');
    expect(puts.map(({ path }) => path)).toEqual(['/api/stock/cylinders/mix', '/api/stock/cylinders/mix-2']);
    expect(puts[0]?.body).toMatchObject({ machineId: null, pressureBar: 3, gas: mix.gas });
    expect(puts[1]?.body).toMatchObject({ machineId: 'rowan', pressureBar: 185 });
  });

  it('that failed half way goes on where it stopped: what is off already is not taken off again', async () => {
    let refuses = true;
    const refusal = {
      type: '/problems/not-allowed',
      title: 'The shop is busy',
      status: 403,
      detail: 'The shop is busy',
    };
    const { calls } = await open({
      'GET /api/stock': { cylinders: [mix, full], spools: [] },
      'PUT /api/stock/cylinders/mix': mix,
      'PUT /api/stock/cylinders/mix-2': () => (refuses ? refusal : full),
    });
    fireEvent.click(screen.getByRole('button', { name: 'Change Mix 1' }));
    await screen.findByText(/Cylinder chained and capped/);
    tickAll();
    fireEvent.click(writeDown());
    expect(await screen.findByText(/The shop is busy/)).toBeTruthy();
    refuses = false;
    await waitFor(() => expect((writeDown() as HTMLButtonElement).disabled).toBe(false));
    fireEvent.click(writeDown());
    expect(await screen.findByText(/Mix 2 is on Rowan/)).toBeTruthy();
    const puts = calls.filter(({ method }) => method === 'PUT').map(({ path }) => path);
    expect(puts.filter((path) => path.endsWith('/mix'))).toHaveLength(1);
    expect(puts.at(-1)).toBe('/api/stock/cylinders/mix-2');
  });

  it('takes a new one by name where the shelf has none, and wants the name', async () => {
    const { calls } = await open({
      'GET /api/stock': { cylinders: [mix], spools: [] },
      'PUT /api/stock/cylinders/mix': mix,
      'POST /api/stock/cylinders': full,
    });
    fireEvent.click(screen.getByRole('button', { name: 'Change Mix 1' }));
    await screen.findByText(/Cylinder chained and capped/);
    tickAll();
    fireEvent.change(screen.getByLabelText('Read on the new one, bar'), { target: { value: '200' } });
    expect((writeDown() as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('What you call it'), { target: { value: 'Mix 7' } });
    fireEvent.click(writeDown());
    expect(await screen.findByText(/Mix 7 is on Rowan/)).toBeTruthy();
    expect(calls.find(({ method }) => method === 'POST')?.body).toMatchObject({
      name: 'Mix 7',
      gas: mix.gas,
      volumeL: 50,
      pressureBar: 200,
      machineId: 'rowan',
    });
  });

  it('says where nothing of the stock hangs on the machine', async () => {
    await open({ 'GET /api/stock': { cylinders: [full], spools: [] } });
    expect(await screen.findByText(/No cylinder and no spool in the stock is on Rowan/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'To the stock' }).getAttribute('href')).toBe('/library/stock');
  });
});
