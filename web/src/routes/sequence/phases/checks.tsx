/** What the score is warned of, each with a way to the number that mends it. */
import { t, format } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { StartLag } from '@fox-tempo/core/machine/dials';
import type { ScoreOf } from '@fox-tempo/core/weld/score';
import { schoolFacts, type Phase } from '@fox-tempo/core/weld/sequence';
import { Action } from '../../../ui/action.tsx';
import { Notice } from '../../../ui/notice.tsx';

export function Checks({
  whole,
  lag,
  onSelect,
}: {
  readonly whole: ScoreOf;
  /** An absolute start level left behind on the chosen machine. */
  readonly lag: StartLag | null;
  readonly onSelect: (phase: Phase) => void;
}) {
  const { checks, program } = whole;
  if (checks.length === 0 && lag === null) {
    return (
      <Notice level="note" word={t('view.sequence.no-finding')}>
        {t('view.sequence.no-finding-why')}
      </Notice>
    );
  }
  const hasPhase = (phase: Phase | null): phase is Phase =>
    phase !== null &&
    (schoolFacts[program.sequence.trigger].ends !== 'none' || !['start', 'end', 'slope-out'].includes(phase));
  return (
    <Box as="section" aria-label={t('view.sequence.checks')} display="grid" gap="1.5">
      {lag && (
        <Notice level="caution" word={t('view.sequence.start-left-behind')}>
          {format(lag.message)}
        </Notice>
      )}
      {checks.map(({ code, level, phase, message }) => (
        <Notice key={`${code}${format(message)}`} level={level}>
          {format(message)}{' '}
          {hasPhase(phase) && (
            <Action kind="quiet" minHeight="32px" onClick={() => onSelect(phase)}>
              {t('view.sequence.show-its-numbers')}
            </Action>
          )}
        </Notice>
      ))}
    </Box>
  );
}
