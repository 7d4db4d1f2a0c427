/** The shift's page: what each machine welds next by the plan, what has to be changed for it, and what on the machine ends before it is done. */
import { sameWire } from '../../metal/consumables/index.ts';
import {
  cylinderOutlook,
  partUse,
  spoolOutlook,
  type CylinderReading,
  type PartTakes,
  type SpoolReading,
} from '../consumption/index.ts';
import { cardOf } from '../../machine/dials/index.ts';
import type { Phrase } from '../../base/messages/index.ts';
import { changeover, dialsToSet, unknownState } from '../../machine/setup/index.ts';
import { planDay, type DayJob, type DayMachine, type DayPlan } from './day-plan.ts';

export interface NextJob extends DayJob {
  /** Wire and gas of one piece. */
  readonly takes: PartTakes;
}

interface OnMachine {
  readonly name: string;
  readonly machineId: string | null;
}

export interface NextStock {
  readonly cylinders: readonly (CylinderReading & OnMachine)[];
  readonly spools: readonly (SpoolReading & OnMachine)[];
}

export interface Shortage {
  readonly name: string;
  /** Pieces it lasts for, less than are to be made. */
  readonly pieces: number;
}

export interface NextOn {
  readonly machineId: string;
  readonly jobId: string;
  readonly setupMinutes: number;
  /** Titles of the walk, in its order. */
  readonly steps: readonly Phrase[];
  /** Dials that stand otherwise than the program wants; null: nobody entered how it stands. */
  readonly dialsToSet: number | null;
  readonly shortages: readonly Shortage[];
  readonly lateMinutes: number;
  readonly thenJobId: string | null;
}

export interface ShiftPage {
  readonly next: readonly NextOn[];
  /** Jobs that no machine here can weld. */
  readonly unplaced: readonly string[];
  readonly halfDescribed: DayPlan['halfDescribed'];
}

export function shiftPage(
  jobs: readonly NextJob[],
  machines: readonly DayMachine[],
  stock: NextStock,
  fixed: Readonly<Record<string, readonly string[]>> = {},
): ShiftPage {
  const { bars, unplaced, halfDescribed } = planDay(jobs, machines, fixed);
  const next = machines.flatMap((machine): NextOn[] => {
    const [first, second] = bars
      .filter(({ machineId }) => machineId === machine.id)
      .sort((a, b) => a.fromMinute - b.fromMinute);
    const job = jobs.find(({ id }) => id === first?.jobId);
    if (!first || !job) return [];
    const { file, state } = machine;
    return [
      {
        machineId: machine.id,
        jobId: job.id,
        setupMinutes: first.setupMinutes,
        steps: changeover(file, state ?? unknownState(file), job.program)
          .steps.filter(({ kind }) => kind !== 'dials')
          .map(({ title }) => title),
        dialsToSet: state ? dialsToSet(cardOf(file, job.program), state.dials).length : null,
        shortages: shortagesOf(machine.id, job, stock),
        lateMinutes: first.lateMinutes,
        thenJobId: second?.jobId ?? null,
      },
    ];
  });
  return { next, unplaced, halfDescribed };
}

/** What is on a machine and does not last for a job. */
export function shortagesOf(machineId: string, job: NextJob, { cylinders, spools }: NextStock): Shortage[] {
  const { program } = job;
  const use = partUse(program, job.takes);
  const lasts = [
    ...cylinders
      .filter((one) => one.machineId === machineId && one.gas === program.gas)
      .map((one) => ({ name: one.name, pieces: cylinderOutlook(one, use).partsLeft })),
    ...spools
      .filter((one) => one.machineId === machineId && sameWire(one, program))
      .map((one) => ({ name: one.name, pieces: spoolOutlook(one, use).partsLeft })),
  ];
  return lasts.flatMap(({ name, pieces }) =>
    pieces === undefined || pieces >= job.quantity ? [] : [{ name, pieces }],
  );
}
