/** The chart inside the door: names first, number second; found by words, added one by one or from a table, taught by a few of its figures. */
import { t, format, formatIf } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import {
  commonGasCodes,
  type FillerCode,
  fillers,
  gasName,
  wireSizeLabel,
  wireSizes,
} from '@fox-tempo/core/metal/consumables';
import { lookAlikes, searchChart } from '@fox-tempo/core/machine/description';
import { modeName, type PlanMode } from '@fox-tempo/core/setting/plan';
import { Fragment, useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { ChartImport } from './chart-import.tsx';
import { LineGases } from './line-gases.tsx';
import { TeachLine } from './teach-line.tsx';
import type { MachineEditor } from './use-machine.ts';

type FileLine = MachineFile['chartLines'][number];

export function ChartLines({ editor }: { readonly editor: MachineEditor }) {
  const { machine, task } = editor;
  const { chartLines } = machine.file;
  const [asked, setAsked] = useState('');
  const [open, setOpen] = useState<'add' | 'import' | number | null>(null);
  const shown = searchChart(chartLines, asked) as FileLine[];
  const close = () => {
    setOpen(null);
    task.clear();
  };
  return (
    <Panel
      title={t('view.machines.chart.title')}
      aside={
        <Box display="flex" flexWrap="wrap" gap="1" my="-2">
          <Action kind="quiet" onClick={() => setOpen('add')}>
            {t('view.machines.add-a-line')}
          </Action>
          <Action kind="quiet" onClick={() => setOpen('import')}>
            {t('view.machines.import-a-table')}
          </Action>
        </Box>
      }
    >
      <Box fontSize="small" color="quiet" mb="2">
        {t('view.machines.chart.why', { number: chartLines[0]?.number ?? 12 })}
      </Box>
      {open === 'add' && <AddLine editor={editor} onClose={close} />}
      {open === 'import' && <ChartImport editor={editor} onClose={close} />}
      {chartLines.length > 0 && (
        <Box maxWidth="360px" mb="2">
          <TextField
            label={t('view.machines.find-a-line')}
            value={asked}
            onChange={setAsked}
            hint={
              asked === ''
                ? t('view.machines.chart.search')
                : t('view.machines.of', { shown: shown.length, chartLines: chartLines.length })
            }
          />
        </Box>
      )}
      {chartLines.length === 0 ? (
        <Notice level="note">{t('view.machines.chart.empty')}</Notice>
      ) : (
        <Table label={t('view.machines.chart.lines', { file: machine.file.name })}>
          <Heads
            names={[
              t('view.machines.chart.wire-gas-mode'),
              t('view.machines.chart.number'),
              t('view.machines.chart.confused-with'),
              t('view.machines.taught'),
              '',
            ]}
            right={[t('view.machines.chart.number')]}
          />
          <tbody>
            {shown.map((line) => (
              <Fragment key={line.number}>
                <tr>
                  <Cell head>
                    {line.words}
                    <Box textStyle="label" color="quiet" fontWeight={400}>
                      {format(wireSizeLabel(line.diameterMm))}, {format(gasName(line.gas))},{' '}
                      {format(modeName(line.mode))}
                    </Box>
                  </Cell>
                  <Cell figure fontSize="title">
                    {line.number}
                  </Cell>
                  <Cell fontSize="small" color="ochre">
                    {lookAlikes(chartLines, line)
                      .map((other) => other.number)
                      .join(', ')}
                  </Cell>
                  <Cell fontSize="small">
                    {line.points ? t('view.machines.chart.points', { points: line.points.length }) : '–'}
                  </Cell>
                  <Cell pe="0" textAlign="end" whiteSpace="nowrap">
                    <Action
                      kind="quiet"
                      fontSize="small"
                      aria-label={t('view.machines.teach-line', { number: line.number })}
                      onClick={() => setOpen(open === line.number ? null : line.number)}
                    >
                      {t('view.machines.teach')}
                    </Action>
                    <Action
                      kind="quiet"
                      fontSize="small"
                      disabled={task.busy}
                      aria-label={t('view.machines.take-off-line', { number: line.number })}
                      onClick={() => {
                        void editor.saveFile((file) => ({
                          ...file,
                          chartLines: file.chartLines.filter((one) => one.number !== line.number),
                        }));
                      }}
                    >
                      {t('view.machines.remove')}
                    </Action>
                  </Cell>
                </tr>
                {open === line.number && (
                  <tr>
                    <td colSpan={5}>
                      <TeachLine editor={editor} line={line} onClose={close} />
                      <LineGases editor={editor} line={line} />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
            {shown.length === 0 && (
              <tr>
                <Cell color="quiet">{t('view.machines.chart.no-match')}</Cell>
              </tr>
            )}
          </tbody>
        </Table>
      )}
    </Panel>
  );
}

interface LineForm {
  readonly number: number | null;
  readonly words: string;
  readonly filler: FillerCode;
  readonly diameterMm: number;
  readonly gas: string;
  readonly mode: PlanMode;
}

const freshLine: LineForm = {
  number: null,
  words: '',
  filler: 'steel-solid',
  diameterMm: 1,
  gas: 'M21-ArC-18',
  mode: 'pulse',
};

function AddLine({ editor, onClose }: { readonly editor: MachineEditor; readonly onClose: () => void }) {
  const { machine, task } = editor;
  const keep = `chart-line/${machine.id}`;
  const [form, setForm, forget] = useKeptForm<LineForm>(keep, freshLine);
  const set = (change: Partial<LineForm>) => setForm({ ...form, ...change });
  const filler = fillers.find((one) => one.code === form.filler);
  return (
    <Box as="section" aria-label={t('view.machines.chart.new-line')} bg="page" p="3" borderRadius="4px" mb="2">
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', lg: 'repeat(6, 1fr)' }} gap="2.5">
        <ValueField
          label={t('view.machines.chart.number')}
          of="plain"
          value={form.number}
          keep={`${keep}/number`}
          range={[0, 9999]}
          whole
          onValue={(number) => set({ number })}
        />
        <ChoiceField
          label={t('view.machines.wire')}
          value={form.filler}
          choices={fillers.map(({ code, name }) => ({ value: code, label: name }))}
          onChange={(code) => set({ filler: code })}
        />
        <ChoiceField
          label={t('view.library.size')}
          value={String(form.diameterMm)}
          choices={wireSizes.map(({ diameterMm, label }) => ({ value: String(diameterMm), label }))}
          onChange={(value) => set({ diameterMm: Number(value) })}
        />
        <ChoiceField
          label={t('view.machines.gas')}
          value={form.gas}
          choices={commonGasCodes.map((code) => ({
            value: code,
            label: gasName(code),
          }))}
          onChange={(gas) => set({ gas })}
        />
        <ChoiceField
          label={t('view.machines.way')}
          value={form.mode}
          choices={(['pulse', 'double-pulse', 'dip', 'spray'] as const).map((mode) => ({
            value: mode,
            label: modeName(mode),
          }))}
          onChange={(mode) => set({ mode })}
        />
        <TextField
          label={t('view.machines.chart.words')}
          value={form.words}
          onChange={(words) => set({ words })}
          maxLength={120}
        />
      </Box>
      {task.problem !== null && (
        <Box mt="2">
          <Notice level="refusal" word={t('view.library.not-saved')} urgent>
            {task.problem}
          </Notice>
        </Box>
      )}
      <Box display="flex" gap="2" mt="2.5">
        <Action
          kind="main"
          disabled={task.busy || form.number === null}
          onClick={() => {
            const { number } = form;
            if (number === null) return;
            const words =
              form.words.trim() ||
              `${format(formatIf(filler?.name) ?? form.filler)} ${format(wireSizeLabel(form.diameterMm))}`;
            void editor
              .saveFile((file) => ({
                ...file,
                chartLines: [...file.chartLines, { ...form, number, words }].sort((a, b) => a.number - b.number),
              }))
              .then((done) => {
                if (done) {
                  forget();
                  onClose();
                }
              });
          }}
        >
          {t('view.machines.add-this-line')}
        </Action>
        <Action onClick={onClose}>{t('view.library.cancel')}</Action>
      </Box>
    </Box>
  );
}
