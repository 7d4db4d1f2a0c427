/** What each machine welds next by the plan, what has to be changed for it, and what ends before it is done. */
import { Box } from '@chakra-ui/react';
import { type MachineResource, type Order, type SeamResource, type Stock } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { type NextOn, bareJobs, type NamedJob } from '@fox-tempo/core/day/plan';
import { amount } from '@fox-tempo/core/base/messages';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { jobsToday, useMovedByHand } from '../../data/day-jobs.ts';
import { t, format, formatIf } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { useSum } from '../../workers/use-sum.ts';

export function NextOnMachines({
  orders,
  machines,
  seams,
  stock,
}: {
  readonly orders: readonly Order[];
  readonly machines: readonly MachineResource[];
  readonly seams: readonly SeamResource[];
  readonly stock: Stock;
}) {
  const [byHand] = useMovedByHand();
  const jobs = useMemo(() => jobsToday(orders, seams), [orders, seams]);
  const ask = useMemo(
    () => ({
      jobs: bareJobs(jobs),
      machines: machines.filter(({ id }) => !byHand.away.includes(id)),
      stock,
      fixed: byHand.fixed,
    }),
    [jobs, machines, stock, byHand],
  );
  const { answer, issues } = useSum('shiftPage', ask);
  const jobOf = (id: string | null) => jobs.find((job) => job.id === id);
  if (machines.length === 0)
    return (
      <Notice level="note">
        {t('view.memory.no-machine')} <Link to="/machines?new=1">{t('view.today.describe-a-machine')}</Link>
      </Notice>
    );
  return (
    <Box
      display="grid"
      gap="3"
      gridColumn="1 / -1"
      gridTemplateColumns={{ base: '1fr', md: 'repeat(auto-fit, minmax(260px, 1fr))' }}
    >
      {issues.length > 0 && <Notice level="caution">{formatIf(issues[0]?.message)}</Notice>}
      {machines.map((machine) => {
        const next = answer?.next.find(({ machineId }) => machineId === machine.id);
        const job = jobOf(next?.jobId ?? null);
        return (
          <Panel
            key={machine.id}
            title={machine.file.name}
            py="2"
            aside={
              <Box asChild textStyle="label" color="accent" fontWeight={600}>
                <Link to={`/machines/${machine.id}`}>{machine.file.place || t('view.today.state')}</Link>
              </Box>
            }
          >
            <OnIt machine={machine} />
            {byHand.away.includes(machine.id) ? (
              <Box color="ochre" fontSize="text">
                ◇ {t('view.today.not-planned')}
              </Box>
            ) : !answer ? (
              <Box color="quiet" fontSize="text" role="status">
                {t('view.run-plan.planning')}
              </Box>
            ) : next && job ? (
              <Next next={next} job={job} then={jobOf(next.thenJobId)} />
            ) : (
              <Box color="quiet" fontSize="text">
                {t('view.today.machine-free')}
              </Box>
            )}
          </Panel>
        );
      })}
    </Box>
  );
}

function OnIt({ machine: { file, standing } }: { readonly machine: MachineResource }) {
  if (file.dials.length === 0)
    return (
      <Box color="quiet" fontSize="small">
        {t('view.today.dials-unknown')}
      </Box>
    );
  const feeder = standing?.feeders[standing.feederId];
  return (
    <Box color="quiet" fontSize="small">
      {feeder
        ? `${format(fillerOf(feeder.filler).name)}, ${format(wireSizeLabel(feeder.diameterMm))} · ${format(gasName(feeder.gas))}`
        : t('view.today.loaded-unknown')}
    </Box>
  );
}

function Next({
  next,
  job,
  then,
}: {
  readonly next: NextOn;
  readonly job: NamedJob;
  readonly then: NamedJob | undefined;
}) {
  const changes = [
    ...next.steps.slice(0, 3).map(format),
    ...(next.steps.length > 3 ? [t('view.today.more', { more: next.steps.length - 3 })] : []),
  ];
  return (
    <Box fontSize="small" display="grid" gap="0.5" mt="1">
      <Box asChild fontSize="lead" fontWeight={650} minHeight="32px" display="inline-flex" alignItems="center">
        <Link to={`/at-machine/${job.seamId}?machine=${next.machineId}`}>
          {t('view.today.pieces', { count: job.quantity, seam: job.name })}
        </Link>
      </Box>
      <Box color="quiet">
        {job.order}
        {next.lateMinutes > 0 && (
          <Box as="span" color="crimson" fontWeight={600}>
            {' '}
            ✕ {t('view.today.late', { late: amount('minutes', next.lateMinutes, 0) })}
          </Box>
        )}
      </Box>
      <Box>
        {next.steps.length === 0 ? (
          <Box as="span" color="spruce" fontWeight={600}>
            ✓ {t(next.dialsToSet ? 'view.today.stay' : 'view.today.nothing-to-change')}
          </Box>
        ) : (
          <Box asChild fontWeight={600}>
            <Link to={`/seams/${job.seamId}/setup`}>
              ◇ {t('view.today.change-over', { minutes: amount('minutes', next.setupMinutes, 0) })}
            </Link>
          </Box>
        )}{' '}
        {changes.join(', ')}
        {next.dialsToSet !== null && next.dialsToSet > 0 && (
          <Box as="span" color="quiet">
            {changes.length > 0 ? ' · ' : '· '}
            {t('view.today.dials-to-set', { count: next.dialsToSet })}
          </Box>
        )}
      </Box>
      {next.shortages.map(({ name, pieces }) => (
        <Box key={name} color={pieces === 0 ? 'crimson' : 'ochre'} fontWeight={600}>
          {pieces === 0 ? '✕' : '◇'} {t('view.today.ends-after', { name, pieces, quantity: job.quantity })}
        </Box>
      ))}
      {then && <Box color="quiet">{t('view.today.then', { seam: then.name, order: then.order })}</Box>}
    </Box>
  );
}
