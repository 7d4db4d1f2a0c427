import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Request } from 'express';
import { pageRequest, toPage } from './paging.ts';
import { HttpProblem } from './problem.ts';
import { isoTime } from './timestamp.ts';
import { basedOn } from './version.ts';

const withQuery = (query: Record<string, unknown>) => ({ query }) as unknown as Request;
const withHeader = (value: string | undefined) => ({ get: () => value }) as unknown as Request;
function statusOf(run: () => unknown): number {
  try {
    run();
  } catch (error) {
    if (error instanceof HttpProblem) return error.body.status;
    throw error;
  }
  return 200;
}

describe('paging', () => {
  it('hands out cursors that bring the key of the last row back', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (sortKey, id) => {
        const page = toPage(
          [
            { sortKey, id },
            { sortKey: 'more', id: 'more' },
          ],
          1,
          (row) => [row.sortKey, row.id],
          (row) => row.id,
        );
        expect(page.items).toEqual([id]);
        expect(pageRequest(withQuery({ cursor: page.next ?? '' })).after).toEqual([sortKey, id]);
      }),
    );
  });

  it('ends with no cursor, and keeps to its limits', () => {
    expect(
      toPage(
        [1, 2],
        2,
        () => ['', ''],
        (row) => row,
      ),
    ).toEqual({ items: [1, 2], next: null });
    expect(pageRequest(withQuery({}))).toEqual({ limit: 100, after: undefined });
    expect(statusOf(() => pageRequest(withQuery({ limit: '0' })))).toBe(422);
    expect(statusOf(() => pageRequest(withQuery({ limit: 'many' })))).toBe(422);
  });

  it('refuses any other text as a cursor, without a throw of another kind', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 60 }), (cursor) =>
        expect([200, 422]).toContain(statusOf(() => pageRequest(withQuery({ cursor })))),
      ),
    );
  });
});

describe('versions', () => {
  it('read an ETag, strong or weak, and nothing else', () => {
    expect(basedOn(withHeader('"17"'))).toBe(17);
    expect(basedOn(withHeader('W/"3"'))).toBe(3);
    for (const bad of [undefined, '', '3', '"x"', '*', '"99999999999"'])
      expect(statusOf(() => basedOn(withHeader(bad)))).toBe(428);
  });
});

describe('times', () => {
  it('are ISO 8601 in UTC whatever PostgreSQL’s session says', () => {
    expect(isoTime('2026-11-24 04:05:06.789+01')).toBe('2026-11-24T03:05:06.789Z');
  });
});
