import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { alder, answerFetch, rowan, seam, stock } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { loadWireChoice, WireChoice } from './index.ts';

async function open(loaded = seam()) {
  answerFetch({
    'GET /api/seams/axle': loaded,
    'GET /api/machines': { items: [rowan, alder], next: null },
    'GET /api/stock': stock,
  });
  showRoutes(
    [{ path: '/seams/:id/wire', Component: WireChoice, loader: loadWireChoice, HydrateFallback: () => null }],
    '/seams/axle/wire',
  );
  await screen.findByRole('heading', { level: 2, name: 'Filler' });
}
const panel = (title: string | RegExp) =>
  within(screen.getByRole('heading', { level: 2, name: title }).closest('section')!);

beforeEach(resetSettings);
afterEach(cleanup);

describe('wire and gas', () => {
  it('ranks what suits with a reason, and keeps what does not behind a count', async () => {
    await open();
    expect(panel('Filler').getByText(/first choice/)).toBeTruthy();
    const out = panel('Filler').getByRole('button', { name: /^Show \d+ ruled out/ });
    expect(panel('Filler').queryByText('✕ ruled out')).toBeNull();
    fireEvent.click(out);
    expect(panel('Filler').getAllByText('✕ ruled out').length).toBeGreaterThan(0);
  });

  it('says where the shop has a gas', async () => {
    await open();
    expect(panel(/^Gas for pulse/).getByText(/on Rowan/)).toBeTruthy();
  });

  it('takes a size as a draft, says what that opens again, and undoes it', async () => {
    await open();
    fireEvent.click(panel('Size').getAllByRole('button', { name: /^Take / })[0]!);
    expect(screen.getByText('revision 1, edited; draft kept here')).toBeTruthy();
    expect(screen.getByText(/this is a new program, not the old one with another wire/)).toBeTruthy();
    expect(localStorage.getItem('fox-tempo/draft/axle')).not.toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(screen.queryByText('revision 1, edited; draft kept here')).toBeNull();
  });

  it('gives its number on each machine, with what it is easily confused with', async () => {
    await open();
    const rows = panel('Its number on each machine');
    expect(rows.getByRole('row', { name: /^Rowan/ }).textContent).toContain('12');
    expect(rows.getByRole('row', { name: /^Alder/ }).textContent).toContain('11');
  });

  it('asks about anodising for aluminium only', async () => {
    await open();
    expect(screen.queryByText('The part will be anodised')).toBeNull();
    cleanup();
    const spec = { ...seam().spec, materialGroup: 'aluminium' as const };
    await open(
      seam({
        spec,
        revision: null,
        choice: { ...seam().choice!, filler: 'aluminium-4043', gas: 'I1', diameterMm: 1.2 },
      }),
    );
    fireEvent.click(screen.getByRole('checkbox', { name: 'The part will be anodised' }));
    // Beside the tick box a reason now speaks of it too.
    expect(panel('Filler').getAllByText(/anodis/i).length).toBeGreaterThan(1);
  });
});
