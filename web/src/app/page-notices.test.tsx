import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { serverVersion } from '../data/client.ts';
import { deviceTrouble } from '../lib/device.ts';
import { announce, notices } from '../lib/notices.ts';
import { resetSettings, showRoutes } from '../testing/show.tsx';
import { PageNotices, StandingTroubles } from './page-notices.tsx';

const loads = jest.fn(() => null);
const open = () =>
  showRoutes(
    [
      {
        path: '/',
        loader: loads,
        Component: () => (
          <>
            <StandingTroubles />
            <PageNotices />
          </>
        ),
        HydrateFallback: () => null,
      },
    ],
    '/',
  );

beforeEach(() => {
  resetSettings();
  notices.setState({ shown: [] });
  deviceTrouble.setState({ trouble: null });
  serverVersion.setState({ differs: false });
});
afterEach(cleanup);

describe('notices over the page', () => {
  it('undo what they tell of, read the page again, and go', async () => {
    open();
    const undo = jest.fn(() => Promise.resolve());
    act(() => announce({ level: 'note', text: 'Corner is off the list.', undo }));
    const before = loads.mock.calls.length;
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(screen.queryByText(/off the list/)).toBeNull());
    expect(undo).toHaveBeenCalledTimes(1);
    expect(loads.mock.calls.length).toBeGreaterThan(before);
  });

  it('stay and say why when it could not be undone', async () => {
    open();
    act(() =>
      announce({ level: 'note', text: 'Moved.', undo: () => Promise.reject(new Error('The server is away.')) }),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(await screen.findByText(/Not undone: The server is away\./)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Dismiss' }));
    expect(screen.queryByText(/Moved/)).toBeNull();
  });
});

describe('what is not well while it lasts', () => {
  it('is said of the device, and gone when it is over', async () => {
    open();
    act(() => deviceTrouble.setState({ trouble: 'forbidden' }));
    expect((await screen.findByRole('alert')).textContent).toContain('The browser forbids it');
    act(() => deviceTrouble.setState({ trouble: null }));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('is said of a server of another version', async () => {
    open();
    act(() => serverVersion.setState({ differs: true }));
    expect((await screen.findByRole('alert')).textContent).toContain('reload before you save');
  });
});
