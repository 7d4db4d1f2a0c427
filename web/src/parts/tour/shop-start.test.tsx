import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import type { MachineResource, SeamResource, Stock } from '@fox-tempo/contract';
import { answerFetch, parts, rowan, seam, stock, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { useIsNewShop } from './index.ts';
import { ShopStart } from './shop-start.tsx';

const page = (items: unknown[]) => ({ items, next: null });
const empty: Stock = { cylinders: [], spools: [] };
const connected: Stock = {
  ...stock,
  spools: [
    {
      id: 'wire',
      version: 1,
      name: 'Steel 1.0',
      filler: 'steel-solid',
      diameterMm: 1,
      massKg: 12,
      machineId: 'rowan',
      retired: false,
      changedAt: when,
      changedBy: 'Teo Varnholt',
    },
  ],
};

interface Has {
  readonly parts?: readonly unknown[];
  readonly machines?: readonly MachineResource[];
  readonly seams?: readonly SeamResource[];
  readonly stock?: Stock;
  readonly runs?: readonly unknown[];
}

async function steps({ parts: some = [], machines = [], seams = [], stock: kept = empty, runs = [] }: Has) {
  answerFetch({ 'GET /api/parts': page([...some]), 'GET /api/runs?limit=1': page([...runs]) });
  function Start() {
    return useIsNewShop() ? <ShopStart machines={machines} seams={seams} stock={kept} /> : <p>{'not shown'}</p>;
  }
  showRoutes([{ path: '/', Component: Start }], '/');
  if (runs.length > 0) return [];
  await screen.findByText('From an empty shop to the first logged weld');
  return screen
    .getAllByRole('listitem')
    .map((one) => [one.textContent?.slice(0, 1), one.querySelector('a')?.getAttribute('href')]);
}

beforeEach(resetSettings);
afterEach(cleanup);

describe('from an empty shop to the first weld', () => {
  it('begins with a part and leads on, each step with its link', async () => {
    expect(await steps({})).toEqual([
      ['→', '/shop/parts'],
      ['○', '/machines?new=1'],
      ['○', '/machines'],
      ['○', '/library/stock'],
      ['○', '/seams?new=1'],
      ['○', '/seams?new=1'],
      ['○', '/seams?new=1'],
    ]);
  });

  it('ticks what is there, in whichever order it was done', async () => {
    const described = { ...rowan, standing: null };
    const found = await steps({ parts, machines: [described], stock: connected });
    expect(found.map(([mark]) => mark)).toEqual(['●', '●', '→', '●', '○', '○', '○']);
    expect(found[2]).toEqual(['→', '/machines/rowan/standing']);
  });

  it('ends at the machine, with the card of the seam that has a setting', async () => {
    const found = await steps({
      parts,
      machines: [rowan],
      stock: connected,
      seams: [seam({ id: 'a', revision: null }), seam({ id: 'b' })],
    });
    expect(found.at(-1)).toEqual(['→', '/at-machine/b']);
  });

  it('is gone with the first logged weld', async () => {
    await steps({ runs: [{ id: 'x' }] });
    expect(await screen.findByText('not shown')).toBeTruthy();
    expect(screen.queryByText('From an empty shop to the first logged weld')).toBeNull();
  });
});
