/** Warmth of the pool's place along the seam, steady main as 1: where the ends fall cold or hot. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { coldBelow, endMm, hotAbove, type ScoreOf } from '@fox-tempo/core/weld/score';
import { cssColour } from '../../../ui/theme/colours.ts';

const size = { width: 440, height: 132, left: 34, bottom: 18, top: 8 };
const top = 1.6;

export function WarmthLine({ whole }: { readonly whole: ScoreOf }) {
  const { along } = whole.ends;
  const end = whole.score.gun.endMm;
  const xOf = (mm: number) => size.left + (mm / Math.max(end, 1)) * (size.width - size.left - 8);
  const yOf = (warmth: number) =>
    size.height - size.bottom - (Math.min(warmth, top) / top) * (size.height - size.bottom - size.top);
  const path = along
    .map(({ mm, warmth }, at) => `${at === 0 ? 'M' : 'L'}${xOf(mm).toFixed(1)} ${yOf(warmth).toFixed(1)}`)
    .join('');
  return (
    <Box asChild width="100%">
      <svg
        viewBox={`0 0 ${size.width} ${size.height}`}
        role="img"
        aria-label={t('view.sequence.taper.picture', {
          length: amount('length', endMm),
          firstWarmth: amount('percent', whole.ends.first.warmth * 100, 0),
          lastWarmth: amount('percent', whole.ends.last.warmth * 100, 0),
        })}
      >
        <rect
          x={size.left}
          y={yOf(hotAbove)}
          width={size.width - size.left}
          height={yOf(coldBelow) - yOf(hotAbove)}
          fill={cssColour('spruceSoft')}
          opacity="0.6"
        />
        {[0.5, 1, 1.5].map((warmth) => (
          <g key={warmth}>
            <line x1={size.left} x2={size.width} y1={yOf(warmth)} y2={yOf(warmth)} stroke={cssColour('line')} />
            <text
              x={size.left - 4}
              y={yOf(warmth) + 4}
              textAnchor="end"
              fill={cssColour('quiet')}
              style={{ fontSize: '10.5px' }}
            >
              {warmth * 100}
            </text>
          </g>
        ))}
        <path d={path} fill="none" stroke={cssColour('accent')} strokeWidth="2" />
        {[0, end / 2, end].map((mm) => (
          <text
            key={mm}
            x={xOf(mm)}
            y={size.height - 4}
            textAnchor={mm === 0 ? 'start' : mm === end ? 'end' : 'middle'}
            fill={cssColour('quiet')}
            style={{ fontSize: '10.5px' }}
          >
            {format(amount('length', mm, 0))}
          </text>
        ))}
        <text x={size.left + 6} y={yOf(hotAbove) + 12} fill={cssColour('spruce')} style={{ fontSize: '10.5px' }}>
          {t('view.sequence.taper.axis')}
        </text>
      </svg>
    </Box>
  );
}
