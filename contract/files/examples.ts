/** The demo shop's machines, five programs and a seam as files, to start from and to try the command line with; committed under docs/examples. */
import { programFromPlan } from '@fox-tempo/core/setting/program';
import { planSeam, type PlanInput } from '@fox-tempo/core/setting/plan';
import { alder, hazel, medlar, rowan, scenarios } from '@fox-tempo/core/scenarios';
import { machineVersion } from './machine.ts';
import { programVersion } from './program.ts';

export function exampleFiles(): Record<string, unknown> {
  const machine = (described: object) => ({ format: 'fox-tempo/machine', version: machineVersion, ...described });
  /** A seam of the demo shop in one way of transfer. */
  const program = (id: string, change: Partial<PlanInput> = {}) => {
    const scenario = scenarios.find((one) => one.id === id);
    if (!scenario) throw new Error(`the demo shop has no seam ${id}`);
    const input = { ...scenario.input, ...change };
    const plan = planSeam(input);
    if (!plan.ok) throw new Error(`${id} must plan: ${plan.issues[0]?.code ?? ''}`);
    return { format: 'fox-tempo/program', version: programVersion, ...programFromPlan(input, plan.value) };
  };
  return {
    rowan: machine(rowan),
    hazel: machine(hazel),
    alder: machine(alder),
    medlar: machine(medlar),
    'lid-seam': program('trike-lid-seam'),
    'axle-plate-pulse': program('axle-plate-to-tube', { mode: 'pulse' }),
    'frame-corner-dip': program('frame-corner-butt', { mode: 'dip' }),
    'frame-rail-spray': program('trike-frame-rail', { mode: 'spray' }),
    'canopy-rail-brazed': program('canopy-rail-lap'),
  };
}
