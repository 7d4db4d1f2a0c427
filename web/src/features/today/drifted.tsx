/** Memory slots whose dials were found otherwise than stored, for the day's first look. */
import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useDoor } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { t } from '../../lib/words.ts';
import { Panel } from '../../ui/panel.tsx';
import { lastWords } from '../../lib/last-hand.ts';

export function Drifted() {
  const { data } = useDoor('shift', {});
  const drifted = (data?.slots ?? []).filter((slot) => slot.drifted.length > 0);
  if (drifted.length === 0) return null;
  return (
    <Panel title={t('view.shift.drifted-settings')}>
      <Box as="ul" listStyleType="none">
        {drifted.map((slot) => (
          <Box as="li" key={`${slot.machineId} ${slot.slot}`}>
            <Box asChild display="block" minHeight="44px" py="1" color="ink" _hover={{ bg: 'accentSoft' }}>
              <Link to={`/shift?machine=${slot.machineId}&slot=${slot.slot}`}>
                <Box as="span" color="ochre" fontWeight={600}>
                  ◇ {t('view.shift.slot-of', { slot: slot.slot, machine: slot.machineName })}
                </Box>{' '}
                {slot.seamName}
                <Box as="span" display="block" fontSize="13px" color="quiet">
                  {slot.found && t('view.shift.read-by', { by: slot.found.foundBy, at: shopTime(slot.found.foundAt) })}.{' '}
                  {lastWords(slot.lastBefore)}
                </Box>
              </Link>
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
