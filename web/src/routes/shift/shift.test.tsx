import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import type { ShiftSlot } from '@fox-tempo/contract';
import { translate } from '@fox-tempo/core/machine/dials';
import { answerFetch, program, rowan, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { loadShift, Shift } from './index.ts';

const dials = Object.fromEntries(translate(rowan.file, program()).dials.map(({ dialId, value }) => [dialId, value]));
const feed = dials['wire-feed'] ?? 0;

function slot(change: Partial<ShiftSlot> = {}): ShiftSlot {
  return {
    machineId: 'rowan',
    machineName: 'Rowan',
    slot: 3,
    entryId: 7,
    seamId: 'axle',
    seamName: 'Axle plate',
    revision: 1,
    issued: 1,
    state: 'in-force',
    isCalled: true,
    dials,
    storedBy: 'Teo Varnholt',
    storedAt: when,
    found: null,
    drifted: [],
    lastBefore: null,
    ...change,
  };
}
const drifted = slot({
  slot: 4,
  isCalled: false,
  seamName: 'Hitch bracket',
  found: { dials: { ...dials, 'wire-feed': feed + 0.5 }, foundBy: 'Mirja Keskalo', foundAt: when },
  drifted: ['wire-feed'],
  lastBefore: { by: 'Odile Trennaby', at: when, kind: 'run' },
});

async function open(slots: ShiftSlot[], path = '/shift') {
  const answered = answerFetch({
    'GET /api/shift': { slots },
    'GET /api/machines': { items: [rowan], next: null },
    'POST /api/machines/rowan/slots/3/found': {},
    'POST /api/machines/rowan/slots/4/found': {},
  });
  showRoutes([{ path: '/shift', Component: Shift, loader: loadShift, HydrateFallback: () => null }], path);
  await screen.findByRole('heading', { level: 1, name: 'Start of the shift' });
  return answered;
}
const sent = (calls: { method: string; body: unknown }[]) => calls.find(({ method }) => method === 'POST')?.body;

beforeEach(resetSettings);
afterEach(cleanup);

describe('the start of a shift', () => {
  it('begins with what drifted, names who was last there, and gives the way back in the machine’s own steps', async () => {
    const { calls } = await open([slot(), drifted]);
    expect(screen.getByText('1 setting drifted')).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Read slot 4 of Rowan' })).toBeTruthy();
    expect(screen.getByText(/Last recorded at the machine before: Odile Trennaby/)).toBeTruthy();
    const back = screen.getAllByRole('listitem').map(({ textContent }) => textContent ?? '');
    expect(back.some((text) => /Wire feed.*\d/.test(text))).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'It is put back' }));
    await screen.findByRole('heading', { level: 1 });
    // Only what drifted goes back; the rest stays as it was found.
    expect(sent(calls)).toMatchObject({ entryId: 7, putBack: true, dials: { ...dials, 'wire-feed': feed } });
  });

  it('keeps nothing until every free dial was read; one typed, the others ticked as stored', async () => {
    const { calls } = await open([slot()]);
    const left = screen.getByRole('button', { name: /left to read$/ });
    expect(left.hasAttribute('disabled')).toBe(true);
    fireEvent.change(screen.getByLabelText('Wire feed: found'), {
      target: { value: String(feed + 0.4).replace('.', ',') },
    });
    for (const one of screen.getAllByRole('button', { name: /: as stored$/ }))
      if (!one.getAttribute('aria-label')?.startsWith('Wire feed')) fireEvent.click(one);
    fireEvent.click(screen.getByRole('button', { name: 'Keep as found' }));
    await screen.findByRole('heading', { level: 1 });
    const body = sent(calls) as { dials: Record<string, number>; putBack?: boolean };
    expect(body.dials['wire-feed']).toBeCloseTo(feed + 0.4, 6);
    expect(body.putBack).toBeUndefined();
  });

  it('never leaves a dial’s travel by its keys', async () => {
    await open([slot()]);
    const scale = rowan.file.dials.find(({ id }) => id === 'wire-feed')?.scale;
    const least = scale && 'min' in scale ? scale.min : 0;
    for (let press = 0; press < 300; press++)
      fireEvent.click(screen.getByRole('button', { name: 'Wire feed: found lower' }));
    expect(Number(screen.getByLabelText<HTMLInputElement>('Wire feed: found').value)).toBeCloseTo(least, 6);
  });

  it('says when nothing is stored or nothing drifted, and lets an office person only look', async () => {
    await open([]);
    expect(screen.getByText(/No memory slot is filled yet/)).toBeTruthy();
    cleanup();
    signInAs('office');
    await open([slot()]);
    expect(screen.getByText('No drift found in what was read.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'All as stored' })).toBeNull();
  });
});
