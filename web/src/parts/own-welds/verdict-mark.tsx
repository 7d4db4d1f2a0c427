/** Verdicts: a shape, a word and a colour; never a colour alone. */
import { Box } from '@chakra-ui/react';
import type { LineVerdict } from '@fox-tempo/core/evidence/trial';
import { t } from '../../lib/words.ts';

const looks = {
  pass: { shape: 'M2 8l4 4 8-9', word: () => t('view.trials.passed'), ink: 'spruce', ground: 'spruceSoft' },
  fail: { shape: 'M3 3l10 10M13 3L3 13', word: () => t('view.trials.failed'), ink: 'crimson', ground: 'crimsonSoft' },
  open: { shape: 'M3 8h10', word: () => t('view.trials.open'), ink: 'ochre', ground: 'ochreSoft' },
} as const;

export function verdictWord(verdict: LineVerdict): string {
  return looks[verdict].word();
}

export function VerdictShape({ verdict, size = 14 }: { readonly verdict: LineVerdict; readonly size?: number }) {
  return (
    <Box as="span" color={looks[verdict].ink} display="inline-flex" flexShrink={0} aria-hidden="true">
      <svg width={size} height={size} viewBox="0 0 16 16">
        <path d={looks[verdict].shape} fill="none" stroke="currentColor" strokeWidth="2.6" strokeLinecap="round" />
      </svg>
    </Box>
  );
}

export function VerdictMark({
  verdict,
  byEyeOnly = false,
}: {
  readonly verdict: LineVerdict;
  readonly byEyeOnly?: boolean;
}) {
  const { ink, ground } = looks[verdict];
  return (
    <Box
      as="span"
      display="inline-flex"
      alignItems="center"
      gap="1.5"
      bg={ground}
      color={ink}
      fontWeight={650}
      fontSize="small"
      px="2"
      py="0.5"
      borderRadius="3px"
      whiteSpace="nowrap"
    >
      <VerdictShape verdict={verdict} />
      {verdict === 'pass' && byEyeOnly ? t('view.trials.passed-by-eye') : verdictWord(verdict)}
    </Box>
  );
}
