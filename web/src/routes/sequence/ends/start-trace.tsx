/** The first third of a second of a cold start: current as it came, and the moment the arc stayed. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, fixed } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { cssColour } from '../../../ui/theme/colours.ts';
import type { StartRun } from './use-starts.ts';

const shownS = 0.32;
const size = { width: 440, height: 92, left: 34, bottom: 16, top: 8 };

export function StartTrace({ run, topA }: { readonly run: StartRun; readonly topA: number }) {
  const { trace, runInPercent, starts } = run;
  const [first] = starts;
  const litMs = first?.ignitionMs ?? null;
  const xOf = (s: number) => size.left + (s / shownS) * (size.width - size.left - 4);
  const yOf = (a: number) => size.height - size.bottom - (a / topA) * (size.height - size.bottom - size.top);
  const words =
    litMs === null
      ? t('view.sequence.never-lit')
      : t('view.sequence.start.lit', {
          lit: amount('pulseTime', litMs, 0),
          buckles: first && first.buckles > 0 ? 'yes' : 'other',
        });
  return (
    <Box>
      <Box textStyle="label" color="quiet">
        {t('view.sequence.start.row', { runIn: amount('percent', runInPercent, 0), words })}
      </Box>
      <Box asChild width="100%">
        <svg
          viewBox={`0 0 ${size.width} ${size.height}`}
          role="img"
          aria-label={t('view.sequence.start.row-picture', { runIn: amount('percent', runInPercent, 0), words })}
        >
          {[0, topA / 2, topA].map((a) => (
            <g key={a}>
              <line x1={size.left} x2={size.width} y1={yOf(a)} y2={yOf(a)} stroke={cssColour('line')} />
              <text
                x={size.left - 4}
                y={yOf(a) + 4}
                textAnchor="end"
                fill={cssColour('quiet')}
                style={{ fontSize: '10.5px' }}
              >
                {`${fixed(a, 0)} A`}
              </text>
            </g>
          ))}
          {[0.1, 0.2, 0.3].map((s) => (
            <text
              key={s}
              x={xOf(s)}
              y={size.height - 3}
              textAnchor="middle"
              fill={cssColour('quiet')}
              style={{ fontSize: '10.5px' }}
            >
              {format(amount('pulseTime', s * 1000))}
            </text>
          ))}
          <path
            d={pathOf(trace.timeS, trace.currentA, xOf, yOf)}
            fill="none"
            stroke={cssColour('accent')}
            strokeWidth="1.1"
          />
          {litMs !== null && (
            <line
              x1={xOf(litMs / 1000)}
              x2={xOf(litMs / 1000)}
              y1={size.top}
              y2={size.height - size.bottom}
              stroke={cssColour('ink')}
              strokeDasharray="3 3"
            />
          )}
        </svg>
      </Box>
    </Box>
  );
}

function pathOf(
  timeS: Float64Array,
  currentA: Float32Array,
  xOf: (s: number) => number,
  yOf: (a: number) => number,
): string {
  let path = '';
  for (let at = 0; at < timeS.length; at++) {
    const s = timeS[at] ?? 0;
    if (s > shownS) break;
    path += `${path === '' ? 'M' : 'L'}${xOf(s).toFixed(1)} ${yOf(currentA[at] ?? 0).toFixed(1)}`;
  }
  return path;
}
