/** The three invented machines of the demo shop and how they stand. Their dials and charts are shared with the core's tests. */
import type { MachineFile, MachineStanding } from '@fox-tempo/contract';
import { readMachineFile } from '@fox-tempo/contract';
import type { Machine } from '@fox-tempo/core/machine';
import type { FeederState } from '@fox-tempo/core/setup';
import { alder, hazel, rowan } from '@fox-tempo/core/scenarios';

interface DemoMachine {
  readonly id: string;
  readonly file: MachineFile;
  readonly standing: Omit<MachineStanding, 'since'>;
}

function fileOf(machine: Machine): MachineFile {
  const read = readMachineFile({ format: 'fox-tempo/machine', version: 2, ...machine });
  if (!read.ok) throw new Error(`${machine.name}: ${JSON.stringify(read.issues)}`);
  return read.value;
}

const steel: FeederState = {
  filler: 'steel-solid',
  diameterMm: 1.0,
  gas: 'M21-ArC-18',
  groove: 'V',
  rollMm: 1.0,
  liner: 'steel',
  tipMm: 1.0,
  recessMm: 3,
  flowLPerMin: 14,
};
const stainless: FeederState = {
  ...steel,
  filler: 'stainless-solid',
  diameterMm: 0.8,
  gas: 'M12-ArC-2',
  rollMm: 0.8,
  tipMm: 0.8,
  flowLPerMin: 14,
};
const aluminium: FeederState = {
  filler: 'aluminium-5356',
  diameterMm: 1.2,
  gas: 'I1',
  groove: 'U',
  rollMm: 1.2,
  liner: 'polymer',
  tipMm: 1.4,
  recessMm: 3,
  flowLPerMin: 16,
};
const onWire = { process: 'gas-metal', polarity: 'electrode-positive' } as const;

export const machines: readonly DemoMachine[] = [
  {
    id: 'rowan',
    file: fileOf(rowan),
    standing: {
      ...onWire,
      feederId: 'one',
      feeders: { one: steel },
      slot: 3,
      dials: {
        line: 12,
        'wire-feed': 7.8,
        'arc-index': 46,
        firmness: 0,
        'fast-peak': 390,
        'first-feed': 7.8,
        'first-time': 0,
        'last-feed': 7.8,
        'last-time': 0,
        creep: 50,
        'burn-off': 60,
        'gas-before': 0.2,
        'gas-after': 1.5,
        trigger: 0,
      },
    },
  },
  {
    id: 'hazel',
    file: fileOf(hazel),
    standing: {
      ...onWire,
      feederId: 'one',
      feeders: { one: stainless },
      slot: 2,
      dials: { recipe: 8, drive: 22, trim: 3, bite: 10, 'start-share': 100, 'finish-share': 70, burn: 30, after: 3 },
    },
  },
  {
    id: 'alder',
    file: fileOf(alder),
    standing: {
      ...onWire,
      feederId: 'right',
      feeders: { left: steel, right: aluminium },
      slot: 27,
      dials: { card: 54, way: 1, speed: 8, 'arc-volts': 0.2, softness: 5, 'lead-in': 120, approach: 50, trigger: 3 },
    },
  },
];
