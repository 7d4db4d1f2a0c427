/** What the score is warned of, each with a way to the number that mends it. */
import { Box } from '@chakra-ui/react';
import type { StartLag } from '@fox-tempo/core/machine';
import type { ScoreOf } from '@fox-tempo/core/score';
import { schoolFacts, type Phase } from '@fox-tempo/core/sequence';
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
      <Notice level="note" word="Nothing stands out.">
        Start, slopes and end fit this seam, and both ends come out about as warm as the middle. Starts for trials: weld
        one on scrap.
      </Notice>
    );
  }
  const hasPhase = (phase: Phase | null): phase is Phase =>
    phase !== null &&
    (schoolFacts[program.sequence.trigger].ends !== 'none' || !['start', 'end', 'slope-out'].includes(phase));
  return (
    <Box as="section" aria-label="Checks" display="grid" gap="1.5">
      {lag && (
        <Notice level="caution" word="Start left behind.">
          {lag.message}
        </Notice>
      )}
      {checks.map(({ code, level, phase, message }) => (
        <Notice key={`${code}${message}`} level={level}>
          {message}{' '}
          {hasPhase(phase) && (
            <Action kind="quiet" minHeight="32px" onClick={() => onSelect(phase)}>
              Show its numbers
            </Action>
          )}
        </Notice>
      ))}
    </Box>
  );
}
