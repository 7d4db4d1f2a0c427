/** What stands between a draft and the shop's record: a save that failed, somebody who saved first, another tab, a wish that cannot be had. */
import { Box } from '@chakra-ui/react';
import { memo } from 'react';
import type { SheetSession } from '../../sheet/session.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Conflict } from './conflict.tsx';

export const SaveTroubles = memo(function SaveTroubles({
  session,
  refusals,
}: {
  readonly session: SheetSession;
  readonly refusals: 'here' | 'own';
}) {
  const { saving, overtaken, elsewhere, issues } = session;
  return (
    <>
      {overtaken && (
        <Whole>
          <Conflict session={session} stored={overtaken} />
        </Whole>
      )}
      {saving.kind === 'failed' && (
        <Whole>
          <Notice level="refusal" word="Not saved." urgent>
            {saving.title}. {saving.detail} Your draft is kept on this device.{' '}
            <Action kind="quiet" minHeight="32px" onClick={() => void session.save()}>
              Try again
            </Action>
          </Notice>
        </Whole>
      )}
      {elsewhere && (
        <Whole>
          <Notice level="caution" word="Another tab has another draft of this seam." urgent>
            Nothing of either is lost yet; one of them goes on.{' '}
            <Action kind="quiet" minHeight="32px" onClick={() => session.settleTabs('mine')}>
              Go on with this one
            </Action>{' '}
            <Action kind="quiet" minHeight="32px" onClick={() => session.settleTabs('theirs')}>
              Take the other tab’s
            </Action>
          </Notice>
        </Whole>
      )}
      {refusals === 'here' &&
        issues.map((issue) => (
          <Whole key={`${issue.path}${issue.code}`}>
            <Notice level="refusal" word="Not to be had." urgent>
              {issue.message} {issue.hint ?? ''} The last setting that works is shown; undo, or change it back.
            </Notice>
          </Whole>
        ))}
    </>
  );
});

function Whole({ children }: { readonly children: React.ReactNode }) {
  return <Box gridColumn="1 / -1">{children}</Box>;
}
