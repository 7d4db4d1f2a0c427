/** Teaching one chart line: a few printed or observed points, the fitted line with what each point misses by, the doubtful one named. */
import { amount, signed } from '@fox-tempo/core/base/messages';
import { saidIssues, t, format, formatIf, formatWithUnit } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { fitLine, type LineFit } from '@fox-tempo/core/machine/teaching';
import { type ChartPoint } from '@fox-tempo/core/machine/description';
import { lazy, Suspense, useMemo } from 'react';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import type { MachineEditor } from './use-machine.ts';

const LineChart = lazy(async () => ({ default: (await import('./line-chart.tsx')).LineFitChart }));

type FileLine = MachineFile['chartLines'][number];

export function TeachLine({
  editor,
  line,
  onClose,
}: {
  readonly editor: MachineEditor;
  readonly line: FileLine;
  readonly onClose: () => void;
}) {
  const { machine, task } = editor;
  const units = useSettings((state) => state.units);
  const keep = `teach/${machine.id}/${line.number}`;
  const [{ points }, setForm, forget] = useKeptForm<{ points: ChartPoint[] }>(keep, {
    points: [...(line.points ?? [{}, {}])],
  });
  const filled = useMemo(
    () => points.filter((point) => Object.values(point).some((value) => value !== undefined)),
    [points],
  );
  const fit = useMemo(() => fitLine({ ...line, points: filled }), [line, filled]);
  const set = (at: number, change: ChartPoint) =>
    setForm({ points: points.map((point, index) => (index === at ? { ...point, ...change } : point)) });
  const doubtOf = (point: ChartPoint) =>
    fit.ok ? fit.value.points.find((one) => one.index === filled.indexOf(point))?.doubt : undefined;
  const field = (
    at: number,
    key: keyof ChartPoint,
    label: string,
    of: 'wireFeed' | 'thickness' | 'current' | 'voltage',
  ) => (
    <ValueField
      label={`${label} ${at + 1}`}
      of={of}
      value={points[at]?.[key] ?? null}
      keep={`${keep}/${at}/${key}`}
      optional
      step={of === 'current' ? 1 : 0.1}
      onValue={(value) => set(at, { [key]: value ?? undefined })}
    />
  );
  return (
    <Box
      as="section"
      aria-label={t('view.machines.teach-line', { number: line.number })}
      bg="page"
      p="3"
      borderRadius="4px"
      my="2"
    >
      <Box fontSize="small" color="quiet" mb="2">
        {t('view.machines.points-why')}
      </Box>
      {points.map((point, at) => (
        <Box key={at} mb="1">
          <Box
            display="grid"
            gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr) auto' }}
            gap="2"
            alignItems="start"
          >
            {field(at, 'wireFeedMPerMin', t('view.simulator.column.feed'), 'wireFeed')}
            {field(at, 'thicknessMm', t('view.machines.thickness'), 'thickness')}
            {field(at, 'currentA', t('view.machines.current'), 'current')}
            {field(at, 'voltageV', t('view.machines.voltage'), 'voltage')}
            <Action
              kind="quiet"
              fontSize="small"
              mt="18px"
              aria-label={t('view.machines.take-out-point', { at: at + 1 })}
              onClick={() => setForm({ points: points.filter((_, index) => index !== at) })}
            >
              {t('view.machines.points-remove')}
            </Action>
          </Box>
          {doubtOf(point) !== undefined && (
            <Notice level="caution" word={t('view.machines.point-is-doubtful', { at: at + 1 })}>
              {t('view.machines.points-check', { point: formatIf(doubtOf(point)) ?? '' })}
            </Notice>
          )}
        </Box>
      ))}
      <Action kind="quiet" onClick={() => setForm({ points: [...points, {}] })}>
        {t('view.machines.one-more-point')}
      </Action>
      {fit.ok ? (
        <>
          <Suspense
            fallback={
              <Box height="250px" display="grid" placeItems="center" color="quiet" fontSize="small" role="status">
                {t('view.machines.drawing-the-line')}
              </Box>
            }
          >
            <LineChart line={line} fit={fit.value} />
          </Suspense>
          <Residuals fit={fit.value} units={units} />
        </>
      ) : (
        filled.length > 0 && (
          <Notice level="note" word={t('view.machines.points-too-few')}>
            {saidIssues(fit.issues)}
          </Notice>
        )
      )}
      {task.problem !== null && (
        <Notice level="refusal" word={t('view.library.not-saved')} urgent>
          {task.problem}
        </Notice>
      )}
      <Box display="flex" gap="2" mt="2">
        <Action
          kind="main"
          disabled={!fit.ok || task.busy}
          onClick={() => {
            void editor
              .saveFile((file) => ({
                ...file,
                chartLines: file.chartLines.map((one) =>
                  one.number === line.number ? { ...one, points: filled.map((point) => ({ ...point })) } : one,
                ),
              }))
              .then((done) => {
                if (done) {
                  forget();
                  onClose();
                }
              });
          }}
        >
          {t('view.machines.keep-these-points', { filled: filled.length })}
        </Action>
        <Action
          onClick={() => {
            forget();
            onClose();
          }}
        >
          {t('view.library.cancel')}
        </Action>
      </Box>
    </Box>
  );
}

function Residuals({ fit, units }: { readonly fit: LineFit; readonly units: 'metric' | 'us' }) {
  const miss = (value: number | undefined, kind: 'current' | 'voltage', digits: number) =>
    value === undefined ? '–' : format(signed(kind, value, digits));
  return (
    <Table label={t('view.machines.points-residuals')}>
      <Heads
        names={[t('view.simulator.column.feed'), t('view.machines.points-current'), t('view.machines.points-voltage')]}
        right={[t('view.machines.points-current'), t('view.machines.points-voltage')]}
      />
      <tbody>
        {fit.points.map((point) => (
          <tr key={point.index}>
            <Cell>
              {point.feedComputed
                ? t('view.machines.from-its-current', { feed: amount('wireFeed', point.wireFeedMPerMin) })
                : formatWithUnit(point.wireFeedMPerMin, 'wireFeed', units)}
            </Cell>
            <Cell figure>{point.feedComputed ? '–' : miss(point.currentMissA, 'current', 0)}</Cell>
            <Cell figure>{miss(point.voltageMissV, 'voltage', 1)}</Cell>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
