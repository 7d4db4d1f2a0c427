/** The window drawn over feed and trim: the set point, the asked rectangle with its corners, and the largest that holds. */
import { Box } from '@chakra-ui/react';
import type { Welded, Window } from '@fox-tempo/core/evidence/window';
import { fixed, t, unitShown, inUnitShown } from '../../lib/words.ts';
import { cssColour } from '../../ui/theme/colours.ts';

export interface CornerMark {
  readonly wireFeedMPerMin: number;
  readonly trimMm: number;
  readonly ok: boolean;
}

const width = 520;
const height = 320;
const left = 68;
const bottom = 40;

export function WindowMap({
  at,
  asked,
  holds,
  corners,
  welds = [],
}: {
  readonly at: { readonly wireFeedMPerMin: number; readonly trimMm: number };
  readonly asked: Window;
  readonly holds: Window | null;
  readonly corners: readonly CornerMark[];
  /** Trials, where their dials stood. */
  readonly welds?: readonly Welded[];
}) {
  const feed = asked.wireFeedMPerMin ?? [at.wireFeedMPerMin, at.wireFeedMPerMin];
  const trim = asked.trimMm ?? [at.trimMm, at.trimMm];
  const frame = { feed: widened(feed, 0.6), trim: widened(trim, 0.6) };
  const x = (value: number) => left + ((value - frame.feed[0]) / (frame.feed[1] - frame.feed[0])) * (width - left - 12);
  const y = (value: number) =>
    height - bottom - ((value - frame.trim[0]) / (frame.trim[1] - frame.trim[0])) * (height - bottom - 12);
  const box = (window: Window) => {
    const [f0, f1] = window.wireFeedMPerMin ?? [at.wireFeedMPerMin, at.wireFeedMPerMin];
    const [t0, t1] = window.trimMm ?? [at.trimMm, at.trimMm];
    return { x: x(f0), y: y(t1), width: Math.max(x(f1) - x(f0), 2), height: Math.max(y(t0) - y(t1), 2) };
  };
  const ticks = (range: readonly [number, number], ends: readonly [number, number], middle: number) =>
    [...new Set([ends[0], middle, ends[1]])].filter((value) => value >= range[0] && value <= range[1]);
  return (
    <Box asChild width="100%" height="auto">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={t('view.window.drawn', { count: corners.filter(({ ok }) => !ok).length })}
      >
        <rect
          x={left}
          y={12}
          width={width - left - 12}
          height={height - bottom - 12}
          fill={cssColour('surface')}
          stroke={cssColour('line')}
        />
        <rect {...box(asked)} fill={cssColour('accentSoft')} stroke={cssColour('accent')} strokeWidth="1.6" />
        {holds && (
          <rect
            {...box(holds)}
            fill={cssColour('spruceSoft')}
            stroke={cssColour('spruce')}
            strokeWidth="2.4"
            strokeDasharray="7 4"
          />
        )}
        {ticks(frame.feed, feed, at.wireFeedMPerMin).map((value) => (
          <text
            key={value}
            x={x(value)}
            y={height - bottom + 16}
            textAnchor="middle"
            fontSize="12"
            fill={cssColour('quiet')}
          >
            {fixed(inUnitShown(value, 'wireFeed'), 1)}
          </text>
        ))}
        {ticks(frame.trim, trim, at.trimMm).map((value) => (
          <text key={value} x={left - 6} y={y(value) + 4} textAnchor="end" fontSize="12" fill={cssColour('quiet')}>
            {fixed(inUnitShown(value, 'shortLength'), 2)}
          </text>
        ))}
        <text x={(width + left) / 2} y={height - 6} textAnchor="middle" fontSize="12" fill={cssColour('ink')}>
          {t('view.window.wire-feed-axis', { unit: unitShown('wireFeed').label })}
        </text>
        <text
          x={12}
          y={height / 2 - 12}
          textAnchor="middle"
          fontSize="12"
          fill={cssColour('ink')}
          transform={`rotate(-90 12 ${height / 2 - 12})`}
        >
          {t('view.window.trim-axis', { unit: unitShown('shortLength').label })}
        </text>
        {welds.map(({ wireFeedMPerMin, trimMm, verdict }, index) => (
          <rect
            key={index}
            x={x(wireFeedMPerMin) - 5}
            y={y(trimMm) - 5}
            width="10"
            height="10"
            transform={`rotate(45 ${x(wireFeedMPerMin)} ${y(trimMm)})`}
            fill={cssColour(verdict === 'pass' ? 'spruceSoft' : 'surface')}
            stroke={cssColour(verdict === 'pass' ? 'spruce' : verdict === 'fail' ? 'crimson' : 'quiet')}
            strokeWidth="1.6"
          />
        ))}
        {corners.map(({ wireFeedMPerMin, trimMm, ok }) => (
          <g key={`${wireFeedMPerMin} ${trimMm}`} transform={`translate(${x(wireFeedMPerMin)} ${y(trimMm)})`}>
            <circle r="9" fill={cssColour('surface')} stroke={cssColour(ok ? 'spruce' : 'crimson')} strokeWidth="2" />
            <path
              d={ok ? 'M-4 0l3 3 5-6' : 'M-4 -4L4 4M4 -4L-4 4'}
              fill="none"
              stroke={cssColour(ok ? 'spruce' : 'crimson')}
              strokeWidth="2.2"
            />
          </g>
        ))}
        <circle cx={x(at.wireFeedMPerMin)} cy={y(at.trimMm)} r="6" fill={cssColour('ink')} />
      </svg>
    </Box>
  );
}

function widened([low, high]: readonly [number, number], share: number): readonly [number, number] {
  const by = Math.max((high - low) * share, 0.2) / 2;
  return [low - by, high + by];
}
