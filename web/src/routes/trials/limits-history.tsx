/** Every writing of a seam's limits, the newest first: its number, who wrote it, when and why. */
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { useEndpoint } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { t } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';

export function LimitsHistory({ seam }: { readonly seam: SeamResource }) {
  const { data = [] } = useEndpoint('limitsHistory', { params: { id: seam.id } }, seam.limitsWritten !== null);
  if (seam.limits === null) return <Notice level="caution">{t('view.trials.limits-usual')}</Notice>;
  return (
    <Box as="ol" listStyleType="none" fontSize="small" color="quiet" aria-label={t('view.trials.limits-as-written')}>
      {[...data].reverse().map(({ number, by, at, reason, limits }) => (
        <li key={number}>
          {t('view.trials.limits-written', { number, level: limits?.level ?? '', by, at: shopTime(at) })}
          {reason === '' ? '' : `: ${reason}`}
        </li>
      ))}
    </Box>
  );
}
