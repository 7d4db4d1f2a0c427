/** What the plan cannot mend by itself: pauses, what runs out, jobs that no machine here can say, orders whose day is over. */
import { hoursOf } from '@fox-tempo/core/base/units';
import { whyNot, whyNotWords, missingWords } from '@fox-tempo/core/machine/dials';
import type { MachineResource, Stock } from '@fox-tempo/contract';
import { Box } from '@chakra-ui/react';
import { hoursMinutes, nearestTo, pauseOn, runsOut, type DayPlan, type NamedJob } from '@fox-tempo/core/day/plan';
import { amount } from '@fox-tempo/core/base/messages';
import { Link } from 'react-router';
import { shopDate, shopDay } from '../../lib/time.ts';
import { t, format } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';

interface WarningProps {
  readonly plan: DayPlan;
  readonly jobs: readonly NamedJob[];
}

/** Runs that a power source cannot weld without waiting. */
export function Pauses({ plan, jobs, machines }: WarningProps & { readonly machines: readonly MachineResource[] }) {
  const waits = plan.bars.flatMap((bar) => {
    const job = jobs.find(({ id }) => id === bar.jobId);
    const machine = machines.find(({ id }) => id === bar.machineId);
    const pause = job && machine && pauseOn(machine.file, job);
    return pause ? [{ job, machine, pause }] : [];
  });
  if (waits.length === 0) return null;
  return (
    <Notice level="caution" word={t('view.run-plan.pauses')}>
      {waits.map(({ job, machine, pause }) => (
        <Box key={`${machine.id} ${job.id}`}>
          {t('view.run-plan.wait-after', {
            machine: machine.file.name,
            seam: job.name,
            rms: amount('current', pause.rmsCurrentA, 0),
            arc: amount('percent', pause.arcPercent, 0),
            allowed: amount('percent', pause.allowedPercent, 0),
            wait: amount('minutes', pause.minutes, 1),
          })}
        </Box>
      ))}
    </Notice>
  );
}

/** Cylinders and spools on the machines that end before the plan does. */
export function RunningOut({
  plan,
  jobs,
  machines,
  stock,
}: WarningProps & { readonly machines: readonly MachineResource[]; readonly stock: Stock }) {
  const ends = runsOut(plan, jobs, stock);
  if (ends.length === 0) return null;
  return (
    <Notice level="caution" word={t('view.run-plan.runs-out')}>
      {ends.map(({ name, machineId, jobId, pieces, atMinute }) => (
        <Box key={`${machineId} ${name}`}>
          <Box asChild textDecoration="underline">
            <Link to={`/machines/${machineId}/refill`}>
              {`${machines.find(({ id }) => id === machineId)?.file.name ?? machineId}, ${name}`}
            </Link>
          </Box>
          {': '}
          {t('view.run-plan.change-before', {
            at: hoursMinutes(atMinute),
            piece: pieces + 1,
            seam: jobs.find(({ id }) => id === jobId)?.name ?? jobId,
          })}
        </Box>
      ))}
    </Notice>
  );
}

/** Jobs that stand nowhere: only a machine that is down could, or what keeps the one that comes nearest. */
export function Unplaced({
  plan,
  jobs,
  machines,
  away,
}: WarningProps & { readonly machines: readonly MachineResource[]; readonly away: readonly string[] }) {
  const left = plan.unplaced.flatMap((id) => jobs.find((job) => job.id === id) ?? []);
  if (left.length === 0) return null;
  const here = machines.filter(({ id }) => !away.includes(id));
  return (
    <Notice level="caution" word={t('view.run-plan.no-machine')}>
      {left.map((job) => {
        const down = machines.filter(({ id, file }) => away.includes(id) && whyNot(file, job.program) === null);
        const nearest = nearestTo(here, job.program);
        return (
          <Box key={job.id}>
            <Box asChild fontWeight={600} _hover={{ textDecoration: 'underline' }}>
              <Link to={`/seams/${job.seamId}`}>{`${job.name}, ${job.order}`}</Link>
            </Box>
            {': '}
            {down.length > 0
              ? t('view.run-plan.only-down', { machines: down.map(({ file }) => file.name).join(', ') })
              : nearest?.why
                ? format(whyNotWords(nearest.machine.file, job.program, nearest.why))
                : t('view.run-plan.no-machine-there')}
          </Box>
        );
      })}
    </Notice>
  );
}

/** Machines on which nothing can be planned, with what is missing and the way to add it. */
export function LeftOut({ plan, machines }: { readonly plan: DayPlan; readonly machines: readonly MachineResource[] }) {
  const named = plan.halfDescribed.flatMap(({ machineId, missing }) => {
    const machine = machines.find(({ id }) => id === machineId);
    return machine ? [{ machine, missing }] : [];
  });
  if (named.length === 0) return null;
  return (
    <Notice level="note" word={t('view.run-plan.left-out')}>
      {named.map(({ machine, missing }) => (
        <Box key={machine.id}>
          {format(missingWords(machine.file.name, missing))}{' '}
          <Box asChild textDecoration="underline">
            <Link to={`/machines/${machine.id}`}>{t('view.run-plan.describe')}</Link>
          </Box>
        </Box>
      ))}
    </Notice>
  );
}

/** Orders that were due before today: no order of work makes them good. */
export function Overdue({ plan, jobs }: WarningProps) {
  const today = shopDay();
  const late = jobs.filter(({ dueOn }) => dueOn < today);
  const orders = [...new Set(late.map(({ order }) => order))];
  if (orders.length === 0) return null;
  return (
    <Notice level="caution" word={t('view.run-plan.overdue')}>
      {orders.map((order) => {
        const own = late.filter((job) => job.order === order);
        const end = Math.max(
          ...plan.bars.filter(({ jobId }) => own.some(({ id }) => id === jobId)).map(({ toMinute }) => toMinute),
          0,
        );
        return (
          <Box key={order}>
            {t('view.run-plan.was-due', {
              order,
              day: shopDate(own[0]?.dueOn ?? today),
              hours: amount('plain', hoursOf(end), 1),
            })}{' '}
            <Box asChild textDecoration="underline">
              <Link to="/shop/orders">{t('view.run-plan.agree-another-day')}</Link>
            </Box>
          </Box>
        );
      })}
    </Notice>
  );
}
