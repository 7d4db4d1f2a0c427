/** What if, without touching a dial: stackable changes, what one would see and hear, and which dial would hide it. */
import { coldPlateC } from '@fox-tempo/core/setting/plan';
import { amount, type SaidValue, signed } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { commonGasCodes, gasOf, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import type { SimulationMetrics } from '@fox-tempo/core/weld/simulation';
import {
  maskingOf,
  otherSizeMm,
  showThroughOf,
  stepDial,
  whatIfSizes,
  type WhatIf,
} from '@fox-tempo/core/machine/tuning';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import type { ArcRun } from './use-arc.ts';

export interface WhatIfPanelProps {
  readonly program: Program;
  readonly machine: MachineResource | undefined;
  readonly thicknessMm: number;
  readonly changes: ReadonlySet<WhatIf>;
  readonly otherGas: string;
  readonly before: SimulationMetrics | null;
  readonly after: ArcRun | null;
  readonly failed: string | null;
  readonly onToggle: (change: WhatIf) => void;
  readonly onGas: (gas: string) => void;
}

export function WhatIfPanel({
  program,
  machine,
  thicknessMm,
  changes,
  otherGas,
  before,
  after,
  failed,
  onToggle,
  onGas,
}: WhatIfPanelProps) {
  const labels: Record<WhatIf, string> = {
    'hand-out': t('view.simulator.what-if.ctwd', { handOut: amount('shortLength', whatIfSizes.handOutMm) }),
    'lead-gained': t('view.simulator.lead-gained', { lead: amount('resistance', whatIfSizes.leadMOhm) }),
    'gas-swapped': t('view.simulator.what-if.gas', { otherGas: gasOf(otherGas).name }),
    'wire-other': t('view.simulator.wire-is-really', { diameter: wireSizeLabel(otherSizeMm(program.diameterMm)) }),
    'plate-hot': t('view.simulator.what-if.plate', { plate: amount('temperature', whatIfSizes.plateC) }),
    'feeder-slips': t('view.simulator.feeder-slips', { slipShare: amount('percent', 100 * whatIfSizes.slipShare) }),
  };
  return (
    <Panel
      title={t('view.simulator.what-if')}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.simulator.what-if.nothing')}
        </Box>
      }
    >
      <Box display="grid" gap="4" gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.25fr) minmax(0, 1fr)' }}>
        <Box minWidth={0}>
          <Box display="flex" gap="1.5" flexWrap="wrap">
            {(Object.keys(labels) as WhatIf[]).map((change) => (
              <chakra.button
                key={change}
                type="button"
                aria-pressed={changes.has(change)}
                onClick={() => onToggle(change)}
                minHeight="44px"
                px="3"
                borderWidth="1px"
                borderRadius="3px"
                fontSize="small"
                fontWeight={changes.has(change) ? 600 : 400}
                borderColor={changes.has(change) ? 'accent' : 'edge'}
                bg={changes.has(change) ? 'accentSoft' : 'surface'}
                cursor="pointer"
              >
                {changes.has(change) ? '● ' : '○ '}
                {labels[change]}
              </chakra.button>
            ))}
          </Box>
          {changes.has('gas-swapped') && (
            <Box maxWidth="280px" mt="2">
              <ChoiceField
                label={t('view.simulator.what-if.swapped')}
                value={otherGas}
                choices={commonGasCodes
                  .filter((code) => code !== 'none' && code !== program.gas)
                  .map((code) => ({ value: code, label: gasOf(code).name }))}
                onChange={onGas}
              />
            </Box>
          )}
        </Box>
        <Box minWidth={0}>
          {changes.size === 0 && (
            <Box fontSize="small" color="quiet">
              {t('view.simulator.what-if.choose')}
            </Box>
          )}
          {failed !== null && (
            <Box mt="2">
              <Notice level="caution" word={t('view.simulator.not-simulated')}>
                {failed}
              </Notice>
            </Box>
          )}
          {changes.size > 0 && before && after && (
            <Found
              program={program}
              machine={machine}
              thicknessMm={thicknessMm}
              changes={changes}
              before={before}
              after={after}
            />
          )}
        </Box>
      </Box>
    </Panel>
  );
}

function Found({
  program,
  machine,
  thicknessMm,
  changes,
  before,
  after,
}: {
  readonly program: Program;
  readonly machine: MachineResource | undefined;
  readonly thicknessMm: number;
  readonly changes: ReadonlySet<WhatIf>;
  readonly before: SimulationMetrics;
  readonly after: ArcRun;
}) {
  const now = after.simulation.metrics;
  const mask = maskingOf(program, before, now);
  const through = showThroughOf(program, now, thicknessMm, changes.has('plate-hot') ? whatIfSizes.plateC : coldPlateC);
  const change = (label: string, was: SaidValue, now: SaidValue) =>
    t('view.simulator.what-if.instead', { label, now, was });
  const shorts = (count: number) => ({ code: 'view.simulator.a-second', values: { count: amount('plain', count, 0) } });
  return (
    <Box mt="2" fontSize="text" aria-live="polite">
      <Box>
        <strong>{t('view.simulator.seen')}</strong>{' '}
        {t('view.simulator.what-if.back', {
          shortsPer: [
            change(
              t('view.simulator.mean-current'),
              amount('current', before.meanCurrentA, 0),
              amount('current', now.meanCurrentA, 0),
            ),
            change(
              t('view.simulator.arc-length'),
              amount('shortLength', before.meanArcLengthMm, 1),
              amount('shortLength', now.meanArcLengthMm, 1),
            ),
            change(t('view.simulator.shorts'), shorts(before.shortsPerS), shorts(now.shortsPerS)),
          ].join('; '),
          verdict: capital(through.verdict),
          index: amount('plain', through.index, 2),
        })}
      </Box>
      <Box>
        <strong>{t('view.simulator.what-if.heard')}</strong> {format(after.simulation.words)}.
      </Box>
      <Box>
        <strong>{t('view.simulator.what-if.hides')}</strong> {maskWords(program, machine, mask)}
      </Box>
    </Box>
  );
}

function maskWords(program: Program, machine: MachineResource | undefined, mask: ReturnType<typeof maskingOf>): string {
  if (!mask) return t('view.simulator.what-if.no-signs');
  const dial = machine && cardOf(machine.file, program).dials.find((one) => one.quantity === mask.quantity);
  const what = mask.quantity === 'trimMm' ? t('view.simulator.trim') : t('view.simulator.axis.feed');
  const by = t('view.simulator.shift-of', {
    by: signed(mask.quantity === 'trimMm' ? 'shortLength' : 'wireFeed', mask.by, 1),
    what,
  });
  const one = machine && stepDial(machine.file, program, mask.quantity, 1);
  const now = mask.quantity === 'trimMm' ? program.trimMm : program.wireFeedMPerMin;
  const perStep = one ? Math.abs(one.figure - now) : 0;
  return dial && perStep > 0.004
    ? t('view.simulator.what-if.hides-steps', {
        by,
        perStep: Math.max(1, Math.round(Math.abs(mask.by) / perStep)),
        dial: dial.label,
      })
    : t('view.simulator.what-if.hides-how', { by });
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
