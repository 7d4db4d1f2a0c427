/** A taught line: points as read, the fitted line through them, the model's own line beside it for comparison. */
import { inUnitShown, t, unitShown } from '../../lib/words.ts';
import { csvOf } from '@fox-tempo/contract';
import { modelAmps, type LineFit } from '@fox-tempo/core/machine/teaching';
import { type ChartLine } from '@fox-tempo/core/machine/description';
import { useCallback, useMemo } from 'react';
import { axisLook, Chart, type Paint } from '../../ui/chart.tsx';

export function LineFitChart({ line, fit }: { readonly line: ChartLine; readonly fit: LineFit }) {
  const rows = useMemo(() => rowsOf(line, fit), [line, fit]);
  const option = useCallback(
    (colour: Paint) => ({
      grid: { left: 50, right: 16, top: 26, bottom: 40 },
      xAxis: {
        type: 'value' as const,
        name: t('view.machines.wire-feed-unit', { unit: unitShown('wireFeed').label }),
        nameLocation: 'middle' as const,
        nameGap: 26,
        scale: true,
        ...axisLook(colour),
      },
      yAxis: { type: 'value' as const, name: t('view.simulator.chart.current'), scale: true, ...axisLook(colour) },
      series: [
        {
          type: 'line' as const,
          name: t('view.machines.model'),
          showSymbol: false,
          data: rows.map((row) => [shownFeed(row.feed), row.model]),
          lineStyle: { color: colour('quiet'), width: 1.5, type: 'dashed' as const },
        },
        {
          type: 'line' as const,
          name: t('view.machines.this-machine'),
          showSymbol: false,
          data: rows.flatMap((row) => (row.fitted === undefined ? [] : [[shownFeed(row.feed), row.fitted]])),
          lineStyle: { color: colour('accent'), width: 2 },
        },
        {
          type: 'scatter' as const,
          symbolSize: 11,
          data: fit.points.flatMap((point) =>
            point.currentA === undefined
              ? []
              : [
                  {
                    value: [shownFeed(point.wireFeedMPerMin), point.currentA],
                    symbol: point.doubt === undefined ? 'circle' : 'diamond',
                    itemStyle: {
                      color: colour(point.doubt === undefined ? 'ink' : 'ochre'),
                      borderColor: colour('surface'),
                      borderWidth: 1,
                    },
                  },
                ],
          ),
        },
      ],
    }),
    [rows, fit],
  );
  const doubtful = fit.points.filter((point) => point.doubt !== undefined).length;
  return (
    <Chart
      option={option}
      height="230px"
      name={`line-${line.number}`}
      label={t('view.machines.chart.picture', { points: fit.points.length, doubtful })}
      csv={() =>
        csvOf(
          [
            t('view.machines.feed-m-min'),
            t('view.machines.chart.fitted-column'),
            t('view.machines.chart.model-column'),
          ],
          rows.map((row) => [row.feed, row.fitted ?? '', row.model]),
        )
      }
    />
  );
}

/** A chart is read in the reader's units; its table keeps the stored ones. */
function shownFeed(feedMPerMin: number): number {
  return Number(inUnitShown(feedMPerMin, 'wireFeed').toFixed(2));
}

function rowsOf(line: ChartLine, fit: LineFit) {
  const feeds = fit.points.map((point) => point.wireFeedMPerMin);
  const [low, high] = [Math.min(...feeds) * 0.9, Math.max(...feeds) * 1.1];
  return Array.from({ length: 25 }, (_, at) => {
    const feed = Number((low + ((high - low) * at) / 24).toFixed(3));
    const fitted = fit.ampsAt(feed);
    return {
      feed,
      fitted: fitted === undefined ? undefined : Number(fitted.toFixed(1)),
      model: Number(modelAmps(line, feed).toFixed(1)),
    };
  });
}
