/** Which way of transferring the metal suits this seam, and why each other one was put behind or ruled out. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, named, formatWithUnit } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Plan } from '@fox-tempo/core/setting/plan';
import { useSettings } from '../../session/settings.ts';
import { Panel } from '../../ui/panel.tsx';

const names: Record<Plan['mode'], string> = {
  pulse: t('view.seams.pulse'),
  dip: t('view.seams.dip'),
  spray: t('view.seams.spray'),
  'double-pulse': t('view.seams.double-pulse'),
  cored: t('view.seams.cored'),
};
const marks: Record<Plan['decision']['modes'][number]['verdict'], { readonly sign: string; readonly colour: string }> =
  {
    'first choice': { sign: '●', colour: 'spruce' },
    'runner-up': { sign: '◐', colour: 'spruce' },
    possible: { sign: '○', colour: 'quiet' },
    rejected: { sign: '✕', colour: 'crimson' },
  };

export function Modes({ plan }: { readonly plan: Plan }) {
  const units = useSettings((state) => state.units);
  const { modes, lowestPulseFeedMPerMin } = plan.decision;
  const { showThrough, heatPaths } = plan;
  return (
    <Panel title={t('view.seams.modes')}>
      <Box as="ul" listStyleType="none" fontSize="small">
        {modes.map(({ mode, verdict, reason }) => (
          <Box
            as="li"
            key={mode}
            display="grid"
            gridTemplateColumns="18px 96px minmax(0, 1fr)"
            columnGap="2"
            py="1"
            borderTopWidth="1px"
            borderColor="line"
          >
            <Box as="span" color={marks[verdict].colour} aria-hidden="true">
              {marks[verdict].sign}
            </Box>
            <Box as="strong">{names[mode]}</Box>
            <Box>
              <Box as="span" color={marks[verdict].colour} fontWeight={600}>
                {named(verdict)}:
              </Box>{' '}
              {format(reason)}
            </Box>
          </Box>
        ))}
      </Box>
      <Box textStyle="label" color="quiet" mt="2">
        {t('view.seams.penetration', {
          heatPaths: t('view.seams.ways', { heatPaths }),
          index: amount('plain', showThrough.index, 2),
          least: amount('plain', showThrough.band[0], 2),
          most: amount('plain', showThrough.band[1], 2),
          verdict: named(showThrough.verdict),
        })}{' '}
        {lowestPulseFeedMPerMin !== null &&
          t('view.seams.pulses-from', {
            feed: formatWithUnit(lowestPulseFeedMPerMin, 'wireFeed', units),
          })}
      </Box>
    </Panel>
  );
}
