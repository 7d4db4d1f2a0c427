import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { scenarios } from '../../scenarios/index.ts';
import { hiddenFaultCodes, weldOnStandIn, type HiddenFaultCode, type StandInWeld } from './index.ts';

const { input } = scenarios.find(({ id }) => id === 'hitch-bracket-fillet') ?? { input: undefined };
if (!input) throw new Error('the scenario is gone');
const plan = planSeam(input);
if (!plan.ok) throw new Error(JSON.stringify(plan.issues));
const program = programFromPlan(input, plan.value);
const planned = plan.value;

function weld(faults: readonly HiddenFaultCode[], seed = 1, pace = 1): StandInWeld {
  const answer = weldOnStandIn({
    program,
    card: program,
    circuitMOhm: 8,
    faults,
    joint: { isFillet: true, thicknessMm: 6 },
    lengthMm: 240,
    plateC: 20,
    pace,
    seed,
  });
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
  return answer.value;
}

function meanOf(faults: readonly HiddenFaultCode[], of: (one: StandInWeld) => number): number {
  const seeds = [1, 2, 3, 4, 5, 6];
  return seeds.reduce((sum, seed) => sum + of(weld(faults, seed)), 0) / seeds.length;
}

describe('the stand-in', () => {
  it('welds what the plan says when nothing is hidden', () => {
    // A hand's 5 % of pace and a rule's 2 % of leg are left.
    expect(meanOf([], ({ legsMm }) => legsMm?.[0] ?? 0)).toBeGreaterThan(0.94 * (planned.legMm ?? 0));
    expect(meanOf([], ({ legsMm }) => legsMm?.[0] ?? 0)).toBeLessThan(1.06 * (planned.legMm ?? 0));
    expect(weld([]).transferMode).toBe(planned.transferMode);
  });

  it('is the same weld from the same seed, and another from another', () => {
    expect(weld(['trim-low'], 7)).toEqual(weld(['trim-low'], 7));
    expect(weld(['trim-low'], 7).displayedCurrentA).not.toBe(weld(['trim-low'], 8).displayedCurrentA);
  });

  it('shows each fault where physics shows it', () => {
    expect(meanOf(['stick-out-long'], (one) => one.displayedCurrentA)).toBeLessThan(
      meanOf([], (one) => one.displayedCurrentA) - 8,
    );
    expect(meanOf(['travel-slow'], ({ legsMm }) => legsMm?.[0] ?? 0)).toBeGreaterThan(1.1 * (planned.legMm ?? 0));
    expect(meanOf(['gap'], ({ legsMm }) => legsMm?.[0] ?? 0)).toBeLessThan((planned.legMm ?? 0) - 0.6);
    expect(meanOf(['trim-low'], (one) => one.shortsPerS)).toBeGreaterThan(1);
    expect(meanOf(['trim-low'], (one) => one.displayedVoltageV)).toBeLessThan(
      meanOf([], (one) => one.displayedVoltageV) - 0.4,
    );
  });

  it.each(hiddenFaultCodes)('welds with %s hidden', (code) => {
    const { travelMmPerMin, displayedCurrentA, widthMm } = weld([code]);
    expect(travelMmPerMin).toBeGreaterThan(0.5 * program.travelMmPerMin);
    expect(displayedCurrentA).toBeGreaterThan(20);
    expect(widthMm).toBeGreaterThan(1);
  });
});
