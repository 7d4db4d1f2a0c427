import { describe, expect, it } from '@jest/globals';
import { createRowCache } from './row-cache.ts';

describe('rows kept by key', () => {
  const loads: string[][] = [];
  const load = (missing: readonly string[]) => {
    loads.push([...missing]);
    return Promise.resolve(new Map(missing.filter((key) => key !== 'none').map((key) => [key, key.toUpperCase()])));
  };

  it('are loaded once, in one go, and absent ones stay absent', async () => {
    const cache = createRowCache<string>(10);
    expect([...(await cache.get(['a', 'b', 'a', 'none'], load))]).toEqual([
      ['a', 'A'],
      ['b', 'B'],
    ]);
    expect([...(await cache.get(['b', 'c'], load))]).toEqual([
      ['b', 'B'],
      ['c', 'C'],
    ]);
    expect(loads).toEqual([['a', 'b', 'none'], ['c']]);
  });

  it('leave in the order they came, and are still answered in the answer that brought them', async () => {
    const cache = createRowCache<string>(2);
    loads.length = 0;
    expect([...(await cache.get(['a', 'b', 'c'], load)).keys()]).toEqual(['a', 'b', 'c']);
    await cache.get(['a', 'c'], load);
    expect(loads).toEqual([['a', 'b', 'c'], ['a']]);
  });
});
