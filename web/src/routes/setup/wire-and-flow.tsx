/** Gas at the nozzle and wire on its way through the gun that is fitted. */
import { t, format, named, formatWithUnit } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { type Program } from '@fox-tempo/core/setting/program';
import { usualGunLengthM } from '@fox-tempo/core/machine/description';
import { gunTroubles, type Changeover } from '@fox-tempo/core/machine/setup';
import { feedRisk, flowBand } from '@fox-tempo/core/setting/wire-choice';
import { useSettings } from '../../session/settings.ts';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { CannotFinish } from '../../parts/shortages/index.ts';
import { LookFirst } from '../../parts/wear/index.ts';
import { Tick } from '../../ui/tick.tsx';
import { ValueField } from '../../ui/value-field.tsx';

export function WireAndFlow({
  seam,
  program,
  list,
  machine,
}: {
  readonly seam: SeamResource;
  readonly program: Program;
  readonly list: Changeover;
  readonly machine: MachineResource;
}) {
  const units = useSettings((state) => state.units);
  const [form, setForm] = useKeptForm(`flow/${machine.id}`, { boreMm: 16, draught: false });
  const band = flowBand(program, form.boreMm, form.draught);
  const feeder = machine.file.feeders.find((one) => one.id === list.feederId);
  // The liner that is in the gun is what the wire has to pass, not the one it should be.
  const fitted = machine.standing?.feeders[list.feederId]?.liner ?? list.needed.liner;
  const risk = feedRisk(program.filler, program.diameterMm, feeder?.gunLengthM ?? usualGunLengthM, fitted);
  const troubles = feeder ? gunTroubles(feeder, program, machine.file.circuitMOhm, new Date()) : [];
  const flow = (value: number) => formatWithUnit(value, 'gasFlow', units);
  const other = units === 'metric' ? 'us' : 'metric';
  return (
    <Panel title={t('view.setup.gas-and-wire')}>
      <Heading as="h3" textStyle="label" color="quiet">
        {t('view.machines.nozzle-flow')}
      </Heading>
      <Box textStyle="bigFigure">
        {t('view.setup.to', { low: flow(band.lowLPerMin), high: flow(band.highLPerMin) })}
      </Box>
      <Box fontSize="small" color="quiet" mb="2">
        {t('view.setup.flow', {
          least: formatWithUnit(band.lowLPerMin, 'gasFlow', other),
          most: formatWithUnit(band.highLPerMin, 'gasFlow', other),
          because: band.because,
        })}
      </Box>
      <Box mb="2" _empty={{ display: 'none' }}>
        <CannotFinish seam={seam} machine={machine} />
        <LookFirst machineId={machine.id} feederId={list.feederId} />
      </Box>
      {troubles.map(({ code, message }) => (
        <Box mb="2" key={format(code)}>
          <Notice level="caution" word={t('view.gun-paper.by-its-paper')}>
            {format(message)}
          </Notice>
        </Box>
      ))}
      {band.caution !== undefined && (
        <Box mb="2">
          <Notice level="caution">{format(band.caution)}</Notice>
        </Box>
      )}
      <Box display="grid" gridTemplateColumns="140px 1fr" gap="3" alignItems="start">
        <ValueField
          label={t('view.setup.nozzle-bore')}
          of="shortLength"
          value={form.boreMm}
          keep={`flow/${machine.id}/bore`}
          range={[8, 30]}
          onValue={(boreMm) => setForm({ ...form, boreMm: boreMm ?? 16 })}
        />
        <Box pt="16px">
          <Tick checked={form.draught} onChange={(draught) => setForm({ ...form, draught })}>
            {t('view.setup.draught')}
          </Tick>
        </Box>
      </Box>
      <Heading as="h3" textStyle="label" color="quiet" mt="2">
        {t('view.setup.feeding-of-gun', {
          length: formatWithUnit(feeder?.gunLengthM ?? usualGunLengthM, 'gunLength', units),
        })}
      </Heading>
      <Box fontSize="text" color={risk.words === 'easy' ? 'spruce' : 'ochre'} fontWeight={600}>
        {t('view.setup.feeding-score', {
          mark: risk.words === 'easy' ? '●' : '◇',
          risk: named(risk.words),
          score: risk.score,
        })}
      </Box>
      <Box fontSize="small" color="quiet">
        {risk.reasons.length === 0 ? t('view.setup.feeding-stiff') : `${risk.reasons.map(format).join(', ')}.`}{' '}
        {risk.helps.length > 0 ? t('view.setup.helps', { helps: risk.helps.map(format).join('; ') }) : ''}
      </Box>
    </Panel>
  );
}
