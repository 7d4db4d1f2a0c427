import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { wireInGas } from '../../metal/arc/index.ts';
import { advance } from './engine.ts';
import { buildModel, type ArcModel } from './model.ts';
import type { SimulationInput } from './input.ts';
import { Recorder } from './recorder.ts';
import { warmState } from './prepare.ts';
import { buildSource } from './source.ts';

const input: SimulationInput = {
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1.2,
  wireFeedMPerMin: 5.5,
  ctwdMm: 17.5,
  seconds: 1,
  seed: 1,
  noise: 0,
  source: { kind: 'pulse', trim: 0 },
};
const source = buildSource(input);
if (!source.ok) throw new Error(inEnglish(source.issues[0]?.message));
const at = (ctwdMm: number): ArcModel =>
  buildModel({
    wire: wireInGas(input.filler, input.gas, input.diameterMm),
    source: source.value,
    ctwdMm,
    feedMmPerS: 5500 / 60,
    stepS: 1e-5,
    noise: 0,
    seed: 1,
    runInShare: 1,
    runInAfterS: 0,
  });
const windowMs = 10;

describe('a hand that moves by 3 mm, frequency school', () => {
  it.each([3, -3])('%f mm: the arc comes back in 120 to 200 ms, without overshoot over 0.4 mm, unbiased', (stepMm) => {
    const near = at(17.5);
    const moved = at(17.5 + stepMm);
    const state = warmState(near, input, source.value);
    const arcOver = (model: ArcModel) => {
      const recorder = new Recorder(1, 0);
      recorder.litS = 0;
      recorder.measureFromS = state.timeS;
      advance(model, state, windowMs * 100, recorder);
      return recorder.arcMmS / recorder.arcLitS;
    };
    for (let window = 0; window < 50; window++) arcOver(near);
    const arcs = Array.from({ length: 80 }, () => arcOver(moved));
    const end = arcs.slice(-10).reduce((sum, one) => sum + one, 0) / 10;
    expect(Math.abs(end - 4.5)).toBeLessThan(0.4);
    // A first-order answer has 1/e of its step left after one settling time.
    const left = arcs.findIndex((arc) => Math.abs(arc - end) < Math.abs(stepMm) / Math.E);
    expect(left * windowMs).toBeGreaterThan(80);
    expect(left * windowMs).toBeLessThan(200);
    const beyond = Math.max(...arcs.map((arc) => (stepMm > 0 ? end - arc : arc - end)));
    expect(beyond).toBeLessThan(0.4);
  });
});
