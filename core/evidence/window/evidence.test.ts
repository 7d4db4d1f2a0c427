import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { translate } from '../../machine/dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, hazel, rowan, scenarios } from '../../scenarios/index.ts';
import { weldedAt, weldedCorners, type Welded } from './index.ts';

const { input } = scenarios.find(({ id }) => id === 'axle-plate-to-tube') ?? {};
const plan = input && planSeam(input);
if (!input || !plan?.ok) throw new Error('the scenario is gone');
const program = programFromPlan(input, plan.value);

describe('welds as evidence for a window', () => {
  it.each([rowan, hazel, alder])('are placed where their dials stood, on any machine', (machine) => {
    for (const [feedShare, trimMm] of [
      [1, program.trimMm],
      [1.06, program.trimMm + 0.5],
    ] as const) {
      const set = { ...program, wireFeedMPerMin: program.wireFeedMPerMin * feedShare, trimMm };
      const dials = Object.fromEntries(translate(machine, set).dials.map(({ dialId, value }) => [dialId, value]));
      const at = weldedAt(machine, program, dials);
      // Within a step of either dial: 0.1 m/min, and the coarsest arc dial of the three.
      expect(Math.abs((at?.wireFeedMPerMin ?? 0) - set.wireFeedMPerMin)).toBeLessThan(0.11);
      expect(Math.abs((at?.trimMm ?? 9) - set.trimMm)).toBeLessThan(0.4);
    }
    expect(weldedAt(machine, program, {})).toBeUndefined();
  });

  it('speak for the corner they are near, pass or fail, and for none from the middle', () => {
    const window = { wireFeedMPerMin: [5, 6] as const, trimMm: [-1, 1] as const };
    const weld = (wireFeedMPerMin: number, trimMm: number, verdict: Welded['verdict']): Welded => ({
      wireFeedMPerMin,
      trimMm,
      verdict,
    });
    const corners = weldedCorners(window, [
      weld(5.05, -0.9, 'pass'),
      weld(5.1, -0.8, 'pass'),
      weld(5.95, 0.9, 'fail'),
      weld(5.5, 0, 'pass'),
      weld(5.9, -0.9, 'open'),
    ]);
    expect(corners.map(({ passed, failed }) => [passed, failed])).toEqual([
      [2, 0],
      [0, 0],
      [0, 0],
      [0, 1],
    ]);
    expect(weldedCorners({ trimMm: [-1, 1] }, [])).toEqual([]);
  });
});
