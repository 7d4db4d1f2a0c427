import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import type { SheetSession } from '../../sheet/session.ts';
import { sheetOf } from '../../sheet/sheet.ts';
import type { Sheet } from '../../sheet/sheet-fields.ts';
import { choice, seam, spec } from '../../testing/shop.ts';
import { resetSettings, show } from '../../testing/show.tsx';
import { Conflict } from './conflict.tsx';

const base = sheetOf(seam());

function open(mine: Sheet, theirs: Partial<Sheet>) {
  const keepMine = jest.fn<SheetSession['keepMine']>(() => Promise.resolve());
  const takeTheirs = jest.fn<SheetSession['takeTheirs']>();
  const stored = seam({
    version: 3,
    changedBy: 'Mirja Keskalo',
    spec: { ...spec, ...theirs.spec },
    choice: { ...choice, ...theirs.choice },
  });
  const session = {
    sheet: mine,
    store: { getState: () => ({ base: { sheet: base } }) },
    keepMine,
    takeTheirs,
  } as unknown as SheetSession;
  show(<Conflict session={session} stored={stored} />);
  return { keepMine, takeTheirs, stored };
}
const side = (line: RegExp, whose: 'yours' | 'the stored one') =>
  screen.getByRole<HTMLInputElement>('radio', { name: new RegExp(`^${line.source}: ${whose}$`, 'i') });

beforeEach(resetSettings);
afterEach(cleanup);

describe('two versions of a seam', () => {
  const mine: Sheet = { ...base, spec: { ...base.spec, lengthMm: 260 } };
  const grade = { spec: { ...base.spec, grade: 'S355' } };

  it('proposes of each line what only one side changed, and saves both together', () => {
    const { keepMine, stored } = open(mine, grade);
    expect(screen.getByText(/Mirja Keskalo/, { selector: 'div' })).toBeTruthy();
    expect(side(/.*length.*/, 'yours').checked).toBe(true);
    expect(side(/.*grade.*/, 'the stored one').checked).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: /^Save both together/ }));
    expect(keepMine).toHaveBeenCalledWith(
      stored,
      expect.objectContaining({ spec: expect.objectContaining({ lengthMm: 260, grade: 'S355' }) }),
    );
  });

  it('takes a line from the other side when it is asked to, and mine alone or theirs alone', () => {
    const { keepMine, takeTheirs, stored } = open(mine, grade);
    fireEvent.click(side(/.*length.*/, 'the stored one'));
    fireEvent.click(screen.getByRole('button', { name: /^Save both together/ }));
    expect(keepMine).toHaveBeenLastCalledWith(
      stored,
      expect.objectContaining({ spec: expect.objectContaining({ lengthMm: base.spec.lengthMm, grade: 'S355' }) }),
    );
    fireEvent.click(screen.getByRole('button', { name: /^Keep only mine/ }));
    expect(keepMine).toHaveBeenLastCalledWith(stored, mine);
    fireEvent.click(screen.getByRole('button', { name: /^Take the stored one/ }));
    expect(takeTheirs).toHaveBeenCalledWith(stored);
  });

  it('says which lines both changed, and proposes nothing of theirs where only mine differs', () => {
    open(mine, { spec: { ...base.spec, lengthMm: 300 } });
    expect(screen.getByText('both changed it', { exact: false })).toBeTruthy();
    cleanup();
    const { keepMine, stored } = open(mine, {});
    fireEvent.click(screen.getByRole('button', { name: /^Keep mine/ }));
    expect(keepMine).toHaveBeenCalledWith(stored, expect.objectContaining({ spec: mine.spec }));
  });
});
