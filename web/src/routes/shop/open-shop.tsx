/** Opens one part of the shop's view before answers made up for a test. */
import { screen } from '@testing-library/react';
import type { Person, Role } from '@fox-tempo/contract';
import { ErrorPage } from '../../app/error-page.tsx';
import { answerFetch, order, parts, shopState } from '../../testing/shop.ts';
import { showRoutes, signInAs } from '../../testing/show.tsx';
import { loadShop, Shop } from './index.ts';

export const page = (items: unknown[], next: string | null = null) => ({ items, next });
export const person = (change: Partial<Person>): Person => ({
  id: 'teo',
  name: 'Teo Varnholt',
  role: 'welder',
  version: 3,
  retired: false,
  hasPin: true,
  wrongTries: null,
  language: null,
  units: null,
  ...change,
});
export const people = [person({}), person({ id: 'mirja', name: 'Mirja Keskalo', role: 'owner', hasPin: false })];
export async function openShop(part: string, role: Role, table: Record<string, unknown> = {}) {
  signInAs(role);
  const answered = answerFetch({
    'GET /api/shop': shopState,
    'GET /api/people': page(people),
    'GET /api/parts': page(parts),
    'GET /api/orders': page([order(), order({ id: 'o9', number: 'MC 9', closed: true, version: 4 })]),
    ...table,
  });
  showRoutes(
    [
      {
        path: '/shop/:part?',
        Component: Shop,
        loader: loadShop,
        ErrorBoundary: ErrorPage,
        HydrateFallback: () => null,
      },
    ],
    `/shop${part}`,
  );
  await screen.findByRole('heading', { level: 1, name: 'Test shop' });
  return answered;
}
