/** The score as a file: JSON out, JSON in; what is wrong with a file is said with its place, and the score stays as it was. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { parseWith, triggerSequence } from '@fox-tempo/contract';
import type { ScoreOf } from '@fox-tempo/core/weld/score';
import { sequenceIssues } from '@fox-tempo/core/weld/sequence';
import { useState } from 'react';
import { download } from '../../lib/download.ts';
import { Action } from '../../ui/action.tsx';
import { FileChooser } from '../../ui/file-chooser.tsx';
import { Notice } from '../../ui/notice.tsx';
import type { Score } from './use-score.ts';

export const sequenceFormat = 'fox-tempo/sequence';

export function FilePart({
  name,
  score,
  whole,
}: {
  readonly name: string;
  readonly score: Score;
  readonly whole: ScoreOf;
}) {
  const [refused, setRefused] = useState<readonly string[]>([]);
  const [taken, setTaken] = useState<string | null>(null);

  function take(text: string, fileName: string) {
    const read = readSequenceText(text, whole);
    setTaken(read.ok ? fileName : null);
    setRefused(read.ok ? [] : read.messages);
    if (read.ok) score.edit(read.sequence, 'file');
  }

  return (
    <Box display="flex" gap="2" flexWrap="wrap" alignItems="center" fontSize="small">
      <Action
        kind="quiet"
        onClick={() =>
          download(
            `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.score.json`,
            'application/json',
            `${JSON.stringify({ format: sequenceFormat, version: 1, sequence: score.sequence }, null, 2)}\n`,
          )
        }
      >
        {t('view.sequence.file.save')}
      </Action>
      <FileChooser
        word={t('view.sequence.file.open')}
        label={t('view.sequence.file.name')}
        onText={take}
        onRefused={(message) => {
          setTaken(null);
          setRefused([message]);
        }}
      />
      {taken && <Box role="status">{t('view.sequence.file.loaded', { taken })}</Box>}
      {refused.length > 0 && (
        <Box flex="1 1 100%">
          <Notice level="refusal" word={t('view.sequence.not-taken')} urgent>
            {t('view.sequence.file.unchanged', { refused: refused.join(' ') })}
          </Notice>
        </Box>
      )}
    </Box>
  );
}

type ReadSequence =
  | { readonly ok: true; readonly sequence: Score['sequence'] }
  | { readonly ok: false; readonly messages: readonly string[] };

/** A score file, or a whole program file: its sequence is taken. */
export function readSequenceText(text: string, whole: Pick<ScoreOf, 'score'>): ReadSequence {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return {
      ok: false,
      messages: [t('view.sequence.file.not-json', { error: error instanceof Error ? error.message : String(error) })],
    };
  }
  const found = (value as { format?: unknown } | null)?.format;
  if (found !== sequenceFormat && found !== 'fox-tempo/program') {
    return {
      ok: false,
      messages: [t('view.sequence.file.format', { sequenceFormat, format: JSON.stringify(found) ?? 'nothing' })],
    };
  }
  const parsed = parseWith(triggerSequence, (value as { sequence?: unknown }).sequence);
  const issues = parsed.ok ? sequenceIssues(parsed.value, whole.score.rules.hasGas) : parsed.issues;
  if (!parsed.ok || issues.length > 0) {
    return { ok: false, messages: issues.slice(0, 5).map(({ path, message }) => `${path}: ${format(message)}`) };
  }
  return { ok: true, sequence: parsed.value };
}
