/** Notices over the page: at its lower edge, read out when they come, gone when they are put away or undone. */
import { t } from '../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useRevalidator } from 'react-router';
import { useStore } from 'zustand';
import { serverVersion } from '../data/client.ts';
import { deviceTrouble } from '../lib/device.ts';
import { dismiss, hearFailures, notices, type PageNotice } from '../lib/notices.ts';
import { Action } from '../ui/action.tsx';
import { Notice } from '../ui/notice.tsx';

export function PageNotices() {
  const shown = useStore(notices, (state) => state.shown);
  useEffect(() => hearFailures(), []);
  if (shown.length === 0) return null;
  return (
    <Box
      role="region"
      aria-label={t('view.app.notices')}
      position="fixed"
      bottom={{ base: '64px', xl: '12px' }}
      insetStart={{ base: '8px', md: '96px' }}
      zIndex={20}
      display="grid"
      gap="2"
      maxWidth="min(560px, calc(100vw - 16px))"
    >
      {shown.map((notice) => (
        <One key={notice.id} notice={notice} />
      ))}
    </Box>
  );
}

function One({ notice }: { readonly notice: PageNotice }) {
  const { revalidate } = useRevalidator();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const undo = async () => {
    setBusy(true);
    try {
      await notice.undo?.();
      await revalidate();
      dismiss(notice.id);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
      setBusy(false);
    }
  };
  return (
    <Box boxShadow="0 2px 10px rgba(0,0,0,0.25)">
      <Notice level={notice.level} urgent word={notice.level === 'note' ? t('view.app.done') : t('view.app.trouble')}>
        {notice.text} {problem !== null && <>{t('view.app.not-undone', { problem })} </>}
        {notice.undo && (
          <Action kind="quiet" minHeight="32px" disabled={busy} onClick={() => void undo()}>
            {t('view.app.undo')}
          </Action>
        )}
        <Action kind="quiet" minHeight="32px" onClick={() => dismiss(notice.id)}>
          {t('view.app.dismiss')}
        </Action>
      </Notice>
    </Box>
  );
}

/** What is not well with this device or between page and server, while it lasts. */
export function StandingTroubles() {
  const trouble = useStore(deviceTrouble, (state) => state.trouble);
  const differs = useStore(serverVersion, (state) => state.differs);
  return (
    <>
      {trouble !== null && (
        <Notice level="caution" word={t('view.app.no-storage')} urgent>
          {t('view.app.drafts-on-page-only', {
            trouble: trouble === 'full' ? t('view.app.storage-full') : t('view.app.storage-forbidden'),
          })}
        </Notice>
      )}
      {differs && (
        <Notice level="caution" word={t('view.app.another-version')} urgent>
          {t('view.app.other-version')}{' '}
          <Action kind="quiet" minHeight="32px" onClick={() => window.location.reload()}>
            {t('view.app.load-it-anew')}
          </Action>
        </Notice>
      )}
    </>
  );
}
