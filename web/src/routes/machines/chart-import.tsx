/** Chart lines from a CSV table: what it would add and every row that cannot be read, before anything is written. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import { chartCsvExample, largestChartCsvBytes, readChartCsv } from '@fox-tempo/contract';
import { useMemo, useState } from 'react';
import { download } from '../../lib/download.ts';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { Field, inputLook } from '../../ui/field.tsx';
import { useKeptText } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import type { MachineEditor } from './use-machine.ts';

/** Rows shown of each list; a long list says how many more there are. */
const shownRows = 12;

export function ChartImport({ editor, onClose }: { readonly editor: MachineEditor; readonly onClose: () => void }) {
  const { machine, task } = editor;
  const units = useSettings((state) => state.units);
  const [kept, keep] = useKeptText(`chart-csv/${machine.id}`);
  const text = kept ?? '';
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const taken = useMemo(() => machine.file.chartLines.map((line) => line.number), [machine.file.chartLines]);
  const read = useMemo(() => (text.trim() === '' ? null : readChartCsv(text, taken, units)), [text, taken, units]);
  const canImport = read !== null && read.lines.length > 0 && !read.problems.some((problem) => problem.row === 0);
  return (
    <Box as="section" aria-label={t('view.machines.import-chart-lines')} bg="page" p="3" borderRadius="4px" mb="2">
      <Field label={t('view.machines.chart.paste')} hint={t('view.machines.chart.columns')}>
        {({ id, describedBy }) => (
          <chakra.textarea
            id={id}
            {...inputLook}
            fontFamily="mono"
            fontSize="small"
            rows={5}
            py="2"
            value={text}
            aria-describedby={describedBy}
            onChange={(event) => keep(event.target.value === '' ? null : event.target.value)}
          />
        )}
      </Field>
      <Box display="flex" gap="2" flexWrap="wrap" my="2" alignItems="center">
        <chakra.input
          type="file"
          accept=".csv,text/csv,text/plain"
          aria-label={t('view.machines.table-file')}
          minHeight="44px"
          fontSize="small"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (!file) return;
            // Asked before it is read: a wrong pick may have gigabytes.
            const isTooLarge = file.size > largestChartCsvBytes;
            setTooLarge(
              isTooLarge
                ? t('view.machines.has-mb', { file: file.name, size: amount('plain', file.size / 1e6, 1) })
                : null,
            );
            if (!isTooLarge) void file.text().then((content) => keep(content));
          }}
        />
        <Action
          kind="quiet"
          fontSize="small"
          onClick={() => download('chart-lines-example.csv', 'text/csv', chartCsvExample)}
        >
          {t('view.machines.save-an-example')}
        </Action>
      </Box>
      {tooLarge !== null && (
        <Notice level="refusal" word={t('view.machines.not-read')} urgent>
          {t('view.machines.chart.too-large', {
            tooLarge,
            largestChartCsvBytes: largestChartCsvBytes / 1024 / 1024,
          })}
        </Notice>
      )}
      {read && (
        <Box aria-live="polite">
          <Box fontWeight={600} mb="1">
            {t('view.machines.chart.read', {
              rows: read.rows,
              lines: read.lines.length,
              problems: read.problems.length,
            })}
          </Box>
          {read.problems.length > 0 && (
            <Table label={t('view.machines.chart.unreadable')} mb="2">
              <Heads names={[t('view.machines.chart.row'), t('view.machines.column'), t('view.machines.why')]} />
              <tbody>
                {read.problems.slice(0, shownRows).map(({ row, column, message }, at) => (
                  <tr key={`${row}${column}${at}`}>
                    <Cell>{row === 0 ? t('view.machines.all') : row}</Cell>
                    <Cell>{column}</Cell>
                    <Cell color="crimson">✕ {format(message)}</Cell>
                  </tr>
                ))}
                {read.problems.length > shownRows && (
                  <tr>
                    <Cell color="quiet">
                      {t('view.machines.chart.more', { shownRows: read.problems.length - shownRows })}
                    </Cell>
                  </tr>
                )}
              </tbody>
            </Table>
          )}
          {read.lines.length > 0 && (
            <Table label={t('view.machines.chart.added')} mb="2">
              <Heads
                names={[
                  t('view.machines.chart.number'),
                  t('view.machines.column-words'),
                  t('view.machines.wire'),
                  t('view.library.size'),
                  t('view.machines.gas'),
                  t('view.machines.way'),
                  t('view.machines.points'),
                ]}
              />
              <tbody>
                {read.lines.slice(0, shownRows).map((line) => (
                  <tr key={line.number}>
                    <Cell>{line.number}</Cell>
                    <Cell>{line.words}</Cell>
                    <Cell>{line.filler}</Cell>
                    <Cell>{format(amount('shortLength', Number(line.diameterMm.toFixed(3))))}</Cell>
                    <Cell>{line.gas}</Cell>
                    <Cell>{line.mode}</Cell>
                    <Cell>{line.points?.length ?? 0}</Cell>
                  </tr>
                ))}
                {read.lines.length > shownRows && (
                  <tr>
                    <Cell color="quiet">
                      {t('view.machines.chart.more', { shownRows: read.lines.length - shownRows })}
                    </Cell>
                  </tr>
                )}
              </tbody>
            </Table>
          )}
        </Box>
      )}
      {task.problem !== null && (
        <Notice level="refusal" word={t('view.machines.not-imported')} urgent>
          {task.problem}
        </Notice>
      )}
      <Box display="flex" gap="2" mt="2">
        <Action
          kind="main"
          disabled={!canImport || task.busy}
          onClick={() => {
            if (!read) return;
            const added = read.lines.map((line) => ({
              ...line,
              alsoGases: undefined,
              points: line.points && [...line.points],
            }));
            void editor
              .saveFile((file) => ({
                ...file,
                chartLines: [...file.chartLines, ...added].sort((a, b) => a.number - b.number),
              }))
              .then((done) => {
                if (done) {
                  keep(null);
                  onClose();
                }
              });
          }}
        >
          {t('view.machines.add-lines', { lines: read?.lines.length ?? 0 })}
        </Action>
        <Action onClick={onClose}>{t('view.library.cancel')}</Action>
      </Box>
    </Box>
  );
}
