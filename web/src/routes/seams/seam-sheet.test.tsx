import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { answerFetch, rowan, revision, seam, spec } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';

// The chart and the worker need a browser; journeys see them there.
jest.unstable_mockModule('../../parts/waveform/index.tsx', () => ({ Waveform: () => null }));
jest.unstable_mockModule('../../parts/simulated/index.ts', () => ({ SimulatedArc: () => null }));
const { loadSeamSheet, SeamSheet } = await import('./index.ts');
const { ErrorPage } = await import('../../app/error-page.tsx');

const problem = (kind: string, status: number, more: object = {}) => ({
  type: `/problems/${kind}`,
  title: `title of ${kind}`,
  status,
  detail: 'detail',
  ...more,
});
const lists = {
  'GET /api/machines': { items: [rowan], next: null },
  'GET /api/seams/axle/revisions': { items: [revision(1)], next: null },
};

async function open(table: Record<string, unknown> = {}) {
  const answered = answerFetch({ ...lists, 'GET /api/seams/axle': seam(), ...table });
  showRoutes(
    [
      {
        path: '/seams/:id',
        Component: SeamSheet,
        loader: loadSeamSheet,
        ErrorBoundary: ErrorPage,
        HydrateFallback: () => null,
      },
    ],
    '/seams/axle',
  );
  await screen.findByRole('heading', { level: 1 });
  return answered;
}
const figure = (label: RegExp) => screen.getByRole('button', { name: label }).textContent ?? '';
const saveButton = () => screen.getByRole<HTMLButtonElement>('button', { name: /^Save revision/ });

beforeEach(resetSettings);
afterEach(cleanup);

describe('the seam sheet', () => {
  it('shows figures with their bands, and the sum behind one when asked', async () => {
    await open();
    expect(figure(/^Wire feed speed/)).toMatch(/5\.6.*m\/min.*to/);
    fireEvent.click(screen.getByRole('button', { name: /^Wire feed speed/ }));
    expect(screen.getByText(/73 × 2\.77\^0\.64 = 140 A/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Show the sums' }));
    expect(screen.getAllByText('because').length).toBeGreaterThan(10);
    fireEvent.click(screen.getByRole('button', { name: 'Hide the sums' }));
    expect(screen.queryByText('because')).toBeNull();
  });

  it('moves figures, drawing and card with every keystroke, and marks what is not saved', async () => {
    await open();
    expect(saveButton().disabled).toBe(true);
    const before = [
      figure(/^Mean current/),
      screen.getByRole('img', { name: /Drawn to scale/ }).getAttribute('aria-label'),
    ];
    fireEvent.change(screen.getByLabelText('First part, mm'), { target: { value: '3,5' } });
    expect(figure(/^Mean current/)).not.toBe(before[0]);
    expect(screen.getByRole('img', { name: /Drawn to scale/ }).getAttribute('aria-label')).not.toBe(before[1]);
    expect(screen.getByText('revision 1, edited; draft kept here')).toBeTruthy();
    expect(saveButton().disabled).toBe(false);
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(figure(/^Mean current/)).toBe(before[0]);
    expect(saveButton().disabled).toBe(true);
  });

  it('names what gave way, and one touch takes a way out', async () => {
    await open();
    const ways = screen.getByRole('region', { name: 'What was relaxed' });
    expect(ways.textContent).toMatch(/Travel speed: \d+ mm\/min, \d+ % above the target of 530 mm\/min/);
    fireEvent.click(within(ways).getByRole('button', { name: /^A larger leg: 4\.0 mm/ }));
    expect(screen.getByLabelText<HTMLInputElement>('Required leg, mm').value).toBe('4');
    expect(screen.queryByRole('region', { name: 'What was relaxed' })).toBeNull();
  });

  it('asks a thick square butt for its edges, and lays the cut ones in passes', async () => {
    const thick = seam();
    const spec = {
      ...thick.spec,
      joint: 'butt' as const,
      thicknessesMm: [12, 12] as [number, number],
      legMm: null,
      position: 'PA' as const,
    };
    await open({ 'GET /api/seams/axle': seam({ spec, choice: { ...thick.choice!, diameterMm: 1.2 } }) });
    fireEvent.click(screen.getByRole('button', { name: 'Cut a V of 60°, gap 2 mm' }));
    expect(screen.getByLabelText<HTMLSelectElement>('Edge preparation').value).toBe('v');
    const passes = screen.getByRole('group', { name: 'Passes' });
    expect(within(passes).getByText('1 root')).toBeTruthy();
    expect(screen.getByRole('img', { name: /5 passes/ })).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Root face, mm'), { target: { value: '11' } });
    expect(screen.getByText(/Root face must lie between 0 and 10 mm; got 11 mm/)).toBeTruthy();
  });

  it('shuts what cannot be chosen, with the reason, and moves a cored wire into its own mode', async () => {
    await open();
    const mode = screen.getByLabelText<HTMLSelectElement>('Transfer mode');
    const cored = [...mode.options].find((option) => option.value === 'cored');
    expect(cored?.disabled).toBe(true);
    expect(cored?.textContent).toContain('not with this wire');
    fireEvent.change(screen.getByLabelText('Wire'), { target: { value: 'steel-flux-cored' } });
    expect(mode.value).toBe('cored');
  });

  it('names the way each metal transfer was judged', async () => {
    await open();
    const panel = screen.getByRole('heading', { name: 'Transfer modes' }).closest('section') as HTMLElement;
    expect(within(panel).getByText('first choice:').parentElement?.textContent).toContain('all positions');
    expect(within(panel).getAllByText('rejected:').length).toBeGreaterThan(0);
  });

  it('lets wire and gas follow a metal that the wire does not join', async () => {
    await open();
    fireEvent.change(screen.getByLabelText('Metal'), { target: { value: 'aluminium' } });
    expect(screen.getByLabelText<HTMLSelectElement>('Wire').value).toBe('aluminium-5356');
    expect(screen.getByLabelText<HTMLSelectElement>('Gas').value).toBe('I1');
    expect(screen.getByText(/stronger ultraviolet and ozone/)).toBeTruthy();
    // What does not join the metal stands in the list, but cannot be taken.
    expect(
      screen.getByRole<HTMLOptionElement>('option', { name: /Mild steel, solid: not on aluminium/ }).disabled,
    ).toBe(true);
  });

  it('refuses an impossible chain with its reason, and takes the way out', async () => {
    await open();
    fireEvent.change(screen.getByLabelText('Gas'), { target: { value: 'C1' } });
    expect((await screen.findByRole('alert')).textContent).toContain('Pulse needs argon-rich gas');
    expect(saveButton().disabled).toBe(true);
    expect(screen.getByText('nothing to set yet')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /^Change to argon/ }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });

  it('drops the leg on a joint that has none', async () => {
    await open();
    fireEvent.change(screen.getByLabelText('Joint'), { target: { value: 'butt' } });
    expect(screen.queryByLabelText('Required leg, mm')).toBeNull();
    expect(screen.getByText(/No leg on this joint/)).toBeTruthy();
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('saves what is on the sheet, based on the version it was opened from', async () => {
    const saved = seam({
      version: 3,
      spec: { ...spec, gapMm: 0.4 },
      revision: revision(2, { spec: { ...spec, gapMm: 0.4 } }),
    });
    const { calls } = await open({ 'PUT /api/seams/axle': saved });
    fireEvent.change(screen.getByLabelText('Gap, mm'), { target: { value: '0.4' } });
    fireEvent.keyDown(window, { key: 's', ctrlKey: true });
    await screen.findByText('saved as revision 2');
    expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
      spec: { gapMm: 0.4 },
      choice: { filler: 'steel-solid' },
    });
    expect(localStorage.getItem('fox-tempo/draft/axle')).toBeNull();
  });

  it('keeps the draft when saving fails, and says why', async () => {
    await open({ 'PUT /api/seams/axle': problem('database-away', 503) });
    fireEvent.change(screen.getByLabelText('Gap, mm'), { target: { value: '0.4' } });
    fireEvent.click(saveButton());
    expect((await screen.findByRole('alert')).textContent).toContain('title of database-away');
    expect(screen.getByLabelText<HTMLInputElement>('Gap, mm').value).toBe('0.4');
    expect(localStorage.getItem('fox-tempo/draft/axle')).toContain('0.4');
  });

  it('says that the server cannot be reached when there is no answer at all', async () => {
    await open({ 'PUT /api/seams/axle': new TypeError('network') });
    fireEvent.change(screen.getByLabelText('Gap, mm'), { target: { value: '0.4' } });
    fireEvent.click(saveButton());
    expect((await screen.findByRole('alert')).textContent).toContain('The server cannot be reached');
  });

  it('shows both versions when somebody saved in between, and takes the stored one when told', async () => {
    const theirs = seam({ version: 3, changedBy: 'Mirja Keskalo', spec: { ...spec, gapMm: 0.8 } });
    await open({ 'PUT /api/seams/axle': problem('stale-version', 412, { current: theirs }) });
    fireEvent.change(screen.getByLabelText('Required leg, mm'), { target: { value: '5' } });
    fireEvent.click(saveButton());
    const conflict = await screen.findByRole('alertdialog');
    expect(within(conflict).getByText('Stored by Mirja Keskalo')).toBeTruthy();
    expect(within(conflict).getByRole('row', { name: /Gap/ }).textContent).toContain('0.8 mm');
    expect(within(conflict).getByRole('row', { name: /Leg/ }).textContent).toContain('5.0 mm');
    expect(saveButton().disabled).toBe(true);
    fireEvent.click(within(conflict).getByRole('button', { name: 'Take the stored one' }));
    expect(screen.queryByRole('alertdialog')).toBeNull();
    expect(screen.getByLabelText<HTMLInputElement>('Gap, mm').value).toBe('0.8');
  });

  it('sees at once that a draft on the device is older than what is stored', async () => {
    const old = {
      kind: 2,
      sheet: { spec: { ...spec, gapMm: 1 }, choice: seam().choice },
      base: { version: 1, sheet: { spec, choice: seam().choice } },
      texts: {},
      issues: {},
    };
    localStorage.setItem('fox-tempo/draft/axle', JSON.stringify(old));
    await open();
    expect(screen.getByRole('alertdialog')).toBeTruthy();
  });

  it('brings an older revision back as a draft', async () => {
    const older = revision(1, { spec: { ...spec, lengthMm: 99 } });
    await open({
      'GET /api/seams/axle': seam({ revision: revision(2) }),
      'GET /api/seams/axle/revisions': { items: [revision(2), older], next: null },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Bring back revision 1' }));
    expect(screen.getByLabelText<HTMLInputElement>('Seam length, mm').value).toBe('99');
  });

  it('offers a first setting where none is stored, and works on when revisions cannot be loaded', async () => {
    await open({ 'GET /api/seams/axle': seam({ choice: null, revision: null }) });
    expect(screen.getByText('no setting saved yet')).toBeTruthy();
    expect(saveButton().disabled).toBe(false);
    cleanup();
    await open({ 'GET /api/seams/axle/revisions': problem('internal', 500) });
    await waitFor(() => expect(screen.getByText(/revisions could not be loaded/)).toBeTruthy());
  });

  it('explains an address that holds nothing', async () => {
    answerFetch(lists);
    showRoutes(
      [
        {
          path: '/seams/:id',
          Component: SeamSheet,
          loader: loadSeamSheet,
          ErrorBoundary: ErrorPage,
          HydrateFallback: () => null,
        },
      ],
      '/seams/nowhere',
    );
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('There is nothing at this address');
    expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
  });
});
