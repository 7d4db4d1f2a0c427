import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { scenarios } from '../../scenarios/index.ts';
import { sobol, testWindow, upper95, usualSpread, type WindowInput } from './index.ts';

const { input } = scenarios.find(({ id }) => id === 'axle-plate-to-tube') ?? {};
const plan = input && planSeam(input);
if (!input || !plan?.ok) throw new Error('the scenario is gone');
const program = programFromPlan(input, plan.value);
const feed = program.wireFeedMPerMin;

function tested(change: Partial<WindowInput>) {
  const answer = testWindow({ program, circuitMOhm: 10, window: {}, spread: usualSpread, thicknessMm: 2.5, ...change });
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
  return answer.value;
}

const wide: WindowInput['window'] = {
  wireFeedMPerMin: [0.9 * feed, 1.1 * feed],
  trimMm: [program.trimMm - 1, program.trimMm + 1],
};

describe('a window', () => {
  const found = tested({ window: wide });

  it('of ten percent and per millimetre looks right, and fails at a corner that is named', () => {
    // Two quantities and four spreads: every end of each.
    expect(found.corners).toHaveLength(64);
    expect(found.worst.ok).toBe(false);
    expect(found.worst.why?.code).toMatch(/^window\./);
    expect(found.worst.point.trimMm).toBeCloseTo(program.trimMm - 1, 9);
  });

  it('is cut to one that holds at every corner, and keeps the set point inside', () => {
    const { largestThatHolds } = found;
    const again = tested({ window: largestThatHolds });
    expect(again.corners.every(({ ok }) => ok)).toBe(true);
    expect(again.largestThatHolds).toEqual(largestThatHolds);
    const [low, high] = largestThatHolds.trimMm ?? [0, 0];
    expect(low).toBeLessThanOrEqual(program.trimMm);
    expect(high).toBeGreaterThanOrEqual(program.trimMm);
    expect(high - low).toBeLessThan(2);
  });

  it('that moves nothing, without spread, holds', () => {
    const still = tested({
      window: { trimMm: [program.trimMm, program.trimMm] },
      spread: { ctwdMm: [0, 0], leadMOhm: [0, 0], slip: [0, 0], pace: [0, 0] },
    });
    expect(still.corners).toHaveLength(1);
    expect(still.inside.failed).toBe(0);
    // The rule of three: none of 64.
    expect(still.failureBelow95).toBeCloseTo(3 / 64, 12);
  });

  it('fails by the leg where the seam limits it', () => {
    const leg = tested({ window: { trimMm: [program.trimMm, program.trimMm] }, limits: { legMm: [3.6, 3.7] } });
    expect(leg.worst.why?.code).toBe('window.leg-becomes');
  });
});

describe('points inside', () => {
  it('are spread evenly: each half of each direction holds half of them', () => {
    const points = sobol(64, 6, 3);
    for (let d = 0; d < 6; d++) expect(points.filter((point) => (point[d] ?? 0) < 0.5)).toHaveLength(32);
    expect(sobol(64, 6, 3)).toEqual(points);
    expect(sobol(64, 6, 4)).not.toEqual(points);
  });

  it('give the exact limit where some failed', () => {
    // Clopper and Pearson, one-sided 95 %, one of 64: 7.2 %.
    expect(upper95(1, 64)).toBeCloseTo(0.072, 3);
    expect(upper95(64, 64)).toBe(1);
  });
});
