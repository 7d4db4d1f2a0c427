/** Trials whose verdict is open: something that counts was not looked at yet. */
import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useDoor } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { t } from '../../lib/words.ts';
import { Panel } from '../../ui/panel.tsx';

export function WaitsForVerdict() {
  const { data } = useDoor('trials', { query: { verdict: 'open', limit: '5' } });
  if (!data || data.items.length === 0) return null;
  return (
    <Panel title={t('view.trials.waits-for-a-verdict')}>
      <Box as="ul" listStyleType="none">
        {data.items.map(({ id, seamName, weldedBy, at }) => (
          <Box as="li" key={id}>
            <Box
              asChild
              minHeight="44px"
              display="flex"
              alignItems="center"
              gap="2"
              flexWrap="wrap"
              _hover={{ bg: 'accentSoft' }}
            >
              <Link to={`/trials/${id}`}>
                <Box as="span" fontWeight={600}>
                  {seamName}
                </Box>
                <Box as="span" color="quiet" fontSize="13px">
                  {weldedBy}, {shopTime(at)}
                </Box>
              </Link>
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
