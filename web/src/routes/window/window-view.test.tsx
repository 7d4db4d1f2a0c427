import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { WindowTested } from '@fox-tempo/core/evidence/window';
import { answerFetch, remembers, program, rowan, seam, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { loadWindow, WindowView } from './index.ts';

const { wireFeedMPerMin: feed, trimMm: trim } = program();
const why = { code: 'window.stays-as-set', values: {} };
const corner = (by: number, mm: number, ok: boolean, margin: number) => ({
  wireFeedMPerMin: feed * (1 + by),
  trimMm: trim + mm,
  ok,
  margin,
  ...(ok ? {} : { why }),
});
/** Looks right, and fails at the slow and short corner at its worst spread only. */
const answer = {
  corners: [
    corner(-0.1, -1, true, 0.4),
    corner(-0.1, -1, false, -0.2),
    corner(0.1, -1, true, 0.3),
    corner(-0.1, 1, true, 0.5),
    corner(0.1, 1, true, 0.6),
  ],
  inside: { n: 64, failed: 3 },
  failureBelow95: 0.11,
  largestThatHolds: { wireFeedMPerMin: [feed * 0.94, feed * 1.06], trimMm: [trim - 0.6, trim + 0.6] },
} as unknown as WindowTested;

async function open(change: Parameters<typeof seam>[0] = {}, more: Record<string, unknown> = {}) {
  const answered = answerFetch({
    'GET /api/seams/axle': seam(change),
    'GET /api/machines': { items: [rowan], next: null },
    'GET /api/trials?seam=axle&machine=rowan': { items: [], next: null },
    'POST /api/compute/window': answer,
    ...more,
  });
  showRoutes(
    [{ path: '/seams/:id/window', Component: WindowView, loader: loadWindow, HydrateFallback: () => null }],
    '/seams/axle/window',
  );
  await screen.findByRole('button', { name: 'Test every corner' });
  return answered;
}
const test = () => fireEvent.click(screen.getByRole('button', { name: 'Test every corner' }));
const writing = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Write the largest good window' });

beforeEach(resetSettings);
afterEach(cleanup);

describe('a window', () => {
  it('is asked of the arc in the setting’s own figures, and a corner fails at its worst spread', async () => {
    const { calls } = await open();
    test();
    expect(await screen.findByText('It fails')).toBeTruthy();
    const asked = calls.find(({ path }) => path === '/api/compute/window')?.body as {
      window: WindowTested['largestThatHolds'];
    };
    expect(asked.window.wireFeedMPerMin?.[0]).toBeCloseTo(feed * 0.9, 9);
    expect(asked.window.trimMm?.[1]).toBeCloseTo(trim + 1, 9);
    // One corner of four, named with its figures.
    expect(screen.getAllByText(/^Corner$/i)).toHaveLength(1);
    expect(screen.getByText(/3 of 64|64.*3/)).toBeTruthy();
  });

  it('that was asked anew is not judged by the old answer, nor written by it', async () => {
    await open();
    test();
    await screen.findByText('It fails');
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'three passed' } });
    expect(writing().disabled).toBe(false);
    fireEvent.change(screen.getByLabelText(/Wire feed, either way/), { target: { value: '5' } });
    expect(screen.queryByText('It fails')).toBeNull();
    expect(writing().disabled).toBe(true);
  });

  it('is written as the largest that holds, for this revision and machine, with a reason', async () => {
    const stored = {
      machineId: 'rowan',
      revision: 1,
      window: answer.largestThatHolds,
      reason: 'three passed',
      at: when,
      by: 'Ilse Brandokor',
      fromObservation: null,
    };
    const written = seam({ version: 3, windows: [stored as never] });
    const { calls } = await open(
      {},
      remembers('/api/seams/axle', seam({}), 'PUT /api/seams/axle/window', written, written),
    );
    test();
    await screen.findByText('It fails');
    // Two letters are no reason.
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'ok' } });
    expect(writing().disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'three passed' } });
    fireEvent.click(writing());
    expect(await screen.findByText(/Ilse Brandokor.*three passed/)).toBeTruthy();
    expect(calls.find(({ method }) => method === 'PUT')?.body).toMatchObject({
      machineId: 'rowan',
      revision: 1,
      reason: 'three passed',
      window: { trimMm: [trim - 0.6, trim + 0.6] },
    });
    expect(screen.getByLabelText<HTMLInputElement>('Why').value).toBe('');
  });

  it('of another revision is told apart from this one’s', async () => {
    const old = {
      machineId: 'rowan',
      revision: 7,
      window: answer.largestThatHolds,
      reason: 'before',
      at: when,
      by: 'Ilse Brandokor',
    };
    await open({ windows: [old as never] });
    expect(screen.getByText(/revision 7/i)).toBeTruthy();
  });

  it('is a lead hand’s to write; a welder may test it', async () => {
    signInAs('welder', 'Teo Varnholt');
    await open();
    expect(screen.getByText('A lead hand writes windows.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Write the largest good window' })).toBeNull();
    test();
    expect(await screen.findByText('It fails')).toBeTruthy();
  });

  it('that cannot be tested says why, and can be asked again', async () => {
    const refusal = { type: '/problems/busy', title: 'Too many wait', status: 503, detail: 'Too many wait' };
    let refuses = true;
    await open({}, { 'POST /api/compute/window': () => (refuses ? refusal : answer) });
    test();
    expect(await screen.findByText(/Too many wait/)).toBeTruthy();
    refuses = false;
    test();
    expect(await screen.findByText('It fails')).toBeTruthy();
    await waitFor(() => expect(screen.queryByText(/Too many wait/)).toBeNull());
  });
});
