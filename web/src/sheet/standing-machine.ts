/** Machines as they stand: with leads as measured last and wires as calibrated, so that plan, card, bench and map compute with one resistance. */
import { asStands, type AsStands } from '@fox-tempo/core/machine/teaching';
import type { MachineFile, MachineResource } from '@fox-tempo/contract';

export type StandingMachine = MachineResource & { readonly file: AsStands<MachineFile> };

const known = new WeakMap<MachineResource, StandingMachine>();

/** The same object for the same resource, so that nothing is drawn again for nothing. */
export function standingMachine(machine: MachineResource): StandingMachine {
  const found = known.get(machine);
  if (found) return found;
  const made = { ...machine, file: asStands(machine) };
  known.set(machine, made);
  return made;
}
