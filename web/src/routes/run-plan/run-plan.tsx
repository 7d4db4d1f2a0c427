/** The day's run: every seam of the open orders on the machine and at the time that costs least, with changeovers between; moved by hand and replanned. */
import { Box } from '@chakra-ui/react';
import { bareJobs } from '@fox-tempo/core/day/plan';
import { useMemo } from 'react';
import { useLoaderData } from 'react-router';
import { api, runPlanAddress } from '../../data/api.ts';
import { jobsToday, useMovedByHand } from '../../data/day-jobs.ts';
import { standingMachine } from '../../sheet/standing-machine.ts';
import { download } from '../../lib/download.ts';
import { useSettings } from '../../session/settings.ts';
import { shopTimeZone } from '../../session/session.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { useProof } from '../../workers/use-proof.ts';
import { useSum } from '../../workers/use-sum.ts';
import { Bars } from './bars.tsx';
import { OrderOfWork } from './order-of-work.tsx';
import { planCsv } from './plan-csv.ts';
import { Totals } from './totals.tsx';
import { LeftOut, Overdue, Pauses, RunningOut, Unplaced } from './warnings.tsx';

export async function loadRunPlan({ request }: { request: Request }) {
  const [orders, machines, seams, stock] = await Promise.all([
    api.orders(request.signal),
    api.machines(request.signal),
    api.seams(request.signal),
    api.stock(request.signal),
  ]);
  return {
    orders: orders.filter((order) => !order.closed && order.done < order.quantity),
    machines: machines.filter((machine) => !machine.retired),
    seams,
    stock,
  };
}

/** What a server takes as an address. */
const longestAddress = 12_000;

export function RunPlan() {
  const { orders, machines, seams, stock } = useLoaderData<Awaited<ReturnType<typeof loadRunPlan>>>();
  const [kept, setKept] = useMovedByHand();
  const language = useSettings((state) => state.language);
  const units = useSettings((state) => state.units);
  const jobs = useMemo(() => jobsToday(orders, seams), [orders, seams]);
  const here = useMemo(() => machines.filter(({ id }) => !kept.away.includes(id)), [machines, kept]);
  const ask = useMemo(
    () => ({
      jobs: bareJobs(jobs),
      machines: here.map((machine) => ({
        id: machine.id,
        file: standingMachine(machine).file,
        state: machine.standing,
      })),
      fixed: kept.fixed,
    }),
    [jobs, here, kept],
  );
  const { answer, current, issues } = useSum('dayPlan', ask);
  const proof = useProof(ask, current ? answer : null);
  const wall = runPlanAddress(kept, { language, units });
  const onFixed = (fixed: typeof kept.fixed) => setKept({ ...kept, fixed });
  return (
    <Page
      title={t('view.run-plan.run-plan')}
      line={t('view.run-plan.open-orders', { orders: orders.length, jobs: jobs.length })}
      acts={
        <>
          {wall.length > longestAddress ? (
            <Action disabled title={t('view.run-plan.too-many-held')}>
              {t('view.run-plan.for-the-wall')}
            </Action>
          ) : (
            <Action asChild>
              <a href={wall} target="_blank" rel="noreferrer">
                {t('view.run-plan.for-the-wall')}
              </a>
            </Action>
          )}
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
                download(
                  'run-plan.ics',
                  'text/calendar',
                  planCalendar(answer, jobs, machines, new Date(), shopTimeZone()),
                ),
              )
            }
          >
            {'iCalendar'}
          </Action>
          <Action disabled={Object.keys(kept.fixed).length === 0} onClick={() => onFixed({})}>
            {t('view.run-plan.release-all')}
          </Action>
        </>
      }
    >
      {jobs.length === 0 ? (
        <Notice level="note">{t('view.run-plan.nothing-to-weld')}</Notice>
      ) : (
        <>
          {issues.length > 0 && (
            <Notice level="refusal">{issues.map(({ message }) => format(message)).join(' ')}</Notice>
          )}
          {answer && <Totals plan={answer} proof={proof} onBetter={onFixed} />}
          {answer && <Overdue plan={answer} jobs={jobs} />}
          {answer && <Unplaced plan={answer} jobs={jobs} machines={machines} away={kept.away} />}
          {answer && <LeftOut plan={answer} machines={here} />}
          {answer && <RunningOut plan={answer} jobs={jobs} machines={here} stock={stock} />}
          {answer && <Pauses plan={answer} jobs={jobs} machines={here} />}
          <Panel title={t('view.run-plan.machine-by-machine')}>
            {answer ? (
              <Bars plan={answer} machines={here} jobs={jobs} fixed={kept.fixed} onFixed={onFixed} />
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
          {answer && <OrderOfWork plan={answer} jobs={jobs} machines={here} fixed={kept.fixed} onFixed={onFixed} />}
        </>
      )}
    </Page>
  );
}
