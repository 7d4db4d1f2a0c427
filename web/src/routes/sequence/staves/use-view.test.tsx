import { afterEach, describe, expect, it } from '@jest/globals';
import { scoreOf } from '@fox-tempo/core/weld/score';
import { plainSequence } from '@fox-tempo/core/weld/sequence';
import { act, cleanup, renderHook } from '@testing-library/react';
import { program } from '../../../testing/shop.ts';
import { useView } from './use-view.ts';

afterEach(cleanup);

const made = scoreOf(
  { ...program(), sequence: { ...plainSequence, trigger: 'latch' } },
  { lengthMm: 1500, thicknessMm: 3 },
);
if (!made.ok) throw new Error('refused');
const { played, untilS } = made.value.score;
const open = (width = 800) => renderHook(() => useView(played, untilS, width)).result;

describe('the view of a score', () => {
  it('begins whole and folded, and unfolds', () => {
    const view = open();
    expect([view.current.isWhole, view.current.folded, view.current.canFold]).toEqual([true, true, true]);
    const folded = view.current.map.room;
    act(() => view.current.setFolded(false));
    expect(view.current.folded).toBe(false);
    expect(view.current.map.room).toBeGreaterThan(folded);
    expect(view.current.canFold).toBe(true);
  });

  it('zooms in, scrolls, and comes back to the whole by zooming out or by asking', () => {
    const view = open();
    const whole = view.current.window;
    act(() => view.current.zoom(4, 400));
    expect(view.current.isWhole).toBe(false);
    const { from } = view.current.window;
    act(() => view.current.scroll(100));
    expect(view.current.window.from).toBeCloseTo(from + 100 / view.current.window.pxPerS, 6);
    act(() => view.current.zoom(0.001));
    expect(view.current.isWhole).toBe(true);
    act(() => view.current.zoom(3));
    act(() => view.current.whole());
    expect(view.current.window).toEqual(whole);
  });

  it('does not scroll while all is seen', () => {
    const view = open();
    act(() => view.current.scroll(500));
    expect(view.current.window.from).toBe(0);
  });

  it('shows a stretch with some room beside it', () => {
    const view = open();
    act(() => view.current.show(0, 2));
    const { from, pxPerS } = view.current.window;
    expect(from).toBe(0);
    expect(2 * pxPerS).toBeCloseTo(0.7 * 800, 6);
  });

  it('has nothing to fold on a short seam', () => {
    const short = scoreOf({ ...program(), sequence: plainSequence }, { lengthMm: 40, thicknessMm: 3 });
    if (!short.ok) throw new Error('refused');
    const view = renderHook(() => useView(short.value.score.played, short.value.score.untilS, 800)).result;
    expect([view.current.canFold, view.current.folded]).toEqual([false, false]);
  });
});
