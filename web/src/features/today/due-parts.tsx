/** What wears and is due, or soon, on every gun. */
import { Box } from '@chakra-ui/react';
import { wearPartNames } from '@fox-tempo/core/maintenance';
import { Link } from 'react-router';
import { useDoor } from '../../data/queries.ts';
import { t, tell } from '../../lib/words.ts';
import { Panel } from '../../ui/panel.tsx';

export function DueParts() {
  const { data } = useDoor('wear', {});
  const due = (data?.parts ?? []).filter((one) => one.due !== 'fine');
  if (due.length === 0) return null;
  return (
    <Panel title={t('view.wear.due-parts')}>
      <Box as="ul" listStyleType="none" fontSize="13.5px">
        {due.map((one) => (
          <Box as="li" key={`${one.machineId} ${one.feederId} ${one.part}`}>
            <Box
              asChild
              display="flex"
              minHeight="44px"
              alignItems="center"
              gap="2"
              color="ink"
              _hover={{ bg: 'accentSoft' }}
            >
              <Link to={`/machines/${one.machineId}/paper`}>
                <Box as="span" color={one.due === 'due' ? 'crimson' : 'ochre'} fontWeight={600}>
                  {one.due === 'due' ? `✕ ${t('view.wear.due')}` : `◇ ${t('view.wear.soon')}`}
                </Box>
                {t('view.wear.on-gun', {
                  part: tell(wearPartNames[one.part]),
                  machine: one.machineName,
                  feeder: one.feederLabel,
                })}
              </Link>
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
