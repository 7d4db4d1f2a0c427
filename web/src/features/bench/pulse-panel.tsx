/** The fast pulse from its four numbers: as many as are typed stand, the rest is solved so that the wire fed is the wire melted. */
import { Box } from '@chakra-ui/react';
import type { Program } from '@fox-tempo/core/machine';
import { pulseMeans } from '@fox-tempo/core/pulse';
import { pulseNumbers, tunedPulse, type PulseNumber } from '@fox-tempo/core/tuning';
import type { QuantityName } from '@fox-tempo/core/units';
import { useMemo, useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { Waveform } from '../waveform/index.tsx';
import type { Setting } from './use-setting.ts';

const faces: Record<PulseNumber, { readonly label: string; readonly of: QuantityName; readonly step: number }> = {
  peakCurrentA: { label: 'Peak', of: 'current', step: 5 },
  peakTimeMs: { label: 'Time at peak', of: 'pulseTime', step: 0.05 },
  backgroundCurrentA: { label: 'Background', of: 'current', step: 2 },
  frequencyHz: { label: 'Pulses a second', of: 'frequency', step: 5 },
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
      title="Fast pulse from its four numbers"
      aside={
        <Action kind="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Fold it' : 'Type the waveform'}
        </Action>
      }
    >
      <Box fontSize="13.5px" color="quiet">
        {fixed.length === 0
          ? 'All four are solved: one drop a pulse, the wire fed is the wire melted.'
          : `Fixed: ${fixed.map((quantity) => faces[quantity].label.toLowerCase()).join(', ')}.`}
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
                placeholder={`solved: ${pulse[quantity].toFixed(quantity === 'peakTimeMs' ? 2 : 0)}`}
                error={issues.find(({ path }) => path === quantity)?.message}
                onValue={(figure) => setting.fixPulse(quantity, figure)}
              />
            ))}
          </Box>
          {solved?.ok && (
            <>
              <Sum pulse={solved.value} feedMPerMin={program.wireFeedMPerMin} />
              <Waveform pulse={solved.value} />
              {solved.value.warnings.map(({ code, level, message }) => (
                <Notice key={code} level={level}>
                  {message}
                </Notice>
              ))}
            </>
          )}
          <Box mt="2">
            <Action disabled={fixed.length === 0} onClick={setting.solvePulse}>
              Solve all four
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
    <Box fontSize="14px" my="2" aria-live="polite">
      Mean <strong>{meanA.toFixed(0)} A</strong>, rms {rmsA.toFixed(0)} A; a period of{' '}
      <strong>{periodMs.toFixed(2)} ms</strong>, {((100 * pulse.peakTimeMs) / periodMs).toFixed(0)} % of it at the peak;{' '}
      {pulse.dropsPerPulse.toFixed(2)} drops a pulse.{' '}
      {isBalanced
        ? `Melts the ${feedMPerMin.toFixed(1)} m/min that are fed.`
        : `Melts ${pulse.meltedMPerMin.toFixed(1)} m/min where ${feedMPerMin.toFixed(1)} are fed: the arc ${pulse.meltedMPerMin > feedMPerMin ? 'climbs' : 'sinks'} until it fits.`}
      <Box color="quiet" fontSize="13px">
        Because: {pulse.because}
      </Box>
    </Box>
  );
}
