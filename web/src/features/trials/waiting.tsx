/** Trials that wait on this device for the connection, and those the server would not take. */
import { Box } from '@chakra-ui/react';
import { useEffect } from 'react';
import { useStore } from 'zustand';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { flushOutbox, loadOutbox, outbox, throwAway } from './outbox.ts';

const everyMs = 15_000;

export function Waiting() {
  const { waiting } = useStore(outbox);
  useEffect(() => {
    const flush = () => void flushOutbox();
    void loadOutbox().then(flush);
    const timer = setInterval(flush, everyMs);
    window.addEventListener('online', flush);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', flush);
    };
  }, []);
  const refused = waiting.filter((one) => one.refused !== undefined);
  const still = waiting.length - refused.length;
  if (waiting.length === 0) return null;
  return (
    <Box display="grid" gap="2">
      {still > 0 && (
        <Notice level="caution" word={t('view.trials.waiting')}>
          {t('view.trials.trials-wait', { count: still })}{' '}
          <Action kind="quiet" minHeight="36px" onClick={() => void flushOutbox()}>
            {t('view.trials.try-now')}
          </Action>
        </Notice>
      )}
      {refused.map(({ key, refused: why }) => (
        <Notice key={key} level="refusal">
          {why}{' '}
          <Action kind="quiet" minHeight="36px" onClick={() => void throwAway(key)}>
            {t('view.trials.throw-away')}
          </Action>
        </Notice>
      ))}
    </Box>
  );
}
