/** The two-minute test that finds out which way a dial runs, with its caution before its steps; the answer is stored with who and when. */
import { HazardText } from '../../ui/hazard-text.tsx';
import { t, format } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import { directionTestFor } from '@fox-tempo/core/machine/teaching';
import { type Dial } from '@fox-tempo/core/machine/description';
import { useState } from 'react';
import type { Task } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { TextField } from '../../ui/text-field.tsx';

export interface DirectionTestProps {
  readonly dial: Dial;
  readonly task: Task;
  readonly onAnswer: (result: 'as-described' | 'reversed', note: string) => void;
  readonly onClose: () => void;
}

export function DirectionTestPanel({ dial, task, onAnswer, onClose }: DirectionTestProps) {
  const [note, setNote] = useState('');
  const [unclear, setUnclear] = useState(false);
  const test = directionTestFor(dial);
  if (!test) return null;
  return (
    <Box borderStartWidth="4px" borderColor="accent" ps="3" py="1" my="2" as="section" aria-label={format(test.title)}>
      <Heading as="h3" textStyle="heading" mb="1.5">
        {t('view.machines.minutes', { title: test.title, minutes: test.minutes })}
      </Heading>
      <Notice level="hazard" word={t('view.machines.before-you-begin')}>
        <HazardText said={test.safety} />
      </Notice>
      <Box as="ol" ps="5" my="2" listStyleType="decimal" fontSize="text">
        {test.steps.map((step) => (
          <Box as="li" key={format(step)} py="1">
            <HazardText said={step} />
          </Box>
        ))}
      </Box>
      <Box fontWeight={600} mb="1.5">
        {format(test.question)}
      </Box>
      <TextField label={t('view.machines.test.seen')} value={note} onChange={setNote} maxLength={300} />
      <Box display="flex" gap="2" flexWrap="wrap" mt="2">
        <Action kind="main" disabled={task.busy} whiteSpace="normal" onClick={() => onAnswer('as-described', note)}>
          {format(test.answers.asDescribed)}
        </Action>
        <Action kind="main" disabled={task.busy} whiteSpace="normal" onClick={() => onAnswer('reversed', note)}>
          {format(test.answers.reversed)}
        </Action>
        <Action onClick={() => setUnclear(true)}>{format(test.answers.unclear)}</Action>
        <Action kind="quiet" onClick={onClose}>
          {t('view.machines.test.not-now')}
        </Action>
      </Box>
      {unclear && (
        <Box mt="2">
          <Notice level="note">{t('view.machines.test.nothing-stored')}</Notice>
        </Box>
      )}
      {task.problem !== null && (
        <Box mt="2">
          <Notice level="refusal" word={t('view.machines.not-stored')} urgent>
            {task.problem}
          </Notice>
        </Box>
      )}
    </Box>
  );
}
