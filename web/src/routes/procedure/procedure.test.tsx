import { atMachine, questionOf, standardSite } from '@fox-tempo/core/site';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { procedureSheet } from '@fox-tempo/core/evidence/procedure';
import { planSeam } from '@fox-tempo/core/setting/plan';
import { inEnglish } from '@fox-tempo/words/english';
import { answerFetch, choice, program, revision, rowan, seam, spec, stock, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { loadProcedure, ProcedureView } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });
const { wireFeedMPerMin: feed } = program();
const window = { wireFeedMPerMin: [feed - 0.3, feed + 0.3] as [number, number] };
const written = {
  machineId: 'rowan',
  revision: 1,
  window,
  failureBelow95: 0.05,
  reason: 'tried',
  by: 'Ilse',
  at: when,
};
const issued = { machineId: 'rowan', revision: 1, reason: 'three passed', by: 'Ilse', at: when };
const observed = {
  id: '00000000-0000-4000-8000-000000000005',
  kind: 'issue',
  at: '2026-01-16T08:30:00.000Z',
  recordedBy: 'Ilse Brandokor',
  machineId: 'rowan',
  revision: 1,
  body: { reason: 'three passed' },
};

async function open(one: ReturnType<typeof seam>) {
  const answered = answerFetch({
    'GET /api/seams/axle': one,
    'GET /api/machines': page([rowan]),
    'GET /api/seams/axle/revisions': page([revision(2), revision(1)]),
    'GET /api/observations?seam=axle&limit=200': page([
      observed,
      { ...observed, id: `${observed.id.slice(0, -1)}6`, kind: 'parts-done' },
    ]),
    'GET /api/trials?seam=axle&limit=200': page([]),
    'GET /api/stock': stock,
  });
  showRoutes(
    [{ path: '/seams/:id/procedure', Component: ProcedureView, loader: loadProcedure, HydrateFallback: () => null }],
    '/seams/axle/procedure',
  );
  await screen.findByRole('heading', { level: 1, name: /Procedure, Axle plate/ });
  return answered;
}
const rangeOf = (table: string, name: RegExp) =>
  within(within(screen.getByRole('group', { name: table })).getByRole('row', { name })).getAllByRole('cell')[1]
    ?.textContent;

beforeEach(resetSettings);
afterEach(cleanup);

describe('the procedure of a seam', () => {
  it('shows the rows the core makes, with the ranges of the written window, and prints that very revision', async () => {
    await open(seam({ windows: [written], issued: [issued] }));
    expect(screen.getByText('✓ in force here')).toBeTruthy();
    const asked = questionOf(spec, choice, atMachine(standardSite, rowan.file));
    const plan = planSeam(asked);
    if (!plan.ok) throw new Error('no plan');
    const rows = procedureSheet({ seam: asked.seam, program: program(), plan: plan.value, window }).flatMap(
      (one) => one.rows,
    );
    const current = rows.find(({ label }) => inEnglish(label) === 'Mean current');
    expect(rangeOf('Setting', /Mean current/)).toBe(inEnglish(current?.range ?? ''));
    const link = screen.getByRole('link', { name: 'Print on A4 (PDF)' }).getAttribute('href');
    expect(link).toMatch(/machine=rowan&revision=1&paper=A4&units=metric/);
  });

  it('has no range of a figure without a window, says so, and that it is no qualification', async () => {
    await open(seam());
    expect(rangeOf('Setting', /Mean current/)).toBe('');
    expect(screen.getByText(/No window is written for this revision here/)).toBeTruthy();
    expect(screen.getByText(/It is not a qualification/)).toBeTruthy();
    expect(screen.getByText('not in force here')).toBeTruthy();
  });

  it('tells what happened to its program, the newest first, and leaves counted parts to the record', async () => {
    await open(seam({ issued: [issued] }));
    const history = screen.getByRole('heading', { name: 'History of the program' }).closest('section')!;
    await within(history).findByText(/three passed/);
    const told = within(history)
      .getAllByRole('listitem')
      .map(({ textContent }) => textContent ?? '');
    expect(told[0]).toContain('Issued, Rowan');
    expect(told.filter((text) => text.includes('Revision'))).toHaveLength(2);
    expect(told).toHaveLength(3);
  });

  it('shows an older revision when it is chosen, and needs a setting', async () => {
    await open(seam({ revision: revision(2), issued: [{ ...issued, revision: 2 }] }));
    fireEvent.change(await screen.findByLabelText('Revision'), { target: { value: '1' } });
    expect(screen.getByRole('heading', { name: 'Revision 1 on Rowan' })).toBeTruthy();
    expect(screen.getByText('not in force here')).toBeTruthy();
    cleanup();
    await open(seam({ choice: null, revision: null }));
    expect(screen.getByText(/A procedure needs a saved setting and a machine/)).toBeTruthy();
  });
});
