/** Current and voltage on one time axis, drops and shorts marked, the ghost's current behind, the moment as a line over both. */
import { amount } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { csvOf } from '@fox-tempo/contract';
import { Box } from '@chakra-ui/react';
import type { Simulation } from '@fox-tempo/core/weld/simulation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { axisLook, Chart, type Paint } from '../../ui/chart.tsx';
import { cssColour } from '../../ui/theme/colours.ts';
import type { Playhead } from './playhead.ts';
import { rowAt } from '../../parts/arc-view/index.ts';

/** Time on the screen at once, s. */
const windowS = 0.04;
const grid = { left: 46, right: 14 };

export function TraceChart({
  simulation,
  ghost,
  playhead,
}: {
  readonly simulation: Simulation;
  readonly ghost: Simulation | null;
  readonly playhead: Playhead;
}) {
  const [page, setPage] = useState(0);
  const cursor = useRef<HTMLDivElement>(null);
  const holder = useRef<HTMLDivElement>(null);
  const fromS = playhead.fromS + page * windowS;

  const width = useRef(0);

  useEffect(() => {
    // Asked for in every frame, the width would lay the page out again in every frame.
    const observer = new ResizeObserver(([entry]) => {
      width.current = (entry?.contentRect.width ?? 0) - grid.left - grid.right;
    });
    if (holder.current) observer.observe(holder.current);
    return () => observer.disconnect();
  }, []);

  useEffect(() => {
    const follow = (timeS: number) => {
      const at = Math.floor((timeS - playhead.fromS) / windowS + 1e-9);
      setPage(at);
      const share = ((timeS - playhead.fromS) % windowS) / windowS;
      if (cursor.current) cursor.current.style.transform = `translateX(${grid.left + share * width.current}px)`;
    };
    follow(playhead.timeS());
    return playhead.listen(follow);
  }, [playhead]);

  const data = useMemo(() => windowOf(simulation, fromS), [simulation, fromS]);
  const behind = useMemo(() => (ghost ? windowOf(ghost, fromS) : null), [ghost, fromS]);
  const option = useCallback(
    (colour: Paint) => {
      const look = axisLook(colour);
      const time = {
        type: 'value' as const,
        min: 0,
        max: windowS * 1000,
        ...look,
        splitLine: { show: false },
      };
      const line = (
        points: readonly (readonly [number, number])[],
        name: 'accent' | 'volt' | 'quiet',
        axis: 0 | 1,
        width = 2,
      ) => ({
        type: 'line' as const,
        xAxisIndex: axis,
        yAxisIndex: axis,
        data: points.map((point) => [...point]),
        showSymbol: false,
        sampling: 'minmax' as const,
        lineStyle: { color: colour(name), width, ...(name === 'quiet' ? { type: 'dashed' as const } : {}) },
      });
      return {
        grid: [
          { ...grid, top: 26, bottom: '52%' },
          { ...grid, top: '66%', bottom: 24 },
        ],
        xAxis: [
          { ...time, gridIndex: 0, axisLabel: { show: false } },
          {
            ...time,
            gridIndex: 1,
            axisLabel: { ...look.axisLabel, formatter: (value: number) => `${value} ms` },
          },
        ],
        yAxis: [
          {
            type: 'value' as const,
            gridIndex: 0,
            name: t('view.simulator.chart.current'),
            min: 0,
            max: data.topA,
            splitNumber: 4,
            ...look,
          },
          {
            type: 'value' as const,
            gridIndex: 1,
            name: t('view.simulator.voltage-v'),
            min: 0,
            max: data.topV,
            splitNumber: 3,
            ...look,
          },
        ],
        series: [
          ...(behind ? [line(behind.amps, 'quiet', 0, 1)] : []),
          line(data.amps, 'accent', 0),
          line(data.volts, 'volt', 1),
          {
            type: 'scatter' as const,
            xAxisIndex: 0,
            yAxisIndex: 0,
            symbolSize: 7,
            data: data.drops.map((at) => [at, data.topA * 0.04]),
            itemStyle: { color: colour('ink') },
          },
          {
            type: 'scatter' as const,
            xAxisIndex: 0,
            yAxisIndex: 0,
            symbol: 'triangle',
            symbolSize: 10,
            data: data.shorts.map((at) => [at, data.topA * 0.13]),
            itemStyle: { color: colour('crimson') },
          },
        ],
      };
    },
    [data, behind],
  );
  const { metrics } = simulation;
  return (
    <Box position="relative" ref={holder} height="100%">
      <Chart
        option={option}
        height="100%"
        savesOver
        name="arc"
        label={t('view.simulator.chart.description', {
          window: amount('pulseTime', windowS * 1000),
          meanCurrent: amount('current', metrics.meanCurrentA, 0),
          meanVoltage: amount('voltage', metrics.meanVoltageV, 1),
          drops: data.drops.length,
          shorts: data.shorts.length,
        })}
        csv={() => traceCsv(simulation)}
      />
      <Box
        ref={cursor}
        position="absolute"
        top="12px"
        bottom="24px"
        left="0"
        width="2px"
        pointerEvents="none"
        aria-hidden="true"
        css={{ background: cssColour('ink') }}
      />
    </Box>
  );
}

function windowOf(simulation: Simulation, fromS: number) {
  const { trace, dropAtS, shortAtS } = simulation;
  const first = rowAt(simulation, fromS);
  const last = rowAt(simulation, fromS + windowS);
  const current: [number, number][] = [];
  const voltage: [number, number][] = [];
  for (let at = first; at <= last; at++) {
    const ms = ((trace.timeS[at] ?? 0) - fromS) * 1000;
    if (ms < 0) continue;
    current.push([ms, trace.currentA[at] ?? 0]);
    voltage.push([ms, trace.voltageV[at] ?? 0]);
  }
  const inside = (moments: Float64Array) =>
    Array.from(moments)
      .filter((moment) => moment >= fromS && moment < fromS + windowS)
      .map((moment) => (moment - fromS) * 1000);
  // Over the whole run, so that the axis does not jump from page to page.
  const highest = (values: Float32Array, step: number) =>
    Math.ceil(values.reduce((most, value) => Math.max(most, value), 1) / step) * step;
  return {
    amps: current,
    volts: voltage,
    drops: inside(dropAtS),
    shorts: inside(shortAtS),
    topA: highest(trace.currentA, 100),
    topV: highest(trace.voltageV, 10),
  };
}

function traceCsv({ trace }: Simulation): string {
  const figure = (list: ArrayLike<number>, at: number, digits: number) => (list[at] ?? 0).toFixed(digits);
  return csvOf(
    [
      t('view.simulator.chart.time'),
      t('view.simulator.chart.current-column'),
      t('view.simulator.chart.voltage-column'),
      t('view.simulator.arc-length-mm'),
      t('view.simulator.extension-mm'),
    ],
    Array.from({ length: trace.timeS.length }, (_, at) => [
      figure(trace.timeS, at, 6),
      figure(trace.currentA, at, 1),
      figure(trace.voltageV, at, 2),
      figure(trace.arcLengthMm, at, 3),
      figure(trace.extensionMm, at, 3),
    ]),
  );
}
