import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { simulationOf } from '../../machine/dials/index.ts';
import { planSeam, type PlanInput } from '../../setting/plan/index.ts';
import { scenarios } from '../../scenarios/index.ts';
import { settlingS, simulate } from '../simulation/index.ts';
import { crackles, looped, loudest, renderSound, strongestToneHz } from './index.ts';

const rate = 44_100;
/** Twice as fine as the samples. */
const traceEveryS = 2e-5;

function heard(change: Partial<PlanInput>, trimMm: number) {
  const input = { ...scenarios[0]!.input, ...change };
  const plan = planSeam(input);
  if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
  const program = { ...programFromPlan(input, plan.value), trimMm };
  const run = simulate(simulationOf(program, { circuitMOhm: 15, seconds: 1, seed: 7 }), traceEveryS);
  if (!run.ok) throw new Error(inEnglish(run.issues[0]?.message));
  const all = renderSound(run.value.trace, rate);
  return { ...run.value, samples: all.slice(Math.floor(settlingS * rate)) };
}
const rms = (samples: Float32Array) =>
  Math.sqrt(samples.reduce((sum, sample) => sum + sample * sample, 0) / samples.length);
const thin = { ...scenarios[0]!.input.seam, thicknessesMm: [2, 2] as const, legMm: 3 };
/** Between the flank of a pulse (0.23 of full) and the break of a short (0.43 and more). */
const crackleLevel = 0.3;

describe('the sound of the simulated power', () => {
  it('hums at the pulse frequency, without a crackle', () => {
    const { samples, metrics } = heard({}, 0);
    // A tremor of a few hertz rides on the pulse rate.
    expect(
      Math.abs(strongestToneHz(samples.slice(0, rate / 2), rate, 60, 200) - metrics.pulseFrequencyHz),
    ).toBeLessThan(5);
    expect(crackles(samples, rate, crackleLevel, 0.004)).toHaveLength(0);
  });

  it('crackles once for each short on top of the hum when the arc is too short', () => {
    const { samples, shortAtS } = heard({}, -3.4);
    expect(shortAtS.length).toBeGreaterThan(10);
    // Two shorts within four milliseconds are one to the ear.
    expect(Math.abs(crackles(samples, rate, crackleLevel, 0.004).length - shortAtS.length)).toBeLessThanOrEqual(2);
  });

  it('fries in dip: one crackle a short, at the rate of the shorts', () => {
    const { samples, shortAtS } = heard({ mode: 'dip', seam: thin }, 0);
    expect(shortAtS.length).toBeGreaterThan(50);
    expect(Math.abs(crackles(samples, rate, crackleLevel, 0.004).length / shortAtS.length - 1)).toBeLessThan(0.05);
  });

  it('hisses softly in spray: no crackle, far quieter than the hum', () => {
    const spray = heard({ mode: 'spray', wireFeedMPerMin: 13 }, 0);
    expect(crackles(spray.samples, rate, crackleLevel, 0.004)).toHaveLength(0);
    expect(rms(spray.samples)).toBeLessThan(0.2 * rms(heard({}, 0).samples));
    expect(rms(spray.samples)).toBeGreaterThan(0);
  });

  it('is limited whatever the arc does, and joins in a ring', () => {
    const wild = {
      timeS: Float64Array.from({ length: 5000 }, (_, at) => at * traceEveryS),
      currentA: new Float32Array(5000).map((_, at) => (at % 7 === 0 ? 700 : 0)),
      voltageV: new Float32Array(5000).fill(60),
    };
    const samples = renderSound(wild, rate);
    expect(samples.length).toBeGreaterThan(4000);
    expect(samples.every((sample) => Math.abs(sample) <= loudest)).toBe(true);
    const ring = looped(samples, 400);
    expect(ring).toHaveLength(samples.length - 400);
    expect(
      renderSound({ timeS: new Float64Array(0), currentA: new Float32Array(0), voltageV: new Float32Array(0) }, rate),
    ).toHaveLength(0);
  });
});
