/** From how the machine stands to what this seam needs: only the differences, ticked off one by one, then written down. */
import { allOf, amount } from '@fox-tempo/core/base/messages';
import { t, format, named } from '../../lib/words.ts';
import { api } from '../../data/api.ts';
import { useEndpoint } from '../../data/queries.ts';
import { WireAndFlow } from './wire-and-flow.tsx';
import { LengthsDrawing } from './drawings.tsx';
import { FirstArc } from './first-arc.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { Action } from '../../ui/action.tsx';
import { Step } from './step.tsx';
import { Link } from 'react-router';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Box } from '@chakra-ui/react';
import { useTask } from '../../lib/use-task.ts';
import { useKeptForm } from '../../ui/kept-text.ts';

import { type Program } from '@fox-tempo/core/setting/program';
import { cardOf } from '@fox-tempo/core/machine/dials';
import {
  changeover,
  checkLoaded,
  type MachineState,
  type SetupStep,
  unknownState,
} from '@fox-tempo/core/machine/setup';
import { type MachineResource, type SeamResource } from '@fox-tempo/contract';
export function Walk({
  seam,
  program,
  machine,
  onStands,
}: {
  readonly seam: SeamResource;
  readonly program: Program;
  readonly machine: MachineResource;
  readonly onStands: (machine: MachineResource) => void;
}) {
  // Without the shop's own times the usual ones stand; the walk does not wait for them.
  const { data: times = { minutes: {} } } = useEndpoint('stepTimes', { params: { id: machine.id } });
  const state: MachineState = machine.standing ?? unknownState(machine.file);
  const list = changeover(machine.file, state, program, times.minutes);
  const check = checkLoaded(machine.file, state, program);
  const keep = `setup/${machine.id}/${seam.id}/${seam.revision?.number ?? 0}/${machine.version}`;
  const [ticks, setTicks, forget] = useKeptForm<Record<string, boolean>>(keep, {});
  const task = useTask();
  const done = list.steps.every((step) => ticks[step.kind]);

  const tick = (step: SetupStep, ticked: boolean, minutes: number | null) => {
    setTicks({ ...ticks, [step.kind]: ticked });
    if (ticked && minutes !== null) {
      void task.run(() => api.addStepTime(machine.id, { kind: step.kind, minutes }));
    }
  };

  const writeDown = () =>
    void task.run(async () => {
      const { file, standing } = machine;
      const dials = Object.fromEntries(cardOf(file, program).dials.map((dial) => [dial.dialId, dial.value]));
      const { needed, feederId } = list;
      const { process, polarity, ctwdMm: _reach, ...feeder } = needed;
      const stands = await api.saveStanding(machine.id, machine.version, {
        process,
        polarity,
        feederId,
        feeders: { ...standing?.feeders, [feederId]: feeder },
        dials,
        slot: null,
        from: 'set-up',
      });
      if (stands) onStands(stands);
      forget();
    });

  return (
    <Box
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.5fr) minmax(0, 1fr)' }}
      alignItems="start"
    >
      <Box display="grid" gap="3" minWidth={0}>
        <Panel
          title={
            list.steps.length === 0
              ? t('view.setup.nothing-to-change')
              : t('view.setup.things-to-change', { steps: list.steps.length })
          }
          aside={
            <Box textStyle="label" color="quiet">
              {[
                ...(list.steps.length === 0
                  ? []
                  : [t('view.setup.minutes', { minutes: amount('minutes', list.minutes, 0) })]),
                ...(machine.file.feeders.length > 1 ? [list.feederLabel] : []),
              ].join(' · ')}
            </Box>
          }
        >
          {machine.standing === null && (
            <Notice level="caution" word={t('view.setup.state-unknown')}>
              {t('view.setup.state-unknown-why')}{' '}
              <Link to={`/machines/${machine.id}/standing`}>{t('view.setup.state-enter')}</Link>
            </Notice>
          )}
          {list.steps.length === 0 ? (
            <Box fontSize="text" color="spruce">
              {t('view.setup.all-right')}
            </Box>
          ) : (
            <Box as="ol" listStyleType="none">
              {list.steps.map((step) => (
                <Step
                  key={step.kind}
                  step={step}
                  list={list}
                  ticked={ticks[step.kind] ?? false}
                  isOwnTime={times.minutes[step.kind] !== undefined}
                  onTick={(ticked, minutes) => tick(step, ticked, minutes)}
                />
              ))}
            </Box>
          )}
          {task.problem !== null && (
            <Notice level="refusal" word={t('view.library.not-saved')} urgent>
              {task.problem}
            </Notice>
          )}
          <Box display="flex" gap="2" mt="3" flexWrap="wrap" alignItems="center">
            <Action kind="main" disabled={!done || task.busy} onClick={writeDown}>
              {list.steps.length === 0 ? t('view.setup.dials-record') : t('view.setup.all-done')}
            </Action>
            <Box fontSize="small" color="quiet">
              {done
                ? t('view.setup.all-done-why', { file: machine.file.name })
                : t('view.setup.stock-left', { kind: list.steps.filter((step) => !ticks[step.kind]).length })}
            </Box>
          </Box>
        </Panel>
        <Panel title={t('view.setup.loaded-against-selected')}>
          {check.blocked ? (
            <Notice level="refusal" word={t('view.setup.no-trial')}>
              {t('view.setup.mismatch', {
                what: allOf(check.rows.filter((row) => !row.agrees).map((row) => named(row.what))),
                count: check.rows.filter((row) => !row.agrees).length,
              })}
            </Notice>
          ) : (
            <Box fontSize="text" color="spruce" mb="1">
              {t('view.setup.match')}
            </Box>
          )}
          <Table label={t('view.setup.loaded-against-selected')} mt="2">
            <Heads
              names={['', t('view.setup.loaded'), t('view.setup.selected'), t('view.setup.this-seam-needs'), '']}
            />
            <tbody>
              {check.rows.map((row) => (
                <tr key={row.what}>
                  <Cell head>{named(row.what)}</Cell>
                  <Cell>{format(row.loaded)}</Cell>
                  <Cell>{format(row.selected)}</Cell>
                  <Cell>{format(row.needed)}</Cell>
                  <Cell color={row.agrees ? 'spruce' : 'crimson'} whiteSpace="nowrap" pe="0">
                    {row.agrees ? t('view.setup.agrees') : t('view.setup.differs')}
                  </Cell>
                </tr>
              ))}
            </tbody>
          </Table>
        </Panel>
      </Box>
      <Box display="grid" gap="3" minWidth={0}>
        <FirstArc seam={seam} machine={machine} program={program} />
        <Panel title={t('view.setup.lengths')}>
          <LengthsDrawing ctwdMm={program.ctwdMm} recessMm={list.needed.recessMm} />
        </Panel>
        <WireAndFlow seam={seam} program={program} list={list} machine={machine} />
      </Box>
    </Box>
  );
}
