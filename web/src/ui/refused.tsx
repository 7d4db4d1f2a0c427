/** What the server said when it would not, under the act that asked. */
import { Box } from '@chakra-ui/react';
import type { Task } from '../lib/use-task.ts';
import { Notice } from './notice.tsx';

export function Refused({ task, word }: { readonly task: Pick<Task, 'problem'>; readonly word: string }) {
  if (task.problem === null) return null;
  return (
    <Box mt="3">
      <Notice level="refusal" word={word} urgent>
        {task.problem}
      </Notice>
    </Box>
  );
}
