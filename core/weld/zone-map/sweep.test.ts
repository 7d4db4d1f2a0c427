import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { programFromPlan } from '../../setting/program/index.ts';
import { translate } from '../../machine/dials/index.ts';
import { planSeam } from '../../setting/plan/index.ts';
import { alder, hazel, medlar, rowan, scenarios } from '../../scenarios/index.ts';
import { axisRange } from './axes.ts';
import { cellOf } from './cell.ts';
import { sweepOf, sweepQuantities } from './sweep.ts';
import { goodZones } from './zone.ts';

const { input } = scenarios[0]!;
const plan = planSeam(input);
if (!plan.ok) throw new Error(inEnglish(plan.issues[0]?.message));
const program = programFromPlan(input, plan.value);

describe('one dial swept across its travel', () => {
  it('stops evenly in whole steps, the present one among them, within the range worth looking at', () => {
    for (const machine of [rowan, hazel, alder, medlar]) {
      for (const quantity of sweepQuantities) {
        const sweep = sweepOf(machine, program, quantity);
        const dial = translate(machine, program).dials.find((one) => one.quantity === quantity);
        if (!sweep) {
          // Only a machine that cannot be told, or is told in words, has nothing to sweep.
          expect(dial === undefined || machine.dials.some(({ id }) => id === dial.dialId)).toBe(true);
          continue;
        }
        const { from, to } = axisRange(program, quantity);
        expect(sweep.stops.length).toBeLessThanOrEqual(15);
        expect(sweep.stops.find(({ steps }) => steps === 0)?.program).toBe(program);
        expect(sweep.stops.find(({ steps }) => steps === 0)?.display).toBe(dial?.display);
        for (const [at, stop] of sweep.stops.entries()) {
          if (stop.steps !== 0) {
            expect(stop.figure).toBeGreaterThanOrEqual(from - 1e-6);
            expect(stop.figure).toBeLessThanOrEqual(to + 1e-6);
          }
          if (at > 0) expect(stop.steps - sweep.stops[at - 1]!.steps).toBe(sweep.stride);
        }
      }
    }
  });

  it('says on the dial what it says when it is turned there', () => {
    const sweep = sweepOf(rowan, program, 'trimMm')!;
    for (const stop of sweep.stops) {
      if (!stop.program) continue;
      const shown = translate(rowan, stop.program).dials.find((dial) => dial.quantity === 'trimMm');
      expect(shown?.display).toBe(stop.display);
    }
    // Rowan counts its arc index upwards with a longer arc.
    const displays = sweep.stops.map(({ display }) => Number(display));
    expect([...displays].sort((a, b) => a - b)).toEqual(displays);
  });

  it('crackles at the short end and hums where it was planned', () => {
    const { stops } = sweepOf(rowan, program, 'trimMm')!;
    const zoneAt = (at: (typeof stops)[number]) => cellOf(at.program!, { circuitMOhm: 15, seconds: 0.2 }, 3).zone;
    expect(goodZones('pulse')).toContain(zoneAt(stops.find(({ steps }) => steps === 0)!));
    expect(zoneAt(stops.find((stop) => stop.program !== null)!)).toBe('crackle');
  });
});
