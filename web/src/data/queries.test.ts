import { beforeEach, describe, expect, it } from '@jest/globals';
import { answerFetch, seam } from '../testing/shop.ts';
import { api, ProblemError } from './api.ts';
import { serverVersion } from './client.ts';

const seams = { 'GET /api/seams': { items: [seam()], next: null }, 'GET /api/seams/axle': seam() };
const reads = (calls: { method: string; path: string }[], path: string) =>
  calls.filter((call) => call.method === 'GET' && call.path === path).length;

describe('what the server owns', () => {
  beforeEach(() => serverVersion.setState({ differs: false }));

  it('is read once by views that follow one another, and anew after any write', async () => {
    const { calls } = answerFetch({ ...seams, 'PUT /api/seams/axle': seam({ version: 2 }) });
    await api.seam('axle');
    await api.seam('axle');
    expect(reads(calls, '/api/seams/axle')).toBe(1);
    await api.saveSeam('axle', 1, { spec: seam().spec, choice: seam().choice! });
    await api.seam('axle');
    expect(reads(calls, '/api/seams/axle')).toBe(2);
  });

  it('shares one question of two that ask at once, and keeps no refusal', async () => {
    let isAway = true;
    const { calls } = answerFetch({
      'GET /api/seams/axle': () =>
        isAway ? { type: '/problems/database-away', title: 'away', status: 503, detail: 'away' } : seam(),
    });
    const both = await Promise.allSettled([api.seam('axle'), api.seam('axle')]);
    expect(both.map(({ status }) => status)).toEqual(['rejected', 'rejected']);
    expect(reads(calls, '/api/seams/axle')).toBe(1);
    isAway = false;
    expect((await api.seam('axle')).id).toBe('axle');
  });

  it('counts as old when a write finds that somebody was first', async () => {
    const { calls } = answerFetch({
      ...seams,
      'PUT /api/seams/axle': { type: '/problems/stale-version', title: 'Old', status: 412, current: seam({ version: 3 }) },
    });
    await api.seam('axle');
    await expect(api.saveSeam('axle', 1, { spec: seam().spec, choice: seam().choice! })).rejects.toBeInstanceOf(ProblemError);
    await api.seam('axle');
    expect(reads(calls, '/api/seams/axle')).toBe(2);
  });

  it('follows a list over its pages', async () => {
    answerFetch({
      'GET /api/seams': { items: [seam()], next: 'more' },
      'GET /api/seams?cursor=more': { items: [seam({ id: 'sink' })], next: null },
    });
    expect((await api.seams()).map(({ id }) => id)).toEqual(['axle', 'sink']);
  });

  it('says when the server was built with another contract', async () => {
    answerFetch(seams);
    const plain = globalThis.fetch;
    globalThis.fetch = async (...of) => {
      const response = await plain(...of);
      return Object.assign(response, { headers: new Headers({ 'fox-tempo-contract': '0' }) });
    };
    await api.seam('axle');
    expect(serverVersion.getState().differs).toBe(true);
  });
});
