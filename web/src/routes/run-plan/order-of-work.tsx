/** The list of the day, and what a hand may change in it: first on its machine, or let go. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { hoursMinutes, barsOn, type DayPlan, type NamedJob } from '@fox-tempo/core/day/plan';
import { amount } from '@fox-tempo/core/base/messages';
import { Link } from 'react-router';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { letGo, type Fixed } from './move.ts';

export function OrderOfWork({
  plan,
  jobs,
  machines,
  fixed,
  onFixed,
}: {
  readonly plan: DayPlan;
  readonly jobs: readonly NamedJob[];
  readonly machines: readonly MachineResource[];
  readonly fixed: Fixed;
  readonly onFixed: (fixed: Fixed) => void;
}) {
  const isHeld = (jobId: string) => Object.values(fixed).some((ids) => ids.includes(jobId));
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
            t('view.run-plan.column-time'),
            t('view.run-plan.late-head'),
            '',
          ]}
          right={[t('view.run-plan.pieces'), t('view.run-plan.change'), t('view.run-plan.late-head')]}
        />
        <tbody>
          {machines.flatMap(({ id: machineId, file }) =>
            barsOn(plan, machineId).map((bar, at) => {
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
                    {bar.setupMinutes === 0 ? '–' : format(amount('minutes', bar.setupMinutes, 0))}
                  </Cell>
                  <Cell middle fontFamily="mono" whiteSpace="nowrap">
                    {hoursMinutes(bar.fromMinute)} – {hoursMinutes(bar.toMinute)}
                  </Cell>
                  <Cell figure middle color={bar.lateMinutes > 0 ? 'crimson' : 'quiet'}>
                    {bar.lateMinutes === 0 ? '–' : format(amount('minutes', bar.lateMinutes, 0))}
                  </Cell>
                  <Cell middle>
                    {isHeld(bar.jobId) ? (
                      <Action fontSize="small" onClick={() => onFixed(letGo(fixed, bar.jobId))}>
                        {t('view.run-plan.let-go')}
                      </Action>
                    ) : (
                      <Action
                        kind="quiet"
                        fontSize="small"
                        aria-label={t('view.run-plan.weld-first', { seam: job.name, machine: file.name })}
                        onClick={() =>
                          onFixed({ ...letGo(fixed, bar.jobId), [machineId]: [...(fixed[machineId] ?? []), bar.jobId] })
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
      <Box fontSize="label" color="quiet" mt="1">
        {t('view.run-plan.minutes-why')}
      </Box>
    </Panel>
  );
}
