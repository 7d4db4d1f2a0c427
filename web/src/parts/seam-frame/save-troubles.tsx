/** What stands between a draft and the shop's record: a save that failed, somebody who saved first, another tab, a wish that cannot be had. */
import { t, formatIf } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { memo } from 'react';
import type { SheetSession } from '../../sheet/session.ts';
import { api } from '../../data/api.ts';
import { useTask } from '../../lib/use-task.ts';
import { LeadPinForm } from '../lead-pin/index.ts';
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
          <Notice level="refusal" word={t('view.library.not-saved')} urgent>
            {t('view.seam-frame.draft-kept', { title: saving.title, detail: saving.detail })}{' '}
            <Action kind="quiet" minHeight="32px" onClick={() => void session.save()}>
              {t('view.app.try-again')}
            </Action>
          </Notice>
          {saving.isLocked === true && <ReleaseHere session={session} />}
        </Whole>
      )}
      {elsewhere && (
        <Whole>
          <Notice level="caution" word={t('view.seam-frame.other-tab')} urgent>
            {t('view.seam-frame.other-tab-why')}{' '}
            <Action kind="quiet" minHeight="32px" onClick={() => session.settleTabs('mine')}>
              {t('view.seam-frame.other-tab-this')}
            </Action>{' '}
            <Action kind="quiet" minHeight="32px" onClick={() => session.settleTabs('theirs')}>
              {t('view.seam-frame.other-tab-other')}
            </Action>
          </Notice>
        </Whole>
      )}
      {refusals === 'here' &&
        issues.map((issue) => (
          <Whole key={`${issue.path}${issue.code}`}>
            <Notice level="refusal" word={t('view.seam-frame.not-possible')} urgent>
              {t('view.seam-frame.last-setting', {
                message: issue.message,
                hint: formatIf(issue.hint) ?? '',
              })}
            </Notice>
          </Whole>
        ))}
    </>
  );
});

/** A lead hand standing beside gives name, PIN and reason; the save is sent again. */
function ReleaseHere({ session }: { readonly session: SheetSession }) {
  const task = useTask();
  return (
    <Box mt="2">
      <LeadPinForm
        right="lockSeam"
        word={t('view.lead-pin.why')}
        act={t('view.lead-pin.release-and-save')}
        task={task}
        onSend={(by, reason) =>
          void task.run(async () => {
            await api.releaseSeam(session.seam.id, { by, reason });
            await session.save();
          })
        }
      />
    </Box>
  );
}

function Whole({ children }: { readonly children: React.ReactNode }) {
  return <Box gridColumn="1 / -1">{children}</Box>;
}
