/** What of a machine is entered by hand besides its dials, and its dials read back. */
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { MachineFile, MachineResource } from '@fox-tempo/contract';
import { ErrorPage } from '../../app/error-page.tsx';
import { answerFetch, hazel, rowan } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { loadMachine, Machine } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });

async function open(part: string, machine: MachineResource = rowan) {
  const answered = answerFetch({
    [`GET /api/machines/${machine.id}`]: machine,
    [`GET /api/machines/${machine.id}/slots`]: page([]),
    [`GET /api/machines/${machine.id}/lead-readings`]: page([]),
    [`PUT /api/machines/${machine.id}`]: ({ file }: { file: MachineFile }) => ({ ...machine, version: 2, file }),
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
    `/machines/${machine.id}/${part}`,
  );
  await screen.findByRole('heading', { level: 1 });
  return {
    saved: () =>
      (answered.calls.filter((call) => call.method === 'PUT').at(-1)?.body as { file: MachineFile } | undefined)?.file,
  };
}
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

beforeEach(resetSettings);
afterEach(cleanup);

describe('a machine by hand', () => {
  it('takes volts with both ends, wire sizes, displays and calls by taps', async () => {
    const { saved } = await open('about');
    fireEvent.change(screen.getByLabelText('Lowest voltage, V'), { target: { value: '' } });
    expect(screen.getByText('both ends, or none')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save these' }).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Lowest voltage, V'), { target: { value: '13,5' } });
    fireEvent.click(screen.getByRole('checkbox', { name: '1.6 mm' }));
    press('One more display');
    press('One more call');
    press('Save these');
    await waitFor(() => expect(saved()).toBeDefined());
    const file = saved()!;
    expect(file.limits.voltageV?.[0]).toBe(13.5);
    expect(file.limits.wireSizesMm).toEqual([...rowan.file.limits.wireSizesMm!, 1.6]);
    expect(file.displays).toHaveLength(rowan.file.displays.length + 1);
    expect(new Set(file.displays.map(({ id }) => id)).size).toBe(file.displays.length);
    expect(file.tapCalls).toEqual([{ taps: 1, slot: 1 }]);
    // What stands elsewhere in the file is untouched.
    expect(file.dials).toEqual(rowan.file.dials);
  });

  it('gets a trigger mode drawn as machines usually have it, untried', async () => {
    const { saved } = await open('about');
    fireEvent.change(screen.getByLabelText('The machine calls it'), { target: { value: 'Tap four' } });
    fireEvent.change(screen.getByLabelText('What the welder does'), { target: { value: 'latch-second' } });
    press('Add the mode');
    await waitFor(() => expect(saved()?.triggerModes.at(-1)?.label).toBe('Tap four'));
    expect(saved()?.triggerModes.at(-1)).toMatchObject({ school: 'latch-second', senseTested: false });
    press(
      await screen.findByRole('button', { name: 'Remove the mode Tap four' }).then(() => 'Remove the mode Tap four'),
    );
    await waitFor(() => expect(saved()?.triggerModes.some(({ label }) => label === 'Tap four')).toBe(false));
  });

  it('lists other gases under one chart number, each with its arc', async () => {
    const { saved } = await open('chart');
    press('Teach line 12');
    const gases = screen.getByRole('region', { name: 'Other gases under line 12' });
    fireEvent.change(within(gases).getByLabelText('One more gas'), { target: { value: 'M13-ArO-2' } });
    fireEvent.change(within(gases).getByLabelText(/^Arc length at neutral/), { target: { value: '9' } });
    expect(within(gases).getByText(/got 9/)).toBeTruthy();
    fireEvent.change(within(gases).getByLabelText(/^Arc length at neutral/), { target: { value: '0,8' } });
    fireEvent.click(within(gases).getByRole('button', { name: 'Add the gas' }));
    await waitFor(() =>
      expect(saved()?.chartLines.find(({ number }) => number === 12)?.alsoGases).toEqual([
        { gas: 'M13-ArO-2', trimMm: 0.8 },
      ]),
    );
  });

  it('is only looked at by a welder', async () => {
    signInAs('welder');
    await open('dials');
    expect(screen.getByText(/A lead hand or owner changes/)).toBeTruthy();
  });

  it('whose file no longer passes says so, with the reason', async () => {
    await open('dials', { ...hazel, trouble: [{ path: 'dials.0', code: 'x', message: 'A step of nothing.' }] });
    expect(screen.getByRole('alert').textContent).toMatch(/no longer valid.*A step of nothing/);
  });
});

describe('dials read back', () => {
  it('are this weld, as they were entered and as they are typed', async () => {
    await open('read');
    const row = (name: string) => screen.getByRole('row', { name: new RegExp(`^${name}`) }).textContent;
    expect(row('Wire feed')).toContain('7.8 m/min');
    expect(row('Gas')).toContain('argon 82 %');
    fireEvent.change(screen.getByLabelText('Wire feed, m/min'), { target: { value: '9' } });
    expect(row('Wire feed')).toContain('9.0 m/min');
    const before = row('Arc length');
    fireEvent.change(screen.getByLabelText('Arc index'), { target: { value: '60' } });
    expect(row('Arc length')).not.toBe(before);
    press('Back to the saved values');
    expect(row('Wire feed')).toContain('7.8 m/min');
  });

  it('say what cannot be read', async () => {
    await open('read');
    fireEvent.change(screen.getByLabelText('Line'), { target: { value: '999' } });
    expect(screen.getByText(/has no chart line 999/)).toBeTruthy();
  });

  it('are not there where none is described', async () => {
    await open('read', hazel);
    expect(screen.getByText(/not described yet/)).toBeTruthy();
  });
});
