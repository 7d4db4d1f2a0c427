/** The next page of a long list, under it; what went wrong is said there, and the rows that stand stay. */
import { Box } from '@chakra-ui/react';
import { useTask } from '../lib/use-task.ts';
import { t } from '../lib/words.ts';
import { Action } from './action.tsx';
import { Notice } from './notice.tsx';

export function OlderOnes({ onAsk }: { readonly onAsk: () => Promise<void> }) {
  const task = useTask();
  return (
    <Box display="grid" gap="2" my="2" justifyItems="start">
      {task.problem !== null && (
        <Notice level="refusal" urgent>
          {task.problem}
        </Notice>
      )}
      <Action disabled={task.busy} onClick={() => void task.run(onAsk)}>
        {t('view.trials.older-ones')}
      </Action>
    </Box>
  );
}
