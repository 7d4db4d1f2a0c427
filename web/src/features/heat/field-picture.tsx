/** The plate from above at one moment: how warm it is, and its seams in their order. */
import { Box } from '@chakra-ui/react';
import type { Soaked } from '@fox-tempo/core/soak';
import { amount } from '@fox-tempo/core/said';
import { useEffect, useRef } from 'react';
import { t, tell } from '../../lib/words.ts';
import { useSettings } from '../../lib/settings.ts';
import { colours, cssColour, type Theme } from '../../ui/theme/colours.ts';

export interface FieldSeam {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  /** 1 is welded first. */
  readonly place: number;
}

export interface FieldPictureProps {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly soaked: Soaked;
  readonly seams: readonly FieldSeam[];
  readonly atS: number;
  readonly ambientC: number;
  readonly hottestC: number;
}

/** Cells along the plate; finer is not seen. */
const columns = 96;

export function FieldPicture({ lengthMm, widthMm, soaked, seams, atS, ambientC, hottestC }: FieldPictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const theme = useSettings((state) => state.theme);
  const rows = Math.max(Math.round((columns * widthMm) / lengthMm), 8);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const image = context.createImageData(columns, rows);
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < columns; column++) {
        const tempC = soaked.tempAt(((column + 0.5) / columns) * lengthMm, ((row + 0.5) / rows) * widthMm, atS);
        const [r, g, b] = warmth((tempC - ambientC) / Math.max(hottestC - ambientC, 1), theme);
        image.data.set([r, g, b, 255], 4 * (row * columns + column));
      }
    context.putImageData(image, 0, 0);
  }, [lengthMm, widthMm, soaked, atS, ambientC, hottestC, rows, theme]);
  const running = soaked.seams.findIndex(({ startAtS, endAtS }) => atS >= startAtS && atS <= endAtS);
  return (
    <Box
      position="relative"
      width="100%"
      aspectRatio={`${lengthMm} / ${widthMm}`}
      maxHeight="420px"
      borderWidth="1px"
      borderColor="metalEdge"
    >
      <Box asChild position="absolute" inset="0" width="100%" height="100%">
        <canvas ref={canvas} width={columns} height={rows} aria-hidden="true" />
      </Box>
      <Box asChild position="absolute" inset="0" width="100%" height="100%">
        <svg
          viewBox={`0 0 ${lengthMm} ${widthMm}`}
          preserveAspectRatio="none"
          role="img"
          aria-label={t('view.heat.the-plate-after', { seconds: amount('phaseTime', atS, 0) })}
        >
          {seams.map(({ from, to, place }) => (
            <g key={place}>
              <line
                x1={from[0]}
                y1={from[1]}
                x2={to[0]}
                y2={to[1]}
                stroke={cssColour(place - 1 === running ? 'accent' : 'ink')}
                strokeWidth="2"
                vectorEffect="non-scaling-stroke"
              />
              <circle cx={from[0]} cy={from[1]} r={lengthMm / 90} fill={cssColour('ink')} />
              <text
                x={from[0] + (to[0] > from[0] ? 1 : -1) * (lengthMm / 45)}
                y={from[1] - lengthMm / 90}
                fontSize={lengthMm / 26}
                fill={cssColour('ink')}
                textAnchor="middle"
              >
                {place}
              </text>
            </g>
          ))}
        </svg>
      </Box>
    </Box>
  );
}

/** Cold metal, ochre, crimson, by share of the hottest. */
function warmth(share: number, theme: Theme): readonly [number, number, number] {
  const stops = (['metal', 'ochreSoft', 'ochre', 'crimson'] as const).map((name) => rgb(colours[name][theme]));
  const at = Math.min(Math.max(share, 0), 1) * (stops.length - 1);
  const low = stops[Math.floor(at)] ?? [0, 0, 0];
  const high = stops[Math.min(Math.floor(at) + 1, stops.length - 1)] ?? low;
  const part = at - Math.floor(at);
  return [0, 1, 2].map((k) => Math.round((low[k] ?? 0) + ((high[k] ?? 0) - (low[k] ?? 0)) * part)) as [
    number,
    number,
    number,
  ];
}

function rgb(hex: string): [number, number, number] {
  return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as [number, number, number];
}

/** The scale of the colours, from the surroundings to the hottest that is drawn. */
export function WarmthScale({ ambientC, hottestC }: { readonly ambientC: number; readonly hottestC: number }) {
  const theme = useSettings((state) => state.theme);
  const stops = [0, 0.33, 0.67, 1].map((share) => `rgb(${warmth(share, theme).join(' ')})`);
  return (
    <Box display="flex" alignItems="center" gap="2" fontSize="12px" color="quiet">
      {tell(amount('temperature', ambientC, 0))}
      <Box
        flex="1"
        height="10px"
        borderRadius="2px"
        style={{ background: `linear-gradient(to right, ${stops.join(', ')})` }}
      />
      {tell(amount('temperature', hottestC, 0))}
    </Box>
  );
}
