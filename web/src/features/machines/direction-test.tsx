/** The two-minute test that finds out which way a dial runs, with its caution before its steps; the answer is stored with who and when. */
import { Box, Heading } from '@chakra-ui/react';
import { directionTestFor, type Dial } from '@fox-tempo/core/machine';
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
    <Box borderLeftWidth="4px" borderColor="accent" pl="3" py="1" my="2" as="section" aria-label={test.title}>
      <Heading as="h3" textStyle="heading" mb="1.5">
        {test.title}, {test.minutes} minutes
      </Heading>
      <Notice level="hazard" word="Before you begin.">
        {test.safety}
      </Notice>
      <Box as="ol" pl="5" my="2" listStyleType="decimal" fontSize="14px">
        {test.steps.map((step) => (
          <Box as="li" key={step} py="1">
            {step}
          </Box>
        ))}
      </Box>
      <Box fontWeight={600} mb="1.5">
        {test.question}
      </Box>
      <TextField label="What you saw (kept with the result)" value={note} onChange={setNote} maxLength={300} />
      <Box display="flex" gap="2" flexWrap="wrap" mt="2">
        <Action kind="main" disabled={task.busy} whiteSpace="normal" onClick={() => onAnswer('as-described', note)}>
          {test.answers.asDescribed}
        </Action>
        <Action kind="main" disabled={task.busy} whiteSpace="normal" onClick={() => onAnswer('reversed', note)}>
          {test.answers.reversed}
        </Action>
        <Action onClick={() => setUnclear(true)}>{test.answers.unclear}</Action>
        <Action kind="quiet" onClick={onClose}>
          Not now
        </Action>
      </Box>
      {unclear && (
        <Box mt="2">
          <Notice level="note">
            Nothing is stored. Take the two ends further apart, change nothing else, and look again; until then the card
            gives both readings.
          </Notice>
        </Box>
      )}
      {task.problem !== null && (
        <Box mt="2">
          <Notice level="refusal" word="Not stored." urgent>
            {task.problem}
          </Notice>
        </Box>
      )}
    </Box>
  );
}
