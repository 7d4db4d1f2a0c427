/** The three invented machines of the demo shop and how they stand. Their dials and charts are shared with the core's tests. */
import { type MachineFile, readMachineFile } from '@fox-tempo/contract';
import type { Machine } from '@fox-tempo/core/machine/description';
import type { FeederState } from '@fox-tempo/core/machine/setup';
import { alder, hazel, rowan, steelFeeder } from '@fox-tempo/core/scenarios';

interface DemoMachine {
  readonly id: string;
  readonly file: MachineFile;
  /** The feeder that is switched on, and the slot that was called this morning. */
  readonly feederId: string;
  readonly slot: number;
  readonly others: Readonly<Record<string, FeederState>>;
}

function fileOf(machine: Machine): MachineFile {
  const read = readMachineFile({ format: 'fox-tempo/machine', version: 2, ...machine });
  if (!read.ok) throw new Error(`${machine.name}: ${JSON.stringify(read.issues)}`);
  return read.value;
}

/** Each stands on a memory slot, with the wire and gas of the seam stored there; Alder's other feeder keeps steel. */
export const machines: readonly DemoMachine[] = [
  { id: 'rowan', file: fileOf(rowan), feederId: 'one', slot: 3, others: {} },
  { id: 'hazel', file: fileOf(hazel), feederId: 'one', slot: 2, others: {} },
  { id: 'alder', file: fileOf(alder), feederId: 'right', slot: 27, others: { left: steelFeeder } },
];
