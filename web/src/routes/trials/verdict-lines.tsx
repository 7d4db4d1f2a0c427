/** A record held against its limits, line by line. */
import { Box } from '@chakra-ui/react';
import { lineNames, type TrialVerdict } from '@fox-tempo/core/evidence/trial';
import { t, format } from '../../lib/words.ts';
import { VerdictShape, verdictWord } from '../../parts/own-welds/index.ts';

export function VerdictLines({ verdict: { lines, byEyeOnly, verdict } }: { readonly verdict: TrialVerdict }) {
  return (
    <>
      <Box as="ul" listStyleType="none" fontSize="small" aria-label={t('view.trials.line-by-line')}>
        {lines.map(({ line, verdict: one, words }) => (
          <Box as="li" key={line} display="flex" gap="2" py="0.5" alignItems="baseline">
            <VerdictShape verdict={one} size={11} />
            <Box srOnly>{verdictWord(one)}</Box>
            <Box minWidth={0}>
              <Box as="span" color="quiet">
                {format(lineNames[line])}:
              </Box>{' '}
              {format(words)}
            </Box>
          </Box>
        ))}
      </Box>
      {verdict === 'pass' && byEyeOnly && (
        <Box fontSize="label" color="quiet" mt="1">
          {t('view.trials.by-eye-caution')}
        </Box>
      )}
    </>
  );
}
