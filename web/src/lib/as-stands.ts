/** Machines as they stand: with their leads as measured last, so that plan, card, bench and map compute with one resistance. */
import { asStands, type MachineResource } from '@fox-tempo/contract';

const known = new WeakMap<MachineResource, MachineResource>();

/** The same object for the same resource, so that nothing is drawn again for nothing. */
export function standingMachine(machine: MachineResource): MachineResource {
  const found = known.get(machine);
  if (found) return found;
  const made = { ...machine, file: asStands(machine) };
  known.set(machine, made);
  return made;
}
