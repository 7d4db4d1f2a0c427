/** Lead resistance over time. */
import { amount, bare } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { type LeadReadingRow, csvOf } from '@fox-tempo/contract';
import { useCallback } from 'react';
import { axisLook, Chart, type Paint } from '../../ui/chart.tsx';

export function LeadChart({
  rows,
  machineName,
}: {
  readonly rows: readonly LeadReadingRow[];
  readonly machineName: string;
}) {
  const option = useCallback(
    (colour: Paint) => ({
      grid: { left: 44, right: 16, top: 24, bottom: 26 },
      xAxis: { type: 'time' as const, ...axisLook(colour), splitLine: { show: false } },
      yAxis: { type: 'value' as const, name: 'mΩ', scale: true, minInterval: 1, ...axisLook(colour) },
      series: [
        {
          type: 'line' as const,
          symbolSize: 8,
          data: rows.map((row) => [Date.parse(row.at), row.mOhm]),
          lineStyle: { color: colour('volt'), width: 2 },
          itemStyle: { color: colour('volt') },
        },
      ],
    }),
    [rows],
  );
  return (
    <Chart
      option={option}
      height="160px"
      name={`leads-${machineName}`}
      label={t('view.machines.leads-chart', {
        rows: rows.length,
        first: bare('resistance', rows[0]?.mOhm ?? 0),
        last: amount('resistance', rows.at(-1)?.mOhm ?? 0),
      })}
      csv={() =>
        csvOf(
          ['time', t('view.machines.resistance-mohm'), 'note'],
          rows.map((row) => [row.at, row.mOhm, row.note]),
        )
      }
    />
  );
}
