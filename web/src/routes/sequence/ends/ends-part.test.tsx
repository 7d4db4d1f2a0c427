/** Start and stop with the real simulation, run on the page instead of in a worker, which jsdom has not. */
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { plainSequence, sequenceTemplates } from '@fox-tempo/core/weld/sequence';
import { simulate, type SimulationInput } from '@fox-tempo/core/weld/simulation';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { answerFetch, emptyRecord, rowan, seam } from '../../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../../testing/show.tsx';

let refuse = false;
jest.unstable_mockModule('../../../workers/arc-client.ts', () => ({
  simulateArc: (input: SimulationInput, { traceEveryS = 0 } = {}) =>
    Promise.resolve(
      refuse
        ? { ok: false, issues: [{ path: '', code: 'worker-died', message: 'The simulation stopped.' }] }
        : simulate(input, traceEveryS),
    ),
}));
const { loadScore, ScoreView } = await import('../index.ts');

const warm = { ...plainSequence, ...sequenceTemplates.find(({ id }) => id === 'cold-plate-warm-hand')?.change };

async function open() {
  answerFetch({
    'GET /api/seams/axle': seam({ choice: { ...seam().choice!, sequence: warm } }),
    'GET /api/machines': { items: [rowan], next: null },
    ...emptyRecord('kind=burn-back-stop&limit=20&machine=rowan&seam=axle'),
  });
  showRoutes(
    [{ path: '/sequence/:id/:part?', Component: ScoreView, loader: loadScore, HydrateFallback: () => null }],
    '/sequence/axle/ends',
  );
  await screen.findByRole('heading', { level: 1 });
}
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

beforeEach(() => {
  refuse = false;
  resetSettings();
});
afterEach(cleanup);

describe('start and stop', () => {
  it('sets full feed beside the score’s own run-in, from five cold starts each', async () => {
    await open();
    const table = within(await screen.findByRole('group', { name: 'Starts at full feed and at run-in feed' }));
    const cells = (name: RegExp) =>
      within(table.getByRole('row', { name }))
        .getAllByRole('cell')
        .map((cell) => Number.parseFloat(cell.textContent ?? ''));
    const [fullMs = 0, slowMs = 0] = cells(/^wire to arc/);
    const [fullMm = 0, slowMm = 0] = cells(/^wire pushed/);
    expect(slowMs).toBeGreaterThan(fullMs);
    expect(fullMm).toBeGreaterThan(slowMm);
    expect(screen.getByText(/The simulated arc leaves \d+\.\d mm at 80 ms/)).toBeTruthy();
  });

  it('says when the arc could not be simulated, and keeps the rest', async () => {
    refuse = true;
    await open();
    expect(await screen.findByText('Not simulated.')).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Burn-back from what is left' })).toBeTruthy();
  });

  it('turns two taps into the next burn-back in the machine’s words, and takes one back', async () => {
    await open();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'sharp' }).disabled).toBe(true);
    press('too long');
    press('sharp');
    expect(screen.getByText(/^Next: \d+ ms · Burn-off \d+ ms, more is shorter wire left/)).toBeTruthy();
    press('too short');
    press('big ball');
    press('too long');
    press('sharp');
    expect(screen.getByText(/more scatter than setting/)).toBeTruthy();
    // What has reached the record can be taken back, one after the other.
    await act(async () => undefined);
    press('Undo the last stop');
    expect(screen.queryByText(/more scatter than setting/)).toBeNull();
    for (let left = 2; left > 0; left--) {
      await act(async () => undefined);
      press('Undo the last stop');
    }
    expect(screen.getByText('No stop recorded yet')).toBeTruthy();
  });

  it('keeps on the screen what does not reach the record, and sends it again', async () => {
    await open();
    const { fetch } = globalThis;
    let away = true;
    globalThis.fetch = ((path: string, init?: RequestInit) =>
      away && init?.method === 'POST' ? Promise.reject(new TypeError('gone')) : fetch(path, init)) as typeof fetch;
    press('too long');
    press('sharp');
    expect(await screen.findByText('Not in the record.')).toBeTruthy();
    expect(screen.getByText(/^Next: \d+ ms/)).toBeTruthy();
    away = false;
    press('Send it again');
    await waitFor(() => expect(screen.queryByText('Not in the record.')).toBeNull());
    expect(screen.getByText(/^Next: \d+ ms/)).toBeTruthy();
  });

  it('puts the advice on the score as one step', async () => {
    await open();
    press('too short');
    press('small ball');
    press(/^Take \d+ ms/);
    expect(screen.getByRole('button', { name: 'Taken' })).toBeTruthy();
    expect(localStorage.getItem('fox-tempo/draft/axle')).toContain('"endPulse":true');
    press('Undo');
    expect(screen.queryByRole('button', { name: 'Taken' })).toBeNull();
  });

  it('gives the taper of a warm plate, and names a side that cannot be', async () => {
    await open();
    const table = within(screen.getByRole('group', { name: 'Level at stations along the seam' }));
    const first = () => table.getAllByRole('row')[1]?.textContent ?? '';
    const cold = first();
    fireEvent.change(screen.getByRole('textbox', { name: /^Plate at the start/ }), { target: { value: '200' } });
    expect(first()).not.toBe(cold);
    fireEvent.change(screen.getByRole('textbox', { name: /^Metal to each side/ }), { target: { value: '1' } });
    expect(screen.getByText(/Metal to each side must lie between 5 and 2000/)).toBeTruthy();
  });
});
