/** The slow beat in numbers, always mean, high and low together, with what it does to the bead. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { doublePulse } from '@fox-tempo/core/setting/double-pulse';
import type { Plan, PlanInput } from '@fox-tempo/core/setting/plan';
import { Notice } from '../../ui/notice.tsx';
import { Labelled, LabelledGrid } from '../../ui/labelled.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Figure } from '../../ui/quantity.tsx';

export function SlowBeat({ plan, input }: { readonly plan: Plan; readonly input: PlanInput }) {
  const beat = plan.slowBeat;
  if (!beat) return null;
  const outcome = doublePulse({
    from: {
      school: 'two-level',
      highFeedMPerMin: beat.highFeedMPerMin,
      lowFeedMPerMin: beat.lowFeedMPerMin,
      highSharePercent: 100 * beat.highShare,
      frequencyHz: beat.frequencyHz,
    },
    to: 'two-level',
    travelMmPerMin: plan.travelMmPerMin,
    wire: {
      filler: input.filler,
      gas: input.gas,
      diameterMm: input.diameterMm,
      extensionMm: plan.ctwdMm - plan.arcLengthMm,
    },
  });
  const found = outcome.ok ? outcome.value : null;
  return (
    <Panel
      title={t('view.simulator.double-pulse')}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.seams.swing-usual')}
        </Box>
      }
    >
      <LabelledGrid>
        <Labelled label={t('view.simulator.mean-feed')}>
          <Figure value={beat.meanFeedMPerMin} of="wireFeed" />
        </Labelled>
        <Labelled label={t('view.simulator.slow-high')}>
          <Figure value={beat.highFeedMPerMin} of="wireFeed" />
        </Labelled>
        <Labelled label={t('view.simulator.slow-low')}>
          <Figure value={beat.lowFeedMPerMin} of="wireFeed" />
        </Labelled>
        <Labelled label={t('view.simulator.share-at-high')}>
          <Figure value={100 * beat.highShare} of="percent" />
        </Labelled>
        <Labelled label={t('view.simulator.slow-rate')}>
          <Figure value={beat.frequencyHz} of="frequency" digits={1} />
        </Labelled>
        <Labelled label={t('view.seams.ripple')}>
          <Figure value={beat.ripplePitchMm} of="shortLength" />
        </Labelled>
        {found?.effect && (
          <>
            <Labelled label={t('view.simulator.mean-current')}>
              <Figure value={found.effect.meanCurrentA} of="current" />
            </Labelled>
            <Labelled label={t('view.seams.high-and-low')}>
              <Figure value={found.effect.high.meanCurrentA} of="current" />
              {' / '}
              <Figure value={found.effect.low.meanCurrentA} of="current" />
            </Labelled>
          </>
        )}
      </LabelledGrid>
      {found?.effect && (
        <Box textStyle="label" color="quiet" mt="2">
          {t('view.seams.double-pulse-power', {
            ...heatAgainst(found.effect.meanPowerW, found.effect.singlePowerW),
          })}
        </Box>
      )}
      {found?.warnings.map((warning) => (
        <Box key={format(warning.code)} mt="2">
          <Notice level={warning.level}>{format(warning.message)}</Notice>
        </Box>
      ))}
    </Panel>
  );
}

function heatAgainst(mean: number, single: number) {
  const percent = 100 * (mean / single - 1);
  const sense = Math.abs(percent) < 0.5 ? 'same' : percent > 0 ? 'more' : 'other';
  return { sense, percent: amount('percent', Math.abs(percent), 1) } as const;
}
