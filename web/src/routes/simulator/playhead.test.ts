import { describe, expect, it } from '@jest/globals';
import { simulate } from '@fox-tempo/core/weld/simulation';
import { momentAt, rowAt } from '../../parts/arc-view/index.ts';
import { createPlayhead } from './playhead.ts';

describe('the moment shared by arc, chart and cursor', () => {
  it('runs round, stays inside and tells who listens', () => {
    const playhead = createPlayhead(0.25, 0.75);
    const heard: number[] = [];
    const leave = playhead.listen((timeS) => heard.push(timeS));
    playhead.advance(0.4);
    playhead.advance(0.2);
    playhead.seek(9);
    leave();
    playhead.seek(0.3);
    expect(heard.map((timeS) => Number(timeS.toFixed(6)))).toEqual([0.65, 0.35, 0.75]);
    expect(playhead.timeS()).toBe(0.3);
  });

  it('steps to just behind the next drop, and from the last to the first', () => {
    const playhead = createPlayhead(0, 1);
    const drops = Float64Array.of(0.2, 0.4);
    playhead.nextOf(drops);
    expect(playhead.timeS()).toBeCloseTo(0.2002, 6);
    playhead.nextOf(drops);
    expect(playhead.timeS()).toBeCloseTo(0.4002, 6);
    playhead.nextOf(drops);
    expect(playhead.timeS()).toBeCloseTo(0.2002, 6);
  });
});

describe('the picture of a moment', () => {
  const run = simulate(
    {
      filler: 'steel-solid',
      gas: 'M21-ArC-18',
      diameterMm: 1.2,
      wireFeedMPerMin: 5.5,
      ctwdMm: 17.5,
      seconds: 0.1,
      seed: 3,
      source: { kind: 'pulse', trim: 0 },
    },
    1e-4,
  );
  if (!run.ok) throw new Error('the arc burns');

  it('is read from the row of that time', () => {
    const { timeS } = run.value.trace;
    for (const at of [0, 17, timeS.length - 1]) expect(rowAt(run.value, timeS[at]! + 1e-6)).toBe(at);
    expect(rowAt(run.value, -1)).toBe(0);
  });

  it('fills the gap with wire and arc, and drops fall after they have left', () => {
    const left = run.value.dropAtS[2]!;
    const before = momentAt(run.value, left - 1e-4);
    const after = momentAt(run.value, left + 1e-3);
    expect(after.falling.length).toBe(before.falling.length + 1);
    expect(after.dropMm3).toBeLessThan(before.dropMm3);
    // What is neither wire nor arc is the pendant drop: well under two diameters.
    expect(Math.abs(after.gapMm - after.extensionMm - after.arcLengthMm)).toBeLessThan(2.4);
  });
});
