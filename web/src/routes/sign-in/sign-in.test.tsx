import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { SessionState } from '@fox-tempo/contract';
import { session } from '../../session/session.ts';
import { settings } from '../../session/settings.ts';
import { answerFetch } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { loadSignIn, SignIn } from './index.ts';

const state: SessionState = {
  me: null,
  shop: { name: 'Test shop', timeZone: 'Europe/Berlin', demo: true, thicknessRule: 'leaning' },
  needsOwner: false,
  people: [
    { id: 'ada', name: 'Ada Quill', role: 'lead', hasPin: true, language: null, units: null },
    { id: 'bo', name: 'Bo Marrin', role: 'welder', hasPin: false, language: null, units: null },
  ],
};
const signedIn: SessionState = {
  ...state,
  me: {
    id: 'ada',
    name: 'Ada Quill',
    role: 'lead',
    preferences: { language: null, units: null, theme: null, hand: null },
    ticket: 'ada.1.x',
    wrongTries: null,
  },
};

async function open(table: Record<string, unknown> = {}, at = '/sign-in?next=%2Fseams%2Faxle') {
  const answered = answerFetch({ 'GET /api/session': state, ...table });
  const router = showRoutes(
    [
      { path: '/sign-in', Component: SignIn, loader: loadSignIn, HydrateFallback: () => null },
      { path: '*', element: <h1>the other view</h1> },
    ],
    at,
  );
  await screen.findByRole('heading', { level: 1, name: state.shop.name });
  return { ...answered, router };
}
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const pin = () => screen.getByLabelText<HTMLInputElement>(/^PIN of|^Choose your name/);

beforeEach(resetSettings);
afterEach(cleanup);

describe('signing in', () => {
  it('takes a name and digits by touch, and leads back to where somebody was', async () => {
    const { calls, router } = await open({ 'POST /api/session': signedIn });
    expect(screen.getByRole<HTMLButtonElement>('button', { name: '1' }).disabled).toBe(true);
    press(/^Ada Quill/);
    for (const digit of ['2', '4', '0', '9']) press(digit);
    press('Delete the last digit');
    press('5');
    press('Sign in');
    expect(await screen.findByText('the other view')).toBeTruthy();
    expect(router.state.location.pathname).toBe('/seams/axle');
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ personId: 'ada', pin: '2405' });
    expect(session.getState().state?.me?.name).toBe('Ada Quill');
    // The name is offered first the next time.
    expect(settings.getState().personId).toBe('ada');
  });

  it('takes digits only, at most eight, and Enter from four on', async () => {
    const { calls } = await open({ 'POST /api/session': signedIn });
    press(/^Ada Quill/);
    fireEvent.change(pin(), { target: { value: '1a2b' } });
    expect(pin().value).toBe('12');
    fireEvent.keyDown(pin(), { key: 'Enter' });
    expect(calls.some((call) => call.method === 'POST')).toBe(false);
    fireEvent.change(pin(), { target: { value: '1234' } });
    fireEvent.keyDown(pin(), { key: 'Enter' });
    expect(await screen.findByText('the other view')).toBeTruthy();
  });

  it('says a wrong PIN and how long the next try waits, and empties the field', async () => {
    await open({
      'POST /api/session': {
        type: '/problems/wrong-pin',
        title: 'Wrong name or PIN',
        status: 401,
        detail: 'Wrong PIN. The next try has to wait 5 s.',
        waitS: 5,
      },
    });
    press(/^Ada Quill/);
    fireEvent.change(pin(), { target: { value: '9999' } });
    press('Sign in');
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('has to wait 5 s');
    expect(alert.textContent).toContain('5 s');
    await waitFor(() => expect(pin().value).toBe(''));
  });

  it('says who has no PIN, and lets visitors in on the demo shop with one touch', async () => {
    const { calls } = await open({ 'POST /api/session/demo': signedIn });
    press(/^Bo Marrin/);
    expect(screen.getByText(/Ask the office or an owner to set one for Bo Marrin/)).toBeTruthy();
    press('Look around as Bo Marrin');
    expect(await screen.findByText('the other view')).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')).toMatchObject({
      path: '/api/session/demo',
      body: { personId: 'bo' },
    });
  });

  it.each(['//elsewhere.example', '/\\elsewhere.example', 'https://elsewhere.example', '/sign-in', ''])(
    'does not follow %s afterwards',
    async (next) => {
      const { router } = await open(
        { 'POST /api/session/demo': signedIn },
        `/sign-in?next=${encodeURIComponent(next)}`,
      );
      press('Look around as Ada Quill');
      await screen.findByText('the other view');
      expect(router.state.location.pathname).toBe('/today');
    },
  );
});

describe('a shop without an owner', () => {
  const empty = { ...state, shop: { ...state.shop, demo: false }, needsOwner: true, people: [] };

  it('asks for the code that the start printed', async () => {
    const { calls } = await open({ 'GET /api/session': empty, 'POST /api/session/owner': signedIn });
    expect(screen.queryByText('Who are you?')).toBeNull();
    fireEvent.change(screen.getByLabelText('One-time code'), { target: { value: 'ABCD-EFGH-JKLM' } });
    fireEvent.change(screen.getByLabelText('Your name'), { target: { value: 'Ada Quill' } });
    fireEvent.change(screen.getByLabelText(/^PIN, four/), { target: { value: '24x05' } });
    press('Become the owner');
    expect(await screen.findByText('the other view')).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({
      code: 'ABCD-EFGH-JKLM',
      name: 'Ada Quill',
      pin: '2405',
    });
  });

  it('keeps what was typed when the code is wrong', async () => {
    await open({
      'GET /api/session': empty,
      'POST /api/session/owner': {
        type: '/problems/wrong-pin',
        title: 'No',
        status: 401,
        detail: 'That is not the code.',
      },
    });
    fireEvent.change(screen.getByLabelText('Your name'), { target: { value: 'Ada' } });
    press('Become the owner');
    expect((await screen.findAllByText(/That is not the code/)).length).toBeGreaterThan(0);
    expect(screen.getByLabelText<HTMLInputElement>('Your name').value).toBe('Ada');
  });
});
