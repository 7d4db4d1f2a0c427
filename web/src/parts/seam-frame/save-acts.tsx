/** Undo, redo and save at the head of every view that edits a seam, with what became of the draft. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { memo } from 'react';
import type { SheetSession } from '../../sheet/session.ts';
import { Action } from '../../ui/action.tsx';

type Shown = Pick<
  SheetSession,
  'saving' | 'edited' | 'cannotSave' | 'canUndo' | 'canRedo' | 'undo' | 'redo' | 'save'
> & { readonly number: number | null };

/** Only what it shows: a dial that moves changes nothing here after its first step. */
export function SaveActs({ session }: { readonly session: SheetSession }) {
  const { seam, saving, edited, cannotSave, canUndo, canRedo, undo, redo, save } = session;
  const number = seam.revision?.number ?? null;
  return <Acts {...{ number, saving, edited, cannotSave, canUndo, canRedo, undo, redo, save }} />;
}

const Acts = memo(function Acts({ number, saving, edited, cannotSave, canUndo, canRedo, undo, redo, save }: Shown) {
  const stored = number === null ? t('view.memory.no-setting') : t('view.seams.revision', { number });
  const text =
    saving.kind === 'saving'
      ? t('view.machines.saving')
      : edited
        ? t('view.seam-frame.edited', { stored })
        : saving.kind === 'saved'
          ? t('view.seam-frame.saved-as', { stored })
          : stored;
  return (
    <>
      <Box role="status" color="quiet" fontSize="small" me="1" textAlign="end">
        {text}
      </Box>
      <Action kind="quiet" disabled={!canUndo} onClick={undo} title={t('view.seam-frame.undo-ctrl-z')}>
        {t('view.seam-frame.undo')}
      </Action>
      <Action kind="quiet" disabled={!canRedo} onClick={redo} title={t('view.seam-frame.redo-key')}>
        {t('view.seam-frame.redo')}
      </Action>
      <Action
        kind="main"
        disabled={cannotSave !== null}
        onClick={() => void save()}
        title={cannotSave === null ? t('view.seam-frame.save') : cannotSave}
      >
        {t('view.seam-frame.save-revision', { number: (number ?? 0) + 1 })}
      </Action>
    </>
  );
});
