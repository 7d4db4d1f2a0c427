import { afterEach, describe, expect, it } from '@jest/globals';
import { noTune } from '@fox-tempo/core/machine/tuning';
import { act, cleanup, renderHook } from '@testing-library/react';
import { answerFetch, alder, choice, revision, rowan, seam } from '../../testing/shop.ts';
import { resetSettings } from '../../testing/show.tsx';
import { useSheetSession } from '../../sheet/session.ts';
import { useSetting } from './use-setting.ts';

afterEach(() => {
  cleanup();
  resetSettings();
});

const open = (loaded = seam(), machine = rowan) =>
  renderHook(() => {
    const session = useSheetSession(loaded, [machine]);
    return { ...session, ...useSetting(session) };
  }).result;

describe('a setting on the bench', () => {
  it('begins as the plan, and a move of the trim solves the pulse again', () => {
    const setting = open();
    expect(setting.current.edited).toBe(false);
    const before = setting.current.program!;
    act(() => setting.current.move('trimMm', before.trimMm + 2, 'follow-line'));
    const now = setting.current.program!;
    expect(now.trimMm).toBeCloseTo(before.trimMm + 2, 9);
    // A longer arc leaves less wire out of the tip to be warmed: the same feed takes more current from the pulse.
    expect(now.pulse!.frequencyHz * now.pulse!.backgroundCurrentA).not.toBe(
      before.pulse!.frequencyHz * before.pulse!.backgroundCurrentA,
    );
    expect(setting.current.edited).toBe(true);
  });

  it('keeps the arc’s length or the volts when the feed moves, as the welder’s habit is', () => {
    const setting = open();
    const { trimMm, wireFeedMPerMin } = setting.current.program!;
    act(() => setting.current.move('wireFeedMPerMin', wireFeedMPerMin + 1.5, 'hold-length'));
    expect(setting.current.program!.trimMm).toBeCloseTo(trimMm, 9);
    act(() => setting.current.undo());
    act(() => setting.current.move('wireFeedMPerMin', wireFeedMPerMin + 1.5, 'hold-volts'));
    expect(setting.current.program!.trimMm).toBeLessThan(trimMm);
  });

  it('takes one drag as one step to undo, and two drags as two', () => {
    const setting = open();
    const feed = setting.current.program!.wireFeedMPerMin;
    for (const by of [0.1, 0.2, 0.3]) act(() => setting.current.moveBoth({ wireFeedMPerMin: feed + by, trimMm: -by }));
    act(() => setting.current.settle());
    act(() => setting.current.moveBoth({ wireFeedMPerMin: feed + 1, trimMm: -1 }));
    act(() => setting.current.undo());
    expect(setting.current.program!.trimMm).toBeCloseTo(-0.3, 9);
    act(() => setting.current.undo());
    expect(setting.current.program!.wireFeedMPerMin).toBeCloseTo(feed, 9);
    expect(setting.current.canUndo).toBe(false);
    act(() => setting.current.redo());
    act(() => setting.current.redo());
    expect(setting.current.program!.trimMm).toBeCloseTo(-1, 9);
  });

  it('says what is not to be had, with limit and value, and keeps showing the last that works', () => {
    const setting = open();
    act(() => setting.current.move('trimMm', 1, 'follow-line'));
    act(() => setting.current.move('trimMm', 40, 'follow-line'));
    expect(setting.current.issues[0]).toMatchObject({ path: expect.stringContaining('trimMm'), got: 40 });
    expect(setting.current.program!.trimMm).toBe(1);
  });

  it('puts one line back to what is stored and leaves the others', () => {
    const tuned = { ...choice, tune: { ...noTune, trimMm: -1, stiffness: 2 } };
    const setting = open(seam({ choice: tuned, revision: revision(1, { choice: tuned }) }));
    act(() => setting.current.move('trimMm', 2, 'follow-line'));
    act(() => setting.current.move('stiffness', 5, 'follow-line'));
    act(() => setting.current.putBack('trimMm'));
    expect(setting.current.tune).toMatchObject({ trimMm: -1, stiffness: 5 });
  });

  it('takes a held setting back as it was', () => {
    const setting = open(seam(), alder);
    const held = setting.current.program!;
    act(() => setting.current.moveBoth({ wireFeedMPerMin: held.wireFeedMPerMin + 1, trimMm: 2 }));
    act(() => setting.current.move('peakCurrentA', held.pulse!.peakCurrentA - 20, 'follow-line'));
    act(() => setting.current.replace(held));
    const now = setting.current.program!;
    expect(now.wireFeedMPerMin).toBeCloseTo(held.wireFeedMPerMin, 9);
    expect(now.trimMm).toBeCloseTo(held.trimMm, 9);
    // Peak and its time are held as figures; the frequency comes out of them again.
    expect(now.pulse!.frequencyHz).toBeCloseTo(held.pulse!.frequencyHz, 3);
  });

  it('keeps the draft over a reload, and over a save that fails', async () => {
    const first = open();
    act(() => first.current.move('trimMm', -2, 'follow-line'));
    cleanup();
    const again = open();
    expect(again.current.program!.trimMm).toBe(-2);
    answerFetch({});
    await act(() => again.current.save());
    expect(again.current.saving.kind).toBe('failed');
    expect(again.current.edited).toBe(true);
    expect(again.current.program!.trimMm).toBe(-2);
  });
});
