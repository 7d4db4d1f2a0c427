/** Renders a piece of the interface as the application would: theme, settings, and a router where links or loaders are needed. */
import { ChakraProvider } from '@chakra-ui/react';
import { configure, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider, type RouteObject } from 'react-router';
import type { Role } from '@fox-tempo/contract';
import { session } from '../session/session.ts';
import { settings } from '../session/settings.ts';
import { system } from '../ui/theme/system.ts';

// A busy machine may take seconds over the first view; waiting longer costs nothing when all is well.
configure({ asyncUtilTimeout: 20_000 });

export function show(element: ReactNode) {
  return render(<ChakraProvider value={system}>{element}</ChakraProvider>);
}

/** Renders routes at an address; a loader's answer is given as it is. */
export function showRoutes(routes: RouteObject[], at: string) {
  const router = createMemoryRouter(routes, { initialEntries: [at] });
  show(<RouterProvider router={router} />);
  return router;
}

/** Signed in as the lead hand of the small shop, who may do nearly everything. */
export function signInAs(role: Role, name = 'Ilse Brandokor'): void {
  const shop = { name: 'Test shop', timeZone: 'Europe/Berlin', demo: true, thicknessRule: 'leaning' as const };
  session.getState().take({
    me: {
      id: 'someone',
      name,
      role,
      preferences: { language: null, units: null, theme: null, hand: null },
      ticket: 'someone.1.x',
      wrongTries: null,
    },
    shop,
    needsOwner: false,
    people: [],
  });
}

export function resetSettings(): void {
  signInAs('lead');
  settings.setState({
    language: 'en',
    hand: 'right',
    units: 'metric',
    theme: 'day',
    personId: null,
    machineId: null,
    machineOfSeam: {},
  });
  localStorage.clear();
}
