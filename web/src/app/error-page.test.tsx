import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { ProblemError } from '../data/client.ts';
import { resetSettings, showRoutes } from '../testing/show.tsx';
import { ErrorPage } from './error-page.tsx';

const problem = (kind: 'not-found' | 'not-signed-in' | 'database-away', status: number) =>
  new ProblemError(kind, { type: `/problems/${kind}`, title: `title of ${kind}`, status, detail: 'What happened.' });
const open = (loader: () => unknown) =>
  showRoutes(
    [
      {
        path: '/seams/:id',
        loader,
        Component: () => <h1>The seam</h1>,
        ErrorBoundary: ErrorPage,
        HydrateFallback: () => null,
      },
    ],
    '/seams/axle?part=x',
  );
const failing = (error: unknown) => () => {
  throw error;
};

beforeEach(resetSettings);
afterEach(cleanup);

describe('a view that cannot be shown', () => {
  it('says what happened and what is safe; what is not there is not tried again', async () => {
    open(failing(problem('not-found', 404)));
    expect(await screen.findByRole('heading', { name: 'title of not-found' })).toBeTruthy();
    expect(screen.getByText(/What happened\. Drafts on this device are kept\./)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
    expect(screen.getByRole('link', { name: 'Go to Today' })).toBeTruthy();
  });

  it('is tried again where that can help', async () => {
    let isAway = true;
    open(() => {
      if (isAway) throw problem('database-away', 503);
      return null;
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Try again' }));
    expect(await screen.findByRole('heading', { name: 'title of database-away' })).toBeTruthy();
    isAway = false;
    await waitFor(() => fireEvent.click(screen.getByRole('button', { name: 'Try again' })));
    expect(await screen.findByRole('heading', { name: 'The seam' })).toBeTruthy();
  });

  it('leads to the sign-in and back where nobody is signed in', async () => {
    open(failing(problem('not-signed-in', 401)));
    const link = await screen.findByRole('link', { name: 'Sign in' });
    expect(link.getAttribute('href')).toContain(encodeURIComponent('/seams/axle?part=x'));
  });

  it('says a bug is one, and leaves its cause where it is looked for', async () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const bug = new Error('x is not a function');
    open(failing(bug));
    expect(await screen.findByRole('heading', { name: 'This page failed' })).toBeTruthy();
    expect(quiet).toHaveBeenCalledWith(bug);
    quiet.mockRestore();
  });
});
