/** A link led to a seam that was taken off the list: what happened, what is safe, and the way back for those who may. */
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { useMay } from '../../lib/session.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';

export function OffTheList({
  seam,
  onBack,
}: {
  readonly seam: SeamResource;
  readonly onBack?: ((seam: SeamResource) => void) | undefined;
}) {
  const may = useMay('restoreSeam');
  const task = useTask();
  const { revalidate } = useRevalidator();
  if (!seam.deleted) return null;
  return (
    <Box px="3" pt="2">
      <Notice level="caution" word="Off the list." urgent>
        {seam.changedBy} took this seam off {shopTime(seam.changedAt)}. Nothing of it is lost: its revisions stay, and
        so does a draft on this device.{' '}
        {may ? (
          <Action
            kind="quiet"
            minHeight="32px"
            disabled={task.busy}
            onClick={() =>
              void task.run(async () => {
                const back = await api.restoreSeam(seam.id);
                onBack?.(back);
                await revalidate();
              })
            }
          >
            Bring it back
          </Action>
        ) : (
          'A lead hand or owner can bring it back.'
        )}
        {task.problem !== null && ` Not brought back: ${task.problem}`}
      </Notice>
    </Box>
  );
}
