/** Lead resistance over time. */
import type { LeadReadingRow } from '@fox-tempo/contract';
import { csvOf } from '../../lib/csv.ts';
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
      label={`Resistance of leads, ${rows.length} readings from ${rows[0]?.mOhm ?? 0} to ${rows.at(-1)?.mOhm ?? 0} mΩ`}
      csv={() =>
        csvOf(
          ['time', 'resistance (mOhm)', 'note'],
          rows.map((row) => [row.at, row.mOhm, row.note]),
        )
      }
    />
  );
}
