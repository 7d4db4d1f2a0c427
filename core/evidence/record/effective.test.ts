/** Rows are never changed: what counts is their sum, in the order in which they arrived. */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { effective, type ObservedRow } from './index.ts';

const row = (at: number, corrects: string | null = null, kind = 'note'): ObservedRow => ({
  id: `r${at}`,
  row: at,
  kind,
  corrects,
});

describe('rows of observations', () => {
  it('put a correction in the place of what it corrects, also the correction of a correction', () => {
    const rows = [row(1), row(2), row(3, 'r1'), row(4, 'r3')];
    expect(effective(rows).map(({ id }) => id)).toEqual(['r4', 'r2']);
  });

  it('leave out what was taken back, whichever of its forms is named', () => {
    expect(effective([row(1), row(2, 'r1'), row(3, 'r1', 'withdrawal')])).toEqual([]);
    expect(effective([row(1), row(2, 'r1'), row(3, 'r2', 'withdrawal')])).toEqual([]);
  });

  it('are not brought back by a correction that arrives after the withdrawal', () => {
    expect(effective([row(1), row(2, 'r1', 'withdrawal'), row(3, 'r1')])).toEqual([]);
  });

  it('come to the same in whatever order they are read', () => {
    const rows = [row(1), row(2), row(3, 'r1'), row(4, 'r2', 'withdrawal'), row(5)];
    fc.assert(
      fc.property(fc.shuffledSubarray(rows, { minLength: rows.length }), (mixed) => {
        expect(effective(mixed)).toEqual(effective(rows));
      }),
    );
  });
});
