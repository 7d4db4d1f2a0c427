/** Parts that are held until somebody decides. */
import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useDoor } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { t, tell } from '../../lib/words.ts';
import { Panel } from '../../ui/panel.tsx';

export function HeldParts() {
  const { data } = useDoor('runs', { query: { state: 'held', limit: '5' } });
  const held = data?.items ?? [];
  if (held.length === 0) return null;
  return (
    <Panel title={t('view.runs.held-parts')}>
      <Box as="ul" listStyleType="none">
        {held.map((run) => (
          <Box as="li" key={run.id}>
            <Box asChild display="block" minHeight="44px" py="1" color="ink" _hover={{ bg: 'accentSoft' }}>
              <Link to="/runs?state=held">
                <Box as="span" color="ochre" fontWeight={600}>
                  ◇ {run.seamName}
                </Box>
                <Box as="span" display="block" fontSize="13px" color="quiet">
                  {tell(run.held[0]?.words ?? '')} · {run.weldedBy}, {shopTime(run.at)}
                </Box>
              </Link>
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
