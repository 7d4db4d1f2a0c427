/** What one unit of a one-number swing dial means on this machine, from two short beads; kept with the dial. */
import { Box } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import type { Dial } from '@fox-tempo/core/machine/description';
import { swingFromTests, type SwingReading, type SwingScale } from '@fox-tempo/core/machine/teaching';
import type { Task } from '../../lib/use-task.ts';
import { t } from '../../lib/words.ts';
import { TwoBeads, type BeadRow } from './two-beads.tsx';

/** Whether a dial's unit can be found by two tests: an even scale for the swing. */
export function hasSwingUnit({ scale }: Dial): boolean {
  return scale.kind === 'linear' && scale.quantity === 'beatSwingPercent';
}

const fields = [
  { name: 'high', label: t('view.machines.highest-feed-shown'), of: 'wireFeed', step: 0.1 },
  { name: 'low', label: t('view.machines.lowest-feed-shown'), of: 'wireFeed', step: 0.1 },
] as const;

export interface SwingTestProps {
  readonly dial: Dial;
  readonly keep: string;
  readonly task: Task;
  readonly onFound: (scale: SwingScale['scale']) => Promise<boolean>;
  readonly onClose: () => void;
}

export function SwingTestPanel({ dial, keep, task, onFound, onClose }: SwingTestProps) {
  return (
    <TwoBeads
      dial={dial}
      label={t('view.machines.unit.title', { dial: dial.label })}
      heading={t('view.machines.unit.title-time', { dial: dial.label })}
      steps={[
        t('view.machines.unit.slow-rate'),
        t('view.machines.unit.low', { dial: dial.label, length: amount('shortLength', 60) }),
        t('view.machines.unit.high', { dial: dial.label }),
      ]}
      fields={fields}
      keep={keep}
      task={task}
      outcomeOf={(rows) => {
        const [one, two] = rows.map(readingOf);
        return one && two ? swingFromTests(dial, [one, two]) : undefined;
      }}
      said={Swing}
      onFound={({ scale }) => onFound(scale)}
      onClose={onClose}
    />
  );
}

function Swing({ perUnitPercent, swingPercent, meanFeedMPerMin, because }: SwingScale) {
  return (
    <>
      <strong>{t('view.machines.unit.result-each-way', { perUnit: amount('percent', perUnitPercent, 2) })}</strong>{' '}
      {t('view.machines.swing-around', {
        swing: swingPercent.map((swing) => amount('percent', swing, 1)),
        mean: meanFeedMPerMin.map((mean) => amount('wireFeed', mean, 1)),
      })}
      <Box color="quiet" fontSize="small">
        {t('view.simulator.because-line', { because })}
      </Box>
    </>
  );
}

function readingOf({ dialValue, high, low }: BeadRow<'high' | 'low'>): SwingReading | undefined {
  return typeof dialValue === 'number' && typeof high === 'number' && typeof low === 'number'
    ? { dialValue, highFeedMPerMin: high, lowFeedMPerMin: low }
    : undefined;
}
