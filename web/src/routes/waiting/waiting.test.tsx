import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { api, ProblemError } from '../../data/api.ts';
import { discardRecord, waitingRecords } from '../../data/outbox/index.ts';
import { answerFetch, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes, signInAs } from '../../testing/show.tsx';
import { WaitingLine } from '../../parts/waiting-line/index.ts';
import { Waiting } from './index.ts';

const page = (items: unknown[]) => ({ items, next: null });
const refusal = (kind: string, status: number, more: object = {}) => ({
  type: `/problems/${kind}`,
  title: 'Not taken',
  status,
  detail: `because of ${kind}`,
  ...more,
});
const run = { seamId: 'axle', machineId: 'rowan', revision: 1, body: {} };
const handedOver = '/api/observations?kind=handed-over&limit=100';

function open() {
  return showRoutes(
    [
      {
        path: '/waiting',
        Component: () => (
          <>
            <WaitingLine />
            <Waiting />
          </>
        ),
      },
      { path: '/at-machine/:id', Component: () => <p>at the machine</p> },
    ],
    '/waiting',
  );
}

beforeEach(async () => {
  resetSettings();
  for (const { key } of waitingRecords.getState().entries) await discardRecord(key);
});
afterEach(cleanup);
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('waiting records', () => {
  it('say that nothing waits', async () => {
    answerFetch({ [`GET ${handedOver}`]: page([]) });
    open();
    expect(await screen.findByText(/Nothing waits on this device/)).toBeTruthy();
    expect(screen.queryByText(/waits to be sent/)).toBeNull();
  });

  it('are listed with who and what while the server is away, and go when it answers', async () => {
    const table: Record<string, unknown> = { 'POST /api/runs': new TypeError('gone'), [`GET ${handedOver}`]: page([]) };
    answerFetch(table);
    expect(await api.addRun(run)).toBeNull();
    open();
    expect(await screen.findByText('Logged weld')).toBeTruthy();
    expect(screen.getByText(/^Ilse Brandokor, /)).toBeTruthy();
    expect(await screen.findByText(/1 record waits to be sent/)).toBeTruthy();
    table['POST /api/runs'] = { id: 'x' };
    fireEvent.click(screen.getAllByRole('button', { name: 'Try now' })[0]!);
    expect(await screen.findByText(/Nothing waits on this device/)).toBeTruthy();
  });

  it('that were refused name the reason and three ways; discarding asks twice', async () => {
    answerFetch({ 'POST /api/runs': refusal('off-the-list', 409), [`GET ${handedOver}`]: page([]) });
    await expect(api.addRun(run)).rejects.toThrow(ProblemError);
    const router = open();
    expect(await screen.findByText('because of off-the-list')).toBeTruthy();
    expect(await screen.findByText(/1 record was refused and waits for you/)).toBeTruthy();
    const link = screen.getByRole('link', { name: 'Correct it' });
    expect(link.getAttribute('href')).toMatch(/^\/at-machine\/axle\?machine=rowan&refused=/);
    press('Discard');
    expect(waitingRecords.getState().entries).toHaveLength(1);
    press('Discard for good');
    await waitFor(() => expect(waitingRecords.getState().entries).toEqual([]));
    expect(router.state.location.pathname).toBe('/waiting');
  });

  it('are given to a lead hand whole, and stay until the server has them', async () => {
    const table: Record<string, unknown> = {
      'POST /api/runs': refusal('locked', 409),
      'POST /api/observations': new TypeError('gone'),
      [`GET ${handedOver}`]: page([]),
    };
    signInAs('welder', 'Teo Varnholt');
    const { calls } = answerFetch(table);
    await expect(api.addRun(run)).rejects.toThrow();
    open();
    press('Give to a lead hand');
    // Both wait: the record, and its handing over.
    await waitFor(() => expect(waitingRecords.getState().entries).toHaveLength(2));
    table['POST /api/observations'] = { id: 'y' };
    press(/^Give to a lead hand$/);
    await waitFor(() => expect(waitingRecords.getState().entries.some(({ name }) => name === 'addRun')).toBe(false));
    const sent = calls.filter(({ path }) => path === '/api/observations').at(-1)?.body as {
      kind: string;
      body: object;
    };
    expect(sent).toMatchObject({
      kind: 'handed-over',
      seamId: 'axle',
      body: { what: 'addRun', why: 'because of locked', sent: run },
    });
  });

  it('take their photographs along to the lead hand', async () => {
    const photo = { name: 'bead.png', bytes: new Blob(['x'], { type: 'image/png' }) };
    const trial = { seamId: 'axle', machineId: 'rowan', body: {} } as never;
    const { calls } = answerFetch({
      'POST /api/blobs': { sha256: 'a'.repeat(64) },
      'POST /api/trials': refusal('off-the-list', 409),
      'POST /api/observations': { id: 'y' },
      [`GET ${handedOver}`]: page([]),
    });
    await expect(api.addTrial(trial, { files: [photo] })).rejects.toThrow();
    open();
    press('Give to a lead hand');
    await waitFor(() => expect(waitingRecords.getState().entries).toEqual([]));
    expect(calls.find(({ path }) => path === '/api/observations')?.body).toMatchObject({
      kind: 'handed-over',
      attachments: [{ sha256: 'a'.repeat(64), name: 'bead.png' }],
    });
  });

  it('of an older version of what stands are written over it on request, under a new key', async () => {
    const keys: (string | null)[] = [];
    let current = 7;
    answerFetch({
      'PUT /api/machines/rowan/standing': () =>
        current === 7 ? refusal('stale-version', 412, { current: { version: 7 } }) : { id: 'rowan', version: 8 },
      [`GET ${handedOver}`]: page([]),
    });
    const { fetch } = globalThis;
    globalThis.fetch = ((path: string, init?: RequestInit) => {
      if (init?.method === 'PUT') keys.push(new Headers(init.headers).get('if-match'));
      return fetch(path, init);
    }) as typeof globalThis.fetch;
    const standing = {
      process: 'gas-metal',
      polarity: 'electrode-positive',
      feederId: 'f',
      feeders: {},
      dials: {},
      slot: null,
    } as const;
    await expect(api.saveStanding('rowan', 6, standing)).rejects.toThrow();
    open();
    current = 8;
    fireEvent.click(await screen.findByRole('button', { name: 'Save it over the present one' }));
    await waitFor(() => expect(waitingRecords.getState().entries).toEqual([]));
    expect(keys).toEqual(['"6"', '"7"']);
  });

  it('handed over are shown to a lead hand with everything in them, and settled with a word', async () => {
    const row = {
      id: '00000000-0000-4000-8000-000000000001',
      row: 1,
      kind: 'handed-over',
      at: when,
      deviceAt: null,
      recordedBy: 'Teo Varnholt',
      sentBy: null,
      weldedBy: null,
      machineId: null,
      seamId: null,
      revision: null,
      contentHash: null,
      corrects: null,
      body: {
        what: 'addRun',
        about: 'Logged weld, Axle',
        why: 'off the list',
        params: {},
        sent: { revision: 4, body: { seconds: 31 } },
      },
      attachments: [],
    };
    const { calls } = answerFetch({
      [`GET ${handedOver}`]: page([row]),
      'POST /api/observations': { ...row, id: 'z', kind: 'withdrawal', corrects: row.id },
    });
    open();
    expect(await screen.findByText('Logged weld, Axle')).toBeTruthy();
    expect(screen.getByText('body.seconds').nextSibling?.textContent).toBe('31');
    fireEvent.change(screen.getByLabelText('Result'), { target: { value: 'entered by hand' } });
    press('Settled');
    await waitFor(() =>
      expect(calls.find(({ method }) => method === 'POST')?.body).toEqual({
        kind: 'withdrawal',
        corrects: row.id,
        body: { why: 'entered by hand' },
      }),
    );
    // A welder sees none of them.
    cleanup();
    signInAs('welder');
    open();
    await screen.findByRole('heading', { level: 1 });
    expect(screen.queryByText('Logged weld, Axle')).toBeNull();
  });
});
