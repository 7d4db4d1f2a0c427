/** The run plan as a calendar (RFC 5545): each job with its changeover, on the clock of the shop's shifts. */
import { usualShifts, workMoment, type DayPlan, type NamedJob } from '@fox-tempo/core/day/plan';
import ical from 'ical-generator';
import { t } from '../../lib/words.ts';

export function planCalendar(
  plan: DayPlan,
  jobs: readonly NamedJob[],
  machines: readonly { readonly id: string; readonly file: { readonly name: string; readonly place: string } }[],
  now: Date,
  timeZone: string,
): string {
  const calendar = ical({ name: t('view.run-plan.run-plan'), prodId: { company: 'fox-tempo', product: 'run-plan' } });
  for (const bar of plan.bars) {
    const job = jobs.find(({ id }) => id === bar.jobId);
    const machine = machines.find(({ id }) => id === bar.machineId);
    if (!job || !machine) continue;
    calendar.createEvent({
      id: `${bar.jobId}@fox-tempo`,
      stamp: now,
      start: workMoment(bar.fromMinute - bar.setupMinutes, now, timeZone, usualShifts),
      end: workMoment(bar.toMinute, now, timeZone, usualShifts),
      summary: `${machine.file.name}: ${t('view.today.pieces', { count: job.quantity, seam: job.name })}`,
      location: machine.file.place,
      description: [
        job.order,
        ...(bar.setupMinutes > 0 ? [t('view.run-plan.changeover', { seam: job.name })] : []),
      ].join('\n'),
    });
  }
  return calendar.toString();
}
