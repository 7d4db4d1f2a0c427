import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { alder, answerFetch, rowan, seam } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { Compare, loadCompare } from './index.ts';

async function open(at = '/machines/compare', machines = [rowan, alder], seams = [seam()]) {
  answerFetch({
    'GET /api/machines': { items: machines, next: null },
    'GET /api/seams': { items: seams, next: null },
  });
  const router = showRoutes(
    [{ path: '/machines/compare', Component: Compare, loader: loadCompare, HydrateFallback: () => null }],
    at,
  );
  await screen.findByRole('heading', { level: 1 });
  return router;
}
const lines = () => within(screen.getByRole('group', { name: 'The same program on two machines' }));

beforeEach(resetSettings);
afterEach(cleanup);

describe('two machines side by side', () => {
  it('says one quantity in both tongues, with which of them has no dial for it', async () => {
    await open();
    const feed = lines().getByRole('row', { name: /^wire feed speed/ });
    expect(feed.textContent).toMatch(/Wire feed.*5\.6.*Speed.*5\.6/);
    expect(lines().getAllByText(/only one of them has it/).length).toBeGreaterThan(0);
    expect(lines().getAllByText(/same physics, other numbers/).length).toBeGreaterThan(0);
  });

  it('lists what each of them cannot be told', async () => {
    await open();
    const alders = screen.getByRole('heading', { name: 'Cannot be set on Alder' }).closest('section');
    expect(alders?.textContent).toContain('peak current');
  });

  it('gives no figures to a machine without a line for the wire, and says so', async () => {
    const withoutLine = {
      ...alder,
      file: { ...alder.file, chartLines: alder.file.chartLines.filter(({ filler }) => filler !== 'steel-solid') },
    };
    await open('/machines/compare', [rowan, withoutLine]);
    const alders = screen.getByRole('heading', { name: 'Cannot be set on Alder' }).closest('section');
    expect(alders?.textContent).toMatch(/Alder/);
    expect(alders?.textContent).not.toContain('Everything of this program');
    const feed = lines().getByRole('row', { name: /^wire feed speed/ });
    expect(feed.textContent).not.toContain('Speed');
  });

  it('keeps the choice in the address, so that it can be handed on', async () => {
    const router = await open();
    fireEvent.change(screen.getByRole('combobox', { name: 'Left' }), { target: { value: 'alder' } });
    await waitFor(() => expect(router.state.location.search).toBe('?left=alder'));
    fireEvent.change(screen.getByRole('combobox', { name: 'Right' }), { target: { value: 'rowan' } });
    await waitFor(() => expect(router.state.location.search).toContain('right=rowan'));
  });

  it('asks for two machines and a saved setting where they are missing', async () => {
    await open('/machines/compare', [rowan, alder], [seam({ revision: null })]);
    expect(screen.getByText(/one seam with a saved setting are needed/)).toBeTruthy();
  });

  it('leaves machines out of use alone', async () => {
    await open('/machines/compare', [rowan, alder, { ...alder, id: 'old', retired: true }]);
    const choices = within(screen.getByRole('combobox', { name: 'Right' })).getAllByRole('option');
    expect(choices).toHaveLength(2);
  });
});
