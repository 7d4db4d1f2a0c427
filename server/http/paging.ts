/** Cursor paging: the cursor is the sort key and id of the last row of the page before. */
import { message } from '@fox-tempo/words';
import { pageQuery, parseWith, type Page } from '@fox-tempo/contract';
import type { Request } from 'express';
import { HttpProblem, orProblem } from './problem.ts';

export interface PageRequest {
  readonly limit: number;
  /** Sort key and id of the row to go on after. */
  readonly after: readonly [string, string] | undefined;
}

export function pageRequest(request: Request): PageRequest {
  const { limit, cursor } = orProblem(parseWith(pageQuery, request.query));
  return { limit, after: cursor === undefined ? undefined : readCursor(cursor) };
}

/** Cuts a list that was asked for with one row more than the limit. */
export function toPage<Row, Item>(
  rows: readonly Row[],
  limit: number,
  key: (row: Row) => readonly [string, string],
  item: (row: Row) => Item,
): Page<Item> {
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return {
    items: shown.map(item),
    next:
      rows.length > limit && last !== undefined ? Buffer.from(JSON.stringify(key(last))).toString('base64url') : null,
  };
}

function readCursor(cursor: string): readonly [string, string] {
  try {
    const value: unknown = JSON.parse(Buffer.from(cursor, 'base64url').toString('utf8'));
    if (Array.isArray(value) && typeof value[0] === 'string' && typeof value[1] === 'string')
      return [value[0], value[1]];
  } catch {
    // Falls through to the refusal: a cursor is only ever one that this server handed out.
  }
  throw new HttpProblem('invalid-input', message('server.http.error.cursor'), {
    issues: [{ path: 'cursor', code: 'unknown-cursor', message: message('server.http.error.cursor'), got: cursor }],
  });
}
