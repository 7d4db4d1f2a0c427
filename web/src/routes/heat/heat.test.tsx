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
    expect(rows()[4]?.textContent).toMatch(/% \d+\.\d m\/min from 0 mm/);
  });

  it('adds and takes off seams, and names one that lies off the plate', async () => {
    await open();
    fireEvent.click(screen.getByRole('button', { name: 'Add a seam' }));
    expect(rows()).toHaveLength(6);
    fireEvent.click(screen.getByRole('button', { name: 'Remove seam 5' }));
    expect(rows()).toHaveLength(5);
    fireEvent.change(screen.getByLabelText('1: y, mm'), { target: { value: '900' } });
    expect(screen.getByText(/Seam 1 is off the plate/)).toBeTruthy();
  });

  it('folds a box open, welds its edges, and says which edge it has not got', async () => {
    await open();
    fireEvent.change(screen.getByLabelText('Part'), { target: { value: 'box' } });
    expect(rows()).toHaveLength(9);
    fireEvent.change(screen.getByLabelText('Lid'), { target: { value: 'closed' } });
    fireEvent.change(screen.getByLabelText('1: edge'), { target: { value: 'lid-back' } });
    expect(rows()).toHaveLength(9);
    fireEvent.change(screen.getByLabelText('Lid'), { target: { value: 'open' } });
    expect(screen.getByText(/Seam 1 is on an edge that a box without a lid does not have/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('1: edge'), { target: { value: 'base-back' } });
    fireEvent.change(screen.getByLabelText('1: to, mm'), { target: { value: '4000' } });
    expect(screen.getByText(/Seam 1 goes beyond its edge of/)).toBeTruthy();
  });

  it('welds the joints of a frame, and none that it has not got', async () => {
    await open();
    fireEvent.change(screen.getByLabelText('Part'), { target: { value: 'frame' } });
    expect(rows()).toHaveLength(7);
    fireEvent.change(screen.getByLabelText('Tubes across'), { target: { value: '0' } });
    expect(screen.getByText(/Seam 5 is at a joint that this frame does not have; it has 4/)).toBeTruthy();
  });

  it('refuses a reading that contradicts the field, and offers the moment that fits', async () => {
    await open();
    // Before the first arc the plate is cold.
    fireEvent.change(screen.getByLabelText('After, s'), { target: { value: '0' } });
    fireEvent.change(screen.getByLabelText('It read, °C'), { target: { value: '45' } });
    expect(screen.getByText(/45 °C contradicts the prediction: 20 °C after 0 s/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /^It was after \d+ s$/ }));
    expect(screen.getByText(/^All warmth is counted (?:1|0\.9|1\.0)\S* times as predicted/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('It read, °C'), { target: { value: '650' } });
    expect(screen.getByText(/It is never so warm there/)).toBeTruthy();
  });

  it('carries the levels of a seam into the draft of the score', async () => {
    await open();
    const last = rows().at(-1);
    fireEvent.click(within(last as HTMLElement).getByRole('button', { name: /into the sequence$/ }));
    expect(
      await screen.findByText(/In the draft sequence for place 4: a tap at .* to \d+ %|welded at main/),
    ).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Open the sequence' }).getAttribute('href')).toBe('/sequence/axle');
  });

  it('takes an order that waits no longer', async () => {
    await open();
    expect(await screen.findByText(/^Least waiting: /)).toBeTruthy();
    expect(screen.getByText(/^As listed: /)).toBeTruthy();
  });
});
