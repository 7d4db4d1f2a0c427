/** Which way of transferring the metal suits this seam, and why each other one was put behind or ruled out. */
import { Box } from '@chakra-ui/react';
import type { Plan } from '@fox-tempo/core/plan';
import { formatWithUnit } from '@fox-tempo/core/units';
import { useSettings } from '../../lib/settings.ts';
import { Panel } from '../../ui/panel.tsx';

const names: Record<Plan['mode'], string> = {
  pulse: 'Pulse',
  dip: 'Dip',
  spray: 'Spray',
  'double-pulse': 'Double pulse',
  cored: 'Cored',
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
    <Panel title="Ways to transfer the metal">
      <Box as="ul" listStyleType="none" fontSize="13.5px">
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
                {verdict}:
              </Box>{' '}
              {reason}
            </Box>
          </Box>
        ))}
      </Box>
      <Box textStyle="label" color="quiet" mt="2">
        {heatPaths === 1 ? 'One way' : `${heatPaths} ways`} for the heat to leave. Penetration index{' '}
        {showThrough.index.toFixed(2)} ({showThrough.band[0].toFixed(2)} to {showThrough.band[1].toFixed(2)}):{' '}
        {showThrough.verdict}.
        {lowestPulseFeedMPerMin === null
          ? ''
          : ` This wire pulses one drop at a time from ${formatWithUnit(lowestPulseFeedMPerMin, 'wireFeed', units)} on.`}
      </Box>
    </Panel>
  );
}
