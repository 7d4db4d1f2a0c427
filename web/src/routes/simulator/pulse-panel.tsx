/** The fast pulse from its four numbers: as many as are typed stand, the rest is solved so that the wire fed is the wire melted. */
import { amount, inSentence } from '@fox-tempo/core/base/messages';
import { t, format, formatIf } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Program } from '@fox-tempo/core/setting/program';
import { pulseMeans } from '@fox-tempo/core/setting/pulse';
import { pulseNumbers, tunedPulse, type PulseNumber } from '@fox-tempo/core/machine/tuning';
import type { QuantityName } from '@fox-tempo/core/base/units';
import { useMemo, useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { Waveform } from '../../parts/waveform/index.tsx';
import type { Setting } from './use-setting.ts';

const faces: Record<PulseNumber, { readonly label: string; readonly of: QuantityName; readonly step: number }> = {
  peakCurrentA: { label: t('view.simulator.peak'), of: 'current', step: 5 },
  peakTimeMs: { label: t('view.simulator.time-at-peak'), of: 'pulseTime', step: 0.05 },
  backgroundCurrentA: { label: t('view.simulator.background'), of: 'current', step: 2 },
  frequencyHz: { label: t('view.simulator.pulses-a-second'), of: 'frequency', step: 5 },
};

export function PulsePanel({ setting, program }: { readonly setting: Setting; readonly program: Program }) {
  const { tune, issues } = setting;
  const [open, setOpen] = useState(false);
  const { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz } = tune;
  const solved = useMemo(
    () => (open ? tunedPulse(program, { peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz }) : undefined),
    [open, program, peakCurrentA, peakTimeMs, backgroundCurrentA, frequencyHz],
  );
  if (!program.pulse) return null;
  const { pulse } = program;
  const fixed = pulseNumbers.filter((quantity) => tune[quantity] !== null);
  return (
    <Panel
      title={t('view.simulator.pulse.title')}
      aside={
        <Action kind="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? t('view.simulator.pulse.fold') : t('view.simulator.type-the-waveform')}
        </Action>
      }
    >
      <Box fontSize="small" color="quiet">
        {fixed.length === 0
          ? t('view.simulator.pulse.solved')
          : t('view.simulator.fixed', { what: fixed.map((quantity) => inSentence(faces[quantity].label)) })}
      </Box>
      {open && (
        <>
          <Box display="grid" gap="3" mt="2" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }}>
            {pulseNumbers.map((quantity) => (
              <ValueField
                key={quantity}
                label={faces[quantity].label}
                of={faces[quantity].of}
                value={tune[quantity]}
                keep={`pulse/${setting.seam.id}/${quantity}`}
                step={faces[quantity].step}
                optional
                follows
                placeholder={t('view.simulator.solved', {
                  quantity: amount('plain', pulse[quantity], quantity === 'peakTimeMs' ? 2 : 0),
                })}
                error={formatIf(issues.find(({ path }) => path === quantity)?.message)}
                onValue={(figure) => setting.fixPulse(quantity, figure)}
              />
            ))}
          </Box>
          {solved?.ok && (
            <>
              <Sum pulse={solved.value} feedMPerMin={program.wireFeedMPerMin} />
              <Waveform pulse={solved.value} />
              {solved.value.warnings.map(({ code, level, message }) => (
                <Notice key={format(code)} level={level}>
                  {format(message)}
                </Notice>
              ))}
            </>
          )}
          <Box mt="2">
            <Action disabled={fixed.length === 0} onClick={setting.solvePulse}>
              {t('view.simulator.solve-all-four')}
            </Action>
          </Box>
        </>
      )}
    </Panel>
  );
}

type Solved = Extract<ReturnType<typeof tunedPulse>, { ok: true }>['value'];

function Sum({ pulse, feedMPerMin }: { readonly pulse: Solved; readonly feedMPerMin: number }) {
  const { meanA, rmsA } = pulseMeans(pulse);
  const periodMs = 1000 / pulse.frequencyHz;
  const isBalanced = Math.abs(pulse.meltedMPerMin - feedMPerMin) < 0.01 * feedMPerMin;
  return (
    <Box fontSize="text" my="2" aria-live="polite">
      {t('view.simulator.pulse.summary', {
        mean: amount('current', meanA, 0),
        rms: amount('current', rmsA, 0),
        periodMs: amount('pulseTime', periodMs, 2),
        period: amount('percent', (100 * pulse.peakTimeMs) / periodMs, 0),
        dropsPerPulse: amount('plain', pulse.dropsPerPulse, 2),
      })}{' '}
      {isBalanced
        ? t('view.simulator.pulse.balanced', { feed: amount('wireFeed', feedMPerMin, 1) })
        : t('view.simulator.pulse.unbalanced', {
            melted: amount('wireFeed', pulse.meltedMPerMin, 1),
            feed: amount('wireFeed', feedMPerMin, 1),
            arc: pulse.meltedMPerMin > feedMPerMin ? 'climbs' : 'other',
          })}
      <Box color="quiet" fontSize="small">
        {t('view.simulator.because-line', { because: pulse.because })}
      </Box>
    </Box>
  );
}
