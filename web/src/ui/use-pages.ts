/** Rows of a long list, page after page, as the server gives them; a row that was changed takes its place. */
import { useState } from 'react';

export interface RowPage<Row> {
  readonly items: readonly Row[];
  /** Where the next page begins; null after the last. */
  readonly next: string | null;
}

export interface Pages<Row> {
  readonly rows: readonly Row[];
  /** Fetches the next page; null after the last. */
  readonly onOlder: (() => Promise<void>) | null;
  readonly replace: (row: Row) => void;
}

export function usePages<Row extends { readonly id: string }>(
  first: RowPage<Row>,
  ask: (cursor: string) => Promise<RowPage<Row>>,
): Pages<Row> {
  const [{ items, next }, setPages] = useState(first);
  return {
    rows: items,
    onOlder:
      next === null
        ? null
        : async () => {
            const page = await ask(next);
            setPages((before) => ({ items: [...before.items, ...page.items], next: page.next }));
          },
    replace: (row) =>
      setPages((before) => ({ ...before, items: before.items.map((one) => (one.id === row.id ? row : one)) })),
  };
}
