/** A link led to a seam that was taken off the list: what happened, what is safe, and the way back for those who may. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { useMay } from '../../session/session.ts';
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
      <Notice level="caution" word={t('view.seam-frame.off-the-list')} urgent>
        {t('view.seam-frame.removed', {
          changedBy: seam.changedBy,
          changedAt: shopTime(seam.changedAt),
        })}{' '}
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
            {t('view.seam-frame.bring-it-back')}
          </Action>
        ) : (
          t('view.seam-frame.removed-who')
        )}
        {task.problem !== null && <> {t('view.seam-frame.not-brought-back', { problem: task.problem })}</>}
      </Notice>
    </Box>
  );
}
