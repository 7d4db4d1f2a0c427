import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { drivenArc, longestSliceS } from './driven.ts';
import type { SimulationInput } from './input.ts';
import { simulate } from './simulate.ts';

const steel: SimulationInput = {
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1.2,
  wireFeedMPerMin: 8,
  ctwdMm: 18,
  seconds: 1,
  seed: 4,
  source: { kind: 'pulse' },
};
function begin(input: SimulationInput = steel) {
  const begun = drivenArc(input, 1e-4);
  if (!begun.ok) throw new Error(inEnglish(begun.issues[0]?.message));
  return begun.value;
}
const mean = (values: Float32Array) => values.reduce((a, b) => a + b, 0) / values.length;

describe('an arc driven by a trigger', () => {
  it('lights after the run-in, runs hotter at a higher level, and goes out with the source', () => {
    const arc = begin();
    let litS = -1;
    const drive = (seconds: number, feed: number, powerOn = true) => {
      let last = arc.step(0.02, { wireFeedMPerMin: feed, trimMm: 0, powerOn });
      for (let done = 0.02; done < seconds; done += 0.02) {
        last = arc.step(0.02, { wireFeedMPerMin: feed, trimMm: 0, powerOn });
        if (last.lit && litS < 0) litS = arc.timeS;
      }
      return last;
    };
    drive(0.3, 4);
    expect(litS).toBeGreaterThan(0.05);
    drive(1, 10);
    const high = mean(arc.step(0.4, { wireFeedMPerMin: 10, trimMm: 0, powerOn: true }).trace.currentA);
    drive(1, 6);
    const low = mean(arc.step(0.4, { wireFeedMPerMin: 6, trimMm: 0, powerOn: true }).trace.currentA);
    expect(high / low).toBeGreaterThan(1.25);
    drive(0.06, 0);
    const out = drive(0.2, 0, false);
    expect(out.lit).toBe(false);
    expect(out.freeWireMm).toBeLessThan(14);
  });

  it('agrees with the arc that sets by itself', () => {
    const alone = simulate({ ...steel, noise: 0, seconds: 1 });
    const arc = begin({ ...steel, noise: 0 });
    for (let i = 0; i < 75; i++) arc.step(0.02, { wireFeedMPerMin: 8, trimMm: 0, powerOn: true });
    const current = mean(arc.step(0.5, { wireFeedMPerMin: 8, trimMm: 0, powerOn: true }).trace.currentA);
    if (!alone.ok) throw new Error('refused');
    // Half a second holds some fifty pulses: their mean scatters by part of one.
    expect(current / alone.value.metrics.meanCurrentA).toBeCloseTo(1, 1);
  });

  it('has to light anew after the source was off', () => {
    const arc = begin();
    for (let i = 0; i < 30; i++) arc.step(0.02, { wireFeedMPerMin: 8, trimMm: 0, powerOn: true });
    arc.step(0.3, { wireFeedMPerMin: 0, trimMm: 0, powerOn: false });
    expect(arc.step(0.005, { wireFeedMPerMin: 4, trimMm: 0, powerOn: true }).lit).toBe(false);
  });

  it('keeps a trace of its slice only, and cuts a slice that is too long', () => {
    const arc = begin();
    const { trace } = arc.step(5, { wireFeedMPerMin: 4, trimMm: 0, powerOn: true });
    expect(arc.timeS).toBeCloseTo(longestSliceS, 6);
    expect(trace.timeS.length).toBeLessThanOrEqual(longestSliceS / 1e-4 + 2);
  });

  it('refuses what no simulation takes', () => {
    expect(drivenArc({ ...steel, ctwdMm: -1 }, 1e-4).ok).toBe(false);
  });
});

describe('starting and stopping', () => {
  const bracket: SimulationInput = { ...steel, wireFeedMPerMin: 8.5, seconds: 0.8, source: { kind: 'pulse' } };
  const startStop = (runInPercent: number, endPulse = false) => {
    const result = simulate({ ...bracket, startStop: { runInPercent, runInAfterS: 0.1, burnBackS: 0.06, endPulse } });
    if (!result.ok || !result.value.startStop) throw new Error('refused');
    return result.value.startStop;
  };

  it('full feed from the start stubs and bends the wire, half of it lights clean', () => {
    const full = startStop(100);
    const half = startStop(50);
    expect([full.buckles, half.buckles]).toEqual([1, 0]);
    expect(full.pushedMm).toBeGreaterThan(1.5 * half.pushedMm);
  });

  it('a last pulse takes the ball off', () => {
    expect(startStop(50, true).ballFactor).toBeLessThan(startStop(50).ballFactor);
  });
});
