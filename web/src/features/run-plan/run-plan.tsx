/** The day's run: every seam of the open orders on the machine and at the time that costs least, with changeovers between; moved by hand and replanned. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/said';
import { jobMinutes, pauseOn, type DayPlan } from '@fox-tempo/core/day-plan';
import { useMemo } from 'react';
import { Link, useLoaderData } from 'react-router';
import { api } from '../../data/api.ts';
import { csvOf } from '../../lib/csv.ts';
import { bareJobs, dayJobs, useMovedByHand, type NamedJob } from '../../lib/day-jobs.ts';
import { standingMachine } from '../../lib/as-stands.ts';
import { download } from '../../lib/download.ts';
import { t, tell } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { useSum } from '../../workers/use-sum.ts';
import { Bars } from './bars.tsx';
import { clock, own } from './named.ts';

export async function loadRunPlan({ request }: { request: Request }) {
  const [orders, machines, seams] = await Promise.all([
    api.orders(request.signal),
    api.machines(request.signal),
    api.seams(request.signal),
  ]);
  return {
    orders: orders.filter((order) => !order.closed && order.done < order.quantity),
    machines: machines.filter((machine) => !machine.retired),
    seams,
  };
}

export function RunPlan() {
  const { orders, machines, seams } = useLoaderData<Awaited<ReturnType<typeof loadRunPlan>>>();
  const [kept, setKept] = useMovedByHand();
  const jobs = useMemo(() => dayJobs(orders, seams), [orders, seams]);
  const here = machines.filter(({ id }) => !kept.away.includes(id));
  const ask = useMemo(
    () => ({
      jobs: bareJobs(jobs),
      machines: machines
        .filter(({ id }) => !kept.away.includes(id))
        .map((machine) => ({ id: machine.id, file: standingMachine(machine).file, state: machine.standing })),
      fixed: kept.fixed,
    }),
    [jobs, machines, kept],
  );
  const { answer, issues } = useSum('dayPlan', ask);
  const nameOf = (jobId: string) => jobs.find(({ id }) => id === jobId);
  return (
    <>
      <PageHead
        title={t('view.run-plan.run-plan')}
        line={t('view.run-plan.open-orders', { orders: orders.length, jobs: jobs.length })}
      >
        <Action
          disabled={!answer}
          onClick={() => answer && download('run-plan.csv', 'text/csv', planCsv(answer, jobs, machines))}
        >
          CSV
        </Action>
        <Action
          disabled={!answer}
          onClick={() =>
            answer &&
            void import('./calendar.ts').then(({ planCalendar }) =>
              download('run-plan.ics', 'text/calendar', planCalendar(answer, jobs, machines, new Date())),
            )
          }
        >
          iCalendar
        </Action>
        <Action disabled={Object.keys(kept.fixed).length === 0} onClick={() => setKept({ ...kept, fixed: {} })}>
          {t('view.run-plan.let-go-of-all')}
        </Action>
      </PageHead>
      <Box as="main" id="content" tabIndex={-1} p="3" display="grid" gap="3" alignContent="start">
        {jobs.length === 0 ? (
          <Notice level="note">{t('view.run-plan.nothing-to-weld')}</Notice>
        ) : (
          <>
            {issues.length > 0 && (
              <Notice level="refusal">{issues.map(({ message }) => tell(message)).join(' ')}</Notice>
            )}
            {answer && <Totals plan={answer} />}
            {answer && answer.unplaced.length > 0 && (
              <Notice level="caution" word={t('view.run-plan.no-machine-can-say')}>
                {answer.unplaced.map((id) => nameOf(id)?.name ?? id).join(', ')}
              </Notice>
            )}
            {answer && <Pauses plan={answer} jobs={jobs} machines={here} />}
            <Panel title={t('view.run-plan.machine-by-machine')}>
              {answer ? (
                <Bars plan={answer} machines={here} jobs={jobs} />
              ) : (
                <Box color="quiet" role="status">
                  {t('view.run-plan.planning')}
                </Box>
              )}
              <Box display="flex" gap="2" flexWrap="wrap" mt="3">
                {machines.map(({ id, file }) => {
                  const isAway = kept.away.includes(id);
                  return (
                    <Action
                      key={id}
                      aria-pressed={isAway}
                      onClick={() =>
                        setKept({ ...kept, away: isAway ? kept.away.filter((one) => one !== id) : [...kept.away, id] })
                      }
                    >
                      {isAway
                        ? t('view.run-plan.is-back', { machine: file.name })
                        : t('view.run-plan.is-down', { machine: file.name })}
                    </Action>
                  );
                })}
              </Box>
            </Panel>
            {answer && (
              <OrderOfWork
                plan={answer}
                jobs={jobs}
                machines={here}
                fixed={kept.fixed}
                onFixed={(fixed) => setKept({ ...kept, fixed })}
              />
            )}
          </>
        )}
      </Box>
    </>
  );
}

/** Runs that a power source cannot weld without waiting. */
function Pauses({
  plan,
  jobs,
  machines,
}: {
  readonly plan: DayPlan;
  readonly jobs: readonly NamedJob[];
  readonly machines: readonly MachineResource[];
}) {
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
          {t('view.run-plan.wait-after-each', {
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

function Totals({ plan }: { readonly plan: DayPlan }) {
  const end = Math.max(0, ...plan.bars.map(({ toMinute }) => toMinute));
  return (
    <Box display="flex" gap="5" flexWrap="wrap" fontSize="14px" role="status">
      <Box>
        <Box as="span" color="quiet">
          {t('view.run-plan.changeovers')}
        </Box>{' '}
        <Box as="span" textStyle="figure">
          {tell(amount('minutes', plan.setupMinutes, 0))}
        </Box>
      </Box>
      <Box>
        <Box as="span" color="quiet">
          {t('view.run-plan.late')}
        </Box>{' '}
        <Box as="span" textStyle="figure" color={plan.lateMinutes > 0 ? 'crimson' : 'ink'}>
          {tell(amount('minutes', plan.lateMinutes, 0))}
        </Box>
      </Box>
      <Box>
        <Box as="span" color="quiet">
          {t('view.run-plan.done-after')}
        </Box>{' '}
        <Box as="span" textStyle="figure">
          {t('view.run-plan.hours', { hours: amount('plain', end / 60, 1) })}
        </Box>
      </Box>
      <Box color="quiet">
        {plan.provenBest
          ? t('view.run-plan.no-order-is-better')
          : plan.bound >= 1
            ? t('view.run-plan.at-least', { bound: amount('minutes', plan.bound, 0) })
            : ''}
      </Box>
    </Box>
  );
}

/** The list, and what a hand may change in it: first on its machine, or on another one. */
function OrderOfWork({
  plan,
  jobs,
  machines,
  fixed,
  onFixed,
}: {
  readonly plan: DayPlan;
  readonly jobs: readonly NamedJob[];
  readonly machines: readonly MachineResource[];
  readonly fixed: Readonly<Record<string, readonly string[]>>;
  readonly onFixed: (fixed: Readonly<Record<string, readonly string[]>>) => void;
}) {
  const isHeld = (jobId: string) => Object.values(fixed).some((ids) => ids.includes(jobId));
  const without = (jobId: string) =>
    Object.fromEntries(
      Object.entries(fixed)
        .map(([machine, ids]) => [machine, ids.filter((id) => id !== jobId)] as const)
        .filter(([, ids]) => ids.length > 0),
    );
  return (
    <Panel title={t('view.run-plan.order-of-work')}>
      <Table label={t('view.run-plan.order-of-work')}>
        <Heads
          names={[
            t('view.run-plan.machine'),
            t('view.run-plan.seam'),
            t('view.run-plan.order'),
            t('view.run-plan.pieces'),
            t('view.run-plan.change'),
            t('view.run-plan.from-to'),
            t('view.run-plan.late-head'),
            '',
          ]}
          right={[t('view.run-plan.pieces'), t('view.run-plan.change'), t('view.run-plan.late-head')]}
        />
        <tbody>
          {machines.flatMap(({ id: machineId, file }) =>
            own(plan, machineId).map((bar, at) => {
              const job = jobs.find(({ id }) => id === bar.jobId);
              if (!job) return [];
              return (
                <tr key={bar.jobId}>
                  <Cell head middle {...(at === 0 ? {} : { fontWeight: 400, color: 'quiet' })}>
                    {file.name}
                  </Cell>
                  <Cell middle>
                    <Box asChild _hover={{ textDecoration: 'underline' }}>
                      <Link to={`/seams/${job.seamId}`}>{job.name}</Link>
                    </Box>
                  </Cell>
                  <Cell middle>{job.order}</Cell>
                  <Cell figure middle>
                    {job.quantity}
                  </Cell>
                  <Cell figure middle>
                    {bar.setupMinutes === 0 ? '–' : tell(amount('minutes', bar.setupMinutes, 0))}
                  </Cell>
                  <Cell middle fontFamily="mono" whiteSpace="nowrap">
                    {clock(bar.fromMinute)} – {clock(bar.toMinute)}
                  </Cell>
                  <Cell figure middle color={bar.lateMinutes > 0 ? 'crimson' : 'quiet'}>
                    {bar.lateMinutes === 0 ? '–' : tell(amount('minutes', bar.lateMinutes, 0))}
                  </Cell>
                  <Cell middle>
                    {isHeld(bar.jobId) ? (
                      <Action fontSize="13px" onClick={() => onFixed(without(bar.jobId))}>
                        {t('view.run-plan.let-go')}
                      </Action>
                    ) : (
                      <Action
                        kind="quiet"
                        fontSize="13px"
                        aria-label={t('view.run-plan.weld-first', { seam: job.name, machine: file.name })}
                        onClick={() =>
                          onFixed({ ...without(bar.jobId), [machineId]: [...(fixed[machineId] ?? []), bar.jobId] })
                        }
                      >
                        {t('view.run-plan.first')}
                      </Action>
                    )}
                  </Cell>
                </tr>
              );
            }),
          )}
        </tbody>
      </Table>
      <Box fontSize="12.5px" color="quiet" mt="1">
        {t('view.run-plan.minutes-are')}
      </Box>
    </Panel>
  );
}

function planCsv(plan: DayPlan, jobs: readonly NamedJob[], machines: readonly MachineResource[]): string {
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
