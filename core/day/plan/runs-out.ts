/** What ends on which machine in the course of a plan: cylinders and spools that hang there now, drawn down job after job. */
import { sameWire } from '../../metal/consumables/index.ts';
import { partUse, spoolOutlook, cylinderOutlook, usableGasL } from '../consumption/index.ts';
import { barsOn, type DayPlan } from './day-plan.ts';
import type { NextJob, NextStock } from './next-on.ts';

export interface RunsOut {
  readonly name: string;
  readonly machineId: string;
  readonly jobId: string;
  /** Whole pieces of that job it still lasts for. */
  readonly pieces: number;
  /** Minutes of work from now. */
  readonly atMinute: number;
}

interface Hanging {
  readonly name: string;
  left: number;
  /** L of gas or kg of wire that one piece of a job takes; 0: it is not this that the job wants. */
  readonly perPiece: (job: NextJob) => number;
}

/** The soonest first. What was changed over in between is not known yet and does not end. */
export function runsOut(plan: DayPlan, jobs: readonly NextJob[], { cylinders, spools }: NextStock): RunsOut[] {
  const machines = [...new Set(plan.bars.map(({ machineId }) => machineId))];
  return machines
    .flatMap((machineId) => {
      const here = (one: { readonly machineId: string | null }) => one.machineId === machineId;
      const hanging: Hanging[] = [
        ...cylinders.filter(here).map((one) => ({
          name: one.name,
          left: usableGasL(one),
          perPiece: (job: NextJob) => (one.gas === job.program.gas ? cylinderOutlook(one, useOf(job)).perPart : 0),
        })),
        ...spools.filter(here).map((one) => ({
          name: one.name,
          left: Math.max(one.massKg, 0),
          perPiece: (job: NextJob) => (sameWire(one, job.program) ? spoolOutlook(one, useOf(job)).perPart : 0),
        })),
      ];
      return hanging.flatMap((item) => endOf(item, plan, machineId, jobs));
    })
    .sort((a, b) => a.atMinute - b.atMinute);
}

function endOf(item: Hanging, plan: DayPlan, machineId: string, jobs: readonly NextJob[]): RunsOut[] {
  for (const { jobId, fromMinute, toMinute } of barsOn(plan, machineId)) {
    const job = jobs.find(({ id }) => id === jobId);
    const each = job ? item.perPiece(job) : 0;
    if (!job || each <= 0) continue;
    const pieces = Math.floor(item.left / each + 1e-9);
    if (pieces < job.quantity) {
      const atMinute = fromMinute + ((toMinute - fromMinute) * pieces) / job.quantity;
      return [{ name: item.name, machineId, jobId, pieces, atMinute }];
    }
    item.left -= each * job.quantity;
  }
  return [];
}

function useOf(job: NextJob) {
  return partUse(job.program, job.takes);
}
