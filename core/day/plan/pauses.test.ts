import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { rowan, scenarios } from '../../scenarios/index.ts';
import { pauseOn } from './index.ts';

const { input } = scenarios.find(({ id }) => id === 'hitch-bracket-fillet')!;
const plan = planSeam(input);
if (!plan.ok) throw new Error('the scenario is gone');
const program = programFromPlan(input, plan.value);
const small = { ...rowan, limits: { ...rowan.limits, duty: [{ percent: 35, currentA: 180 }] } };

describe('pauses along a run', () => {
  it('are none where handling cools enough, or where no plate was described', () => {
    expect(pauseOn(small, { program, arcMinutes: 0.3 })).toBeNull();
    expect(pauseOn({ ...rowan, limits: { ...rowan.limits, duty: undefined } }, { program, arcMinutes: 9 })).toBeNull();
  });

  it('make the share of arc exactly what the plate allows at the rms current', () => {
    const arcMinutes = 4;
    const pause = pauseOn(small, { program, arcMinutes })!;
    // D2 = D1 (I1 / I2)^2, by hand; in pulse the rms is above the mean.
    const allowed = 35 * (180 / pause.rmsCurrentA) ** 2;
    expect(pause.rmsCurrentA).toBeGreaterThan(plan.ok ? plan.value.meanCurrentA : 0);
    expect(pause.allowedPercent).toBeCloseTo(allowed, 6);
    expect((100 * arcMinutes) / (arcMinutes + 2 + pause.minutes)).toBeCloseTo(allowed, 6);
    expect(pause.minutes).toBeGreaterThan(0);
  });
});
