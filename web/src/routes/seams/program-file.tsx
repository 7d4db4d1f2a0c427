/** The setting as a program file, out and in: a file from elsewhere stands on this sheet as a draft, which undo takes back. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { choiceOfProgram } from '@fox-tempo/core/site';
import { readProgramFile, type ProgramChoice, type SeamResource } from '@fox-tempo/contract';
import { useState } from 'react';
import { download } from '../../lib/download.ts';
import { Action } from '../../ui/action.tsx';
import { FileChooser } from '../../ui/file-chooser.tsx';
import { Notice } from '../../ui/notice.tsx';

export interface ProgramFilePartProps {
  readonly seam: SeamResource;
  readonly onTaken: (choice: ProgramChoice) => void;
}

export function ProgramFilePart({ seam, onTaken }: ProgramFilePartProps) {
  const [taken, setTaken] = useState<string | null>(null);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const { revision } = seam;

  function take(text: string, fileName: string) {
    const read = readText(text);
    setTaken(read.ok ? fileName : null);
    setRefused(read.ok ? [] : read.messages);
    if (read.ok) onTaken(read.choice);
  }

  return (
    <Box display="flex" gap="2" flexWrap="wrap" alignItems="center" fontSize="small" mt="2">
      <Action
        kind="quiet"
        fontSize="small"
        disabled={revision === null}
        onClick={() => {
          if (revision)
            download(
              `${seam.spec.name} r${revision.number}.tempo.json`,
              'application/json',
              `${JSON.stringify(revision.program, null, 2)}\n`,
            );
        }}
      >
        {t('view.seams.program-save')}
      </Action>
      <FileChooser
        word={t('view.seams.program-open')}
        label={t('view.seams.program-file')}
        onText={take}
        onRefused={(message) => {
          setTaken(null);
          setRefused([message]);
        }}
      />
      {taken !== null && <Box role="status">{t('view.seams.program-loaded', { taken })}</Box>}
      {refused.length > 0 && (
        <Box flex="1 1 100%">
          <Notice level="refusal" word={t('view.sequence.not-taken')} urgent>
            {t('view.seams.program-unchanged', { refused: refused.join(' ') })}
          </Notice>
        </Box>
      )}
    </Box>
  );
}

type Read =
  { readonly ok: true; readonly choice: ProgramChoice } | { readonly ok: false; readonly messages: readonly string[] };

function readText(text: string): Read {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, messages: [t('view.seams.program-not-json')] };
  }
  const read = readProgramFile(value);
  return read.ok
    ? { ok: true, choice: choiceOfProgram(read.value) }
    : {
        ok: false,
        messages: read.issues
          .slice(0, 4)
          .map(({ path, message }) => (path === '' ? message : `${path}: ${format(message)}`))
          .map(format),
      };
}
