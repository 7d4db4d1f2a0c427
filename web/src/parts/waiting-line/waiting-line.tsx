/** One line over every view while records wait on this device: how many, and whether somebody has to look. */
import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import { sendWaiting, waitingRecords } from '../../data/outbox/index.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';

export function WaitingLine() {
  const entries = useStore(waitingRecords, (state) => state.entries);
  if (entries.length === 0) return null;
  const refused = entries.filter((one) => one.refused !== null).length;
  const waits = entries.length - refused;
  return (
    <Notice level={refused > 0 ? 'caution' : 'note'} word={t('view.outbox.on-this-device')}>
      {waits > 0 && <>{t('view.outbox.records-wait', { count: waits })} </>}
      {refused > 0 && <>{t('view.outbox.records-refused', { count: refused })} </>}
      <Box asChild color="accent" fontWeight={600} textDecoration="underline">
        <Link to="/waiting">{t('view.outbox.open')}</Link>
      </Box>{' '}
      {waits > 0 && (
        <Action kind="quiet" minHeight="32px" onClick={() => void sendWaiting()}>
          {t('view.outbox.try-now')}
        </Action>
      )}
    </Notice>
  );
}
