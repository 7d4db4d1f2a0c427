/** What a machine's own paper says of its gun: noted, kept while it is not saved, and left out where it is emptied. */
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { MachineFile, MachineResource } from '@fox-tempo/contract';
import { ErrorPage } from '../../app/error-page.tsx';
import { answerFetch, rowan } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { loadMachine, Machine } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });
const noted: MachineResource = {
  ...rowan,
  file: {
    ...rowan.file,
    feeders: rowan.file.feeders.map((feeder) => ({
      ...feeder,
      paper: {
        hoseAfterValveM: 4,
        rolls: [
          { groove: 'V', mm: 1, colour: 'plain' },
          { groove: 'U', mm: 1.2, colour: 'blue' },
        ],
      },
    })),
  },
};

async function open(machine: MachineResource = noted, save?: unknown) {
  const path = `/api/machines/${machine.id}`;
  const { calls } = answerFetch({
    [`GET ${path}`]: machine,
    [`GET ${path}/slots`]: page([]),
    [`GET ${path}/lead-readings`]: page([]),
    'GET /api/wear': { items: [] },
    [`PUT ${path}`]: save ?? (({ file }: { file: MachineFile }) => ({ ...machine, version: 2, file })),
  });
  showRoutes(
    [
      {
        path: '/machines/:id/:part?',
        Component: Machine,
        loader: loadMachine,
        ErrorBoundary: ErrorPage,
        HydrateFallback: () => null,
      },
    ],
    `/machines/${machine.id}/paper`,
  );
  await screen.findByRole('heading', { level: 1 });
  return {
    paper: () =>
      (calls.filter((call) => call.method === 'PUT').at(-1)?.body as { file: MachineFile } | undefined)?.file.feeders[0]
        ?.paper,
  };
}
const type = (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const save = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });

beforeEach(resetSettings);
afterEach(cleanup);

describe('the paper of a gun', () => {
  it('says what the copper of the cables has beside what was entered', async () => {
    await open();
    type(/^Cables, there and back/, '20');
    type(/^Their copper/, '50');
    // 19 mΩ mm²/m of copper at working warmth, times 20 m over 50 mm².
    expect(screen.getByText(/copper alone 7\.6 mΩ; entered/)).toBeTruthy();
  });

  it('saves what was noted, and leaves out what was emptied', async () => {
    const { paper } = await open();
    expect(save().disabled).toBe(true);
    type(/^Hose between valve and gun/, '');
    fireEvent.click(screen.getByRole('checkbox', { name: 'wire touches' }));
    const rolls = screen.getByRole('group', { name: 'Drive rolls by colour' });
    fireEvent.click(within(rolls).getByRole('button', { name: 'Remove row 1 of: Drive rolls by colour' }));
    fireEvent.click(save());
    await waitFor(() => expect(paper()).toBeDefined());
    expect(paper()).toEqual({ ignitions: ['wire-touches'], rolls: [{ groove: 'U', mm: 1.2, colour: 'blue' }] });
  });

  it('removes the list with its last row', async () => {
    const { paper } = await open();
    for (const row of [2, 1])
      fireEvent.click(screen.getByRole('button', { name: `Remove row ${row} of: Drive rolls by colour` }));
    fireEvent.click(save());
    await waitFor(() => expect(paper()).toBeDefined());
    expect(paper()).toEqual({ hoseAfterValveM: 4 });
  });

  it('begins a liner with the length of the gun and the day of today', async () => {
    const { paper } = await open();
    type(/^Liner bore/, '2');
    fireEvent.click(save());
    await waitFor(() => expect(paper()?.liner).toBeDefined());
    expect(paper()?.liner).toMatchObject({ boreMm: 2, lengthM: rowan.file.feeders[0]?.gunLengthM });
    expect(paper()?.liner?.since).toMatch(/^\d{4}-\d\d-\d\d$/);
  });

  it('keeps what is typed over a reload, and until it is taken back', async () => {
    await open();
    type(/^Hose between valve and gun/, '7');
    cleanup();
    await open();
    expect(screen.getByLabelText<HTMLInputElement>(/^Hose between valve and gun/).value).toBe('7');
    fireEvent.click(screen.getByRole('button', { name: 'Back to the saved version' }));
    expect(screen.getByLabelText<HTMLInputElement>(/^Hose between valve and gun/).value).toBe('4');
  });

  it('keeps the draft when saving fails, and says why', async () => {
    await open(noted, new TypeError('gone'));
    type(/^Hose between valve and gun/, '7');
    fireEvent.click(save());
    expect((await screen.findByRole('alert')).textContent).toMatch(/^Not saved/);
    expect(screen.getByLabelText<HTMLInputElement>(/^Hose between valve and gun/).value).toBe('7');
    expect(save().disabled).toBe(false);
  });

  it('refuses a length beyond its limits with the limit and the value', async () => {
    await open();
    type(/^Hose between valve and gun/, '70');
    expect(screen.getByText(/50.*got 70|70.*50/)).toBeTruthy();
  });

  it('is only read by a welder', async () => {
    signInAs('welder');
    await open();
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull();
    expect(screen.getByLabelText(/^Hose between valve and gun/).matches(':disabled')).toBe(true);
  });
});
