/** Open files out and in: the whole shop, or a machine or a seam from elsewhere. What would come in is shown first. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, formatIf, named } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { ImportReport, Part } from '@fox-tempo/contract';
import { useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { download } from '../../lib/download.ts';
import { useMay } from '../../session/session.ts';
import { shopDay } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Refused } from '../../ui/refused.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { MayNot } from './may-not.tsx';

/** Files are read whole; one that large is not one of ours. */
const largestBytes = 8 * 1024 * 1024;

interface Picked {
  readonly name: string;
  readonly file: unknown;
}

export function Files({ parts }: { readonly parts: readonly Part[] }) {
  const task = useTask();
  return (
    <>
      <Panel title={t('view.shop.out')}>
        <Box fontSize="text" mb="3" maxWidth="64ch">
          {t('view.shop.export-why')}
        </Box>
        <Action
          disabled={task.busy}
          onClick={() =>
            void task.run(async () => {
              const shop = await api.exportShop();
              download(`shop ${shopDay()}.tempo.json`, 'application/json', JSON.stringify(shop, null, 2));
            })
          }
        >
          {t('view.shop.export')}
        </Action>
        <Refused task={task} word={t('view.machines.not-made')} />
      </Panel>
      <Import parts={parts} />
    </>
  );
}

function Import({ parts }: { readonly parts: readonly Part[] }) {
  const may = useMay('importBundle');
  const input = useRef<HTMLInputElement>(null);
  const [picked, setPicked] = useState<Picked | null>(null);
  const [partId, setPartId] = useState('');
  const [report, setReport] = useState<ImportReport | null>(null);
  const [unreadable, setUnreadable] = useState<string | null>(null);
  const task = useTask();
  const { revalidate } = useRevalidator();
  const ask = (file: unknown, part: string, write: boolean) =>
    task.run(async () => {
      setReport(await api.importBundle({ file, partId: part === '' ? null : part, write }));
      if (write) await revalidate();
    });
  const pick = async (file: File) => {
    setReport(null);
    setUnreadable(null);
    if (file.size > largestBytes) {
      setUnreadable(t('view.shop.file-too-large', { file: file.name, size: amount('plain', file.size / 1e6, 1) }));
      return;
    }
    try {
      const content: unknown = JSON.parse(await file.text());
      setPicked({ name: file.name, file: content });
      await ask(content, partId, false);
    } catch {
      setUnreadable(t('view.shop.file-not-json', { file: file.name }));
    }
  };
  if (!may) {
    return (
      <Panel title={t('view.shop.in')}>
        <MayNot act="importBundle" />
      </Panel>
    );
  }
  const comes = report?.rows.filter((row) => row.does === 'added').length ?? 0;
  const refused = report?.rows.filter((row) => row.does === 'refused').length ?? 0;
  return (
    <Panel title={t('view.shop.in')}>
      <Box display="flex" gap="3" flexWrap="wrap" alignItems="end">
        <input
          ref={input}
          type="file"
          accept=".json,application/json"
          hidden
          aria-label={t('view.shop.import-file')}
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void pick(file);
            event.target.value = '';
          }}
        />
        <Action onClick={() => input.current?.click()}>{t('view.shop.choose-a-file')}</Action>
        <Box width="260px">
          <ChoiceField
            label={t('view.shop.import-part')}
            value={partId}
            choices={[
              { value: '', label: t('view.shop.import-part-own') },
              ...parts.map((part) => ({ value: part.id, label: part.name })),
            ]}
            onChange={(next) => {
              setPartId(next);
              if (picked) void ask(picked.file, next, false);
            }}
          />
        </Box>
      </Box>
      {unreadable !== null && (
        <Box mt="3">
          <Notice level="refusal" word={t('view.machines.not-read')} urgent>
            {unreadable}
          </Notice>
        </Box>
      )}
      <Refused task={task} word={t('view.sequence.not-taken')} />
      {report && picked && (
        <Box mt="3">
          <Table label={t('view.shop.what-holds', { picked: picked.name })}>
            <Heads names={[t('view.shop.what'), t('view.seams.name'), t('view.shop.happens')]} />
            <tbody>
              {report.rows.map((row, at) => (
                <tr key={`${row.kind} ${row.name} ${at}`}>
                  <Cell color="quiet">{named(row.kind)}</Cell>
                  <Cell head>{row.name}</Cell>
                  <Cell color={row.does === 'refused' ? 'crimson' : 'ink'}>
                    {row.does === 'refused'
                      ? t('view.shop.refused', { why: formatIf(row.why) ?? '' })
                      : named(row.does)}
                  </Cell>
                </tr>
              ))}
            </tbody>
          </Table>
          {report.written ? (
            <Box role="status" color="spruce" mt="2" fontSize="text">
              {t('view.shop.imported', { comes })}
            </Box>
          ) : (
            <Action
              kind="main"
              mt="3"
              disabled={task.busy || comes === 0 || refused > 0}
              onClick={() => void ask(picked.file, partId, true)}
            >
              {t('view.shop.import', { comes })}
            </Action>
          )}
        </Box>
      )}
    </Panel>
  );
}
