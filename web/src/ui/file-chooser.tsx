/** A button that asks for one text file; its size is asked before it is read. */
import { amount } from '@fox-tempo/core/base/messages';
import { t } from '../lib/words.ts';
import { useRef } from 'react';
import { Action } from './action.tsx';

/** A score or a program has a few kilobytes. */
const largestKilobytes = 256;

export interface FileChooserProps {
  /** What stands on the button. */
  readonly word: string;
  /** What the file is, for a reader that hears the page. */
  readonly label: string;
  readonly onText: (text: string, fileName: string) => void;
  readonly onRefused: (message: string) => void;
}

export function FileChooser({ word, label, onText, onRefused }: FileChooserProps) {
  const chooser = useRef<HTMLInputElement>(null);

  async function read(file: File) {
    if (file.size > largestKilobytes * 1024) {
      onRefused(
        t('view.ui.file-too-large', {
          file: file.name,
          size: amount('plain', file.size / 1024, 0),
          largestKilobytes: String(largestKilobytes),
        }),
      );
      return;
    }
    onText(await file.text(), file.name);
  }

  return (
    <>
      <Action kind="quiet" fontSize="small" onClick={() => chooser.current?.click()}>
        {word}
      </Action>
      <input
        ref={chooser}
        type="file"
        accept="application/json,.json"
        hidden
        aria-label={label}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void read(file);
          event.target.value = '';
        }}
      />
    </>
  );
}
