/** Notices over the page: at its lower edge, read out when they come, gone when they are put away or undone. */
import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useRevalidator } from 'react-router';
import { useStore } from 'zustand';
import { serverVersion } from '../data/door.ts';
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
      aria-label="Notices"
      position="fixed"
      bottom={{ base: '64px', xl: '12px' }}
      left={{ base: '8px', md: '96px' }}
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
      <Notice level={notice.level} urgent word={notice.level === 'note' ? 'Done.' : 'Trouble.'}>
        {notice.text} {problem !== null && `Not undone: ${problem} `}
        {notice.undo && (
          <Action kind="quiet" minHeight="32px" disabled={busy} onClick={() => void undo()}>
            Undo it
          </Action>
        )}
        <Action kind="quiet" minHeight="32px" onClick={() => dismiss(notice.id)}>
          Put away
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
        <Notice level="caution" word="This device keeps nothing." urgent>
          {trouble === 'full' ? 'Its storage is full' : 'The browser forbids it'}: what is typed lives only in this
          page. Save before you leave it.
        </Notice>
      )}
      {differs && (
        <Notice level="caution" word="Another version." urgent>
          The server runs another version than this page. Drafts are kept here; load the page anew before you save.{' '}
          <Action kind="quiet" minHeight="32px" onClick={() => window.location.reload()}>
            Load it anew
          </Action>
        </Notice>
      )}
    </>
  );
}
