/** Undo, redo and save at the head of every view that edits a seam, with what became of the draft. */
import { Box } from '@chakra-ui/react';
import { Action } from '../../ui/action.tsx';
import type { SaveState } from './use-save.ts';

export interface SaveActsProps {
  readonly saving: SaveState;
  readonly edited: boolean;
  readonly canSave: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Number of the stored revision; null before the first. */
  readonly revision: number | null;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly save: () => Promise<void>;
}

export function SaveActs({ saving, edited, canSave, canUndo, canRedo, revision, undo, redo, save }: SaveActsProps) {
  const stored = revision === null ? 'no setting saved yet' : `revision ${revision}`;
  const text =
    saving.kind === 'saving'
      ? 'saving…'
      : edited
        ? `${stored}, edited; draft kept here`
        : saving.kind === 'saved'
          ? `saved as ${stored}`
          : stored;
  return (
    <>
      <Box role="status" color="quiet" fontSize="13px" mr="1" textAlign="right">
        {text}
      </Box>
      <Action kind="quiet" disabled={!canUndo} onClick={undo} title="Undo (Ctrl Z)">
        Undo
      </Action>
      <Action kind="quiet" disabled={!canRedo} onClick={redo} title="Redo (Ctrl Shift Z)">
        Redo
      </Action>
      <Action kind="main" disabled={!canSave} onClick={() => void save()} title="Save (Ctrl S)">
        Save revision {(revision ?? 0) + 1}
      </Action>
    </>
  );
}
