/** What one unit of a one-number swing dial means on this machine, from two short beads; kept with the dial. */
import { HazardText } from '../../ui/hazard-text.tsx';
import { hazard } from '@fox-tempo/words';
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, formatIf } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import { swingFromTests, type SwingReading, type SwingScale } from '@fox-tempo/core/machine/teaching';
import { type Dial } from '@fox-tempo/core/machine/description';
import type { Task } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { forgetTexts, useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { ValueField } from '../../ui/value-field.tsx';

/** Whether a dial's unit can be found by two tests: an even scale for the swing. */
export function hasSwingUnit({ scale }: Dial): boolean {
  return scale.kind === 'linear' && scale.quantity === 'beatSwingPercent';
}

interface Row {
  readonly dialValue: number | null;
  readonly high: number | null;
  readonly low: number | null;
}
const feeds = [
  ['high', t('view.machines.highest-feed-shown')],
  ['low', t('view.machines.lowest-feed-shown')],
] as const;
const blank: Row = { dialValue: null, high: null, low: null };

export interface SwingTestProps {
  readonly dial: Dial;
  readonly keep: string;
  readonly task: Task;
  readonly onFound: (scale: SwingScale['scale']) => Promise<boolean>;
  readonly onClose: () => void;
}

export function SwingTestPanel({ dial, keep, task, onFound, onClose }: SwingTestProps) {
  const [{ rows }, setRows, forget] = useKeptForm<{ readonly rows: readonly [Row, Row] }>(keep, {
    rows: [blank, blank],
  });
  const change = (index: 0 | 1, next: Partial<Row>) => {
    const [first, second] = rows;
    setRows({ rows: index === 0 ? [{ ...first, ...next }, second] : [first, { ...second, ...next }] });
  };
  const readings = [readingOf(rows[0]), readingOf(rows[1])] as const;
  const outcome = readings[0] && readings[1] ? swingFromTests(dial, [readings[0], readings[1]]) : undefined;
  return (
    <Box
      borderStartWidth="4px"
      borderColor="accent"
      ps="3"
      pe="1"
      py="1"
      my="2"
      as="section"
      aria-label={t('view.machines.unit.title', { dial: dial.label })}
    >
      <Heading as="h3" textStyle="heading" mb="1.5">
        {t('view.machines.unit.title-time', { dial: dial.label })}
      </Heading>
      <Notice level="hazard" word={t('view.machines.before-you-begin')}>
        <HazardText said={hazard('view.machines.unit.caution')} />
      </Notice>
      <Box as="ol" ps="5" my="2" listStyleType="decimal" fontSize="text">
        <Box as="li" py="1">
          {t('view.machines.unit.slow-rate')}
        </Box>
        <Box as="li" py="1">
          {t('view.machines.unit.low', { dial: dial.label, length: amount('shortLength', 60) })}
        </Box>
        <Box as="li" py="1">
          {t('view.machines.unit.high', { dial: dial.label })}
        </Box>
      </Box>
      {([0, 1] as const).map((index) => (
        <Box key={index} display="grid" gap="3" mb="2" gridTemplateColumns="repeat(3, minmax(0, 1fr))" maxWidth="720px">
          <ValueField
            label={
              index === 0 ? t('view.machines.low', { dial: dial.label }) : t('view.machines.high', { dial: dial.label })
            }
            of="plain"
            value={rows[index].dialValue}
            keep={`${keep}/${index}/dial`}
            optional
            onValue={(dialValue) => change(index, { dialValue })}
          />
          {feeds.map(([key, label]) => (
            <ValueField
              key={key}
              label={label}
              of="wireFeed"
              value={rows[index][key]}
              keep={`${keep}/${index}/${key}`}
              step={0.1}
              optional
              onValue={(feed) => change(index, { [key]: feed })}
            />
          ))}
        </Box>
      ))}
      {outcome &&
        (outcome.ok ? (
          <Box fontSize="text" aria-live="polite">
            <strong>
              {t('view.machines.unit.result-each-way', { perUnit: amount('percent', outcome.value.perUnitPercent, 2) })}
            </strong>{' '}
            {t('view.machines.swing-around', {
              swing: outcome.value.swingPercent.map((swing) => amount('percent', swing, 1)),
              mean: outcome.value.meanFeedMPerMin.map((mean) => amount('wireFeed', mean, 1)),
            })}
            <Box color="quiet" fontSize="small">
              {t('view.simulator.because-line', { because: outcome.value.because })}
            </Box>
          </Box>
        ) : (
          outcome.issues.map((issue) => (
            <Notice key={`${issue.path}${issue.code}`} level="refusal" word={t('view.simulator.not-yet')}>
              {format(issue.message)} {format(formatIf(issue.hint) ?? '')}
            </Notice>
          ))
        ))}
      {task.problem !== null && (
        <Notice level="refusal" word={t('view.machines.not-stored')} urgent>
          {task.problem}
        </Notice>
      )}
      <Box display="flex" gap="2" mt="2">
        <Action
          kind="main"
          disabled={task.busy || !outcome?.ok}
          onClick={() => {
            if (outcome?.ok)
              void onFound(outcome.value.scale).then((done) => {
                if (!done) return;
                forget();
                forgetTexts(keep);
              });
          }}
        >
          {t('view.machines.unit.keep')}
        </Action>
        <Action kind="quiet" onClick={onClose}>
          {t('view.machines.test.not-now')}
        </Action>
      </Box>
    </Box>
  );
}

function readingOf({ dialValue, high, low }: Row): SwingReading | undefined {
  if (dialValue === null || high === null || low === null) return undefined;
  return { dialValue, highFeedMPerMin: high, lowFeedMPerMin: low };
}
