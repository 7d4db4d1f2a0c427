import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { MachineResource } from '@fox-tempo/contract';
import { medlar } from '@fox-tempo/core/scenarios';
import { ErrorPage } from '../../app/error-page.tsx';
import { alder, answerFetch, remembers, revision, rowan, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { loadMachine, loadMachineList, Machine, MachineList } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });
const entry = {
  id: 4,
  slot: 3,
  seamId: 'axle',
  seamName: 'Axle plate',
  partName: 'Cart frame',
  revision: 1,
  program: revision(1).program,
  dials: { line: 12, 'wire-feed': 7.8, 'arc-index': 46 },
  note: 'passed',
  storedAt: when,
  storedBy: 'Teo Varnholt',
  found: { dials: { line: 12, 'wire-feed': 7.8, 'arc-index': 52 }, foundAt: when, foundBy: 'Mirja Keskalo' },
};
/** Rowan whose share nobody has tried. */
const untried: MachineResource = {
  ...rowan,
  file: {
    ...rowan.file,
    dials: rowan.file.dials.map((dial) => (dial.id === 'top-share' ? { ...dial, senseTested: false } : dial)),
  },
};

async function open(path: string, machine: MachineResource, more: Record<string, unknown> = {}) {
  const answered = answerFetch({
    'GET /api/machines': page([machine]),
    [`GET /api/machines/${machine.id}`]: machine,
    [`GET /api/machines/${machine.id}/slots`]: page([entry]),
    [`GET /api/machines/${machine.id}/slots/3`]: page([entry]),
    [`GET /api/machines/${machine.id}/lead-readings`]: page([
      { id: 1, mOhm: 13, note: '', at: when, by: 'Teo Varnholt' },
    ]),
    ...more,
  });
  const router = showRoutes(
    [
      { path: '/machines', Component: MachineList, loader: loadMachineList, ErrorBoundary: ErrorPage },
      { path: '/machines/:id/:part?', Component: Machine, loader: loadMachine, ErrorBoundary: ErrorPage },
    ],
    path,
  );
  await screen.findByRole('heading', { level: 1 });
  return { ...answered, router };
}

beforeEach(() => {
  resetSettings();
  localStorage.clear();
});
afterEach(cleanup);

describe('a machine', () => {
  it('shows each dial in words and as a picture of its travel', async () => {
    await open('/machines/rowan', rowan);
    expect(screen.getByText('arc length trim: 0.12 mm per unit, 0.00 mm at 50')).toBeTruthy();
    expect(screen.getByRole('img', { name: /^0 to 100, neutral at 50, set to 50, more is longer arc/ })).toBeTruthy();
    expect(screen.getByText('run-in feed: percent of Wire feed')).toBeTruthy();
  });

  it('finds out by a test which way a dial runs; the caution stands before the steps', async () => {
    const turned = { ...untried, version: 2 };
    const { calls } = await open('/machines/rowan', untried, { 'POST /api/machines/rowan/directions': turned });
    fireEvent.click(screen.getByRole('button', { name: 'Test the direction of Top share' }));
    const test = screen.getByRole('region', { name: 'A slow bead for Top share' });
    expect(test.textContent).toMatch(/Before you begin\..*helmet, gloves.*Set the double-pulse frequency to 0\.5 Hz/s);
    fireEvent.change(within(test).getByRole('textbox'), { target: { value: 'long cold stretches' } });
    fireEvent.click(within(test).getByRole('button', { name: /No difference/ }));
    expect(within(test).getByText(/Nothing is stored/)).toBeTruthy();
    fireEvent.click(within(test).getByRole('button', { name: /narrow and cold/ }));
    await screen.findByText(/changed/);
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({
      dialId: 'top-share',
      result: 'reversed',
      note: 'long cold stretches',
    });
  });

  it('takes the unit of a one-number swing from two beads, and stores the scale alone', async () => {
    const { calls } = await open('/machines/alder', alder, { 'PUT /api/machines/alder': { ...alder, version: 2 } });
    fireEvent.click(screen.getByRole('button', { name: 'Find what a unit of Strength means' }));
    const test = screen.getByRole('region', { name: 'Two beads for Strength' });
    expect(test.textContent).toMatch(/Before you begin\..*helmet, gloves.*Set the double-pulse frequency to 0\.5 Hz/s);
    const keep = within(test).getByRole<HTMLButtonElement>('button', { name: 'Keep it with the dial' });
    const type = (label: RegExp | string, at: number, value: string) =>
      fireEvent.change(within(test).getAllByLabelText(label)[at]!, { target: { value } });
    type('Strength, low', 0, '2');
    type(/Highest feed/, 0, '7');
    type(/Lowest feed/, 0, '9');
    type('Strength, high', 0, '8');
    type(/Highest feed/, 1, '10.4');
    type(/Lowest feed/, 1, '5.6');
    expect(within(test).getByText(/high level of 7 m\/min must lie above the low one of 9/)).toBeTruthy();
    expect(keep.disabled).toBe(true);
    type(/Highest feed/, 0, '8.8');
    type(/Lowest feed/, 0, '7.2');
    expect(within(test).getByText('A unit is 3.33 % each way.')).toBeTruthy();
    fireEvent.click(keep);
    await waitFor(() => expect(calls.some((call) => call.method === 'PUT')).toBe(true));
    const { file } = calls.find((call) => call.method === 'PUT')!.body as { file: typeof alder.file };
    const was = alder.file.dials.find((dial) => dial.id === 'strength')!;
    const now = file.dials.find((dial) => dial.id === 'strength')!;
    expect(now).toEqual({
      ...was,
      scale: { ...was.scale, quantityAtNeutral: expect.closeTo(20 / 6, 6), quantityPerUnit: expect.closeTo(20 / 6, 6) },
    });
  });

  it('describes a new dial: says what is missing, keeps the half-typed form, sends what it means', async () => {
    const { calls } = await open(
      '/machines/rowan',
      { ...rowan, file: { ...rowan.file, dials: [] } },
      { 'PUT /api/machines/rowan': rowan },
    );
    fireEvent.click(screen.getByRole('button', { name: 'Describe a dial' }));
    expect(screen.getByText(/machine’s own word for this dial/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('The machine’s word'), { target: { value: 'Länge' } });
    fireEvent.change(screen.getByLabelText('How its scale works'), { target: { value: 'stepped' } });
    fireEvent.change(screen.getByLabelText('What it moves'), { target: { value: 'trimMm' } });
    fireEvent.change(screen.getByLabelText('Positions in their order'), {
      target: { value: 'A = −1,5; B = 0; C = x' },
    });
    expect(screen.getByText(/"C" needs a figure/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add this dial' }).disabled).toBe(true);
    // Away and back: nothing half-typed is lost.
    cleanup();
    const again = await open(
      '/machines/rowan',
      { ...rowan, file: { ...rowan.file, dials: [] } },
      { 'PUT /api/machines/rowan': rowan },
    );
    fireEvent.click(screen.getByRole('button', { name: 'Describe a dial' }));
    expect(screen.getByLabelText<HTMLInputElement>('The machine’s word').value).toBe('Länge');
    fireEvent.change(screen.getByLabelText('Positions in their order'), {
      target: { value: 'A = −1,5; B = 0; C = 2' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Add this dial' }));
    await screen.findByRole('button', { name: 'Undo the last change' });
    const sent = again.calls.find((call) => call.method === 'PUT')?.body as { file: MachineResource['file'] };
    expect(sent.file.dials).toEqual([
      {
        id: 'lange',
        label: 'Länge',
        where: '',
        unit: '',
        hand: 'free',
        senseTested: false,
        scale: {
          kind: 'stepped',
          quantity: 'trimMm',
          positions: [
            { label: 'A', quantity: -1.5 },
            { label: 'B', quantity: 0 },
            { label: 'C', quantity: 2 },
          ],
        },
      },
    ]);
    expect(calls.some((call) => call.method === 'PUT')).toBe(false);
  });

  it('says what the server refused, at the form, and keeps it', async () => {
    await open('/machines/rowan', rowan, {
      'PUT /api/machines/rowan': {
        type: '/problems/invalid-input',
        title: 'Some fields',
        status: 422,
        issues: [{ path: 'dials.2.scale.quantity', code: 'overlapping-dials', message: 'Two dials move arc trim.' }],
      },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Edit Arc index' }));
    fireEvent.change(screen.getByLabelText('The machine’s word'), { target: { value: 'Arc number' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save this dial' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Two dials move arc trim.');
    expect(screen.getByLabelText<HTMLInputElement>('The machine’s word').value).toBe('Arc number');
  });

  it('reads every kind of scale into its form and back unchanged', async () => {
    const odd: MachineResource = {
      ...rowan,
      file: { ...rowan.file, dials: JSON.parse(JSON.stringify(medlar.dials)) as MachineResource['file']['dials'] },
    };
    const { calls } = await open('/machines/rowan', odd, { 'PUT /api/machines/rowan': odd });
    for (const dial of odd.file.dials) {
      fireEvent.click(screen.getByRole('button', { name: `Edit ${dial.label}` }));
      fireEvent.click(screen.getByRole('button', { name: 'Save this dial' }));
      await screen.findByRole('button', { name: 'Undo the last change' });
    }
    const saves = calls
      .filter((call) => call.method === 'PUT')
      .map((call) => (call.body as { file: MachineResource['file'] }).file);
    expect(saves).toHaveLength(odd.file.dials.length);
    for (const [at, file] of saves.entries()) {
      expect(file.dials[at]?.scale).toEqual(odd.file.dials[at]?.scale);
    }
  });
});

describe('the chart', () => {
  it('is searched by words, and a table is previewed row by row before anything is written', async () => {
    const { calls } = await open('/machines/rowan/chart', rowan, { 'PUT /api/machines/rowan': rowan });
    fireEvent.change(screen.getByLabelText('Find a line'), { target: { value: 'co₂ dip' } });
    expect(screen.getByText('3 of 18')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Import a table' }));
    fireEvent.change(screen.getByLabelText(/Paste the table/), {
      target: {
        value:
          'number;filler;diameter (mm);gas;mode\n12;steel-solid;1,0;C1;dip\n52;steel-solid;0,8 kg;C1;dip\n53;cusi3;0,8;I1;pulse',
      },
    });
    expect(screen.getByText(/3 rows read: 1 line to add, 2 places/)).toBeTruthy();
    expect(screen.getByText(/Line 12 is on the machine already/)).toBeTruthy();
    expect(screen.getByText(/the unit "kg" is not known here/)).toBeTruthy();
    expect(calls.some((call) => call.method === 'PUT')).toBe(false);
    fireEvent.click(screen.getByRole('button', { name: 'Add 1 line' }));
    await screen.findByRole('button', { name: 'Undo the last change' });
    const sent = calls.find((call) => call.method === 'PUT')?.body as { file: MachineResource['file'] };
    expect(sent.file.chartLines.map((line) => line.number)).toContain(53);
  });

  it('is taught by a few points, with the doubtful one named', async () => {
    const { calls } = await open('/machines/rowan/chart', rowan, { 'PUT /api/machines/rowan': rowan });
    fireEvent.click(screen.getByRole('button', { name: 'Teach line 12' }));
    fireEvent.change(screen.getByLabelText('Current 3, A'), { target: { value: '120' } });
    expect(screen.getByText('Point 3 is doubtful:').parentElement?.textContent).toContain(
      'below what the other points give',
    );
    fireEvent.change(screen.getByLabelText('Current 3, A'), { target: { value: '156' } });
    expect(screen.queryByText('Point 3 is doubtful:')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Keep these 4 points' }));
    await screen.findByRole('button', { name: 'Undo the last change' });
    expect(calls.some((call) => call.method === 'PUT')).toBe(true);
  });
});

describe('memory and standing', () => {
  it('show the drift of a slot in words, and its history', async () => {
    await open('/machines/rowan/slots', rowan);
    expect(screen.getByRole('button', { name: 'Slot 3: Axle plate, drifted' })).toBeTruthy();
    expect(screen.getByText(/Arc index 52/).textContent).toContain('arc length trim +0.72 mm, longer arc');
    expect(await screen.findByText(/now in it/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Slot 5: empty' }));
    expect(screen.getByText('Slot 5 is empty.')).toBeTruthy();
  });

  it('take a reading back, dial by dial', async () => {
    const putBack = { ...entry, found: { ...entry.found, dials: entry.dials } };
    const found = 'POST /api/machines/rowan/slots/3/found';
    const { calls } = await open(
      '/machines/rowan/slots',
      rowan,
      remembers('/api/machines/rowan/slots', page([entry]), found, putBack, page([putBack])),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Read it back' }));
    fireEvent.change(screen.getByLabelText('Arc index'), { target: { value: '46' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep as found' }));
    expect(await screen.findByText(/As stored when Mirja/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({
      entryId: entry.id,
      dials: { 'arc-index': 46 },
    });
  });

  it('enter what is on each feeder, and log the leads with what they do to the arc', async () => {
    const readings = '/api/machines/alder/lead-readings';
    const one = { id: 'one', mOhm: 13, note: '', at: '2026-01-01T08:00:00.000Z', by: 'Teo Varnholt' };
    const two = { id: 'two', mOhm: 21, note: 'warm', at: when, by: 'Teo Varnholt' };
    const { calls } = await open('/machines/alder/standing', alder, {
      'PUT /api/machines/alder/standing': alder,
      ...remembers(readings, page([one]), `POST ${readings}`, two, page([one, two])),
    });
    const right = screen.getByRole('region', { name: 'Right feeder' });
    fireEvent.change(within(right).getByLabelText('Roll groove'), { target: { value: 'V' } });
    fireEvent.change(within(right).getByLabelText('Contact tip, mm'), { target: { value: '9' } });
    expect(within(right).getByText(/between 0.5 and 2.5 mm; got 9/)).toBeTruthy();
    fireEvent.change(within(right).getByLabelText('Contact tip, mm'), { target: { value: '1,2' } });
    fireEvent.click(screen.getByRole('button', { name: 'This is how it is set' }));
    await screen.findByText(/changed/);
    const sent = calls.find((call) => call.method === 'PUT')?.body as {
      feeders: Record<string, { groove: string; tipMm: number }>;
    };
    expect(sent.feeders['right']).toMatchObject({ groove: 'V', tipMm: 1.2 });
    fireEvent.change(screen.getByLabelText('Measured now, mΩ'), { target: { value: '21' } });
    fireEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(await screen.findByText(/clean the return clamp/)).toBeTruthy();
    expect(screen.getByText(/Δl = ΔR · I \/ E/).textContent).toContain('1.2 V at 150 A');
  });
});

describe('the list of machines', () => {
  it('starts a machine from nothing, and refuses a file from the future by name', async () => {
    const { calls, router } = await open('/machines', rowan, {
      'POST /api/machines': { ...rowan, id: 'fresh' },
      'GET /api/machines/fresh': { ...rowan, id: 'fresh' },
      'GET /api/machines/fresh/slots': page([]),
      'GET /api/machines/fresh/lead-readings': page([]),
    });
    fireEvent.click(screen.getByRole('button', { name: 'Describe a machine' }));
    const future = new File([JSON.stringify({ format: 'fox-tempo/machine', version: 9 })], 'later.tempo.json');
    future.text = () => Promise.resolve(JSON.stringify({ format: 'fox-tempo/machine', version: 9 }));
    fireEvent.change(screen.getByLabelText(/bring a machine file/), { target: { files: [future] } });
    expect((await screen.findByRole('alert')).textContent).toContain('reads up to 2');
    fireEvent.change(screen.getByLabelText('What you call it'), { target: { value: ' Quince ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Go on to its dials' }));
    await screen.findByText(/Current state/);
    expect(router.state.location.pathname).toBe('/machines/fresh');
    expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({
      file: { name: 'Quince', dials: [], limits: { peakCurrentA: 400 } },
    });
  });
});
