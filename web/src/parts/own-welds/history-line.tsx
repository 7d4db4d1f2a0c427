/** A seam's trials as a line of verdicts, the oldest first; each opens its trial. */
import { Box } from '@chakra-ui/react';
import type { TrialRow } from '@fox-tempo/contract';
import { Link } from 'react-router';
import { useEndpoint } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { t } from '../../lib/words.ts';
import { VerdictShape, verdictWord } from './verdict-mark.tsx';

const shown = 24;

export function HistoryLine({ seamId }: { readonly seamId: string }) {
  const { data } = useEndpoint('trials', { query: { seam: seamId, limit: String(shown) } });
  if (!data || data.items.length === 0) return null;
  return <VerdictLine trials={[...data.items].reverse()} />;
}

function VerdictLine({ trials }: { readonly trials: readonly TrialRow[] }) {
  return (
    <Box
      as="ol"
      listStyleType="none"
      display="flex"
      flexWrap="wrap"
      gap="0.5"
      aria-label={t('view.trials.of-this-seam')}
    >
      {trials.map(({ id, verdict, weldedBy, at }) => (
        <Box as="li" key={id}>
          <Box
            asChild
            display="inline-flex"
            alignItems="center"
            justifyContent="center"
            width="30px"
            height="44px"
            _hover={{ bg: 'accentSoft' }}
            title={`${verdictWord(verdict)}, ${weldedBy}, ${shopTime(at)}`}
          >
            <Link to={`/trials/${id}`} aria-label={`${verdictWord(verdict)}, ${weldedBy}, ${shopTime(at)}`}>
              <VerdictShape verdict={verdict} />
            </Link>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
