/** The demo shop's machines and one program as files, to start from and to try the command line with; committed under docs/examples. */
import { planSeam, programFromPlan } from '@fox-tempo/core';
import { alder, hazel, medlar, rowan, scenarios } from '@fox-tempo/core/scenarios';
import { machineVersion } from './machine.ts';
import { programVersion } from './program.ts';

export function exampleFiles(): Record<string, unknown> {
  const machine = (described: object) => ({ format: 'fox-tempo/machine', version: machineVersion, ...described });
  const lid = scenarios.find((scenario) => scenario.id === 'trike-lid-seam');
  const plan = lid && planSeam(lid.input);
  if (!lid || !plan?.ok) throw new Error('the lid seam of the demo shop must plan');
  return {
    rowan: machine(rowan),
    hazel: machine(hazel),
    alder: machine(alder),
    medlar: machine(medlar),
    'lid-seam': { format: 'fox-tempo/program', version: programVersion, ...programFromPlan(lid.input, plan.value) },
  };
}
