/** The shop's people, roles and sign-ins, its orders and parts, its backup. */
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { order, parts, shopState, when } from '../../testing/shop.ts';
import { resetSettings } from '../../testing/show.tsx';
import { openShop, page, people, person } from './open-shop.tsx';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const sent = (calls: { method: string; path: string; body: unknown }[], path: string) =>
  calls.find((call) => call.path === path && call.method !== 'GET');
beforeEach(resetSettings);
afterEach(cleanup);

describe('people', () => {
  it('are read by a welder and changed by the office', async () => {
    await openShop('', 'welder');
    expect(screen.getByRole('row', { name: /Mirja Keskalo owner.*cannot sign in/ })).toBeTruthy();
    expect(screen.getByText(/Changed by office or owner/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Change Teo Varnholt' })).toBeNull();
    expect(screen.getByRole('heading', { name: 'Your own PIN' })).toBeTruthy();
  });

  it('are renamed and retired under their version, and get a new PIN', async () => {
    const { calls } = await openShop('', 'office', {
      'PUT /api/people/teo': person({ version: 4 }),
      'PUT /api/people/teo/pin': person({ version: 4 }),
    });
    press('Change Teo Varnholt');
    type('Name of Teo Varnholt', 'Teo V.');
    press('Has left');
    await waitFor(() =>
      expect(sent(calls, '/api/people/teo')?.body).toEqual({ name: 'Teo V.', role: 'welder', retired: true }),
    );
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Has left' })).toBeNull());
    press('Change Teo Varnholt');
    type('New PIN for Teo Varnholt', '12ab');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Set the PIN' }).disabled).toBe(true);
    type('New PIN for Teo Varnholt', '9182');
    press('Set the PIN');
    await waitFor(() => expect(sent(calls, '/api/people/teo/pin')?.body).toEqual({ pin: '9182' }));
  });

  it('new ones keep their half-typed form, but never their PIN, on the device', async () => {
    await openShop('', 'office', {
      'POST /api/people': {
        type: '/problems/invalid-input',
        title: 'No',
        status: 422,
        issues: [{ path: 'name', code: 'x', message: 'That name is taken.' }],
      },
    });
    type('Name', 'Sunniva');
    type('PIN, four to eight digits', '616161');
    press('Add');
    expect(await screen.findByText(/That name is taken\./)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Sunniva');
    const kept = JSON.stringify(Object.fromEntries(Object.entries(localStorage)));
    expect(kept).toContain('Sunniva');
    expect(kept).not.toContain('"pin"');
    expect(kept).not.toContain('616161\\",');
  });
});

describe('roles, tries and sign-ins', () => {
  const lead = person({ id: 'ilse', name: 'Ilse Brandokor', role: 'lead' });

  it('the office changes nobody above it, and makes welders only', async () => {
    await openShop('', 'office', { 'GET /api/people': page([...people, lead]) });
    expect(screen.getByRole('button', { name: /Change Teo Varnholt/ })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Change Ilse Brandokor/ })).toBeNull();
    expect(screen.queryByRole('button', { name: /Change Mirja Keskalo/ })).toBeNull();
    const choices = [...screen.getByLabelText<HTMLSelectElement>('Role').options].map(({ value }) => value);
    expect(choices).toEqual(['welder']);
  });

  it('an owner reads how many wrong PINs were tried, and when the last', async () => {
    await openShop('', 'owner', { 'GET /api/people': page([person({ wrongTries: { count: 3, lastAt: when } })]) });
    expect(screen.getByText(/^3 wrong PINs, last /)).toBeTruthy();
  });

  it('one’s own sign-ins are listed, and ended elsewhere', async () => {
    const here = { id: 'a', startedAt: when, endsAt: when, device: 'Firefox, Linux', isThis: true };
    const there = { ...here, id: 'b', device: 'Chrome, Android', isThis: false };
    let now = [here, there];
    const { calls } = await openShop('', 'welder', {
      'GET /api/session/list': () => now,
      'DELETE /api/session/list/b': () => {
        now = [here];
        return now;
      },
    });
    const table = await screen.findByRole('group', { name: 'Where you are signed in' });
    await waitFor(() => expect(table.textContent).toContain('Chrome, Android'));
    expect(table.textContent).toContain('this one');
    press(/^Sign out of Chrome, Android/);
    await waitFor(() => expect(table.textContent).not.toContain('Chrome, Android'));
    expect(calls.some(({ method }) => method === 'DELETE')).toBe(true);
  });
});

describe('an order closed short', () => {
  it('asks first, says what is open, and is closed on a yes', async () => {
    const question = {
      type: '/problems/ask-first',
      title: 'This needs an answer first',
      status: 409,
      detail: 'Order MC 1 has 5 of 12 parts done; 7 stay open.',
      issues: [{ path: 'closed', code: 'closed-short', message: 'Order MC 1 has 5 of 12 parts done; 7 stay open.' }],
    };
    const { calls } = await openShop('/orders', 'lead', {
      'PUT /api/orders/o1': (body: { confirmed?: string[] }) =>
        body.confirmed?.includes('closed-short') ? order({ closed: true, version: 9 }) : question,
    });
    const saves = () =>
      calls.filter(({ method }) => method === 'PUT').map(({ body }) => (body as { confirmed: string[] }).confirmed);
    press(/MC 1/);
    press('Close it');
    const dialog = await screen.findByRole('alertdialog', { name: 'A question first' });
    expect(dialog.textContent).toContain('7 stay open');
    fireEvent.click(screen.getByRole('button', { name: 'No, leave it' }));
    expect(screen.queryByRole('alertdialog')).toBeNull();
    expect(saves()).toEqual([[]]);
    press('Close it');
    fireEvent.click(await screen.findByRole('button', { name: 'Yes, all the same' }));
    await waitFor(() => expect(saves()).toEqual([[], [], ['closed-short']]));
  });
});

describe('orders and parts', () => {
  it('closed orders stand last and are opened again', async () => {
    const { calls } = await openShop('/orders', 'lead', { 'PUT /api/orders/o9': order({ id: 'o9', number: 'MC 9' }) });
    const rows = within(screen.getByRole('group', { name: 'Orders' })).getAllByRole('row');
    expect(rows.at(-1)?.textContent).toContain('MC 9 (closed)');
    press('Change order MC 9');
    press('Reopen it');
    await waitFor(() => expect(sent(calls, '/api/orders/o9')?.body).toMatchObject({ number: 'MC 9', closed: false }));
  });

  it('a quantity that is none is named with its limits before it is sent', async () => {
    const { calls } = await openShop('/orders', 'office', { 'POST /api/orders': order({ id: 'new' }) });
    type('Order number', 'MC 50');
    type('How many', '1,5');
    expect(await screen.findByText(/How many must be a number; got "1,5"/)).toBeTruthy();
    type('How many', '200000');
    expect(await screen.findByText(/How many must be at most 100,000; got 200,000/)).toBeTruthy();
    type('How many', '12');
    fireEvent.change(screen.getByLabelText('Due on'), { target: { value: '2026-02-01' } });
    press('Add the order');
    await waitFor(() =>
      expect(sent(calls, '/api/orders')?.body).toEqual({
        number: 'MC 50',
        partId: 'frame',
        quantity: 12,
        dueOn: '2026-02-01',
      }),
    );
  });

  it('parts are searched, changed and retired', async () => {
    const { calls } = await openShop('/parts', 'office', { 'PUT /api/parts/rail': { ...parts[1], retired: true } });
    type('Search', 'tube');
    expect(screen.queryByRole('row', { name: /Rail/ })).toBeNull();
    type('Search', 'nothing such');
    expect(screen.getByText('No part of that name.')).toBeTruthy();
    type('Search', '');
    press('Change Rail');
    press('Retire');
    await waitFor(() =>
      expect(sent(calls, '/api/parts/rail')?.body).toEqual({ name: 'Rail', about: '', retired: true }),
    );
  });
});

describe('shop and backup', () => {
  it('the owner changes name and time zone under the version', async () => {
    const { calls } = await openShop('/backup', 'owner', {
      'PUT /api/shop': { ...shopState, version: 2, name: 'Our shop' },
    });
    type('Name', 'Our shop');
    fireEvent.change(screen.getByLabelText(/^Time zone/), { target: { value: 'Europe/Warsaw' } });
    press('Save');
    await waitFor(() =>
      expect(sent(calls, '/api/shop')?.body).toEqual({
        name: 'Our shop',
        timeZone: 'Europe/Warsaw',
        thicknessRule: 'leaning',
      }),
    );
  });

  it('says what the disk and the nights are like', async () => {
    await openShop('/backup', 'lead', {
      'GET /api/shop': {
        ...shopState,
        diskFreeBytes: 1e9,
        diskIsLow: true,
        backupTrouble: 'pg_dump could not be run',
        backups: [{ name: 'night-1.foxbackup', bytes: 2_400_000, madeAt: when }],
      },
    });
    expect(screen.getByText(/1.0 GB free/)).toBeTruthy();
    expect(screen.getByText('pg_dump could not be run')).toBeTruthy();
    expect(screen.getByRole('row', { name: /night-1.foxbackup.*2.4 MB/ })).toBeTruthy();
    expect(screen.getAllByText(/Changed by/).length).toBe(2);
    expect(screen.queryByRole('button', { name: 'Back everything up' })).toBeNull();
  });

  it('says that a rented database keeps its own', async () => {
    await openShop('/backup', 'owner', { 'GET /api/shop': { ...shopState, backups: null, diskFreeBytes: null } });
    expect(screen.getByText(/its keeper makes its backups/)).toBeTruthy();
  });
});
