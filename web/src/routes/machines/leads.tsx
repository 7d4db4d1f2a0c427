/** Resistance of the leads: readings over time, and a new one. */
import { Box } from '@chakra-ui/react';
import type { LeadReadingRow, MachineResource } from '@fox-tempo/contract';
import { absent, amount, signed } from '@fox-tempo/core/base/messages';
import { leadEffect, leadTrend } from '@fox-tempo/core/machine/setup';
import { lazy, Suspense } from 'react';
import { api } from '../../data/api.ts';
import { useKeptList } from '../../data/queries.ts';
import { useTask } from '../../lib/use-task.ts';
import { fixed, t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';

const LeadChart = lazy(async () => ({ default: (await import('./lead-chart.tsx')).LeadChart }));

export function Leads({
  machine,
  loaded,
}: {
  readonly machine: MachineResource;
  readonly loaded: readonly LeadReadingRow[];
}) {
  const [rows, setRows] = useKeptList('leadReadings', loaded, { params: { id: machine.id } });
  const keep = `lead/${machine.id}`;
  const [form, setForm, forget] = useKeptForm<{ mOhm: number | null; note: string }>(keep, { mOhm: null, note: '' });
  const task = useTask();
  const trend = leadTrend(rows);
  const feeder = machine.standing?.feeders[machine.standing.feederId];
  // At the middle of what such a machine runs: what the gained resistance does to the arc.
  const effect = trend && feeder ? leadEffect(feeder, 150, trend.gainedMOhm) : undefined;
  return (
    <Panel title={t('view.machines.leads')}>
      {trend ? (
        <Box fontSize="text" mb="2">
          <Box as="span" textStyle="bigFigure">
            {fixed(trend.latestMOhm, 1)}
          </Box>{' '}
          {t('view.machines.leads-last', {
            perMonth: trend.perMonthMOhm === undefined ? absent : signed('resistance', trend.perMonthMOhm, 1),
            words: trend.words,
          })}
          {effect !== undefined && trend.gainedMOhm > 0.5 && (
            <Box color="quiet" fontSize="small" mt="1">
              {t('view.machines.leads-loss', {
                volts: amount('voltage', effect.volts, 1),
                arc: amount('shortLength', Math.abs(effect.arcMm), 1),
              })}
            </Box>
          )}
        </Box>
      ) : (
        <Notice level="note">
          {t('view.machines.leads-none', {
            circuit: amount('resistance', machine.file.circuitMOhm),
          })}
        </Notice>
      )}
      {rows.length > 1 && (
        <Suspense
          fallback={
            <Box height="190px" display="grid" placeItems="center" color="quiet" fontSize="small" role="status">
              {t('view.machines.drawing-the-trend')}
            </Box>
          }
        >
          <LeadChart rows={rows} machineName={machine.file.name} />
        </Suspense>
      )}
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr', md: '160px 1fr auto' }}
        gap="2.5"
        alignItems="start"
        mt="2"
      >
        <ValueField
          label={t('view.machines.leads-now')}
          of="resistance"
          value={form.mOhm}
          keep={`${keep}/mohm`}
          range={[0, 80]}
          step={0.1}
          optional
          onValue={(mOhm) => setForm({ ...form, mOhm })}
          hint={t('view.machines.leads-how')}
        />
        <TextField label={t('view.machines.note')} value={form.note} onChange={(note) => setForm({ ...form, note })} />
        <Action
          kind="main"
          mt="18px"
          disabled={form.mOhm === null || task.busy}
          onClick={() => {
            const { mOhm, note } = form;
            if (mOhm === null) return;
            void task.run(async () => {
              const added = await api.addLeadReading(machine.id, { mOhm, note });
              if (added) setRows([...rows, added]);
              forget();
            });
          }}
        >
          {t('view.machines.leads-save')}
        </Action>
      </Box>
      {task.problem !== null && (
        <Notice level="refusal" word={t('view.machines.not-logged')} urgent>
          {task.problem}
        </Notice>
      )}
    </Panel>
  );
}
