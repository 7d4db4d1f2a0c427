/** The run plan as rows for a spreadsheet. */
import { type MachineResource, csvOf } from '@fox-tempo/contract';
import { jobMinutes, type DayPlan, type NamedJob } from '@fox-tempo/core/day/plan';

export function planCsv(plan: DayPlan, jobs: readonly NamedJob[], machines: readonly MachineResource[]): string {
  return csvOf(
    ['machine', 'order', 'seam', 'pieces', 'workMinutes', 'changeMinutes', 'fromMinute', 'toMinute', 'lateMinutes'],
    plan.bars.flatMap((bar) => {
      const job = jobs.find(({ id }) => id === bar.jobId);
      const machine = machines.find(({ id }) => id === bar.machineId);
      if (!job || !machine) return [];
      return [
        [
          machine.file.name,
          job.order,
          job.name,
          job.quantity,
          jobMinutes(job),
          bar.setupMinutes,
          bar.fromMinute,
          bar.toMinute,
          bar.lateMinutes,
        ],
      ];
    }),
  );
}
