/** Current against time over three fast pulses, with peak, background, mean and rms, and each drop at its moment. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, fixed, format } from '../../lib/words.ts';
import type { PulseResult } from '@fox-tempo/core/setting/pulse';
import { useCallback, useMemo } from 'react';
import { Chart, chartFigures as figures, chartWords as words } from '../../ui/chart.tsx';
import type { ColourName } from '../../ui/theme/colours.ts';
import { waveformCsv, waveformData, waveformWords, type WaveformData } from './waveform-data.ts';

export function WaveformChart({ pulse }: { readonly pulse: PulseResult }) {
  const data = useMemo(() => waveformData(pulse), [pulse]);
  return (
    <Chart
      option={useCallback((colour: (name: ColourName) => string) => option(data, colour), [data])}
      label={waveformWords(data)}
      name={`fast-pulse-${Math.round(pulse.meanCurrentA)}A`}
      csv={() => waveformCsv(data)}
    />
  );
}

function option(data: WaveformData, colour: (name: ColourName) => string) {
  const level = (value: number, name: string, dashed: boolean) => ({
    yAxis: value,
    lineStyle: { color: colour('quiet'), type: dashed ? ('dashed' as const) : ('dotted' as const), width: 1 },
    label: {
      formatter: `${name} ${fixed(value, 0)} A`,
      position: 'end' as const,
      distance: 6,
      // Apart even where the two lines nearly meet.
      offset: [0, dashed ? 8 : -8],
      color: colour('ink'),
      fontFamily: figures,
      fontSize: 12,
    },
  });
  // Room above the peaks for the drops and their moments.
  const top = Math.ceil((data.peakA * 1.3) / 100) * 100;
  return {
    grid: { left: 46, right: 92, top: 24, bottom: 30 },
    xAxis: {
      type: 'value' as const,
      min: 0,
      max: data.endMs,
      axisLabel: {
        color: colour('quiet'),
        fontFamily: figures,
        fontSize: 12,
        formatter: (value: number) =>
          value === data.endMs ? '' : format(amount('pulseTime', Number(value.toFixed(1)))),
      },
      splitLine: { show: false },
      axisLine: { lineStyle: { color: colour('line') } },
    },
    yAxis: {
      type: 'value' as const,
      name: t('view.simulator.chart.current'),
      nameTextStyle: {
        color: colour('quiet'),
        fontFamily: words,
        fontSize: 12,
        align: 'left' as const,
        padding: [0, 0, 0, -38],
      },
      min: 0,
      max: top,
      interval: 100,
      axisLabel: { color: colour('quiet'), fontFamily: figures, fontSize: 12 },
      splitLine: { lineStyle: { color: colour('line') } },
    },
    series: [
      {
        type: 'line' as const,
        data: data.points.map((point) => [...point]),
        showSymbol: false,
        lineStyle: { color: colour('accent'), width: 2 },
        areaStyle: { color: colour('accentSoft'), opacity: 0.55 },
        markLine: {
          silent: true,
          symbol: 'none',
          data: [level(data.rmsA, t('view.waveform.rms'), false), level(data.meanA, t('view.waveform.mean'), true)],
        },
      },
      {
        type: 'custom' as const,
        data: data.drops.map((time) => [time, 0]),
        renderItem: (
          _params: unknown,
          api: { value: (index: number) => number; coord: (point: number[]) => number[] },
        ) => dropShape(api.coord([api.value(0), top * 0.93]), api.coord([api.value(0), 0]), colour),
      },
      {
        type: 'custom' as const,
        data: [[data.firstPeak[0], (data.peakA + data.backgroundA) / 2]],
        renderItem: (_params: unknown, api: { coord: (point: number[]) => number[] }) =>
          peakNotes(data, top, api.coord, colour),
      },
    ],
  };
}

/** A falling drop, with a line down to the time axis at the moment it leaves. */
function dropShape([x = 0, y = 0]: number[], [, foot = 0]: number[], colour: (name: ColourName) => string) {
  return {
    type: 'group' as const,
    children: [
      {
        type: 'line' as const,
        shape: { x1: x, y1: y + 7, x2: x, y2: foot },
        style: { stroke: colour('ink'), lineWidth: 1, lineDash: [2, 3] },
      },
      {
        type: 'path' as const,
        shape: { pathData: 'M0-9C3-4 5-2 5 1A5 5 0 0 1-5 1C-5-2-3-4 0-9Z' },
        x,
        y,
        style: { fill: colour('accent'), stroke: colour('surface'), lineWidth: 1 },
      },
    ],
  };
}

/** Numbers written on the first pulse: how high, how long, what lies between. */
function peakNotes(
  data: WaveformData,
  axisTop: number,
  coord: (point: number[]) => number[],
  colour: (name: ColourName) => string,
) {
  const [from, to] = data.firstPeak;
  const [x1 = 0, top = 0] = coord([from, data.peakA]);
  const [x2 = 0] = coord([to, data.peakA]);
  const [, half = 0] = coord([from, (data.peakA + data.backgroundA) / 2]);
  const [edge = 0, low = 0] = coord([0, data.backgroundA]);
  const text = (content: string, x: number, y: number, align: 'left' | 'center') => ({
    type: 'text' as const,
    x,
    y,
    style: {
      text: content,
      fill: colour('ink'),
      font: `500 12px ${figures}`,
      align,
      verticalAlign: 'middle' as const,
      stroke: colour('surface'),
      lineWidth: 3,
    },
  });
  return {
    type: 'group' as const,
    children: [
      { type: 'line' as const, shape: { x1, y1: half, x2, y2: half }, style: { stroke: colour('ink'), lineWidth: 1 } },
      text(`${fixed(data.peakA, 0)} A`, (x1 + x2) / 2, top - 9, 'center'),
      ...(data.drops[0] === undefined
        ? []
        : [
            text(
              t('view.waveform.drop-leaves'),
              (coord([data.drops[0], 0])[0] ?? 0) + 10,
              coord([0, axisTop * 0.93])[1] ?? 0,
              'left',
            ),
          ]),
      text(`${fixed(to - from, 2)} ms`, x2 + 10, half, 'left'),
      text(`${fixed(data.backgroundA, 0)} A`, edge + 6, low - 9, 'left'),
    ],
  };
}
