import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { alder, answerFetch, remembers, rowan, seam, stock } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { Library, loadLibrary } from './index.ts';

async function open(shelf = '', table: Record<string, unknown> = {}) {
  const answered = answerFetch({
    'GET /api/machines': { items: [rowan, alder], next: null },
    'GET /api/stock': stock,
    'GET /api/seams': { items: [seam()], next: null },
    ...table,
  });
  showRoutes(
    [{ path: '/library/:shelf?', Component: Library, loader: loadLibrary, HydrateFallback: () => null }],
    `/library${shelf}`,
  );
  await screen.findByRole('heading', { level: 1 });
  return answered;
}

beforeEach(resetSettings);
afterEach(cleanup);

describe('the library', () => {
  it('shows each filler with its constants and their error', async () => {
    await open();
    expect(screen.getAllByText(/±/).length).toBeGreaterThan(0);
    expect(screen.getAllByText(/AlMg5/).length).toBeGreaterThan(0);
  });

  it('says which metal each gas pulses, and warns of carbon on stainless and of active gas on aluminium', async () => {
    await open('/gases');
    const mix = screen.getByRole('row', { name: /^M21-ArC-18/ });
    expect(mix.textContent).toMatch(/82 %18 %.*carries carbon into the weld.*not on aluminium/);
    expect(screen.getByRole('row', { name: /^I1/ }).textContent).toContain('wets poorly');
  });

  it('says what each machine calls the same quantity', async () => {
    await open('/words');
    const row = screen
      .getAllByRole('row')
      .find((one) => one.textContent?.startsWith('wire feed speed') || one.textContent?.startsWith('Wire feed speed'));
    expect(row?.textContent).toMatch(/Wire feed.*Speed/);
  });

  it('turns what is left in a cylinder into arc and parts, low ones marked', async () => {
    await open('/stock');
    expect(screen.getByText(/5 bar in 50 L/)).toBeTruthy();
    expect(screen.getByText('No spool is entered yet.')).toBeTruthy();
    expect(screen.getByText('Cylinders:')).toBeTruthy();
  });

  it('refuses a spool without a weight at its field, and adds a whole one', async () => {
    const spool = {
      id: 's1',
      version: 1,
      name: 'Steel 1.0',
      filler: 'steel-solid',
      diameterMm: 1,
      massKg: 12,
      machineId: null,
      changedAt: stock.cylinders[0]!.changedAt,
      changedBy: 'Teo Varnholt',
    };
    const answered = await open(
      '/stock',
      remembers('/api/stock', stock, 'POST /api/stock/spools', spool, { ...stock, spools: [spool] }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Add a spool' }));
    fireEvent.change(screen.getByRole('textbox', { name: 'What you call it' }), { target: { value: 'Steel 1.0' } });
    const mass = screen.getByRole('textbox', { name: /^Wire on it/ });
    fireEvent.change(mass, { target: { value: '-3' } });
    expect(await screen.findByText(/Wire on it must be at least 0; got −3/)).toBeTruthy();
    fireEvent.change(mass, { target: { value: '12' } });
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
    });
    expect(answered.calls.some(({ method, path }) => method === 'POST' && path === '/api/stock/spools')).toBe(true);
    expect(await screen.findByText('12.00 kg')).toBeTruthy();
  });
});
