import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { answerFetch, rowan, seam } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { Heat, loadHeat } from './index.ts';

async function open() {
  answerFetch({ 'GET /api/seams/axle': seam(), 'GET /api/machines': { items: [rowan], next: null } });
  showRoutes(
    [{ path: '/seams/:id/heat', Component: Heat, loader: loadHeat, HydrateFallback: () => null }],
    '/seams/axle/heat',
  );
  await screen.findByText('Seam by seam');
}
const rows = () => within(screen.getByRole('table')).getAllByRole('row');

beforeEach(resetSettings);
afterEach(cleanup);

describe('heat in the part', () => {
  it('gives each seam its wait, its warmth and its levels', async () => {
    await open();
    expect(rows()).toHaveLength(5);
    expect(rows()[1]?.textContent).toMatch(/20 °C/);
    expect(rows()[4]?.textContent).toMatch(/% from 0 mm/);
  });

  it('adds and takes off seams, and names one that lies off the plate', async () => {
    await open();
    fireEvent.click(screen.getByRole('button', { name: 'Add a seam' }));
    expect(rows()).toHaveLength(6);
    fireEvent.click(screen.getByRole('button', { name: 'Take seam 5 off' }));
    expect(rows()).toHaveLength(5);
    fireEvent.change(screen.getByLabelText('1: y, mm'), { target: { value: '900' } });
    expect(screen.getByText(/Seam 1 lies off the plate/)).toBeTruthy();
  });

  it('takes an order that waits no longer', async () => {
    await open();
    expect(await screen.findByText(/^Waits least: /)).toBeTruthy();
    expect(screen.getByText(/^As it stands: /)).toBeTruthy();
  });
});
